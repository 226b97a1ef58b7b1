import type { PlaybookName, Run } from '@yellow-cell/contract';
import { openSteps, playbooks, showDay } from '@yellow-cell/core';
import { ListChecks } from 'lucide-react';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useSay } from '../app/units.ts';
import type { BoxView, CompartmentView, YardView } from '../yard/useYard.ts';
import { BeginForm } from './BeginForm.tsx';
import { runPath } from './clocks.ts';
import { clockWords } from './clockWords.ts';
import { BEGIN, isLikely } from './likely.ts';
import { useNow } from './useNow.ts';

/** What is led step by step in a room, and what can be begun there. */
export function RoomRuns({
  view,
  boxView,
  compartment,
}: {
  view: YardView;
  boxView: BoxView;
  compartment: CompartmentView;
}) {
  const [params] = useSearchParams();
  const asked = params.get(BEGIN.playbook);
  const [begin, setBegin] = useState(() =>
    asked && Object.hasOwn(playbooks, asked) ? (asked as PlaybookName) : undefined,
  );
  const [all, setAll] = useState(false);
  const here = (boxView.box.runs ?? []).filter(({ bays }) =>
    bays.some((bay) => compartment.bays.includes(bay)),
  );
  const open = here.filter(({ ended }) => !ended);
  const names = (Object.keys(playbooks) as PlaybookName[]).filter(
    (name) => !open.some(({ playbook }) => playbook === name),
  );
  const likely = names.filter((name) => isLikely(name, boxView, compartment));
  return (
    <section aria-label="Step by step" className="no-print">
      <h3 className="eyebrow">Step by step</h3>
      <ul>
        {open.map((run) => (
          <RunLine key={run.id} view={view} box={boxView.box.id} run={run} />
        ))}
      </ul>
      {begin ? (
        <BeginForm
          view={view}
          boxView={boxView}
          compartment={compartment}
          playbook={begin}
          onDone={() => setBegin(undefined)}
        />
      ) : (
        <div className="flex flex-wrap gap-2">
          {(all ? names : likely).map((name) => (
            <button
              key={name}
              type="button"
              className="button min-h-11"
              title={playbooks[name].why}
              onClick={() => setBegin(name)}
            >
              {playbooks[name].title}…
            </button>
          ))}
          {!all && (
            <button type="button" className="min-h-11 underline" onClick={() => setAll(true)}>
              {likely.length === 0 ? 'Begin one' : 'Others'}
            </button>
          )}
        </div>
      )}
    </section>
  );
}

function RunLine({ view, box, run }: { view: YardView; box: string; run: Run }) {
  const say = useSay();
  const now = useNow();
  const [next] = openSteps(run, view.constants);
  const clock = next && clockWords(next, now, run.begun.zone);
  return (
    <li className="border-b border-hairline">
      <Link
        className="flex min-h-12 items-center gap-2 py-1 hover:bg-glow"
        to={runPath(view.yard.id, box, run.id)}
      >
        <ListChecks size={18} aria-hidden />
        <span className="flex-1">
          <strong>{playbooks[run.playbook].title}</strong>
          {next ? `: ${next.step.title}` : ': every step is done'}
          {clock && <span className="block text-sm">{say(clock)}</span>}
        </span>
        <span className="shrink-0 text-sm text-soft">since {say(showDay(run.begun.on, view.on))}</span>
      </Link>
    </li>
  );
}
