import { useSuspenseQuery } from '@tanstack/react-query';
import type { Joint } from '@yellow-cell/contract';
import { buildSteps, parts, printsIt } from '@yellow-cell/core';
import { Printer } from 'lucide-react';
import { lazy, Suspense, useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { designQuery } from '../app/queries.ts';
import { useYardFigures } from '../bench/useYardFigures.ts';
import { Stepper } from '../parts/Stepper.tsx';
import { useWorkshop } from '../workshop/useWorkshop.ts';
import { FilesView } from './FilesView.tsx';
import { PartList } from './PartList.tsx';
import { SheetsView } from './SheetsView.tsx';
import { StepsView } from './StepsView.tsx';
import { WeightView } from './WeightView.tsx';

// Three dimensions are heavy: their code comes when they are asked for.
const BoxInSpace = lazy(async () => ({ default: (await import('./BoxInSpace.tsx')).BoxInSpace }));

const VIEWS = [
  ['parts', 'Parts'],
  ['sheets', 'Sheets'],
  ['steps', 'Steps'],
  ['weight', 'Weight and cost'],
  ['space', 'In space'],
  ['files', 'Files'],
] as const;
const JOINTS: readonly (readonly [Joint, string])[] = [
  ['butt', 'butt joints, ends between the sides'],
  ['rebate', 'ends in rebates of the sides'],
  ['box', 'box joints'],
];

/** From a saved design to the shed: parts, sheets, steps, weight, the box in space, and files. */
export function BuildScreen() {
  const { design: id = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const { data: saved } = useSuspenseQuery(designQuery(id));
  const { constants, own } = useYardFigures();
  const workshop = useWorkshop();
  const version =
    saved.versions.find(({ number }) => number === Number(params.get('version'))) ?? saved.versions.at(-1);
  if (!version) throw new Error('A design without a version.');
  const view = VIEWS.find(([key]) => key === params.get('view'))?.[0] ?? 'parts';
  const joint = JOINTS.find(([key]) => key === params.get('joint'))?.[0] ?? 'butt';
  const boxes = Math.max(1, Math.min(200, Number(params.get('boxes')) || 1));
  const design = version.content;
  const answer = useMemo(() => parts({ design, joint }, constants), [design, joint, constants]);
  const steps = useMemo(() => buildSteps(design, joint, constants), [design, joint, constants]);
  const wanted = useMemo(
    () => ({ design: saved.name, boxes, parts: answer.parts }),
    [saved.name, boxes, answer],
  );
  const set = (key: string, value: string) =>
    setParams((now) => {
      now.set(key, value);
      return now;
    });
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="text-xl">
          <Link className="hover:underline" to={`/bench/${id}`}>
            {saved.name}
          </Link>
          , built
        </h1>
        <label className="flex items-center gap-2 text-soft">
          version
          <select
            className="field w-auto"
            value={version.number}
            onChange={({ target }) => set('version', target.value)}
          >
            {saved.versions.map(({ number }) => (
              <option key={number}>{number}</option>
            ))}
          </select>
        </label>
        {!printsIt(design) && (
          <label className="flex items-center gap-2 text-soft">
            with
            <select
              className="field w-auto"
              value={joint}
              onChange={({ target }) => set('joint', target.value)}
            >
              {JOINTS.map(([key, name]) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <span className="flex items-center gap-2 text-soft">
          boxes
          <Stepper
            label="boxes"
            count={boxes}
            least={1}
            most={200}
            onChange={(count) => set('boxes', String(count))}
          />
        </span>
        <button type="button" className="button no-print ml-auto" onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print this
        </button>
      </div>
      <div
        role="group"
        aria-label="What is shown of it"
        className="no-print mt-3 mb-4 flex flex-wrap gap-1 border-b border-hairline pb-1"
      >
        {VIEWS.map(([key, name]) => (
          <button
            key={key}
            type="button"
            aria-pressed={view === key}
            className={`px-2 py-1 ${view === key ? 'font-bold underline decoration-yellow decoration-[3px] underline-offset-[6px]' : 'text-soft hover:text-ink'}`}
            onClick={() => set('view', key)}
          >
            {name}
          </button>
        ))}
      </div>
      {view === 'parts' && <PartList answer={answer} boxes={boxes} />}
      {view === 'sheets' && (
        <SheetsView own={wanted} joint={joint} workshop={workshop} constants={constants} />
      )}
      {view === 'steps' && (
        <StepsView steps={steps} parts={answer.parts} saved={saved} version={version.number} />
      )}
      {view === 'weight' && (
        <WeightView design={design} answer={answer} workshop={workshop} constants={constants} />
      )}
      {view === 'files' && (
        <FilesView
          design={design}
          name={saved.name}
          joint={joint}
          boxes={boxes}
          workshop={workshop}
          constants={own}
        />
      )}
      {view === 'space' && (
        <Suspense fallback={<p className="text-soft">Loading the view in space…</p>}>
          <BoxInSpace design={design} />
        </Suspense>
      )}
    </main>
  );
}
