import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A place that is not built yet says what will be there. */
export function Coming({ name, children }: { name: string; children: ReactNode }) {
  return (
    <main className="mx-auto max-w-2xl p-8">
      <h1 className="text-2xl">{name}</h1>
      <p className="mt-3 text-lg">{children}</p>
      <p className="mt-3 text-soft">
        Not built yet. What works today: the{' '}
        <Link className="underline" to="/bench">
          Bench
        </Link>
        , the{' '}
        <Link className="underline" to="/yard">
          Yard
        </Link>{' '}
        and the{' '}
        <Link className="underline" to="/ledger">
          Ledger
        </Link>
        .
      </p>
    </main>
  );
}
