import { countOf } from '@yellow-cell/core';
import { CloudOff, CloudUpload } from 'lucide-react';
import { memo, useEffect, useState } from 'react';
import { useSilentSince } from './connection.ts';
import { isOvertaken, useUnanswered } from './outbox.ts';

const LATE_MS = 1_500;

/**
 * That the server is silent, or is waited for: in the head of the page, where its coming and going moves nothing under
 * a thumb that is at work below.
 */
export const Connection = memo(function Connection() {
  const waiting = useUnanswered();
  const late = useLate(waiting[0]?.id);
  const silentSince = useSilentSince();
  const count = late || silentSince !== undefined ? waiting.length : 0;
  const overtaken = waiting.filter(isOvertaken);
  if (silentSince === undefined && count === 0) return null;
  const Icon = silentSince === undefined ? CloudUpload : CloudOff;
  return (
    <details className="relative shrink-0 sm:mb-1.5">
      <summary className="flex min-h-12 cursor-pointer list-none items-center gap-1.5 rounded-full border border-hairline bg-glow px-3 text-sm font-semibold sm:min-h-9">
        <Icon size={18} className="shrink-0" aria-hidden />
        <span role="status" className="max-lg:sr-only">
          {silentSince !== undefined && <span>No connection.</span>}{' '}
          {count > 0 && <span>{countOf(count, 'entry waits', 'entries wait')} for the server.</span>}
        </span>
        {count > 0 && (
          <span className="lg:hidden" aria-hidden>
            {count}
          </span>
        )}
      </summary>
      <div className="absolute left-0 z-40 mt-1 w-[min(22rem,80vw)] rounded-lg border border-hairline bg-slip p-3 shadow-lg max-sm:left-[-7rem]">
        {silentSince !== undefined && (
          <p>
            What is shown is as last seen before {timeOf(silentSince)}; what you enter is kept on this device
            and sent, in order, when the server answers.
          </p>
        )}
        {count > 0 && (
          <p>
            <strong>{countOf(count, 'entry', 'entries')}</strong> kept on this device, to be sent by{' '}
            {count === 1 ? 'itself' : 'themselves'} as soon as the server answers: {titles(waiting)}.
          </p>
        )}
        {overtaken.length > 0 && (
          <p>
            The server fails at <strong>{titles(overtaken)}</strong>, and takes others: those no longer wait
            for it. It is tried again and again; nothing of it is lost.
          </p>
        )}
      </div>
    </details>
  );
});

/** Whether one and the same entry has waited for a while; a quick thumb alone is not late. */
function useLate(oldest: string | undefined): boolean {
  const [late, setLate] = useState<string>();
  useEffect(() => {
    if (oldest === undefined) return;
    const timer = setTimeout(() => setLate(oldest), LATE_MS);
    return () => clearTimeout(timer);
  }, [oldest]);
  return oldest !== undefined && late === oldest;
}

const NAMED = 4;
function titles(parcels: readonly { title: string }[]): string {
  const named = parcels.slice(0, NAMED).map(({ title }) => title);
  return parcels.length > NAMED ? `${named.join(', ')} and ${parcels.length - NAMED} more` : named.join(', ');
}

const timeOf = (at: number): string =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' }).format(at);
