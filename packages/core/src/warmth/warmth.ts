import type { FaceKind, Problem, WarmthAnswer, WarmthQuestion } from '@yellow-cell/contract';
import { type Constants, constantsWith } from '../constants/registry.ts';
import { refuse } from '../problems.ts';
import { groupSpaces } from '../reach/groups.ts';
import { solveLinear } from './linear.ts';
import { resistanceOf } from './materials.ts';

export const OUTSIDE = 'outside';

/** Resistances of the air at the inner surface, in m²K/W (ISO 6946 conventions, handbook 3). */
export const rsi = (constants: Constants): Readonly<Record<FaceKind, number>> => ({
  wall: constants.rsiWall,
  cover: constants.rsiCover,
  floor: constants.rsiFloor,
  inner: constants.rsiInner,
});

type Face = WarmthQuestion['faces'][number];

/**
 * Steady temperatures of a network of spaces: faces by their layers, flows by the heat of their air; some spaces
 * have heat, some are held, the rest follow (handbook 3). Throws `ProblemsError`.
 */
export function warmth(question: WarmthQuestion): WarmthAnswer {
  refuse(warmthProblems(question));
  return solveWarmth(question, constantsWith(question.constants));
}

/** The same without asking whether the question can be: for networks that core makes itself. */
export function solveWarmth(question: WarmthQuestion, constants: Constants): WarmthAnswer {
  const { outside_C, spaces, faces, flows = [] } = question;
  const values = faces.map((face) => uValue(face, constants));
  const conductances = tiesOf({ faces, flows }, constants);
  const temperatures = solved(question, conductances);
  const temperatureOf = (name: string): number => temperatures.get(name) ?? outside_C;
  return {
    spaces: spaces.map(({ name, heat_W = 0, hold_C }) => ({
      name,
      inside_C: temperatureOf(name),
      heat_W: hold_C === undefined ? heat_W : lostBy(name, conductances, temperatureOf),
    })),
    faces: faces.map((face, index) => {
      const [first, second] = face.between;
      const u_Wm2K = values[index] ?? 0;
      const through = u_Wm2K * (temperatureOf(first) - temperatureOf(second));
      return {
        u_Wm2K,
        g_WK: u_Wm2K * face.area_m2,
        innerSurface_C: temperatureOf(first) - through * surfaceResistance(face, first, constants),
      };
    }),
  };
}

/** What ties spaces together, in W/K: faces by their layers, flows by the heat of their air. */
export const tiesOf = (
  { faces, flows = [] }: { faces: readonly Face[]; flows?: WarmthQuestion['flows'] },
  constants: Constants,
): Tie[] => [
  ...faces.map((face) => ({ between: face.between, g_WK: uValue(face, constants) * face.area_m2 })),
  ...flows.map(({ between, flow_m3s }) => ({ between, g_WK: constants.airHeat_Jm3K * flow_m3s })),
];

/** R = Rsi + Σ thickness ÷ λ + Rse, in m²K/W; between two inside spaces Rsi at both faces. */
export function uValue(face: Pick<Face, 'between' | 'kind' | 'layers'>, constants: Constants): number {
  const layers = resistanceOf(face.layers);
  const [first, second] = face.between;
  return (
    1 / (surfaceResistance(face, first, constants) + layers + surfaceResistance(face, second, constants))
  );
}
/** Of the inner surface of a face in °C, by the air on either side; its outer side may feel more or less than the air. */
export function innerSurface(
  face: Face,
  at: ReadonlyMap<string, number>,
  outer_K: number,
  constants: Constants,
): number {
  const [first, second] = face.between;
  const here = at.get(first) ?? 0;
  const through = uValue(face, constants) * (here - (at.get(second) ?? 0) - outer_K);
  return here - through * surfaceResistance(face, first, constants);
}

const surfaceResistance = ({ kind }: Pick<Face, 'kind'>, end: string, constants: Constants): number =>
  end === OUTSIDE ? constants.rse : rsi(constants)[kind];

export interface Tie {
  between: readonly [string, string];
  g_WK: number;
}

