import type { ManyRoom, TrialSides } from '@yellow-cell/core';
import type { ReactNode } from 'react';
import type { Draft } from '../../app/useLog.ts';
import type { YardView } from '../../yard/useYard.ts';

/** What an act asks once, and enters for each room. */
export interface ActForm {
  fields?: ReactNode;
  /** What is done, as the button and the message say it. */
  words: string;
  /** False while something is missing or wrong; its field says what. */
  ready: boolean;
  /** The entries for one room, the nth of those chosen, from 0. */
  drafts: (room: ManyRoom, nth: number) => Draft[];
  /** What is shown of a room to choose by, beside its status. */
  says?: (room: ManyRoom) => string;
  /** So many rooms at most, and why more want a reason. */
  most?: { rooms: number; sentence: string };
  /** Rooms that a trial lays apart, where there is not enough for all. */
  apart?: TrialSides<ManyRoom>;
}
export type UseActForm = (view: YardView) => ActForm;

export const at = ({ box: { box } }: ManyRoom) => ({ box: box.id });
