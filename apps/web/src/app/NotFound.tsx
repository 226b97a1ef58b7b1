import { Link } from 'react-router';

export function NotFound() {
  return (
    <main className="p-6">
      <h1 className="text-xl">There is nothing at this address</h1>
      <p className="mt-2 max-w-prose text-soft">The link may be old, or a letter of it may be missing.</p>
      <p className="mt-4">
        <Link className="button" to="/yard">
          Go to the yard
        </Link>
      </p>
    </main>
  );
}