function solved({ outside_C, spaces }: WarmthQuestion, ties: readonly Tie[]): Map<string, number> {
  const known = new Map<string, number>([[OUTSIDE, outside_C]]);
  for (const { name, hold_C } of spaces) if (hold_C !== undefined) known.set(name, hold_C);
  const free = spaces.filter(({ name }) => !known.has(name));
  const index = new Map(free.map(({ name }, at) => [name, at]));
  const a = free.map(() => new Array<number>(free.length).fill(0));
  const b = free.map(({ heat_W = 0 }) => heat_W);
  const add = (row: number, column: number, value: number) => {
    const line = a[row] as number[];
    line[column] = (line[column] ?? 0) + value;
  };
  for (const { between, g_WK } of ties) {
    for (const [here, there] of [between, [between[1], between[0]]] as const) {
      const row = index.get(here);
      if (row === undefined) continue;
      add(row, row, g_WK);
      const column = index.get(there);
      if (column === undefined) b[row] = (b[row] ?? 0) + g_WK * (known.get(there) ?? outside_C);
      else add(row, column, -g_WK);
    }
  }
  const found = solveLinear(a, b);
  return new Map([...known, ...free.map(({ name }, at) => [name, found[at] ?? outside_C] as const)]);
}

/** Watts that leave a space over all that ties it. */
function lostBy(name: string, ties: readonly Tie[], temperatureOf: (name: string) => number): number {
  return ties.reduce((sum, { between, g_WK }) => {
    if (!between.includes(name)) return sum;
    const other = between[0] === name ? between[1] : between[0];
    return sum + g_WK * (temperatureOf(name) - temperatureOf(other));
  }, 0);
}

/** What makes the question unanswerable beyond the range of single fields. */
export function warmthProblems({
  spaces,
  faces,
  flows = [],
}: Pick<WarmthQuestion, 'spaces' | 'faces' | 'flows'>): Problem[] {
  const both = spaces.flatMap(({ name, heat_W, hold_C }, index) =>
    heat_W !== undefined && hold_C !== undefined
      ? [
          {
            path: `spaces.${index}.hold_C`,
            value: hold_C,
            sentence: `${name} has a heat and a temperature: give one of them.`,
          },
        ]
      : [],
  );
  const problems = [...both, ...warmthTies({ spaces, faces, flows })];
  return problems.length > 0 ? problems : untied({ spaces, faces, flows });
}

/** Names that tell spaces apart, and ends that are spaces. */
export function warmthTies({
  spaces,
  faces,
  flows = [],
}: {
  spaces: readonly { name: string }[];
  faces: readonly { between: readonly [string, string] }[];
  flows?: readonly { between: readonly [string, string] }[] | undefined;
}): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, sentence: string, value?: unknown) => problems.push({ path, sentence, value });
  const names = spaces.map(({ name }) => name);
  spaces.forEach(({ name }, index) => {
    if (name === OUTSIDE) say(`spaces.${index}.name`, '“outside” is not a space of the box.', name);
    if (names.indexOf(name) !== index) say(`spaces.${index}.name`, `The space ${name} is named twice.`, name);
  });
  const ends = [
    ...faces.map(({ between }, index) => [`faces.${index}`, between] as const),
    ...flows.map(({ between }, index) => [`flows.${index}`, between] as const),
  ];
  for (const [path, between] of ends) {
    between.forEach((end, side) => {
      if (end !== OUTSIDE && !names.includes(end))
        say(`${path}.between.${side}`, `There is no space ${end}.`, end);
    });
    if (between[0] === between[1]) say(`${path}.between`, 'Its two ends are the same.', between[0]);
  }
  return problems;
}

/** Less air than this, in m³/s, ties nothing. */
const LEAST_FLOW = 1e-9;

/** A space that nothing ties to a fixed temperature would grow warm, or cold, without end. */
function untied({
  spaces,
  faces,
  flows = [],
}: Pick<WarmthQuestion, 'spaces' | 'faces' | 'flows'>): Problem[] {
  const ties = [...faces, ...flows.filter(({ flow_m3s }) => flow_m3s > LEAST_FLOW)];
  const fixed = new Set([
    OUTSIDE,
    ...spaces.filter(({ hold_C }) => hold_C !== undefined).map(({ name }) => name),
  ]);
  const groups = groupSpaces([OUTSIDE, ...spaces.map(({ name }) => name)], ties);
  return groups
    .filter((group) => !group.some((name) => fixed.has(name)))
    .flatMap((group) =>
      group.map((name) => ({
        path: `spaces.${spaces.findIndex((space) => space.name === name)}`,
        value: name,
        sentence: `Nothing ties ${name} to a fixed temperature.`,
      })),
    );
}
