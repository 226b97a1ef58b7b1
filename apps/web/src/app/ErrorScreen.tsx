import type { FallbackProps } from 'react-error-boundary';
import { ApiError } from './api.ts';

/** Shown in place of a screen that failed. Drafts and unsent entries stay on this device. */
export function ErrorScreen({ error }: Pick<FallbackProps, 'error'>) {
  const missing = error instanceof ApiError && error.status === 404;
  return (
    <main className="p-6" role="alert">
      <h1 className="text-xl">{missing ? 'This is not here' : 'This screen failed'}</h1>
      <p className="mt-2 max-w-prose">
        {error instanceof Error ? error.message : 'Something unforeseen happened.'}
      </p>
      <p className="mt-2 max-w-prose text-soft">
        What you typed and what was not sent yet is kept on this device.
      </p>
      <p className="mt-4">
        <button type="button" className="button" onClick={() => location.reload()}>
          Load it again
        </button>
      </p>
    </main>
  );
}
