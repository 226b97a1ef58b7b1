import type { Problem, WinteringPlan, WinteringQuestion } from '@yellow-cell/contract';

/** Where a way stands: its colony, and its place among that colony's ways. */
interface At {
  colony: number;
  option: number;
}
const nameOf = ({ colony, option }: At): string => `x${colony}_${option}`;

/**
 * A yard before winter as a mixed-integer programme in the LP format (handbook 7, whole yard): `x` the way of each
 * colony, `z` company that both have. Least expected loss, sugar and work, each at its price. `without` is a choice
 * that is not to come out again. Undefined where what is fixed leaves nothing to choose.
 */
export function winteringProgramme(question: WinteringQuestion, without?: readonly number[]): string {
  const { colonies, together, fixed = [] } = question;
  const ways = waysOf(question);
  const cost = ways.map((way) => `+ ${costOf(question, way)} ${nameOf(way)}`);
  const gains = together.map(({ gain }, index) => `- ${gain * question.prices.colony} z${index}`);
  const rooms = grouped(ways, (way) => optionAt(question, way).room);
  const joining = ways.filter((way) => optionAt(question, way).joins !== undefined);
  const rows = [
    ...colonies.map((_, colony) => `${sumOf(ways.filter((way) => way.colony === colony))} = 1`),
    ...rooms.map((some) => `${sumOf(some)} <= 1`),
    // Who is joined lives on, and one alone joins it: two at once would fight.
    ...joining.flatMap((way) => {
      const target = optionAt(question, way).joins;
      return joining
        .filter((other) => other.colony === target)
        .map((other) => `${nameOf(way)} + ${nameOf(other)} <= 1`);
    }),
    ...grouped(joining, (way) => optionAt(question, way).joins).map((some) => `${sumOf(some)} <= 1`),
    ...together.flatMap(({ a, b }, index) => [
      `z${index} - ${nameOf(a)} <= 0`,
      `z${index} - ${nameOf(b)} <= 0`,
    ]),
    ...fixed.map((way) => `${nameOf(way)} = 1`),
    ...(without
      ? [`${sumOf(without.map((option, colony) => ({ colony, option })))} <= ${without.length - 1}`]
      : []),
  ];
  return [
    'Minimize',
    ` cost: ${[...cost, ...gains].join(' ')}`,
    'Subject To',
    ...rows.map((row, index) => ` r${index}: ${row}`),
    'Binaries',
    ` ${[...ways.map(nameOf), ...together.map((_, index) => `z${index}`)].join(' ')}`,
    'End',
  ].join('\n');
}

/** Ways with the same room, or that join the same colony; those without are in none. */
function grouped(ways: readonly At[], by: (way: At) => string | number | undefined): At[][] {
  const groups = new Map<string | number, At[]>();
  for (const way of ways) {
    const key = by(way);
    if (key !== undefined) groups.set(key, [...(groups.get(key) ?? []), way]);
  }
  return [...groups.values()];
}

const sumOf = (ways: readonly At[]): string => ways.map(nameOf).join(' + ');
const waysOf = ({ colonies }: WinteringQuestion): At[] =>
  colonies.flatMap(({ options }, colony) => options.map((_, option) => ({ colony, option })));

function optionAt({ colonies }: WinteringQuestion, { colony, option }: At) {
  const found = colonies[colony]?.options[option];
  if (!found) throw new Error(`Colony ${colony} has no way ${option}.`);
  return found;
}
const MINUTES = 60;
function costOf(question: WinteringQuestion, way: At): number {
  const { loss, sugar_kg, work_min } = optionAt(question, way);
  const { prices } = question;
  return loss * prices.colony + sugar_kg * prices.sugar_kg + (work_min / MINUTES) * prices.hour;
}

/** What a choice comes to: one way for each colony, in their order. */
export function winteringPlan(question: WinteringQuestion, options: readonly number[]): WinteringPlan {
  const ways = options.map((option, colony): At => ({ colony, option }));
  const all = ways.map((way) => optionAt(question, way));
  const isChosen = ({ colony, option }: At): boolean => options[colony] === option;
  const gain = question.together.reduce(
    (sum, each) => (isChosen(each.a) && isChosen(each.b) ? sum + each.gain : sum),
    0,
  );
  const cost = ways.reduce((sum, way) => sum + costOf(question, way), 0);
  return {
    options: [...options],
    loss: all.reduce((sum, { loss }) => sum + loss, 0) - gain,
    sugar_kg: all.reduce((sum, { sugar_kg }) => sum + sugar_kg, 0),
    work_min: all.reduce((sum, { work_min }) => sum + work_min, 0),
    cost: cost - gain * question.prices.colony,
  };
}

/** Names told apart, and places in a list that are there. */
export function winteringProblems({
  colonies,
  together,
  fixed = [],
}: Pick<WinteringQuestion, 'colonies' | 'together' | 'fixed'>): Problem[] {
  const names = colonies.map(({ name }) => name);
  const isThere = ({ colony, option }: At): boolean => colonies[colony]?.options[option] !== undefined;
  const missing = (path: string, at: At): Problem[] =>
    isThere(at) ? [] : [{ path, value: at.option, sentence: `Colony ${at.colony} has no way ${at.option}.` }];
  return [
    ...colonies.flatMap(({ name, options }, index) => [
      ...(names.indexOf(name) < index
        ? [{ path: `colonies.${index}.name`, value: name, sentence: `The colony ${name} is named twice.` }]
        : []),
      ...options.flatMap(({ joins }, option) =>
        joins === undefined || (joins !== index && colonies[joins])
          ? []
          : [
              {
                path: `colonies.${index}.options.${option}.joins`,
                value: joins,
                sentence: joins === index ? 'A colony cannot join itself.' : `There is no colony ${joins}.`,
              },
            ],
      ),
    ]),
    ...together.flatMap(({ a, b }, index) => [
      ...missing(`together.${index}.a`, a),
      ...missing(`together.${index}.b`, b),
      ...(a.colony === b.colony
        ? [{ path: `together.${index}`, value: a.colony, sentence: 'Company takes two colonies.' }]
        : []),
    ]),
    ...fixed.flatMap((each, index) => missing(`fixed.${index}`, each)),
  ];
}
