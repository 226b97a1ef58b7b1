import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { FailReason, TakeGroup, TakesBy } from '@yellow-cell/contract';
import { clearestDifference, failWords, showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { takesQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { Later } from '../parts/Later.tsx';
import { TakeChart } from './TakeChart.tsx';

const BY: readonly (readonly [TakesBy, string])[] = [
  ['design', 'Design'],
  ['box', 'Box'],
  ['frames', 'Frames per compartment'],
  ['compartment', 'Place in the box'],
  ['flight', 'Flight side'],
  ['what', 'Cell or virgin'],
  ['round', 'Round'],
  ['donor', 'Donor'],
  ['month', 'Month'],
];

/** Take rates: what the record says, and how much it can say. */
export function LedgerScreen() {
  const say = useSay();
  const { on } = useAsOf();
  const [by, setBy] = useState<TakesBy>('design');
  const { data: report } = useQuery({ ...takesQuery(by, on), placeholderData: keepPreviousData });
  return (
    <main className="flex h-full flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
      <section className="min-w-0 flex-1 bg-sheet px-5 py-4 lg:overflow-y-auto">
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <h1 className="text-xl">Take rate</h1>
          <div role="group" aria-label="Compare by" className="flex flex-wrap gap-1">
            {BY.map(([key, name]) => (
              <button
                key={key}
                type="button"
                aria-pressed={by === key}
                onClick={() => setBy(key)}
                className={`border-b-3 px-2 pb-0.5 font-semibold ${by === key ? 'border-yellow text-ink' : 'border-transparent text-soft'}`}
              >
                {name}
              </button>
            ))}
          </div>
        </div>
        <p className="mt-1 max-w-prose text-soft">
          Cells and virgins given up to {say(showDay(on))}. The stroke is the record, takes ÷ (takes +
          misses); the bar is where the true rate lies with 90 % probability, the dot its middle.
        </p>
        {report && report.groups.length > 0 && (
          <Later>
            <TakeChart groups={report.groups} all={report.all} />
          </Later>
        )}
        {report && report.groups.length === 0 && (
          <p className="mt-4">
            No cell was given up to this day. Give one in the yard, and its outcome will be counted here.
          </p>
        )}
        {!report && <p className="mt-4 text-soft">Loading…</p>}
      </section>
      {report && (
        <Later>
          <Summary all={report.all} groups={report.groups} reasons={report.reasons} />
        </Later>
      )}
    </main>
  );
}

function Summary({
  all,
  groups,
  reasons,
}: {
  all: TakeGroup;
  groups: readonly TakeGroup[];
  reasons: readonly { reason: string; count: number }[];
}) {
  return (
    <aside
      aria-label="Summary"
      className="w-full shrink-0 border-l border-hairline bg-slip px-5 py-4 lg:h-full lg:w-[22rem] lg:overflow-y-auto"
    >
      <h2 className="text-lg">All together</h2>
      <dl>
        <Fact name="Takes">{all.takes}</Fact>
        <Fact name="Misses">{all.misses}</Fact>
        <Fact name="Open, not counted">{all.open}</Fact>
        <Fact name="Take rate">
          {all.rate === null
            ? 'none decided yet'
            : `${percent(all.rate)} (${percent(all.low)} to ${percent(all.high)})`}
        </Fact>
      </dl>
      <h2 className="eyebrow">What the data can tell</h2>
      <p>{verdictOf(groups)}</p>
      {reasons.length > 0 && (
        <>
          <h2 className="eyebrow">Why they missed</h2>
          <dl>
            {reasons.map(({ reason, count }) => (
              <Fact
                key={reason}
                name={reason === 'notSaid' ? 'no eggs by the last day' : failWords[reason as FailReason]}
              >
                {count}
              </Fact>
            ))}
          </dl>
        </>
      )}
      <details className="mt-4">
        <summary className="font-bold">How this is worked out</summary>
        <p className="mt-1 text-soft">
          An attempt is one ripe cell or virgin given to one compartment. It is a take once eggs or worker
          brood were seen; a miss once it failed, or when its last day passed without eggs. The true rate is
          known as Beta(1 + takes, 1 + misses): 3 of 4 and 30 of 40 are not the same knowledge. A record
          without a miss or without a take is the end of its bar.
        </p>
      </details>
    </aside>
  );
}

function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="row-line">
      <dt>{name}</dt>
      <dd className="text-right font-semibold">{children}</dd>
    </div>
  );
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** What the groups say, and what they do not. */
function verdictOf(groups: readonly TakeGroup[]): string {
  if (groups.filter(({ rate }) => rate !== null).length < 2) return 'There is nothing to compare yet.';
  const found = clearestDifference(groups);
  if (!found) return 'All intervals overlap: the differences seen may be chance.';
  return `“${found.better.label}” takes better than “${found.worse.label}”: their intervals do not overlap. Among ${groups.length} groups, one such pair can still come by chance; the others tell nothing yet.`;
}
