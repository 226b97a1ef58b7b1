import { useQuery } from '@tanstack/react-query';
import type { LogEvent } from '@yellow-cell/contract';
import { countOf, dayOf, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { boxToSettleQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { useLog, withdrawal } from '../app/useLog.ts';
import { CorrectForm } from './CorrectForm.tsx';
import { eventLine } from './eventLine.ts';
import { useStory } from './useStory.ts';
import type { YardView } from './useYard.ts';

const SHOWN = 12;

/** What happened, newest first. An entry made by mistake is corrected by a further one; the record shows both. */
export function History({ view, box, colony }: { view: YardView; box: string; colony?: string | undefined }) {
  const say = useSay();
  const log = useLog();
  const [all, setAll] = useState(false);
  const [correcting, setCorrecting] = useState<string>();
  const { told, whole } = useStory(box, view.state.story);
  const { data: unsettled } = useQuery(boxToSettleQuery(box));
  const about = ({ subjects }: LogEvent) =>
    subjects.some(({ id }) => id === box) && (!colony || subjects.some(({ id }) => id === colony));
  const events = told.filter(({ event }) => about(event));
  const waiting = unsettled?.items.filter(({ event }) => about(event)).length ?? 0;
  const shown = all ? events : events.slice(0, SHOWN);
  const lineOf = (event: LogEvent): string => say(eventLine(event, view.state, box));
  return (
    <>
      {waiting > 0 && (
        <p className="mt-4 rounded border-2 border-danger px-2 py-1">
          {countOf(waiting, 'entry of it waits', 'entries of it wait')} to be settled.{' '}
          <Link className="font-semibold underline" to="/settle">
            Settle
          </Link>
        </p>
      )}
      <h3 className="eyebrow">History</h3>
      {events.length === 0 && <p className="text-soft">Nothing is recorded up to this day.</p>}
      <ol>
        {shown.map(({ event, stands }) => (
          <li key={event.id} className="border-b border-hairline py-1.5">
            <div className="flex justify-between gap-2">
              <span className={stands ? '' : 'line-through decoration-2'}>{lineOf(event)}</span>
              <span className="shrink-0 text-sm text-soft">
                {say(showDay(dayOf(event.occurredAt, event.zone), view.on))}
              </span>
            </div>
            {event.note && (
              <p
                className="max-h-60 overflow-y-auto text-sm whitespace-pre-wrap [overflow-wrap:anywhere]"
                dir="auto"
              >
                “{event.note}”
              </p>
            )}
            <p className="flex flex-wrap justify-between gap-x-3 text-sm text-soft">
              {event.person}
              {stands ? (
                event.kind !== 'boxBuilt' && (
                  <span className="flex gap-3">
                    <button
                      type="button"
                      className="underline"
                      aria-label={`Correct: ${lineOf(event)}`}
                      onClick={() => setCorrecting(correcting === event.id ? undefined : event.id)}
                    >
                      Correct
                    </button>
                    <button
                      type="button"
                      className="underline"
                      aria-label={`Withdraw: ${lineOf(event)}`}
                      onClick={() => void log(`Withdrawn: ${lineOf(event)}`, [withdrawal(event.id)])}
                    >
                      Withdraw
                    </button>
                  </span>
                )
              ) : (
                <span>taken back or replaced</span>
              )}
            </p>
            {correcting === event.id && (
              <CorrectForm event={event} title={lineOf(event)} onDone={() => setCorrecting(undefined)} />
            )}
          </li>
        ))}
      </ol>
      {events.length > shown.length && (
        <button type="button" className="mt-1 underline" onClick={() => setAll(true)}>
          {events.length - shown.length} earlier
        </button>
      )}
      {!whole && <p className="text-sm text-soft">The last entries; the whole story wants the server.</p>}
    </>
  );
}
