import type { NestAnswer, NestedSheet, NestQuestion, Problem } from '@yellow-cell/contract';
import { refuse } from '../problems.ts';
import { type Random, seededRandom } from '../random.ts';
import { fitsIn, type NestBlock, type Size, single, turnedSize } from './block.ts';
import { joined } from './join.ts';
import { type Bin, type Fit, fill, fitRules, pack, type Split, splitRules } from './pack.ts';
import { sawn } from './saw.ts';

/**
 * Parts on sheets with guillotine cuts (handbook 4): fewest sheets first, then the largest single offcut. Pieces at
 * hand are used before sheets are bought, where that saves stock. Throws `ProblemsError`.
 */
export function nest(question: NestQuestion): NestAnswer {
  let best: NestAnswer | undefined;
  for (const found of nestRounds(question)) best = found;
  return best ?? { sheets: [], yield: 0, bound: 0 };
}

/** The same told as it is found, each answer better than the one before; a page can stop when it likes. */
export function* nestRounds(question: NestQuestion): Generator<NestAnswer> {
  refuse(nestProblems(question));
  const { parts, kerf_mm: kerf, sheet, offcuts = [] } = question;
  const blocks = parts.flatMap(({ width_mm, height_mm, count, turn }, kind) =>
    Array.from({ length: count }, () => single(kind, width_mm, height_mm, turn)),
  );
  const random = seededRandom(SEED);
  const size = { width: sheet.width_mm, height: sheet.height_mm };
  const tell = (used: readonly Bin[], bins: readonly Bin[], names: readonly string[]): NestAnswer =>
    answerOf(question, [...used, ...bins], names);
  if (blocks.length === 0) {
    yield { sheets: [], yield: 0, bound: 0 };
    return;
  }
  // Pieces at hand first, the smallest that serves before the larger; then what is left on sheets.
  const atHand = [...offcuts].sort((a, b) => a.width_mm * a.height_mm - b.width_mm * b.height_mm);
  const used: Bin[] = [];
  const names: string[] = [];
  let left = blocks;
  for (const { name, width_mm, height_mm } of atHand) {
    const filled = bestFill(left, { width: width_mm, height: height_mm }, kerf);
    if (filled.bin.parts.length === 0) continue;
    used.push(filled.bin);
    names.push(name);
    left = filled.left;
  }
  if (left.length === 0) {
    yield tell(used, [], names);
    return;
  }
  refuse(left.filter((block) => !fitsIn(block, size)).map((block) => tooLarge(question, block.kind)));
  const search = left.length > AT_ONCE ? inBatches : searched;
  for (const bins of search(left, size, kerf, random)) yield tell(used, bins, names);
}
const SEED = 4;

const areaOf = ({ width, height }: Size): number => width * height;

/** Fewest sheets by area, with the kerf beside each part counted where another part lies there. */
const boundOf = (blocks: readonly NestBlock[], size: Size, kerf: number): number =>
  Math.ceil(
    blocks.reduce((sum, { width, height }) => sum + (width + kerf) * (height + kerf), 0) /
      ((size.width + kerf) * (size.height + kerf)) -
      1e-9,
  );

interface Order {
  by: (block: NestBlock) => number;
}
const orders: readonly Order[] = [
  { by: areaOf },
  { by: ({ width, height }) => Math.max(width, height) },
  { by: ({ width, height }) => width + height },
  { by: ({ width }) => width },
  { by: ({ height }) => height },
  { by: ({ width, height }) => Math.min(width, height) },
];
const sortedBy = (blocks: readonly NestBlock[], { by }: Order): NestBlock[] =>
  [...blocks].sort((a, b) => by(b) - by(a) || areaOf(b) - areaOf(a));

function bestFill(blocks: readonly NestBlock[], size: Size, kerf: number) {
  let best = fill([], size, { fit: 'area', split: 'shortLeft', kerf });
  best = { ...best, left: [...blocks] };
  let most = 0;
  for (const order of orders)
    for (const fit of fitRules)
      for (const split of splitRules) {
        const tried = fill(sortedBy(blocks, order), size, { fit, split, kerf });
        const area = tried.bin.parts.reduce((sum, part) => sum + areaOf(part), 0);
        if (area > most) {
          most = area;
          best = tried;
        }
      }
  return best;
}

/** More parts than this are laid in batches: what one search takes grows faster than its parts. */
const AT_ONCE = 500;

