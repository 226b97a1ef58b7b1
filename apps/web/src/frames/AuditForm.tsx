import type { CombContent, CombSide } from '@yellow-cell/contract';
import { combWords } from '@yellow-cell/core';
import { Form } from '../yard/Form.tsx';
import { CombBar, combContents, combLook } from './CombBar.tsx';
import { AlsoSeen, BeesOn } from './LookFields.tsx';
import { type LookingProps, SIDES, useLooking } from './useLooking.ts';

const STEP = 0.25;

/** What is on both sides of a frame, a quarter of a side with each tap; a long list is not typed with gloves on. */
export function AuditForm(props: LookingProps) {
  const looking = useLooking(props);
  const { sides, setSide, refused, save } = looking;
  if (!props.compartment.colony) return null;
  return (
    <Form save="Keep" onSave={save} onCancel={props.onDone}>
      {refused && (
        <p role="alert" className="text-danger">
          {refused}
        </p>
      )}
      {([0, 1] as const).map((at) => (
        <fieldset key={SIDES[at]} className="mb-3">
          <legend className="font-semibold">{SIDES[at]}</legend>
          <CombBar side={sides[at]} label={SIDES[at]} />
          <div className="mt-1.5 grid grid-cols-4 gap-1">
            {combContents.map((content) => {
              const value = sides[at][content] ?? 0;
              return (
                <button
                  key={content}
                  type="button"
                  className={`button min-h-11 flex-col gap-0 px-1 py-0.5 text-sm leading-tight ${value > 0 ? 'bg-glow' : 'font-normal'}`}
                  aria-label={`${SIDES[at]}: ${combWords[content]}, ${Math.round(value * 100)} %; a quarter more`}
                  onClick={() => setSide(at, (before) => withQuarterMore(before, content))}
                >
                  <span className="flex items-center gap-1">
                    <span
                      aria-hidden
                      className="inline-block size-3 border border-hairline"
                      style={combLook[content].style}
                    />
                    {value > 0 ? (QUARTERS[value / STEP] ?? `${Math.round(value * 100)} %`) : ''}
                  </span>
                  {combWords[content]}
                </button>
              );
            })}
          </div>
          <button
            type="button"
            className="button mt-1 min-h-11 w-full text-sm font-normal"
            aria-label={`${SIDES[at]}: empty drawn comb`}
            onClick={() => setSide(at, {})}
          >
            empty drawn comb
          </button>
          <BeesOn looking={looking} at={at} />
        </fieldset>
      ))}
      <AlsoSeen looking={looking} />
    </Form>
  );
}

/** A quarter more of a content, or what is left of the side; none of it once the side is full. */
export function withQuarterMore(side: CombSide, content: CombContent): CombSide {
  const { [content]: had = 0, ...rest } = side;
  const most = 1 - sumOf(rest);
  return had > most - 1e-9 ? rest : { ...side, [content]: Math.min(most, had + STEP) };
}

const QUARTERS: Readonly<Record<number, string>> = { 1: '¼', 2: '½', 3: '¾', 4: '1' };
const sumOf = (side: CombSide): number =>
  Object.values(side).reduce<number>((sum, part) => sum + (part ?? 0), 0);
