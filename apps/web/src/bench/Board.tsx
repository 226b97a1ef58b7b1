import type { CheckResult, Design, Layout, Occupant } from '@yellow-cell/contract';
import { bodiesOf, bodyName, showLength, withCompartments } from '@yellow-cell/core';
import { Redo2, Undo2 } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { useUnits } from '../app/units.ts';
import { useKeys } from '../app/useKeys.ts';
import { AboveView } from './AboveView.tsx';
import { BenchSlip } from './BenchSlip.tsx';
import { NUDGE_MM, NUDGE_SHIFT_MM } from './Handle.tsx';
import { heatTone } from './heat.ts';
import { LayoutStrip } from './LayoutStrip.tsx';
import { PhysicsSlip } from './PhysicsSlip.tsx';
import { ReachSlip } from './ReachSlip.tsx';
import { SectionView } from './SectionView.tsx';
import { SidesView } from './SidesView.tsx';
import type { SheetProps } from './sheet.ts';
import { useBench } from './useBench.ts';
import { useChecks } from './useChecks.ts';
import { useDraft } from './useDraft.ts';
import { usePhysics } from './usePhysics.ts';
import { useReach } from './useReach.ts';
import { useRested } from './useRested.ts';

type Mode = 'box' | 'reach' | 'air' | 'warmth';
const MODES: readonly (readonly [Mode, string])[] = [
  ['box', 'Box'],
  ['reach', 'Who can go where'],
  ['air', 'Air'],
  ['warmth', 'Warmth'],
];
const NOBODY: readonly string[] = [];
/** A box turns into the layout that was chosen; the time of the transition in styles.css and a little more. */
const MORPH_MS = 450;

