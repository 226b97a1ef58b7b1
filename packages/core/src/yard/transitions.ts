import type { EventKind, Status } from '@yellow-cell/contract';

/**
 * Which events lead from which status to which: the one table, printed in docs/models.md. `queenGiven` stands here
 * twice, by what is given, and `stocked` three times, by whether a queen came along.
 * `same` keeps the status: the event is an observation that adds to the record.
 */
interface Transition {
  from: readonly Status[];
  to: Status | 'same';
}

/** Where one kind of event leads to more than one status, by what it says. */
type Told = 'hivedLaying' | 'hivedUnknown' | 'virginGiven' | 'matedGiven';

export const transitions = {
  stocked: [
    { from: ['empty'], to: 'stocked' },
    { from: ['stocked', 'failed', 'unknown'], to: 'stocked' },
    { from: ['cellGiven', 'virgin', 'caged', 'laying', 'proven', 'queenright'], to: 'same' },
  ],
  hivedLaying: [{ from: ['empty'], to: 'queenright' }],
  hivedUnknown: [{ from: ['empty'], to: 'unknown' }],
  cellGiven: [{ from: ['stocked', 'failed', 'unknown'], to: 'cellGiven' }],
  virginGiven: [{ from: ['stocked', 'failed', 'unknown'], to: 'virgin' }],
  matedGiven: [{ from: ['stocked', 'failed', 'unknown'], to: 'caged' }],
  cellOpened: [
    { from: ['cellGiven'], to: 'virgin' },
    { from: ['virgin', 'laying', 'proven'], to: 'same' },
  ],
  eggsSeen: [
    { from: ['cellGiven', 'virgin'], to: 'laying' },
    { from: ['laying', 'proven', 'queenright'], to: 'same' },
    { from: ['stocked', 'unknown', 'caged'], to: 'queenright' },
  ],
  patternScored: [
    { from: ['cellGiven', 'virgin', 'laying'], to: 'proven' },
    { from: ['proven', 'queenright'], to: 'same' },
    { from: ['caged'], to: 'queenright' },
  ],
  failed: [
    {
      from: ['stocked', 'cellGiven', 'virgin', 'caged', 'laying', 'proven', 'queenright', 'unknown'],
      to: 'failed',
    },
  ],
  queenTaken: [{ from: ['virgin', 'caged', 'laying', 'proven', 'queenright'], to: 'stocked' }],
  combined: [
    {
      from: [
        'stocked',
        'cellGiven',
        'virgin',
        'caged',
        'laying',
        'proven',
        'queenright',
        'failed',
        'unknown',
      ],
      to: 'empty',
    },
  ],
} as const satisfies Partial<Record<EventKind | Told, readonly Transition[]>>;

export type StatusEvent = keyof typeof transitions;

/** The status after an event, or undefined where that event cannot follow. */
export function statusAfter(kind: StatusEvent, status: Status): Status | undefined {
  const found = (transitions[kind] as readonly Transition[]).find(({ from }) => from.includes(status));
  if (!found) return undefined;
  return found.to === 'same' ? status : found.to;
}

/** The table as Markdown, for docs/models.md; a test holds the two together. */
export function transitionTable(): string {
  const rows = Object.entries(transitions).flatMap(([kind, list]) =>
    (list as readonly Transition[]).map(
      ({ from, to }) => `| ${kind} | ${from.join(', ')} | ${to === 'same' ? 'unchanged' : to} |`,
    ),
  );
  return ['| event | from | to |', '|---|---|---|', ...rows].join('\n');
}
