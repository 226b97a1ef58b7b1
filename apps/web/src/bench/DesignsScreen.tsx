import { useSuspenseQuery } from '@tanstack/react-query';
import type { DesignSummary } from '@yellow-cell/contract';
import { deriveBox, designProblems, familyName, fitWord, mainBody, showLength } from '@yellow-cell/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { designsQuery } from '../app/queries.ts';
import { useUnits } from '../app/units.ts';
import { BoxThumb } from '../drawing/BoxThumb.tsx';
import { TextField } from '../parts/Field.tsx';
import { Later } from '../parts/Later.tsx';

/** All designs as small drawings at one scale. */
export function DesignsScreen() {
  const { data: designs } = useSuspenseQuery(designsQuery);
  const { search } = useLocation();
  const [wanted, setWanted] = useState('');
  const shown = designs.filter(({ name, latest }) =>
    `${name} ${mainBody(latest.content).format.name} ${familyName(latest.content.family)}`
      .toLowerCase()
      .includes(wanted.toLowerCase()),
  );
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-xl">Designs</h1>
          <p className="text-soft">
            {designs.length === 0 ? 'None yet.' : 'Drawn at one scale, from above, frames lying across.'}
          </p>
        </div>
        {designs.length > 6 && (
          <div className="w-56">
            <TextField
              label="Show only"
              value={wanted}
              onChange={({ target }) => setWanted(target.value)}
              placeholder="name, family or format"
            />
          </div>
        )}
      </div>
      <Later>
        <ul className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-4">
          <li>
            <Link
              to={`/bench/start${search}`}
              className="flex h-full min-h-48 flex-col items-center justify-center gap-2 rounded-xl border-2 border-dashed border-soft bg-slip p-4 font-semibold hover:bg-glow"
            >
              <Plus size={28} aria-hidden />
              New design
              <span className="text-center text-sm font-normal text-soft">
                From one of fifteen families, from a question, or from a file
              </span>
            </Link>
          </li>
          {shown.map((design) => (
            <li key={design.id}>
              <DesignCard design={design} search={search} />
            </li>
          ))}
        </ul>
      </Later>
      {shown.length === 0 && designs.length > 0 && (
        <p className="mt-4 text-soft">No design is called “{wanted}”.</p>
      )}
    </main>
  );
}

function DesignCard({
  design: { id, name, latest, boxes },
  search,
}: {
  design: DesignSummary;
  search: string;
}) {
  return (
    <Link
      to={`/bench/${id}${search}`}
      className="block h-full rounded-xl border border-hairline bg-slip p-3 hover:bg-glow"
    >
      <BoxThumb design={latest.content} width={190} height={130} />
      <h2 className="mt-2 text-base">{name}</h2>
      <p className="text-sm text-soft">
        {mainBody(latest.content).format.name} · version {latest.number} · {boxes}{' '}
        {boxes === 1 ? 'box' : 'boxes'}
      </p>
      <p className="text-sm">{useFitLine(latest.content)}</p>
    </Link>
  );
}

function useFitLine(design: DesignSummary['latest']['content']): string {
  const units = useUnits();
  if (designProblems(design).length > 0) return '';
  const fits = deriveBox(design).compartments.flatMap((compartment) => compartment.fits);
  const frames = fits.map((fit) => fit.frames).join('/');
  const tightest = [...fits].sort((a, b) => a.slack_mm - b.slack_mm)[0];
  return tightest
    ? `${frames} · slack ${showLength(tightest.slack_mm, units)}, ${fitWord[tightest.verdict].toLowerCase()}`
    : '';
}
