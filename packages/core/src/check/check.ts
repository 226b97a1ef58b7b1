import type { CheckResult, DesignContent, Severity } from '@yellow-cell/contract';
import { designProblems } from '../box/designProblems.ts';
import { limitsOf } from '../box/limits.ts';
import { deriveBox } from '../box/model.ts';
import { bodyRules } from './bodyRules.ts';
import { entranceRules } from './entranceRules.ts';
import { escapeRules } from './escapeRules.ts';
import { familyRules } from './familyRules.ts';
import type { Finding, Rule, Scene } from './finding.ts';
import { gapRules } from './gapRules.ts';
import { passageRules } from './passageRules.ts';
import { printRules } from './printRules.ts';
import { stackRules } from './stackRules.ts';

/** Every rule that a design is held to, in the order in which they are told when equally bad. */
const rules: readonly Rule[] = [
  ...passageRules,
  ...escapeRules,
  ...entranceRules,
  ...bodyRules,
  ...gapRules,
  ...stackRules,
  ...printRules,
  ...familyRules,
];

const MOST_TRIED = 40;
const WORST: readonly Severity[] = ['danger', 'fault', 'care', 'note'];

/**
 * Holds a design to every rule; those that do not hold come first, worst first. A fix is given only where it was
 * applied here and the check is gone and no worse one has come. Throws `ProblemsError` where the design cannot be.
 */
export function checkDesign(design: DesignContent): CheckResult[] {
  const findings = findingsOf(design);
  const before = findings.filter(({ holds }) => !holds);
  // Trying a fix means checking the whole box again: the worst come first, and there is an end to it.
  const tried = new Set(
    [...before].sort((a, b) => WORST.indexOf(a.severity) - WORST.indexOf(b.severity)).slice(0, MOST_TRIED),
  );
  const results = findings.map((finding): CheckResult => {
    const { fix, figure = null, limit = null, unit = 'mm', ...rest } = finding;
    return {
      ...rest,
      figure,
      limit,
      unit,
      key: keyOf(finding),
      places: [...finding.places],
      fix: !fix || !tried.has(finding) ? null : triedFix(fix, finding, before),
      overruled: design.overrules.find(({ check }) => check === keyOf(finding))?.reason ?? null,
    };
  });
  return results
    .map((result, index) => ({ result, index }))
    .sort((a, b) => rankOf(a.result) - rankOf(b.result) || a.index - b.index)
    .map(({ result }) => result);
}

const rankOf = ({ holds, severity, overruled }: CheckResult): number =>
  (holds ? 20 : overruled === null ? 0 : 10) + WORST.indexOf(severity);

/** With its severity: letting a tight fit stand does not let an impossible one stand. */
const keyOf = ({ kind, severity, places }: Finding): string => [kind, severity, ...places].join(':');
const placeOf = ({ kind, places }: Finding): string => [kind, ...places].join(':');

/** What every rule finds, whether it holds or not. */
export function findingsOf(design: DesignContent): Finding[] {
  const scene: Scene = { design, model: deriveBox(design), limits: limitsOf(design) };
  return rules.flatMap((rule) => rule(scene));
}

/** A finding that was there before may name fewer or more places afterwards. */
const isSameMatter = (a: Finding, b: Finding): boolean =>
  a.kind === b.kind &&
  a.severity === b.severity &&
  (a.places.length === 0 || a.places.some((place) => b.places.includes(place)));

function triedFix(
  fix: NonNullable<Finding['fix']>,
  finding: Finding,
  before: readonly Finding[],
): CheckResult['fix'] {
  const design = fix.apply();
  if (designProblems(design).length > 0) return null;
  const after = findingsOf(design).filter(({ holds }) => !holds);
  const gone = !after.some((each) => placeOf(each) === placeOf(finding));
  const worst = WORST.indexOf(finding.severity);
  const worse = after.some(
    (each) => WORST.indexOf(each.severity) <= worst && !before.some((old) => isSameMatter(old, each)),
  );
  return gone && !worse ? { label: fix.label, design } : null;
}
