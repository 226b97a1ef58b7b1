import type { Frame, FramePlace } from '@yellow-cell/contract';
import { purposeWords, showDay } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import type { BoxView, YardView } from '../yard/useYard.ts';
import { putBack } from './moves.ts';

/** Frames of a box that are out of it, each with the place it goes back to. */
export function Outside({ view, boxView }: { view: YardView; boxView: BoxView }) {
  const say = useSay();
  const log = useLog();
  const out = [...view.state.frames.values()].flatMap((frame) =>
    frame.out?.from.box === boxView.box.id ? [{ frame, out: frame.out }] : [],
  );
  if (out.length === 0) return null;
  const back = (frame: Frame, place: FramePlace) =>
    log(`Frame back in ${boxView.box.label}`, [
      draft('framesMoved', { moves: putBack(frame, place), purpose: 'other' }),
    ]);
  return (
    <>
      <h3 className="eyebrow">Out of it</h3>
      <ul>
        {out.map(({ frame, out: { from, on, purpose, backBy, where } }) => (
          <li key={frame.id} className="row-line items-center">
            <span>
              {numberOf(boxView, from.slot)}, {purposeWords[purpose]} since {say(showDay(on, view.on))}
              {where ? `, at “${where}”` : ''}
              {backBy ? `; back by ${say(showDay(backBy, view.on))}` : ''}
            </span>
            <button type="button" className="button min-h-11" onClick={() => void back(frame, from)}>
              Put back
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

function numberOf({ model, compartments }: BoxView, slot: string): string {
  for (const [index, room] of model.compartments.entries()) {
    const at = room.frames.findIndex(({ id }) => id === slot);
    if (at >= 0) return `${compartments[index]?.name ?? ''} ${at + 1}`;
  }
  return 'A frame';
}
