import {
  type Arrangement,
  type AutumnLine,
  type KeptFrame,
  type Preparation,
  prepareRoom,
  type School,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { keep } from '../app/kept.ts';
import { SCHOOL, usualArrangement, type Warm, warmSideOf } from './arrangement.ts';
import type { WinterView } from './useWinter.ts';

export interface Preparing {
  preparation: Preparation | undefined;
  arrangement: Arrangement;
  /** The same with each school, to be held against one another. */
  bySchool: ReadonlyMap<School, Preparation | undefined>;
  warm: Warm | undefined;
  change: (patch: Partial<Arrangement>) => void;
  /** Frames are put by another school, as its rule has them. */
  chooseSchool: (school: School) => void;
  /** The frames that stay, as the breeder has them from now on. */
  setKept: (kept: readonly KeptFrame[]) => void;
  /** As the rules have it again. */
  reset: () => void;
}

/** How one colony is to be wintered, as the rules have it and as the breeder has it otherwise, with what follows from it. */
export function usePreparation({ view, season }: WinterView, line: AutumnLine): Preparing {
  const { box, room, seams, stores_kg } = line;
  const warm = useMemo(() => warmSideOf(view, line, season.on), [view, line, season.on]);
  // Frames that were moved as planned stand elsewhere since.
  const planned = line.plan?.preparedOn ? undefined : line.plan?.room;
  const [changed, setChanged] = useState<Partial<Arrangement>>(() =>
    planned
      ? {
          kept: planned.keeps,
          end: planned.end,
          follower: planned.follower,
          insulation_mm: planned.insulation_mm,
        }
      : {},
  );
  const arrangement = useMemo(
    (): Arrangement => ({ ...usualArrangement(line, warm, season.constants), ...changed }),
    [warm, line, season.constants, changed],
  );
  const { state } = view;
  const prepare = useMemo(
    () => (with_: Arrangement) => prepareRoom(state, box, room, { seams, stores_kg }, with_, season),
    [state, box, room, seams, stores_kg, season],
  );
  const preparation = useMemo(() => prepare(arrangement), [prepare, arrangement]);
  const bySchool = useMemo(() => {
    const { kept: _, ...ruled } = arrangement;
    return new Map(
      (['sun', 'both', 'behind'] as const).map((school) => [school, prepare({ ...ruled, school })]),
    );
  }, [prepare, arrangement]);
  return {
    preparation,
    arrangement,
    bySchool,
    warm,
    change: (patch) => setChanged((before) => ({ ...before, ...patch })),
    chooseSchool: (school) => {
      keep(SCHOOL, school);
      setChanged(({ kept: _, ...before }) => ({ ...before, school }));
    },
    setKept: (kept) => setChanged((before) => ({ ...before, kept })),
    reset: () => setChanged({}),
  };
}
