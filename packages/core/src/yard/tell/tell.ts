import type { Entry, EventKind } from '@yellow-cell/contract';
import type { Day } from '../../calendar/days.ts';
import { isKnown, unknownSentence } from '../upcast.ts';
import { boxTellers } from './boxTellers.ts';
import { careTellers } from './careTellers.ts';
import { frameTellers } from './frameTellers.ts';
import { playbookTellers } from './playbookTellers.ts';
import { queenTellers } from './queenTellers.ts';
import { seasonTellers } from './seasonTellers.ts';
import { stackTellers } from './stackTellers.ts';
import { statusTellers } from './statusTellers.ts';
import type { Tellers, Telling } from './telling.ts';
import { winterTellers } from './winterTellers.ts';

const tellers: Tellers<EventKind> = {
  ...boxTellers,
  ...stackTellers,
  ...statusTellers,
  ...careTellers,
  ...queenTellers,
  ...frameTellers,
  ...seasonTellers,
  ...playbookTellers,
  ...winterTellers,
};

/** Adds one event to the story, or says in a sentence why it cannot be. */
export function tell(telling: Telling, event: Entry, on: Day): string | undefined {
  if (!isKnown(event)) return unknownSentence(event);
  const teller = tellers[event.kind] as (telling: Telling, event: Entry, on: Day) => string | undefined;
  return teller(telling, event, on);
}
