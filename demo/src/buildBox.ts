import type { Payload } from '@yellow-cell/contract';
import { type Day, deriveBox } from '@yellow-cell/core';
import type { DemoDesign } from './designs.ts';
import type { Diary } from './diary.ts';
import type { Place } from './season.ts';

/** A box that is built one day and stands where it is wanted some days later; gives its rooms, empty. */
export function buildBox(
  diary: Diary,
  { saved, content }: DemoDesign,
  { label, ...spot }: { label: string } & Payload<'boxPlaced'>,
  built: Day,
  placed: Day,
  winters: boolean,
): Place[] {
  const { box, yard } = spot;
  diary.write('boxBuilt', built, { box, label, design: saved.id, version: 1 }, { hour: 14 });
  diary.write('boxPlaced', placed, spot);
  return deriveBox(content).compartments.map(({ bays, frames }) => ({
    box,
    yard,
    bays: [...bays],
    frames: frames.length,
    slots: frames.map(({ id }) => id),
    winters,
    status: 'empty',
    freeOn: placed,
  }));
}
