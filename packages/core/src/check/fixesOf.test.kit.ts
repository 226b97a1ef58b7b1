import type { CheckResult, DesignContent } from '@yellow-cell/contract';
import { checkDesign } from './check.ts';

/** What does not hold of a design, with the fix that is offered and what that changes. */
export const fixesOf = (
  name: string,
  design: DesignContent,
  isMeant: (check: CheckResult) => boolean = () => true,
): string[] =>
  checkDesign(design)
    .filter((check) => !check.holds && isMeant(check))
    .flatMap(({ kind, sentence, fix }) => [
      `${name}${kind}: ${sentence}`,
      ...(fix ? [`  ${fix.label}`, ...changesIn(design, fix.design, '').map((each) => `    ${each}`)] : []),
    ]);

/** Where two designs differ, by the path to it; a list that grew or shrank is told whole. */
function changesIn(before: unknown, after: unknown, path: string): string[] {
  const [a, b] = [JSON.stringify(before), JSON.stringify(after)];
  if (a === b) return [];
  const isOpen = (value: unknown): value is object => value !== null && typeof value === 'object';
  const keys = isOpen(before) && isOpen(after) ? Object.keys({ ...before, ...after }) : [];
  const alike = !Array.isArray(before) || (Array.isArray(after) && before.length === after.length);
  if (keys.length === 0 || !alike) return [`${path}: ${a ?? 'nothing'} → ${b ?? 'nothing'}`];
  const at = (value: unknown, key: string) => (value as Record<string, unknown>)[key];
  return keys.flatMap((key) => changesIn(at(before, key), at(after, key), path ? `${path}.${key}` : key));
}
