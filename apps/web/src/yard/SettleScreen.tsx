import { useSuspenseInfiniteQuery } from '@tanstack/react-query';
import type { LogEvent, Unsettled } from '@yellow-cell/contract';
import { dayOf, showDay } from '@yellow-cell/core';
import { Link } from 'react-router';
import { letGo, sendAgain, useSetAside } from '../app/outbox.ts';
import { toSettleQuery } from '../app/queries.ts';
import type { Parcel } from '../app/shelf.ts';
import { useSay } from '../app/units.ts';
import { useLog, withdrawal } from '../app/useLog.ts';
import { eventLine, type Names } from './eventLine.ts';

/** Entries that cannot be as they were told: both sides shown, none dropped until a person says which stands. */
export function SettleScreen() {
  const { data, hasNextPage, fetchNextPage, isFetchingNextPage } = useSuspenseInfiniteQuery(toSettleQuery);
  const unsettled = data.pages.flatMap(({ items }) => items);
  const setAside = useSetAside();
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <div className="mx-auto max-w-3xl">
        <h1 className="text-xl">To settle</h1>
        <p className="text-soft">
          Entries made without a connection are always kept. Those that cannot be beside what stands wait
          here, and change nothing until you say which one holds. Either way the record keeps both.
        </p>
        {unsettled.length === 0 && setAside.length === 0 && (
          <p className="mt-4">Nothing waits to be settled.</p>
        )}
        <ol>
          {unsettled.map((each) => (
            <Clash key={each.event.id} {...each} />
          ))}
        </ol>
        {hasNextPage && (
          <button
            type="button"
            className="button mt-4 min-h-11"
            disabled={isFetchingNextPage}
            onClick={() => void fetchNextPage()}
          >
            {isFetchingNextPage
              ? 'Loading…'
              : `Show more: ${(data.pages.at(-1)?.count ?? 0) - unsettled.length} wait beside these`}
          </button>
        )}
        {setAside.length > 0 && <NotTaken parcels={setAside} />}
      </div>
    </main>
  );
}

/** What the server could not take at all stays on this device, readable, until a person sends it again or lets it go. */
function NotTaken({ parcels }: { parcels: readonly Parcel[] }) {
  const say = useSay();
  return (
    <section aria-labelledby="not-taken" className="mt-6">
      <h2 id="not-taken" className="eyebrow">
        Not taken by the server
      </h2>
      <p className="text-soft">
        Kept on this device alone. Enter again what it says, by hand, before you let it go.
      </p>
      <ol>
        {parcels.map(({ id, title, refused, entries }) => (
          <li key={id} className="mt-3 rounded-xl border border-hairline bg-slip p-4">
            <p>
              <strong>{title}</strong> <span className="text-danger">{refused}</span>
            </p>
            {entries.map((entry) => (
              <p key={entry.id} className="text-sm text-soft [overflow-wrap:anywhere]">
                {say(showDay(dayOf(entry.occurredAt, entry.zone)))}, {entry.person}
                {entry.note ? `: “${entry.note}”` : ''}
              </p>
            ))}
            <p className="mt-3 flex flex-wrap gap-2">
              <button type="button" className="button min-h-11" onClick={() => void sendAgain(id)}>
                Send it again
              </button>
              <button
                type="button"
                className="button min-h-11 font-normal"
                onClick={() => confirm(`Let go of “${title}”? It is kept nowhere else.`) && void letGo(id)}
              >
                Let it go
              </button>
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
}

function Clash({ event, sentence, against, boxes }: Unsettled) {
  const say = useSay();
  const log = useLog();
  const names: Names = {
    boxes: new Map(boxes.map(({ id, label }) => [id, { label }])) as unknown as Names['boxes'],
    rounds: new Map(),
  };
  const title = say(eventLine(event, names));
  const other = against && say(eventLine(against, names));
  return (
    <li className="mt-4 rounded-xl border border-hairline bg-slip p-4">
      <p className="mb-2">
        {boxes.map(({ id, label, yard }) => (
          <Link key={id} className="mr-2 font-bold underline" to={yard ? `/yard/${yard}?box=${id}` : '/yard'}>
            {label}
          </Link>
        ))}
        <span className="text-danger">{say(sentence)}</span>
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        <Side name="Waits" event={event} title={title} />
        {against && other ? (
          <Side name="Stands" event={against} title={other} />
        ) : (
          <p className="text-soft">Nothing is recorded of this before.</p>
        )}
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        <button
          type="button"
          className="button min-h-11"
          onClick={() => void log(`Withdrawn: ${title}`, [withdrawal(event.id)])}
        >
          {against ? 'What stands holds' : 'Withdraw it'}
        </button>
        {against && other && against.kind !== 'boxBuilt' && (
          <button
            type="button"
            className="button min-h-11"
            onClick={() => void log(`Withdrawn: ${other}`, [withdrawal(against.id)])}
          >
            What waits holds: withdraw the other
          </button>
        )}
      </div>
    </li>
  );
}

function Side({ name, event, title }: { name: string; event: LogEvent; title: string }) {
  const say = useSay();
  return (
    <div className="rounded border border-hairline p-2">
      <p className="eyebrow mt-0">{name}</p>
      <p>
        <strong>{title}</strong>
      </p>
      <p className="text-sm text-soft">
        {say(showDay(dayOf(event.occurredAt, event.zone)))}, {event.person}
      </p>
      {event.note && <p className="text-sm [overflow-wrap:anywhere]">“{event.note}”</p>}
    </div>
  );
}
