import { useQuery } from '@tanstack/react-query';
import type { BoxPage, BoxState, BuildPart, BuildStep, Design, YardLog } from '@yellow-cell/contract';
import { daysBetween, foldLog, plusDays, showDay } from '@yellow-cell/core';
import { TriangleAlert } from 'lucide-react';
import { type FormEvent, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { getJson } from '../app/api.ts';
import { newId } from '../app/ids.ts';
import { useAsOf } from '../app/now.ts';
import { queries, yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { CautionsLink } from '../parts/CautionsLink.tsx';
import { PartDrawing } from './PartDrawing.tsx';

interface StepsViewProps {
  steps: readonly BuildStep[];
  parts: readonly BuildPart[];
  saved: Design;
  version: number;
}

/** The build in order, ticked off for a box on a phone beside the saw; what must dry says from which day the next can be done. */
export function StepsView({ steps, parts, saved, version }: StepsViewProps) {
  const [chosen, setChosen] = useState('');
  const { data: page } = useQuery({
    queryKey: ['boxes', 'of', saved.id],
    queryFn: ({ signal }) => getJson<BoxPage>(`/designs/${saved.id}/boxes?limit=100`, signal),
  });
  const boxes = page?.boxes ?? [];
  const id = boxes.some((box) => box.id === chosen) ? chosen : '';
  const box = useBox(id);
  return (
    <div className="max-w-4xl">
      <div className="no-print flex flex-wrap items-end gap-3">
        <label className="block">
          <span className="block text-sm text-soft">Ticked off for</span>
          <select className="field w-auto" value={id} onChange={({ target }) => setChosen(target.value)}>
            <option value="">no box: just to read</option>
            {boxes.map(({ id: each, label, stand }) => (
              <option key={each} value={each}>
                {label}
                {stand ? `, stand ${stand}` : ', in the workshop'}
              </option>
            ))}
          </select>
        </label>
        <StartBox
          saved={saved}
          version={version}
          taken={boxes.map(({ label }) => label)}
          onStarted={setChosen}
        />
      </div>
      {box && <Progress steps={steps} box={box} />}
      <ol className="mt-3">
        {steps.map((step, index) => (
          <Step key={step.key} step={step} number={index + 1} steps={steps} parts={parts} box={box} />
        ))}
      </ol>
    </div>
  );
}

/** A box as its own story has it. */
function useBox(id: string): BoxState | undefined {
  const { on } = useAsOf();
  const { data: yards = [] } = useQuery(yardsQuery);
  const { data: log } = useQuery({
    queryKey: ['boxes', 'log', id],
    queryFn: ({ signal }) => getJson<YardLog>(`/boxes/${id}/log`, signal),
    enabled: id !== '',
  });
  return useMemo(() => {
    if (!log) return undefined;
    const known = {
      designs: new Map(log.designs.map((design) => [design.id, design])),
      yards: new Set(yards.map((yard) => yard.id)),
    };
    return foldLog(known, [log], on).boxes.get(id);
  }, [log, yards, on, id]);
}

function StartBox({
  saved,
  version,
  taken,
  onStarted,
}: {
  saved: Design;
  version: number;
  taken: readonly string[];
  onStarted: (id: string) => void;
}) {
  const [label, setLabel] = useState('');
  const [problem, setProblem] = useState('');
  const log = useLog();
  const start = async (event: FormEvent) => {
    event.preventDefault();
    const named = label.trim();
    if (named === '') return;
    if (taken.some((each) => each.toLowerCase() === named.toLowerCase())) {
      setProblem('A box of this design is already called that.');
      return;
    }
    const box = newId();
    const delivery = await log(`${named} begun`, [
      draft('boxBuilt', { box, label: named, design: saved.id, version }),
    ]);
    if (delivery.state === 'refused') {
      setProblem(delivery.problems[0]?.sentence ?? 'Refused.');
      return;
    }
    setLabel('');
    setProblem('');
    await queries.invalidateQueries({ queryKey: ['boxes'] });
    onStarted(box);
  };
  return (
    <form onSubmit={start} className="flex items-end gap-2">
      <label className="block">
        <span className="block text-sm text-soft">or begin a box called</span>
        <input
          className="field w-28"
          value={label}
          maxLength={20}
          placeholder="B14"
          onChange={({ target }) => setLabel(target.value)}
        />
      </label>
      <button type="submit" className="button" disabled={label.trim() === ''}>
        Begin
      </button>
      {problem && (
        <p role="alert" className="text-danger">
          {problem}
        </p>
      )}
    </form>
  );
}

function Progress({ steps, box }: { steps: readonly BuildStep[]; box: BoxState }) {
  const done = steps.filter(({ key }) => box.buildSteps?.[key]).length;
  return (
    <p role="status" className="mt-2">
      <strong>
        {box.label}: {done} of {steps.length} steps done.
      </strong>{' '}
      {done === steps.length &&
        (box.place ? (
          'It stands on its stand.'
        ) : (
          <Link className="underline" to="/yard">
            Put it on a stand, in the yard.
          </Link>
        ))}
    </p>
  );
}

interface StepProps {
  step: BuildStep;
  number: number;
  steps: readonly BuildStep[];
  parts: readonly BuildPart[];
  box: BoxState | undefined;
}

function Step({ step, number, steps, parts, box }: StepProps) {
  const say = useSay();
  const { on } = useAsOf();
  const log = useLog();
  const doneOn = box?.buildSteps?.[step.key];
  const notBefore = box && earliest(steps, number - 1, box);
  const early = notBefore !== undefined && daysBetween(on, notBefore) > 0 && !doneOn;
  const shown = parts.filter(({ key }) => step.parts.includes(key)).slice(0, MOST_DRAWN);
  const tick = async () => {
    if (!box) return;
    await log(doneOn ? `${step.title}: taken back` : `${step.title}: done`, [
      draft('buildTicked', { box: box.id, step: step.key, done: !doneOn }),
    ]);
    await queries.invalidateQueries({ queryKey: ['boxes', 'log', box.id] });
  };
  return (
    <li className="break-inside-avoid border-t border-hairline py-3">
      <div className="flex flex-wrap items-start gap-x-3 gap-y-1">
        {box && (
          <input
            type="checkbox"
            className="mt-1 size-6 shrink-0 accent-[var(--ink)]"
            aria-label={`${step.title}: done`}
            checked={doneOn !== undefined}
            onChange={() => void tick()}
          />
        )}
        <h2 className="min-w-0 flex-1 text-lg">
          {number}. {step.title}
        </h2>
        {doneOn && <span className="text-soft">{say(showDay(doneOn))}</span>}
        {early && notBefore && <strong className="text-danger">not before {say(showDay(notBefore))}</strong>}
      </div>
      <p>{step.text}</p>
      {step.caution && (
        <p className="mt-1 flex gap-2 font-semibold text-danger">
          <TriangleAlert size={18} className="mt-0.5 shrink-0" aria-hidden />
          <span>
            {step.caution} <CautionsLink />
          </span>
        </p>
      )}
      <div className="mt-1 grid gap-x-5 sm:grid-cols-[1fr_auto]">
        <div>
          {step.tools.length > 0 && <p className="text-sm text-soft">With: {step.tools.join(', ')}.</p>}
          <ul>
            {step.checks.map((check) => (
              <li key={check} className="flex items-baseline gap-2">
                <span aria-hidden className="inline-block size-3 shrink-0 border border-[var(--ink)]" />{' '}
                {check}
              </li>
            ))}
          </ul>
          {step.wait_days > 0 && (
            <p className="text-sm">Then wait {step.wait_days === 1 ? 'a day' : `${step.wait_days} days`}.</p>
          )}
        </div>
        {shown.length > 0 && (
          <div className="flex max-w-xl flex-wrap justify-end gap-3">
            {shown.map((part) => (
              <figure key={part.key} className="w-36">
                <PartDrawing part={part} height={80} bare />
                <figcaption className="text-center text-xs text-soft">
                  {part.key} {part.name.toLowerCase()}
                </figcaption>
              </figure>
            ))}
          </div>
        )}
      </div>
    </li>
  );
}
const MOST_DRAWN = 4;

/** A step waits for what dries before it: the latest of the days on which those were done, and their time. */
function earliest(steps: readonly BuildStep[], index: number, box: BoxState): string | undefined {
  const waits = steps.slice(0, index).flatMap(({ key, wait_days }) => {
    const done = box.buildSteps?.[key];
    return wait_days > 0 && done ? [plusDays(done, wait_days)] : [];
  });
  return waits.sort().at(-1);
}
