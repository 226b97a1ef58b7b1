import type { CombContent, CombSide } from '@yellow-cell/contract';
import { combWords, type FrameSlot } from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { type Draft, draft, useLog } from '../app/useLog.ts';
import { Check } from '../parts/Check.tsx';
import { Form } from '../yard/Form.tsx';
import type { BoxView, CompartmentView } from '../yard/useYard.ts';
import { CombBar, combContents, combLook } from './CombBar.tsx';

interface AuditFormProps {
  boxView: BoxView;
  compartment: CompartmentView;
  slot: FrameSlot;
  onDone: () => void;
}

const STEP = 0.25;
const SIDES = ['Side nearer the left', 'Other side'] as const;

/** What is on both sides of a frame, a quarter of a side with each tap; a long list is not typed with gloves on. */
export function AuditForm({ boxView, compartment, slot, onDone }: AuditFormProps) {
  const log = useLog();
  const [sides, setSides] = useState<[CombSide, CombSide]>(() => {
    const [a = {}, b = {}] = slot.frame?.audit?.sides ?? [];
    return [a, b];
  });
  const [bees, setBees] = useState<[number, number]>(() => {
    const [a = 0, b = 0] = slot.frame?.audit?.bees ?? [];
    return [a, b];
  });
  const [queen, setQueen] = useState(false);
  const [refused, setRefused] = useState<string>();
  const { box } = boxView;
  const { colony, status, attempt, queens } = compartment;
  if (!colony) return null;
  const tap = (at: 0 | 1, content: CombContent) =>
    setSides((now) => {
      const side = now[at];
      const others = sumOf(side) - (side[content] ?? 0);
      const next = (side[content] ?? 0) + STEP;
      const value = next + others > 1 + 1e-9 ? 0 : next;
      const { [content]: _, ...rest } = side;
      const changed: CombSide = value === 0 ? rest : { ...side, [content]: value };
      return at === 0 ? [changed, now[1]] : [now[0], changed];
    });
  const save = async () => {
    const of = { box: box.id, colony: colony.id };
    const brood = sides.some(({ eggs = 0, openBrood = 0 }) => eggs > 0 || openBrood > 0);
    const awaited = brood && (status === 'cellGiven' || status === 'virgin' || status === 'caged');
    const drafts: Draft[] = [
      draft('frameAudited', { ...of, frame: slot.frame?.id ?? newId(), slot: slot.slot, sides, bees }),
      ...(awaited ? [draft('eggsSeen', { ...of, ...(attempt ? { attempt: attempt.id } : {}) })] : []),
      ...(queen
        ? [
            draft('queenSeen', {
              ...of,
              seen: true,
              slot: slot.slot,
              ...(queens[0] ? { queen: queens[0].id } : {}),
            }),
          ]
        : []),
    ];
    const delivery = await log(
      `${box.label} ${compartment.name}: frame ${slot.number} looked through`,
      drafts,
    );
    if (delivery.state === 'refused') setRefused(delivery.problems[0]?.sentence);
    else onDone();
  };
  return (
    <Form save="Keep" onSave={save} onCancel={onDone}>
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
                  onClick={() => tap(at, content)}
                >
                  <span className="flex items-center gap-1">
                    <span
                      aria-hidden
                      className="inline-block size-3 border border-hairline"
                      style={combLook[content].style}
                    />
                    {value > 0 ? QUARTERS[Math.round(value / STEP)] : ''}
                  </span>
                  {combWords[content]}
                </button>
              );
            })}
          </div>
          <label className="mt-1.5 flex items-center gap-2 text-sm">
            Bees on it
            <input
              type="range"
              className="flex-1 accent-yellow"
              min={0}
              max={1}
              step={STEP}
              value={bees[at]}
              onChange={({ target }) =>
                setBees((now) => (at === 0 ? [Number(target.value), now[1]] : [now[0], Number(target.value)]))
              }
            />
            <span className="w-10 text-right">{Math.round(bees[at] * 100)} %</span>
          </label>
        </fieldset>
      ))}
      <Check tall label="The queen is on this frame" checked={queen} onChange={setQueen} />
    </Form>
  );
}

const QUARTERS = ['', '¼', '½', '¾', '1'] as const;
const sumOf = (side: CombSide): number =>
  Object.values(side).reduce<number>((sum, part) => sum + (part ?? 0), 0);
