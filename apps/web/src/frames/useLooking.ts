import type { CombSide } from '@yellow-cell/contract';
import { type FrameSlot, hangsComb } from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { type Draft, draft, useLog } from '../app/useLog.ts';
import type { BoxView, CompartmentView } from '../yard/useYard.ts';

export interface LookingProps {
  boxView: BoxView;
  compartment: CompartmentView;
  slot: FrameSlot;
  /** All places of the room. */
  slots: readonly FrameSlot[];
  onDone: () => void;
}

export const SIDES = ['Side nearer the left', 'Other side'] as const;

const changed = <T>([a, b]: readonly [T, T], at: 0 | 1, value: T): [T, T] =>
  at === 0 ? [value, b] : [a, value];

function seenBefore({ frame }: FrameSlot): { sides: [CombSide, CombSide]; bees: [number, number] } {
  const [left = {}, right = {}] = frame?.audit?.sides ?? [];
  const [onLeft = 0, onRight = 0] = frame?.audit?.bees ?? [];
  return { sides: [left, right], bees: [onLeft, onRight] };
}

/** What is seen on both sides of a frame, begun with what was seen last, and kept as one act. */
export function useLooking({ boxView: { box }, compartment, slot, slots, onDone }: LookingProps) {
  const log = useLog();
  const [sides, setSides] = useState(() => seenBefore(slot).sides);
  const [bees, setBees] = useState(() => seenBefore(slot).bees);
  const [queen, setQueen] = useState(false);
  const [all, setAll] = useState(false);
  const [touched, setTouched] = useState(false);
  const [refused, setRefused] = useState<string>();
  /** What is pressed blindly records nothing: it must have been touched. */
  const touching =
    <A extends unknown[]>(set: (...given: A) => void) =>
    (...given: A) => {
      setTouched(true);
      set(...given);
    };
  const frames = slots.filter(hangsComb);
  const save = async () => {
    const { colony, status, attempt, queens } = compartment;
    if (!colony) return;
    if (!touched) {
      setRefused('Nothing is told of it yet: say what is on it, or that its comb is empty.');
      return;
    }
    const of = { box: box.id, colony: colony.id };
    const brood = sides.some(({ eggs = 0, openBrood = 0 }) => eggs > 0 || openBrood > 0);
    const awaited = brood && (status === 'cellGiven' || status === 'virgin' || status === 'caged');
    const drafts: Draft[] = [
      ...(all ? frames : [slot]).map((each) =>
        draft('frameAudited', { ...of, frame: each.frame?.id ?? newId(), slot: each.slot, sides, bees }),
      ),
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
    const what = all ? `all ${frames.length} frames alike` : `frame ${slot.number} looked through`;
    const delivery = await log(`${box.label} ${compartment.name}: ${what}`, drafts);
    if (delivery.state === 'refused') setRefused(delivery.problems[0]?.sentence);
    else onDone();
  };
  return {
    sides,
    setSide: touching((at: 0 | 1, side: CombSide | ((before: CombSide) => CombSide)) =>
      setSides((now) => changed(now, at, typeof side === 'function' ? side(now[at]) : side)),
    ),
    bees,
    setBeesOn: touching((at: 0 | 1, share: number) => setBees((now) => changed(now, at, share))),
    queen,
    setQueen: touching(setQueen),
    all,
    setAll: touching(setAll),
    touched,
    /** As it was seen last. */
    again: () => {
      setSides(seenBefore(slot).sides);
      setBees(seenBefore(slot).bees);
      setQueen(false);
      setAll(false);
      setTouched(false);
    },
    /** Frames of the room that can be looked through. */
    count: frames.length,
    refused,
    save,
  };
}
export type Looking = ReturnType<typeof useLooking>;