/** The drawing board: three linked views of one box, the slip with what is chosen and the checks, the layouts below. */
export function Board({ id, saved }: { id: string; saved?: Design }) {
  const desk = useDraft(id, saved);
  const bench = useBench(desk, saved);
  const units = useUnits();
  const { design, model, problems, body, setBody } = bench;
  const { checks, of } = useChecks(design);
  const [chosen, setChosen] = useState<string>();
  const [pointed, setPointed] = useState<readonly string[]>(NOBODY);
  const [mode, setMode] = useState<Mode>('box');
  const reach = useReach(model);
  const [tool, setTool] = useState<Occupant>('queen');
  const bad = useMemo(() => badParts(checks), [checks]);
  const { edit, undo, redo } = desk;
  const [dragging, setDragging] = useState(false);
  const rested = useRested({ desk, bench }, design, dragging);
  const [morphing, setMorphing] = useState(false);
  const become = useCallback(
    ({ frames, thickness_mm }: Layout) => {
      setMorphing(true);
      setTimeout(() => setMorphing(false), MORPH_MS);
      edit((now) => withCompartments(now, frames, { mm: thickness_mm }, body));
    },
    [edit, body],
  );
  const leave = () => setChosen(undefined);
  useKeys({ Escape: leave, z: () => undo?.(), y: () => redo?.() });
  const reaching = mode === 'reach';
  const physics = usePhysics(rested.bench.design, mode === 'air' || mode === 'warmth');
  const layer = useMemo(
    () => (mode === 'air' || mode === 'warmth' ? { kind: mode, physics: physics.physics } : undefined),
    [mode, physics.physics],
  );
  const heatOf = useMemo(() => {
    const found = new Map(
      physics.physics.spaces.map(({ id: space, inside_C }) => [space, heatTone(inside_C)]),
    );
    return (space: string) => found.get(space);
  }, [physics.physics]);
  const sheet: SheetProps = {
    design,
    model,
    resting: rested.bench.model,
    onDragging: setDragging,
    body,
    chosen,
    onChoose: setChosen,
    onEdit: edit,
    pointed,
    bad: mode === 'box' ? bad : NONE,
    tintOf: reaching ? reach.tintOf : mode === 'warmth' ? heatOf : undefined,
    layer,
    onPressSpace: reaching ? (space) => reach.put(space, tool) : undefined,
  };
  const bodies = bodiesOf(design);
  return (
    <main className="flex h-full flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
      <h1 className="sr-only">Bench: {desk.draft.name || 'new design'}</h1>
      <div className="flex min-w-0 flex-1 flex-col lg:h-full">
        <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hairline bg-paper px-3 py-1">
          <div role="group" aria-label="What the drawing shows" className="flex gap-1">
            {MODES.map(([key, label]) => (
              <button
                key={key}
                type="button"
                aria-pressed={mode === key}
                className={`px-2 py-1 ${mode === key ? 'font-bold underline decoration-yellow decoration-[3px] underline-offset-[6px]' : 'text-soft hover:text-ink'}`}
                onClick={() => setMode(key)}
              >
                {label}
              </button>
            ))}
          </div>
          {bodies.length > 1 && (
            <label className="flex items-center gap-2 text-sm text-soft">
              From above
              <select
                className="field min-h-8 w-auto"
                value={body}
                onChange={({ target }) => setBody(target.value)}
              >
                {model.stack.bodies.map((placed) => (
                  <option key={placed.body.id} value={placed.body.id}>
                    {bodyName(
                      placed,
                      model.stack.bodies.filter(({ body: each }) =>
                        each.bays.some(({ frames }) => frames.length > 0),
                      ),
                    )}
                  </option>
                ))}
              </select>
            </label>
          )}
          {problems.length > 0 && (
            <p role="status" className="font-semibold text-danger">
              The last drawing that could be
            </p>
          )}
          {bodies.length === 1 && (
            <p className="ml-auto hidden text-sm text-soft xl:block">
              Drag a part, or choose it and use the arrow keys: {showLength(NUDGE_MM, units)}, with Shift{' '}
              {showLength(NUDGE_SHIFT_MM, units)}
            </p>
          )}
          <div className={`ml-auto flex gap-1 ${bodies.length === 1 ? 'xl:ml-0' : ''}`}>
            <button
              type="button"
              className="button min-h-8 px-2 py-0.5"
              aria-label="Undo"
              title="Undo (Z)"
              disabled={!undo}
              onClick={() => undo?.()}
            >
              <Undo2 size={17} aria-hidden />
            </button>
            <button
              type="button"
              className="button min-h-8 px-2 py-0.5"
              aria-label="Redo"
              title="Redo (Y)"
              disabled={!redo}
              onClick={() => redo?.()}
            >
              <Redo2 size={17} aria-hidden />
            </button>
          </div>
        </div>
        <div
          className={`grid min-h-0 flex-1 lg:grid-cols-[1.28fr_1fr] lg:grid-rows-[minmax(0,1fr)_8rem] ${problems.length > 0 ? 'opacity-50' : ''} ${morphing ? 'morphing' : ''}`}
        >
          <AboveView {...sheet} />
          <SectionView {...sheet} />
          <div className="grid min-w-0 lg:col-span-2">
            <SidesView {...sheet} />
          </div>
        </div>
        <LayoutStrip design={design} body={body} onChoose={become} onEdit={edit} />
      </div>
      {reaching ? (
        <ReachSlip model={model} reach={reach} tool={tool} onTool={setTool} onPoint={setPointed} />
      ) : layer ? (
        <PhysicsSlip kind={layer.kind} design={rested.bench.design} desk={physics} />
      ) : (
        <BenchSlip
          desk={rested.desk}
          bench={rested.bench}
          saved={saved}
          checks={checks}
          checking={of !== design || problems.length > 0}
          chosen={chosen}
          onChoose={setChosen}
          onPoint={setPointed}
        />
      )}
    </main>
  );
}

const NONE: ReadonlySet<string> = new Set();

/** Parts that a check of danger or fault names, not those let stand. */
function badParts(checks: readonly CheckResult[]): ReadonlySet<string> {
  return new Set(
    checks
      .filter(
        ({ holds, overruled, severity }) =>
          !holds && overruled === null && (severity === 'danger' || severity === 'fault'),
      )
      .flatMap(({ places }) => places),
  );
}
