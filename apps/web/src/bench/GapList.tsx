import { type BoxModel, showLength } from '@yellow-cell/core';
import { useUnits } from '../app/units.ts';
import { gapWords } from './GapLights.tsx';

const WHERE: Readonly<Record<BoxModel['gaps'][number]['kind'], string>> = {
  besideFrames: 'beside the frames',
  frameEnd: 'at the frames’ ends',
  aboveFrames: 'above the frames',
  underFrames: 'under the frames',
  joint: 'to the frames below',
  pane: 'comb to pane',
  paneToPane: 'pane to pane',
};

/** The clear distances of one space in words, for who cannot point at them. */
export function GapList({ model, space }: { model: BoxModel; space: string }) {
  const units = useUnits();
  const gaps = model.gaps.filter((gap) => gap.space === space);
  if (gaps.length === 0) return null;
  return (
    <details className="mb-1">
      <summary className="text-sm text-soft">Gaps around its frames</summary>
      <ul className="text-sm">
        {gaps.map(({ id, kind, gap_mm, verdict }) => (
          <li key={id} className="flex justify-between gap-2 border-b border-hairline py-0.5">
            <span>
              {showLength(gap_mm, units)} {WHERE[kind]}
            </span>
            <span className="text-soft">{gapWords[verdict]}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
