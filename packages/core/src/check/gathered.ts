import type { CheckResult } from '@yellow-cell/contract';
import { listOf } from '../say/words.ts';

/** A finding, or several that say the same of different rooms. */
export interface GatheredCheck extends CheckResult {
  keys: readonly string[];
}

/** Notes on one matter are one note: `Left: 3.6 mm to spare` and `Right: 3.6 mm to spare` become `Left and Right: 3.6 mm to spare`. Of their fixes the first is offered, then the next. */
export function gathered(checks: readonly CheckResult[]): GatheredCheck[] {
  const groups = new Map<string, CheckResult[]>();
  for (const check of checks) {
    const { kind, severity, overruled, fix } = check;
    const matter = [kind, severity, overruled, fix?.label, said(check).rest].join(' | ');
    groups.set(matter, [...(groups.get(matter) ?? []), check]);
  }
  return [...groups.values()].flatMap((group) => {
    const [first] = group;
    if (!first) return [];
    return [
      {
        ...first,
        keys: group.map(({ key }) => key),
        places: [...new Set(group.flatMap(({ places }) => places))],
        sentence:
          group.length === 1
            ? first.sentence
            : `${listOf(group.map((each) => said(each).of))}: ${said(first).rest}`,
      },
    ];
  });
}

/** Of what a sentence speaks, where it begins with that, and what it says. */
function said({ sentence, key }: CheckResult): { of: string; rest: string } {
  const at = sentence.indexOf(': ');
  return at === -1 ? { of: '', rest: key } : { of: sentence.slice(0, at), rest: sentence.slice(at + 2) };
}
