import {
  type Arrangement,
  type AutumnLine,
  compassPoint,
  type End,
  type KeptFrame,
  type Preparation,
  prepareRoom,
  type School,
  type WarmSide,
  warmSide,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { keep, readKept } from '../app/kept.ts';
import type { WinterView } from './useWinter.ts';

const SCHOOL = 'yc-winter-school';
const INSULATION_MM = 60;
/** More by so much, one side is told from the other. */
const TOLD_APART = 0.03;

export interface Preparing {
  preparation: Preparation | undefined;
  arrangement: Arrangement;
  /** The same with each school, to be held against one another. */
  bySchool: ReadonlyMap<School, Preparation | undefined>;
  warm: (WarmSide & { words: string }) | undefined;
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
  const { bearing_deg } = box.box.place ?? {};
  const warm = useMemo(() => {
    if (bearing_deg === undefined) return undefined;
    const side = warmSide(bearing_deg, view.yard.latitude_deg, season.on);
    return side.more < TOLD_APART ? undefined : { ...side, words: compassPoint(side.bearing_deg) };
  }, [bearing_deg, view.yard.latitude_deg, season.on]);
  const planned = room.colony?.winter?.room;
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
  const arrangement = useMemo((): Arrangement => {
    const sunSide = warm?.end ?? 'left';
    return {
      school: readKept<School>(SCHOOL) ?? (warm ? 'sun' : 'both'),
      sunSide,
      end: besidePartner(line) ?? sunSide,
      follower: true,
      insulation_mm: INSULATION_MM,
      ...changed,
    };
  }, [warm, line, changed]);
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

/** Bees over a divider are the warmest wall there is. */
function besidePartner({ box, room }: AutumnLine): End | undefined {
  const lives = (position: number): boolean => {
    const other = box.compartments[position];
    return other?.colony !== undefined && other.colony.id !== room.colony?.id;
  };
  if (lives(room.position - 1)) return 'left';
  return lives(room.position + 1) ? 'right' : undefined;
}
