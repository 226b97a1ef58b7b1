import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { BoxPage } from '@yellow-cell/contract';
import { countOf } from '@yellow-cell/core';
import { Link } from 'react-router';
import { getJson } from '../app/api.ts';
import { designsQuery } from '../app/queries.ts';

const PAGE = 50;

/** Every box that stands or is being built, by its design and version; what it is like is kept on the box. */
export function BoxList() {
  const { data: designs = [] } = useQuery(designsQuery);
  const { data, fetchNextPage, hasNextPage } = useInfiniteQuery({
    queryKey: ['boxes', 'all'],
    queryFn: ({ pageParam, signal }) =>
      getJson<BoxPage>(
        `/boxes?limit=${PAGE}${pageParam ? `&after=${encodeURIComponent(pageParam)}` : ''}`,
        signal,
      ),
    initialPageParam: '',
    getNextPageParam: ({ next }) => next ?? undefined,
  });
  const boxes = data?.pages.flatMap((page) => page.boxes) ?? [];
  if (boxes.length === 0) return null;
  const newest = new Map(designs.map(({ id, name, latest }) => [id, { name, number: latest.number }]));
  return (
    <details>
      <summary>
        {hasNextPage ? `${boxes.length} and more boxes` : countOf(boxes.length, 'box', 'boxes')} built or
        being built
      </summary>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {boxes.map(({ id, label, design, designVersion, yard, stand }) => {
          const known = newest.get(design);
          return (
            <li key={id} className="row-line">
              <span>
                {yard ? (
                  <Link className="underline" to={`/yard/${yard}?box=${id}`}>
                    {label}
                  </Link>
                ) : (
                  <Link className="underline" to={`/bench/${design}/build?view=steps`}>
                    {label}
                  </Link>
                )}{' '}
                <span className="text-sm text-soft">
                  {known?.name}, version {designVersion}
                  {known && designVersion < known.number ? ` of ${known.number}` : ''}
                </span>
              </span>
              <span className="text-sm text-soft">{stand ? `stand ${stand}` : 'in the workshop'}</span>
            </li>
          );
        })}
      </ul>
      {hasNextPage && (
        <button type="button" className="button mt-2" onClick={() => void fetchNextPage()}>
          More boxes
        </button>
      )}
    </details>
  );
}
