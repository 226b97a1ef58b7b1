import { slugOf } from '@yellow-cell/core';
import { Link } from 'react-router';

/** Where a figure, a rule or a limit comes from, to be read; an estimate of ours has nothing more to say. */
export function SourceLink({ source }: { source: string }) {
  if (source.startsWith('Our estimate')) return source;
  return (
    <Link className="underline" to={`/models#${slugOf(source)}`}>
      {source}
    </Link>
  );
}
