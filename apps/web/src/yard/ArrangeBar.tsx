import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, RotateCcw, RotateCw } from 'lucide-react';
import type { Arrange } from './useArrange.ts';
import type { YardView } from './useYard.ts';

const TURN_DEG = 15;
const NUDGE_M = 0.5;

/** What can be done with the box last taken on the plan, for hands that do not drag. */
export function ArrangeBar({ view, arrange }: { view: YardView; arrange: Arrange }) {
  const { taken, turn, nudge, stack } = arrange;
  const steps = [
    ['Turn left', RotateCcw, () => turn(-TURN_DEG)],
    ['Turn right', RotateCw, () => turn(TURN_DEG)],
    ['To the west', ArrowLeft, () => nudge(-NUDGE_M, 0)],
    ['To the north', ArrowUp, () => nudge(0, NUDGE_M)],
    ['To the south', ArrowDown, () => nudge(0, -NUDGE_M)],
    ['To the east', ArrowRight, () => nudge(NUDGE_M, 0)],
  ] as const;
  if (!taken)
    return <span className="text-soft">Drag a box to where it stands; take one to turn or stack it.</span>;
  return (
    <>
      <strong>{taken.box.label}</strong>
      {steps.map(([name, Icon, onClick]) => (
        <button
          key={name}
          type="button"
          className="button min-h-9 px-2 py-0.5"
          aria-label={`${name}: ${taken.box.label}`}
          title={name}
          onClick={onClick}
        >
          <Icon size={16} aria-hidden />
        </button>
      ))}
      <label className="flex items-center gap-1.5">
        stands on
        <select
          aria-label={`${taken.box.label} stands on`}
          className="field w-auto py-0.5"
          value={taken.box.onto ?? ''}
          onChange={({ target }) => stack(target.value || null)}
        >
          <option value="">its stand</option>
          {view.boxes
            .filter(({ box }) => box.id !== taken.box.id)
            .map(({ box }) => (
              <option key={box.id} value={box.id}>
                {box.label}
              </option>
            ))}
        </select>
      </label>
    </>
  );
}
