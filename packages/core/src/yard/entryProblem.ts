import type { Entry, LogEvent } from '@yellow-cell/contract';

const DAY_MS = 86_400_000;
/** Instants written alike sort as they follow each other; most entries are told by that alone, and a log has many. */
const isNoLater = (a: string, b: string): boolean =>
  a.length === b.length && a.endsWith('Z') && b.endsWith('Z') && a <= b;
const isAhead = (occurredAt: string, of: string): boolean =>
  !isNoLater(occurredAt, of) && Date.parse(occurredAt) > Date.parse(of) + DAY_MS;

/** Why a live entry's time cannot be, or undefined. A device's clock may run up to a day ahead. */
export function futureProblem(entry: Pick<Entry, 'occurredAt'>, now: string): string | undefined {
  if (!isAhead(entry.occurredAt, now)) return undefined;
  return `The entry is dated ${entry.occurredAt.slice(0, 10)}, more than a day ahead of ${now.slice(0, 10)}; what has not happened cannot be logged.`;
}

/** The same of an entry in the log: the clock of the device that made it ran wild. */
export function clockProblem({
  occurredAt,
  recordedAt,
}: Pick<LogEvent, 'occurredAt' | 'recordedAt'>): string | undefined {
  if (!isAhead(occurredAt, recordedAt)) return undefined;
  return `The device that made this entry dated it ${occurredAt.slice(0, 10)}, when it was ${recordedAt.slice(0, 10)}: enter it anew with its day, and withdraw this one.`;
}
