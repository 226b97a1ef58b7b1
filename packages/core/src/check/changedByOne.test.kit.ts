import { BayUse, BoardKind, type DesignContent, EntranceState, Material, Side } from '@yellow-cell/contract';

/** One thing of a design, and the same design with another value of it. */
export interface Changeable {
  name: string;
  /** A length in mm, or what it is chosen from. */
  is: number | string;
  others: readonly unknown[];
  with: (value: unknown) => DesignContent;
}

type Path = readonly (string | number)[];

/** What a word of a design may be instead. */
const CHOICES: Readonly<Record<string, readonly (readonly string[])[]>> = {
  kind: [BoardKind.options, ['solid', 'mesh', 'tray'], ['flat', 'deep', 'insulated', 'glazed']],
  material: [Material.options],
  what: [['board', 'cloth', 'foil', 'slats', 'mesh', 'excluder', 'screen', 'tray']],
  holds: [['comb', 'feeder', 'grafts', 'bank', 'display']],
  use: [BayUse.options],
  state: [EntranceState.options],
  side: [Side.options],
  shape: [['round', 'slot']],
  closedBy: [['nothing', 'jar', 'mesh', 'plug', 'excluder']],
};
/** What a thing is that a design may have or not. */
const HAD: Readonly<Record<string, unknown>> = {
  rebate: { width: { mm: 9.5 }, depth: { mm: 16 } },
  lining: { material: 'foam', thickness: { mm: 20 } },
  cheeks: { inset: { mm: 47.5 }, thickness: { mm: 35 } },
  slot: 4.2,
  mesh: 3,
  vaporiser: { mm: 40 },
  mark: { shape: 'disc', colour: 'yellow' },
  bed: { width: { mm: 220 }, length: { mm: 220 } },
  folding: { seamsTaped: false, marked: false, guided: false },
};
const LISTS = ['boards', 'entrances', 'vents', 'holes', 'frames', 'strips', 'glass', 'fastenings', 'layers'];
const PASSED = [
  'schemaVersion',
  'family',
  'lastPart',
  'id',
  'name',
  'format',
  'colour',
  'limits',
  'overrules',
];

/** All that can be changed in a design one by one: lengths, words, what is had or not, and one of each list left out. */
export function changeables(design: DesignContent): Changeable[] {
  const found: Changeable[] = [];
  const add = (path: Path, is: Changeable['is'], others: readonly unknown[]) =>
    found.push({ name: nameOf(path), is, others, with: (value) => withValue(design, path, value) });
  const walk = (value: unknown, path: Path): void => {
    const key = String(path.at(-1) ?? '');
    if (PASSED.includes(key)) return;
    if (Object.hasOwn(HAD, key))
      add(path, value === null ? 'none' : 'had', [value === null ? HAD[key] : null]);
    if (value === null || value === undefined) return;
    if (typeof value === 'boolean') add(path, String(value), [!value]);
    else if (typeof value === 'number') add(path, value, []);
    else if (typeof value === 'string') {
      const others = CHOICES[key]?.find((options) => options.includes(value)) ?? [];
      if (others.length > 0)
        add(
          path,
          value,
          others.filter((each) => each !== value),
        );
    } else if (Array.isArray(value)) {
      if (LISTS.includes(key) && value.length > 0) add(path, `${value.length}`, [value.slice(1)]);
      // Of a list the first speaks for all; layers are each another thing.
      const some = value.slice(0, key === 'layers' ? 3 : 1);
      for (const [at, each] of some.entries()) walk(each, [...path, at]);
    } else if (isLength(value)) add(path, value.mm, []);
    else for (const [name, each] of Object.entries(value)) walk(each, [...path, name]);
  };
  walk(design, []);
  return found;
}

const isLength = (value: object): value is { mm: number } =>
  Object.keys(value).length === 1 && typeof (value as { mm?: unknown }).mm === 'number';

const nameOf = (path: Path): string =>
  path.map((step) => (typeof step === 'number' ? String(step + 1) : step)).join(' ');

function withValue(design: DesignContent, path: Path, value: unknown): DesignContent {
  const copy = JSON.parse(JSON.stringify(design)) as DesignContent;
  let at = copy as unknown as Record<string | number, unknown>;
  for (const step of path.slice(0, -1)) at = at[step] as Record<string | number, unknown>;
  const last = path.at(-1) as string;
  const was = at[last];
  at[last] = typeof value === 'number' && was !== null && typeof was === 'object' ? { mm: value } : value;
  return copy;
}
