import { Check } from '../parts/Check.tsx';
import { type Looking, SIDES } from './useLooking.ts';

/** How much of a side bees cover. */
export function BeesOn({ looking: { bees, setBeesOn }, at }: { looking: Looking; at: 0 | 1 }) {
  return (
    <label className="mt-1.5 flex items-center gap-2 text-sm">
      Bees on it
      <input
        type="range"
        className="flex-1 accent-yellow"
        aria-label={`Bees on the ${SIDES[at].toLowerCase()}`}
        min={0}
        max={1}
        step={0.25}
        value={bees[at]}
        onChange={({ target }) => setBeesOn(at, Number(target.value))}
      />
      <span className="w-10 text-right">{Math.round(bees[at] * 100)} %</span>
    </label>
  );
}

/** What is told with a frame: its queen, and that its neighbours are like it. */
export function AlsoSeen({ looking: { queen, setQueen, all, setAll, count } }: { looking: Looking }) {
  return (
    <>
      <Check tall label="The queen is on this frame" checked={queen} onChange={setQueen} />
      {count > 1 && (
        <Check tall label={`All ${count} frames of this room are like it`} checked={all} onChange={setAll} />
      )}
    </>
  );
}
