import type { DailyWeight, SensorReport } from '@yellow-cell/contract';
import { dailyWeights, judgeFeed, reportOf } from '@yellow-cell/core';
import { addReadings, dropReadingsBefore, newestReading, readingsSince } from '../store/readings.ts';
import type { Context } from './context.ts';

/** A feed of readings that is asked now and then; what it sends is judged before anything is made of it. */
export interface SensorFeed {
  url: string;
  polledAt: string | null;
  problem: string | null;
}

const POLL_MS = 60_000;
const ANSWER_MS = 10_000;
const MOST_BYTES = 2_000_000;
const HOUR_MS = 3_600_000;
/** Judged against, and shown: the last three days. Kept: two years. */
const SHOWN_MS = 72 * HOUR_MS;
const KEPT_MS = 730 * 24 * HOUR_MS;
/** What a feed kept for us before it was first asked is wanted from so far back. */
const BACKLOG_MS = 120 * 24 * HOUR_MS;
const YEAR_MS = 366 * 24 * HOUR_MS;

/** Asks the feed at once and then every minute, until the returned function is called. A feed that fails is tried again. */
export function watchSensors(feed: SensorFeed, context: Context, real: () => Date): () => void {
  let stopped = false;
  let timer: ReturnType<typeof setTimeout>;
  const again = async () => {
    await pollSensors(feed, context, real());
    if (!stopped) timer = setTimeout(again, POLL_MS).unref();
  };
  void again();
  return () => {
    stopped = true;
    clearTimeout(timer);
  };
}

export async function pollSensors(feed: SensorFeed, context: Context, now: Date): Promise<void> {
  feed.polledAt = now.toISOString();
  try {
    const since = await context.within(newestReading);
    const answer = await fetch(askingSince(feed.url, since ?? ago(now, BACKLOG_MS)), {
      signal: AbortSignal.timeout(ANSWER_MS),
    });
    if (!answer.ok) throw new Error(`it answered ${answer.status}`);
    const text = await answer.text();
    if (text.length > MOST_BYTES) throw new Error('it sent more than 2 MB');
    const sent: unknown = JSON.parse(text);
    await context.within(async (store) => {
      const known = await readingsSince(store, ago(now, SHOWN_MS));
      await addReadings(store, judgeFeed(sent, known, now.toISOString()));
      await dropReadingsBefore(store, ago(now, KEPT_MS));
    });
    feed.problem = null;
  } catch (error) {
    const why = error instanceof SyntaxError ? 'it sent no JSON' : (error as Error).message;
    feed.problem = `The sensors at ${feed.url} could not be read: ${why}. They are asked again each minute.`;
  }
}

/** A feed that keeps old readings may send those since; one that does not lets the question be. */
function askingSince(url: string, since: string): URL {
  const asked = new URL(url);
  asked.searchParams.set('since', since);
  return asked;
}

export const scaleOf = async (context: Context, box: string, now: Date): Promise<DailyWeight[]> =>
  dailyWeights(await context.within((store) => readingsSince(store, ago(now, YEAR_MS), box)));

export async function sensorReport(
  context: Context,
  feed: SensorFeed | undefined,
  now: Date,
): Promise<SensorReport> {
  const readings = await context.within((store) => readingsSince(store, ago(now, SHOWN_MS)));
  return {
    configured: feed !== undefined,
    polledAt: feed?.polledAt ?? null,
    problem: feed?.problem ?? null,
    boxes: reportOf(readings, now.toISOString()),
  };
}

const ago = (now: Date, ms: number): string => new Date(now.getTime() - ms).toISOString();
