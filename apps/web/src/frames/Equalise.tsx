import { type Equalising, equalisings } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import type { YardView } from '../yard/useYard.ts';
import { movesBetween, type Place } from './moves.ts';

/** What could be equalised in this yard: frame and target, never the frame that the queen is on. */
export function Equalise({ view }: { view: YardView }) {
  const say = useSay();
  const log = useLog();
  const found = equalisings(
    view.state,
    view.designs,
    view.boxes.map(({ box }) => box),
    view.constants,
  );
  const place = ({ box, slot, compartment }: Equalising['from'] | Equalising['to']): Place => ({
    box: box.id,
    ...slot,
    colony: compartment.colony?.id,
  });
  return (
    <section aria-label="To equalise" className="mt-6 max-w-3xl">
      <h2 className="eyebrow">To equalise</h2>
      {found.length === 0 && (
        <p className="text-soft">
          Nothing to propose: it wants a crowded compartment with a frame of sealed brood looked through, and
          a weak one. Count seams of bees on a compartment’s slip under “More”.
        </p>
      )}
      <ul>
        {found.map((each) => {
          const { from, to, reason, findQueenFirst } = each;
          const title = `Frame ${from.slot.number} of ${from.box.label} ${from.compartment.name} to ${to.box.label} ${to.compartment.name}, place ${to.slot.number}`;
          return (
            <li key={from.slot.slot + from.box.id} className="row-line items-center">
              <span>
                <strong>{title}.</strong> {say(reason)}{' '}
                {findQueenFirst && 'Where the queen is was not recorded: find her before the frame leaves.'}
              </span>
              <button
                type="button"
                className="button min-h-11 shrink-0"
                onClick={() =>
                  void log(title, [
                    draft('framesMoved', {
                      moves: movesBetween(place(from), place(to)),
                      purpose: 'equalise',
                    }),
                  ])
                }
              >
                Done so
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
