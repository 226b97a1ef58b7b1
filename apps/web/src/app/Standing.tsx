import { useInfiniteQuery } from '@tanstack/react-query';
import { countOf } from '@yellow-cell/core';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useSilentSince } from './connection.ts';
import { isOvertaken, useOutbox, useSetAside } from './outbox.ts';
import { toSettleQuery } from './queries.ts';

const LATE_MS = 1_500;

/** What stands between this device and the server: no connection, entries that wait, and entries to settle. */
export function Standing() {
  const parcels = useOutbox();
  const setAside = useSetAside();
  const silentSince = useSilentSince();
  const unsettled = useInfiniteQuery(toSettleQuery).data?.pages.at(-1)?.count ?? 0;
  const late = useLate(parcels.length > 0);
  const count = parcels.length;
  const overtaken = parcels.filter(isOvertaken);
  return (
    <>
      {silentSince !== undefined && (
        <p role="status" className="no-print border-y border-hairline bg-glow px-5 py-1.5">
          <strong>No connection.</strong> What is shown is as last seen before {timeOf(silentSince)}; what you
          enter is kept on this device and sent, in order, when the server answers.
        </p>
      )}
      {late && count > 0 && (
        <p role="status" className="no-print border-y border-hairline bg-glow px-5 py-1.5">
          <strong>{countOf(count, 'entry waits', 'entries wait')} for the server.</strong> Kept on this
          device; sent by {count === 1 ? 'itself' : 'themselves'} as soon as it answers: {titles(parcels)}.
          {overtaken.length > 0 && (
            <>
              {' '}
              The server fails at <strong>{titles(overtaken)}</strong>, and takes others: those no longer wait
              for it. It is tried again and again; nothing of it is lost.
            </>
          )}
        </p>
      )}
      {setAside.length > 0 && (
        <p role="status" className="no-print border-y border-hairline px-5 py-1.5">
          <strong className="text-danger">
            {countOf(setAside.length, 'entry was', 'entries were')} not taken by the server.
          </strong>{' '}
          Nothing is lost: {setAside.length === 1 ? 'it is' : 'they are'} kept on this device.{' '}
          <Link className="font-semibold underline" to="/settle">
            See why
          </Link>
        </p>
      )}
      {unsettled > 0 && (
        <p role="status" className="no-print border-y border-hairline px-5 py-1.5">
          <strong className="text-danger">{countOf(unsettled, 'entry', 'entries')} to settle.</strong> What
          was entered without a connection clashes with what stands.{' '}
          <Link className="font-semibold underline" to="/settle">
            See both sides
          </Link>
        </p>
      )}
    </>
  );
}

function useLate(waiting: boolean): boolean {
  const [late, setLate] = useState(false);
  useEffect(() => {
    if (!waiting) return setLate(false);
    const timer = setTimeout(() => setLate(true), LATE_MS);
    return () => clearTimeout(timer);
  }, [waiting]);
  return late;
}

const NAMED = 4;
function titles(parcels: readonly { title: string }[]): string {
  const named = parcels.slice(0, NAMED).map(({ title }) => title);
  return parcels.length > NAMED ? `${named.join(', ')} and ${parcels.length - NAMED} more` : named.join(', ');
}

const timeOf = (at: number): string =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' }).format(at);
