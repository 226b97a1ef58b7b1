import type { BoxReadings, Measure, Reading, ReadingFlag } from '@yellow-cell/contract';

/** Readings from outside are judged before anything is made of them: a probe stops, repeats, jumps, or sends text. */
const MEASURES: readonly Measure[] = ['temperature_C', 'humidity_pct', 'weight_kg'];
/** What a box can have at all; how far a value moves at once, and each minute. */
const LIMITS: Readonly<Record<Measure, { least: number; most: number; step: number; perMinute: number }>> = {
  temperature_C: { least: -40, most: 60, step: 4, perMinute: 0.4 },
  humidity_pct: { least: 0, most: 100, step: 15, perMinute: 2 },
  weight_kg: { least: 0, most: 200, step: 1.5, perMinute: 0.02 },
};
const AHEAD_MS = 5 * 60_000;
/** The very same value so often in a row is a probe that hangs: real ones waver. */
const STUCK = 12;
/** After so long without a reading nothing is known any more. */
export const SILENT_MS = 2 * 3_600_000;
const MOST_BOXES = 2_000;
/** No probe was read before this; an older date is a broken clock. */
const EARLIEST = Date.UTC(2000, 0, 1);

/** Readings of a feed, judged against those known of the same box and measure; those already known are left out. */
export function judgeFeed(feed: unknown, known: readonly Reading[], now: string): Reading[] {
  const found: Reading[] = [];
  for (const hive of hivesIn(feed).slice(0, MOST_BOXES)) {
    const { box, at } = hive;
    if (
      typeof box !== 'string' ||
      box === '' ||
      box.length > 40 ||
      typeof at !== 'string' ||
      !(Date.parse(at) >= EARLIEST)
    )
      continue;
    const instant = new Date(at).toISOString();
    for (const measure of MEASURES) {
      const sent = hive[measure];
      if (sent === undefined) continue;
      const own = [...known, ...found].filter((each) => each.box === box && each.measure === measure);
      if (own.some((each) => each.at === instant)) continue;
      found.push(
        judged(
          { box, measure, at: instant },
          sent,
          own.sort((a, b) => a.at.localeCompare(b.at)),
          now,
        ),
      );
    }
  }
  return found;
}

function hivesIn(feed: unknown): Record<string, unknown>[] {
  const hives =
    typeof feed === 'object' && feed !== null ? (feed as Record<string, unknown>).hives : undefined;
  return Array.isArray(hives) ? hives.filter((hive) => typeof hive === 'object' && hive !== null) : [];
}

function judged(
  key: Pick<Reading, 'box' | 'measure' | 'at'>,
  sent: unknown,
  before: readonly Reading[],
  now: string,
): Reading {
  const value = typeof sent === 'number' && Number.isFinite(sent) ? sent : null;
  // An object may have a toString of its own that is none.
  const raw = (typeof sent === 'object' ? JSON.stringify(sent) : String(sent)).slice(0, 40);
  return { ...key, value, raw, flag: flagOf(key, value, before, now) };
}

function flagOf(
  { measure, at }: Pick<Reading, 'measure' | 'at'>,
  value: number | null,
  before: readonly Reading[],
  now: string,
): ReadingFlag | null {
  if (value === null) return 'notANumber';
  const { least, most, step, perMinute } = LIMITS[measure];
  if (value < least || value > most) return 'outOfRange';
  if (Date.parse(at) - Date.parse(now) > AHEAD_MS) return 'future';
  const run = before.slice(-(STUCK - 1));
  if (run.length === STUCK - 1 && run.every((each) => each.value === value)) return 'stuck';
  const trusted = before.findLast((each) => each.flag === null);
  const last = before.at(-1);
  if (!trusted || trusted.value === null) return null;
  const near = (other: Reading): boolean =>
    other.value !== null &&
    Math.abs(value - other.value) <=
      step + (perMinute * Math.abs(Date.parse(at) - Date.parse(other.at))) / 60_000;
  // A jump that the next reading bears out was real: a super was set on.
  if (near(trusted) || (last?.flag === 'jump' && near(last))) return null;
  return 'jump';
}

const SENTENCES: Readonly<Record<ReadingFlag, (reading: Reading) => string>> = {
  notANumber: ({ raw }) => `“${raw}” is no number.`,
  outOfRange: ({ value }) => `${value} is more or less than a box can have.`,
  jump: ({ value }) => `${value} is too far from the reading before to be so; the next one will show.`,
  stuck: ({ value }) => `${value} has come ${STUCK} times without a waver: the probe hangs.`,
  future: ({ at }) => `It is dated ahead (${at}): the probe's clock is wrong.`,
};

/** What is known of each box: the newest of each measure that can be trusted, what was set aside and why, and silence. */
export function reportOf(readings: readonly Reading[], now: string): BoxReadings[] {
  const boxes = [...new Set(readings.map(({ box }) => box))].sort((a, b) =>
    a.localeCompare(b, 'en', { numeric: true }),
  );
  return boxes.map((box) => {
    const own = readings.filter((each) => each.box === box).sort((a, b) => a.at.localeCompare(b.at));
    const last = own.at(-1)?.at ?? now;
    return {
      box,
      latest: MEASURES.flatMap(
        (measure) => own.findLast((each) => each.measure === measure && each.flag === null) ?? [],
      ),
      setAside: own
        .flatMap((each) => (each.flag ? [{ ...each, sentence: SENTENCES[each.flag](each) }] : []))
        .slice(-5)
        .reverse(),
      silentSince: Date.parse(now) - Date.parse(last) > SILENT_MS ? last : null,
    };
  });
}
