import { useQuery } from '@tanstack/react-query';
import { designChanges, versionOf } from '@yellow-cell/core';
import { designsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import type { StackFormProps } from './StackForms.tsx';

/** What it is otherwise than drawn, and what its version lacks against the newest. */
export function StackAgainst({
  view,
  boxView: { box },
  stack,
}: Pick<StackFormProps, 'view' | 'boxView' | 'stack'>) {
  const say = useSay();
  const { data: designs = [] } = useQuery(designsQuery);
  const version = versionOf(view.designs, box);
  const latest = designs.find(({ id }) => id === box.design)?.latest;
  const since = version && box.changed ? designChanges(version, stack) : [];
  const newer =
    version && latest && latest.number > box.version ? designChanges(version, latest.content) : [];
  return (
    <>
      {since.length > 0 && <Changes title="Against its drawing" list={since.map(say)} />}
      {newer.length > 0 && latest && (
        <Changes title={`What version ${latest.number} has and it has not`} list={newer.map(say)} />
      )}
    </>
  );
}

const Changes = ({ title, list }: { title: string; list: readonly string[] }) => (
  <details className="mt-2">
    <summary className="min-h-11 py-2.5">
      {title} ({list.length})
    </summary>
    <ul className="text-soft">
      {list.map((each) => (
        <li key={each}>{each}</li>
      ))}
    </ul>
  </details>
);
