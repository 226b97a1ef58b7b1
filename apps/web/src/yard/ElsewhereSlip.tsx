import { useQuery } from '@tanstack/react-query';
import type { Yard } from '@yellow-cell/contract';
import { Link } from 'react-router';
import { boxStandingQuery } from '../app/queries.ts';
import type { YardView } from './useYard.ts';

/** The address names a box that is not here: a code read in another yard, a box that moved, or none at all. */
export function ElsewhereSlip({ view, box, yards }: { view: YardView; box: string; yards: readonly Yard[] }) {
  const { data, isError, isLoading } = useQuery({ ...boxStandingQuery(box), retry: false });
  const found = data?.boxes[0]?.box;
  const yard = yards.find(({ id }) => id === found?.place?.yard);
  if (isLoading) return <p className="text-soft">Looking for that box…</p>;
  if (isError || !found)
    return (
      <>
        <h2 className="text-xl">No such box</h2>
        <p>
          No box of this record has that code. It may be another breeder’s, or the server does not answer just
          now.
        </p>
      </>
    );
  return (
    <>
      <h2 className="text-xl">{found.label} is not here</h2>
      <p>
        {found.takenApartOn
          ? `It was taken apart on ${found.takenApartOn}.`
          : yard && yard.id !== view.yard.id
            ? `It stands in ${yard.name}, stand ${found.place?.stand}.`
            : 'It stood elsewhere on the day shown.'}
      </p>
      {yard && !found.takenApartOn && (
        <Link className="button button-main mt-3 inline-flex" to={`/yard/${yard.id}?box=${found.id}`}>
          Go to {yard.name}
        </Link>
      )}
    </>
  );
}
