import type { CombContent } from '@yellow-cell/contract';
import { type CombField, combFields, combShares, combWords, showDay } from '@yellow-cell/core';
import { useRef, useState } from 'react';
import { useSay } from '../app/units.ts';
import { useOnce } from '../parts/useOnce.ts';
import { withQuarterMore } from './AuditForm.tsx';
import { combContents, combLook } from './CombBar.tsx';
import { CombPaint } from './CombPaint.tsx';
import { AlsoSeen, BeesOn } from './LookFields.tsx';
import { type LookingProps, SIDES, useLooking } from './useLooking.ts';

/** Where no frame says otherwise: a side is about twice as long as it is high. */
const USUAL_ASPECT = 2;

type Fields = readonly [CombField[], CombField[]];

/** Both sides of the chosen frame, drawn as they were last seen, and painted as they are now. */
export function FramePanel(props: Omit<LookingProps, 'onDone'>) {
  const say = useSay();
  const looking = useLooking({ ...props, onDone: () => again() });
  const { sides, setSide, touched, refused } = looking;
  const save = useOnce(looking.save);
  const { boxView, compartment, slot } = props;
  const audit = slot.frame?.audit;
  const seen = (): Fields => [combFields(audit?.sides[0] ?? {}), combFields(audit?.sides[1] ?? {})];
  const [fields, setFields] = useState(seen);
  // A pointer moves more often than the page is drawn: each stroke goes on from the last, and not from what is drawn.
  const latest = useRef(fields);
  const [brush, setBrush] = useState<CombContent | 'empty'>('sealed');
  const canEnter = compartment.colony !== undefined;
  const format = boxView.model.frames.find(({ id }) => id === slot.slot)?.format;
  const said = (at: 0 | 1) => (audit || touched ? sharesIn(fields[at]) : 'not looked at');
  const draw = (now: Fields) => {
    latest.current = now;
    setFields(now);
  };
  const show = (at: 0 | 1, side: CombField[]) => {
    const [left, right] = latest.current;
    draw(at === 0 ? [side, right] : [left, side]);
    setSide(at, combShares(side));
  };
  const paint = (at: 0 | 1) => (which: readonly number[]) => {
    const now = [...latest.current[at]];
    for (const field of which) now[field] = brush === 'empty' ? null : brush;
    show(at, now);
  };
  function again() {
    draw(seen());
    looking.again();
  }
  return (
    <section aria-label={`Frame ${slot.number} of ${boxView.box.label} ${compartment.name}`}>
      <h2 className="text-lg">
        {boxView.box.label} {compartment.name}, frame {slot.number}
      </h2>
      <p className="text-soft">
        {audit ? `As seen on ${say(showDay(audit.on))}, by its shares.` : 'Not looked at yet.'}
        {canEnter ? ' Choose what you see, and paint it on.' : ''}
      </p>
      {canEnter && (
        <div role="group" aria-label="What is painted" className="my-2 grid grid-cols-3 gap-1">
          {[...combContents, 'empty' as const].map((content) => (
            <button
              key={content}
              type="button"
              aria-pressed={brush === content}
              className={`button min-h-11 justify-start px-2 text-sm ${brush === content ? 'bg-glow' : 'font-normal'}`}
              onClick={() => setBrush(content)}
            >
              <span
                aria-hidden
                className="inline-block size-5 shrink-0 border border-hairline bg-slip"
                style={content === 'empty' ? undefined : combLook[content].style}
              />
              {content === 'empty' ? 'empty comb' : combWords[content]}
            </button>
          ))}
        </div>
      )}
      <div className="grid grid-cols-2 gap-4">
        {([0, 1] as const).map((at) => (
          <fieldset key={SIDES[at]} className="mb-3 min-w-0">
            <legend className="flex w-full flex-wrap items-baseline gap-x-3">
              <strong>{SIDES[at]}</strong>
            </legend>
            <CombPaint
              fields={fields[at]}
              label={`${SIDES[at]}: ${said(at)}`}
              aspect={format ? format.bodyLength_mm / format.depth_mm : USUAL_ASPECT}
              onPaint={canEnter ? paint(at) : undefined}
            />
            <p className="min-h-10 text-sm text-soft">{said(at)}</p>
            {canEnter && (
              <div className="mt-1 flex flex-wrap gap-1">
                {brush !== 'empty' && (
                  <button
                    type="button"
                    className="button min-h-11 text-sm font-normal"
                    onClick={() => show(at, combFields(withQuarterMore(sides[at], brush)))}
                  >
                    ¼ more {combWords[brush]}
                  </button>
                )}
                <button
                  type="button"
                  className="button min-h-11 text-sm font-normal"
                  onClick={() => show(at, combFields(brush === 'empty' ? {} : { [brush]: 1 }))}
                >
                  All {brush === 'empty' ? 'empty comb' : combWords[brush]}
                </button>
                {at === 1 && (
                  <button
                    type="button"
                    className="button min-h-11 text-sm font-normal"
                    onClick={() => show(1, [...fields[0]])}
                  >
                    Like the first side
                  </button>
                )}
              </div>
            )}
            {canEnter && <BeesOn looking={looking} at={at} />}
          </fieldset>
        ))}
      </div>
      {canEnter ? (
        <>
          <AlsoSeen looking={looking} />
          {refused && (
            <p role="alert" className="mb-2 text-danger">
              {say(refused)}
            </p>
          )}
          <div className="flex gap-2">
            <button type="button" className="button button-main min-h-12" disabled={!touched} onClick={save}>
              Keep
            </button>
            {touched && (
              <button type="button" className="button min-h-12" onClick={again}>
                As it was
              </button>
            )}
          </div>
        </>
      ) : (
        <p className="text-soft">No bees live here: there is nothing to enter.</p>
      )}
    </section>
  );
}

/** What is on the fields, in words. */
function sharesIn(fields: readonly CombField[]): string {
  const shares = combShares(fields);
  const said = combContents.flatMap((content) => {
    const share = shares[content];
    return share ? [`${combWords[content]} ${Math.round(share * 100)} %`] : [];
  });
  return said.join(', ') || 'empty drawn comb';
}
