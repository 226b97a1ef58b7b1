import type { Entry } from '@yellow-cell/contract';

const DAY_MS = 86_400_000;

/** Why a live entry's time cannot be, or undefined. A device's clock may run up to a day ahead. */
export function futureProblem(entry: Pick<Entry, 'occurredAt'>, now: string): string | undefined {
  if (Date.parse(entry.occurredAt) <= Date.parse(now) + DAY_MS) return undefined;
  return `The entry is dated ${entry.occurredAt.slice(0, 10)}, more than a day ahead of ${now.slice(0, 10)}; what has not happened cannot be logged.`;
}