/** In rows first; then in batches of the same mix, each searched alone, and the emptiest sheet of each all together once more. */
function* inBatches(
  blocks: readonly NestBlock[],
  size: Size,
  kerf: number,
  random: Random,
): Generator<Bin[]> {
  const rows = inRows(blocks, size, kerf);
  yield rows;
  const count = Math.ceil(blocks.length / AT_ONCE);
  const dealt = sortedBy(blocks, { by: areaOf });
  const full: Bin[] = [];
  const loose: NestBlock[] = [];
  const turnOf = new Map(blocks.map(({ turn, kind }) => [kind, turn]));
  for (let batch = 0; batch < count; batch++) {
    const some = dealt.filter((_, index) => index % count === batch);
    const bins = [...(lastOf(searched(some, size, kerf, random, 1 / count)) ?? [])].sort(
      (a, b) => filledArea(b) - filledArea(a),
    );
    full.push(...bins.slice(0, -1));
    loose.push(...(bins.at(-1)?.parts ?? []).map((part) => loosened(part, turnOf)));
  }
  const more = loose.length > AT_ONCE ? inBatches : searched;
  const found = [...full, ...(lastOf(more(loose, size, kerf, random)) ?? [])];
  if (found.length <= rows.length) yield found;
}

function lastOf<T>(all: Iterable<T>): T | undefined {
  let last: T | undefined;
  for (const each of all) last = each;
  return last;
}

/** Work that one search does: parts times rounds, so that 200 parts take about as long as 20. */
const WORK = 40_000;
const MOST_ROUNDS = 1_000;

/** Every rule in every order first; then parts joined into blocks; then sheets emptied and packed anew. Better answers as they come. */
function* searched(
  blocks: readonly NestBlock[],
  size: Size,
  kerf: number,
  random: Random,
  effort = 1,
): Generator<Bin[]> {
  const bound = boundOf(blocks, size, kerf);
  let best: { bins: Bin[]; score: number } | undefined;
  const better = (bins: Bin[] | undefined): Bin[] | undefined => {
    if (!bins) return undefined;
    const score = scoreOf(bins, kerf);
    if (best && score <= best.score) return undefined;
    best = { bins, score };
    return bins;
  };
  const most = () => best?.bins.length ?? Number.POSITIVE_INFINITY;
  const simplest = better(inRows(blocks, size, kerf));
  if (simplest) yield simplest;
  for (const order of orders)
    for (const fit of fitRules)
      for (const split of splitRules) {
        const found = better(pack(sortedBy(blocks, order), size, { fit, split, kerf }, most()));
        if (found) yield found;
      }
  const rounds = Math.min(MOST_ROUNDS, Math.max(20 * effort, Math.floor((effort * WORK) / blocks.length)));
  const repairs = Math.min(MOST_REPAIRS, Math.floor((effort * REPAIR_WORK) / blocks.length));
  for (let round = 0; round < effort * JOIN_ROUNDS && most() > bound; round++) {
    const together = joined(blocks, size, kerf, random, repairs);
    for (const order of orders.slice(0, 3)) {
      const found = better(pack(sortedBy(together, order), size, anyRules(kerf, random, round), most()));
      if (found) yield found;
    }
  }
  for (let round = 0; round < rounds && most() > bound; round++) {
    const found = better(best ? packedAnew(best.bins, blocks, size, kerf, random) : undefined);
    if (found) yield found;
  }
}
/** Times that all is joined from the start, and that what is joined wrong is taken apart again. */
const JOIN_ROUNDS = 12;
const MOST_REPAIRS = 400;
const REPAIR_WORK = 16_000;

/** Parts as they come, in rows, each on the first row that takes it: the simplest rule, which now and then is the best. */
function inRows(blocks: readonly NestBlock[], size: Size, kerf: number): Bin[] {
  const rows: { bin: number; x: number; y: number; height: number }[] = [];
  const bins: Bin[] = [];
  const tops: number[] = [];
  for (const block of blocks) {
    const ways = block.turn ? [block, turnedSize(block)] : [block];
    const { width, height } = ways.find((way) => fitsIn({ ...way, turn: false }, size)) ?? block;
    let row = rows.find((each) => height <= each.height && each.x + width <= size.width);
    if (!row) {
      let bin = tops.findIndex((top) => top + height <= size.height);
      if (bin < 0) {
        bin = bins.push({ ...size, parts: [] }) - 1;
        tops.push(0);
      }
      row = { bin, x: 0, y: tops[bin] ?? 0, height };
      tops[bin] = row.y + height + kerf;
      rows.push(row);
    }
    bins[row.bin]?.parts.push({ kind: block.kind, x: row.x, y: row.y, width, height });
    row.x += width + kerf;
  }
  return bins;
}

function anyRules(kerf: number, random: Random, round: number): { fit: Fit; split: Split; kerf: number } {
  return {
    fit: fitRules[round % fitRules.length] ?? 'area',
    split: splitRules[Math.floor(random() * splitRules.length)] ?? 'shortLeft',
    kerf,
  };
}

