import { useSuspenseQuery } from '@tanstack/react-query';
import type { Yard } from '@yellow-cell/contract';
import { Link, useParams } from 'react-router';
import { yardsQuery } from '../app/queries.ts';
import { useYard } from '../yard/useYard.ts';
import { Led } from './Led.tsx';

/** A playbook as it is worked through: the present step large, what comes round again, and all the others. */
export function PlaybookScreen() {
  const { yard: wanted } = useParams();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const yard = yards.find(({ id }) => id === wanted);
  return yard ? <InYard yard={yard} /> : <p className="p-6">There is no such yard.</p>;
}

function InYard({ yard }: { yard: Yard }) {
  const { box: wanted, run: id } = useParams();
  const view = useYard(yard, wanted);
  const boxView = view.boxes.find(({ box }) => box.id === wanted);
  const run = boxView?.box.runs?.find((each) => each.id === id);
  if (!boxView || !run)
    return (
      <p className="p-6">
        Nothing of the kind was begun there, or it was taken back.{' '}
        <Link className="underline" to={`/yard/${yard.id}`}>
          To the yard
        </Link>
      </p>
    );
  return <Led key={run.id} view={view} boxView={boxView} run={run} />;
}
