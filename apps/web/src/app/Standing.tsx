import { useInfiniteQuery } from '@tanstack/react-query';
import { countOf } from '@yellow-cell/core';
import { memo } from 'react';
import { Link } from 'react-router';
import { useSetAside } from './outbox.ts';
import { toSettleQuery } from './queries.ts';

/** What a person has to decide: entries that the server did not take, and those that clash with what stands. */
export const Standing = memo(function Standing() {
  const setAside = useSetAside();
  const unsettled = useInfiniteQuery(toSettleQuery).data?.pages.at(-1)?.count ?? 0;
  return (
    <>
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
});
