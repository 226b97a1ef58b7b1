import type { CompartmentView } from './boxView.ts';

type Room = Pick<CompartmentView, 'colony' | 'bays'>;

/** The colony of a room as entries name it; of one that lives in several rooms, with a bay of the room that is meant. */
export function inRoom(
  box: { id: string },
  { colony, bays }: Room,
): { box: string; colony: string; bay?: string } {
  const [bay] = bays;
  const several = colony?.bays.some((each) => !bays.includes(each)) ?? false;
  return { box: box.id, colony: colony?.id ?? '', ...(several && bay !== undefined ? { bay } : {}) };
}

/** The attempt that is on its way in a room. */
export const attemptOf = ({
  attempt,
  status,
}: Pick<CompartmentView, 'attempt' | 'status'>): { attempt?: string } =>
  attempt && status !== 'stocked' && status !== 'failed' ? { attempt: attempt.id } : {};
