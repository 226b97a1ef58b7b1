import type { FallbackProps } from 'react-error-boundary';
import { ApiError } from './api.ts';

/** Shown in place of a screen that failed. Drafts and unsent entries stay on this device. */
export function ErrorScreen({ error }: Pick<FallbackProps, 'error'>) {
  // An address that bears no id at all is answered as one that cannot be.
  const missing = error instanceof ApiError && (error.status === 404 || error.status === 422);
  return (
    <main className="p-6" role="alert">
      <h1 className="text-xl">{missing ? 'This is not here' : 'This screen failed'}</h1>
      <p className="mt-2 max-w-prose">
        {missing && error.status === 422
          ? 'This address is of nothing: part of it was lost, or typed otherwise.'
          : error instanceof Error
            ? error.message
            : 'Something unforeseen happened.'}
      </p>
      <p className="mt-2 max-w-prose text-soft">
        What you typed and what was not sent yet is kept on this device.
      </p>
      <p className="mt-4 flex flex-wrap gap-2">
        {!missing && (
          <button type="button" className="button min-h-12" onClick={() => location.reload()}>
            Load it again
          </button>
        )}
        <a className="button min-h-12" href="/yard">
          To the yard
        </a>
      </p>
    </main>
  );
}
