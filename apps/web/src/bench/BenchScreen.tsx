import { useSuspenseQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { designQuery } from '../app/queries.ts';
import { Board } from './Board.tsx';

export function BenchScreen() {
  const { design = 'new' } = useParams();
  return design === 'new' ? <Board key="new" id="new" /> : <SavedBoard key={design} id={design} />;
}

function SavedBoard({ id }: { id: string }) {
  const { data } = useSuspenseQuery(designQuery(id));
  return <Board id={id} saved={data} />;
}