/** A few sheets, the emptiest among them, packed anew in another order. */
function packedAnew(
  bins: readonly Bin[],
  blocks: readonly NestBlock[],
  size: Size,
  kerf: number,
  random: Random,
): Bin[] | undefined {
  const byFilling = [...bins].sort((a, b) => filledArea(a) - filledArea(b));
  const count = Math.min(bins.length, 2 + Math.floor(random() * 3));
  const chosen = new Set<Bin>(byFilling.slice(0, 1));
  while (chosen.size < count) chosen.add(bins[Math.floor(random() * bins.length)] as Bin);
  const turnOf = new Map(blocks.map(({ turn, kind }) => [kind, turn]));
  const loose = [...chosen].flatMap((bin) => bin.parts.map((part) => loosened(part, turnOf)));
  const order = orders[Math.floor(random() * orders.length)] ?? { by: areaOf };
  const shaken = loose
    .map((block) => ({ block, by: order.by(block) * (1 + SHAKE * (random() - 0.5)) }))
    .sort((a, b) => b.by - a.by)
    .map(({ block }) => block);
  const ready = random() < 0.4 ? joined(shaken, size, kerf, random, 2) : shaken;
  const sorted = ready === shaken ? shaken : sortedBy(ready, { by: areaOf });
  const again = pack(sorted, size, anyRules(kerf, random, Math.floor(random() * 3)), chosen.size);
  return again && [...bins.filter((bin) => !chosen.has(bin)), ...again];
}
const SHAKE = 0.6;

const filledArea = ({ parts }: Bin): number => parts.reduce((sum, part) => sum + areaOf(part), 0);
const loosened = (
  { kind, width, height }: Bin['parts'][number],
  turnOf: ReadonlyMap<number, boolean>,
): NestBlock => single(kind, width, height, turnOf.get(kind) ?? false);

/** Fewer sheets above all; then fuller ones beside emptier ones, which leaves the largest offcut. */
function scoreOf(bins: readonly Bin[], kerf: number): number {
  const shares = bins.map((bin) => filledArea(bin) / areaOf(bin));
  const spread = shares.reduce((sum, share) => sum + share * share, 0);
  const emptiest = bins.reduce((least, bin, index) =>
    (shares[index] ?? 0) < (shares[bins.indexOf(least)] ?? 0) ? bin : least,
  );
  const rest = sawn({ x: 0, y: 0, ...emptiest }, emptiest.parts, kerf)?.rests[0];
  return -1e6 * bins.length + 1e3 * spread + (rest ? areaOf(rest) / areaOf(emptiest) : 0);
}

function answerOf(
  { sheet, kerf_mm, parts, offcuts = [] }: NestQuestion,
  bins: readonly Bin[],
  names: readonly string[],
): NestAnswer {
  const sheets = bins.map((bin, index): NestedSheet => {
    const free = sawn({ x: 0, y: 0, width: bin.width, height: bin.height }, bin.parts, kerf_mm);
    if (!free) throw new Error('A packed sheet cannot be sawn.');
    return {
      offcut: names[index] ?? null,
      width_mm: bin.width,
      height_mm: bin.height,
      placements: bin.parts.map(({ kind, x, y, width, height }) => ({
        name: parts[kind]?.name ?? '',
        x_mm: x,
        y_mm: y,
        width_mm: width,
        height_mm: height,
      })),
      cuts: free.cuts,
      offcuts: free.rests.map(({ x, y, width, height }) => ({
        x_mm: x,
        y_mm: y,
        width_mm: width,
        height_mm: height,
      })),
    };
  });
  const used = bins.reduce((sum, bin) => sum + areaOf(bin), 0);
  const area = bins.flatMap((bin) => bin.parts).reduce((sum, part) => sum + areaOf(part), 0);
  const onSheets =
    area -
    bins
      .slice(0, names.length)
      .flatMap((bin) => bin.parts)
      .reduce((sum, part) => sum + areaOf(part), 0);
  return {
    sheets,
    yield: used > 0 ? area / used : 0,
    bound:
      Math.ceil(onSheets / (sheet.width_mm * sheet.height_mm) - 1e-9) +
      (offcuts.length > 0 ? names.length : 0),
  };
}

/** A part that fits no sheet and no piece at hand, whichever way it lies. */
type Sizes = Pick<NestQuestion, 'sheet' | 'parts' | 'offcuts'>;
export function nestProblems(question: Sizes): Problem[] {
  const { sheet, parts, offcuts = [] } = question;
  return parts.flatMap(({ width_mm, height_mm, turn }, index) => {
    const block = single(index, width_mm, height_mm, turn);
    const any = [sheet, ...offcuts].some((each) =>
      fitsIn(block, { width: each.width_mm, height: each.height_mm }),
    );
    return any ? [] : [tooLarge(question, index)];
  });
}

function tooLarge({ sheet, parts }: Sizes, index: number): Problem {
  const { name = '', width_mm = 0, height_mm = 0, turn = true } = parts[index] ?? {};
  const grain = turn ? '' : ', with its grain kept';
  return {
    path: `parts.${index}`,
    value: `${width_mm} × ${height_mm}`,
    sentence: `${name || 'A part'} of ${width_mm} × ${height_mm} mm fits no sheet of ${sheet.width_mm} × ${sheet.height_mm} mm${grain}.`,
  };
}
