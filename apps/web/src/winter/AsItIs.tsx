import { type AutumnLine, countOf, type PreparedFrame } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { Cavity } from './Cavity.tsx';
import { CombStrip } from './CombStrip.tsx';
import { besideItsOwn, keptOf } from './kept.ts';
import type { Preparing } from './usePreparation.ts';

interface AsItIsProps {
  name: string;
  line: AutumnLine;
  preparing: Preparing;
}

/** The room as it is, frame by frame: what is to stay, to be turned, and to come out. */
export function AsItIs({ name, line, preparing }: AsItIsProps) {
  const say = useSay();
  const { preparation, warm, setKept } = preparing;
  if (!preparation) return null;
  const { frames, asItIs } = preparation;
  const choose = (frame: PreparedFrame, verdict: PreparedFrame['verdict']) => {
    const { slot } = frame.slot;
    const kept = keptOf(frames);
    const others = kept.filter((each) => each.slot !== slot);
    const at = kept.findIndex((each) => each.slot === slot);
    if (verdict === 'out') return setKept(others);
    const now = { slot, turned: verdict === 'turn' };
    setKept(at < 0 ? besideItsOwn(frames, others, now) : kept.with(at, now));
  };
  const covered = seamsCovered(frames, line.seams);
  return (
    <Cavity
      title="As it is"
      figures={say(
        `${countOf(asItIs.frames, 'frame')} · ${asItIs.litres.toFixed(0)} l${line.seams === undefined ? '' : ` · ${countOf(line.seams, 'seam')}`}`,
      )}
      sunAt={warm?.end}
      sun={warm ? `sun side, ${warm.words}` : ''}
    >
      <ol aria-label={`Frames of ${name} as they are`}>
        {frames.map((frame, index) => {
          const { slot, verdict, why, ruled } = frame;
          const label = `Frame ${slot.number}`;
          return (
            <li key={slot.slot} title={say(why)}>
              <div className="flex items-center gap-1.5">
                <strong className="w-5 shrink-0 text-right text-sm">{slot.number}</strong>
                <CombStrip sides={slot.frame?.audit?.sides} label={label} />
                <select
                  aria-label={`${label}: stays, is turned, or comes out`}
                  className={`field !min-h-7 w-[6.2rem] shrink-0 !py-0 text-sm max-lg:!min-h-12 ${ruled ? 'font-bold' : ''}`}
                  value={verdict}
                  onChange={({ target }) => choose(frame, target.value as PreparedFrame['verdict'])}
                >
                  <option value="keep">✓ keep</option>
                  <option value="turn">↻ turn</option>
                  <option value="out">→ out</option>
                </select>
              </div>
              <div
                aria-hidden
                className={`ml-7 mr-[6.6rem] h-[3px] ${covered(index) ? 'border-b-[3px] border-dotted border-ink' : ''}`}
              />
              <span className="sr-only">{say(why)}</span>
            </li>
          );
        })}
      </ol>
    </Cavity>
  );
}

/** Between which frames bees sit, where seams were counted: about the middle of the brood, or of what was not looked through. */
function seamsCovered(
  frames: readonly PreparedFrame[],
  seams: number | undefined,
): (index: number) => boolean {
  const nest = frames.flatMap(({ holds }, index) => (holds === 'brood' ? [index] : []));
  const all = nest.length > 0 ? nest : frames.map((_, index) => index);
  const middle = ((all[0] ?? 0) + (all.at(-1) ?? 0)) / 2;
  return (index) => seams !== undefined && Math.abs(index + 0.5 - middle) <= seams / 2;
}
