import type { WinterAct } from '@yellow-cell/contract';
import { countOf } from '../say/words.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import { roomName } from '../yard/roomName.ts';
import type { Kin } from '../yard/warn/joining.ts';
import type { AutumnLine } from './autumn.ts';
import { STORES_FRAMES } from './preparation.ts';

/** One way to winter a colony, as a plan of it is entered. */
export interface YardWay {
  act: WinterAct;
  line: AutumnLine;
  /** The room that it winters in, its own or another. */
  at?: { box: BoxView; room: CompartmentView };
  /** The colony that it joins, and how they are kin. */
  into?: AutumnLine;
  kin?: Kin;
  /** Pushed together with one of these, boxes of its kind nearby. */
  row?: readonly BoxView[];
  sugar_kg: number;
}

/** A way as a sentence names it; with whom it is pushed together hangs on the ways of others. */
export function doing({ act, line, at, into, kin, row }: YardWay, pushedTo: readonly string[] = []): string {
  const pushed = row ? `, pushed together with ${pushedTo.join(' and ') || 'one of its kind'}` : '';
  switch (act) {
    case 'combine':
      return `joins ${into ? roomName(into) : ''}${kin === 'strangers' ? ', strangers' : ''}`;
    case 'move':
      return `moves to ${at ? roomName(at) : ''}`;
    case 'reduce':
      return `is reduced to ${countOf(keepsOf(line), 'frame')}${pushed}`;
    default:
      return `stays as it is${pushed}`;
  }
}

/** Combs that it keeps where it is reduced. */
export const keepsOf = ({ seams = 0, keeps }: AutumnLine): number =>
  keeps ?? Math.ceil(seams) + STORES_FRAMES;
