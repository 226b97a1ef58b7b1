import type { LogEvent } from '@yellow-cell/contract';
import { dayOf, showDay } from '@yellow-cell/core';
import { type Draft, useLog } from '../app/useLog.ts';
import { eventLine } from './eventLine.ts';
import type { YardView } from './useYard.ts';

/** What happened, newest first. An entry made by mistake is withdrawn by a further one; the record keeps both. */
export function History({ view, box, colony }: { view: YardView; box: string; colony?: string | undefined }) {
  const log = useLog();
  const about = (event: LogEvent) => {
    const { subjects } = event;
    return subjects.some(({ id }) => id === box) && (!colony || subjects.some(({ id }) => id === colony));
  };
  const events = view.state.story.filter(about).reverse();
  const unsettled = view.state.toSettle.filter(({ event }) => about(event));
  const withdraw = (event: LogEvent) =>
    log(`Withdrawn: ${eventLine(event, view.state)}`, [
      { kind: 'withdrawn', payload: {}, corrects: event.id } as Draft,
    ]);
  return (
    <>
      {unsettled.length > 0 && (
        <>
          <h3 className="eyebrow text-danger">To settle</h3>
          <ul>
            {unsettled.map(({ event, sentence }) => (
              <li key={event.id} className="border-b border-hairline py-1.5">
                <p>
                  {showDay(dayOf(event.occurredAt, event.zone))} · {eventLine(event, view.state)}
                </p>
                <p className="text-danger">{sentence}</p>
                <button type="button" className="underline" onClick={() => void withdraw(event)}>
                  Withdraw it
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <h3 className="eyebrow">History</h3>
      {events.length === 0 && <p className="text-soft">Nothing is recorded up to this day.</p>}
      <ol>
        {events.map((event) => (
          <li key={event.id} className="group border-b border-hairline py-1.5">
            <div className="flex justify-between gap-2">
              <span>{eventLine(event, view.state)}</span>
              <span className="shrink-0 text-sm text-soft">
                {showDay(dayOf(event.occurredAt, event.zone), view.on)}
              </span>
            </div>
            {event.note && <p className="text-sm whitespace-pre-wrap">“{event.note}”</p>}
            <p className="flex justify-between text-sm text-soft">
              {event.person}
              {event.kind !== 'boxBuilt' && event.kind !== 'boxPlaced' && (
                <button
                  type="button"
                  className="underline"
                  aria-label={`Withdraw: ${eventLine(event, view.state)}`}
                  onClick={() => void withdraw(event)}
                >
                  Withdraw
                </button>
              )}
            </p>
          </li>
        ))}
      </ol>
    </>
  );
}
