import { finisher } from './finishing.ts';
import type { Guidances } from './guidance.ts';
import { holding } from './holding.ts';
import { bank, quarters } from './keeping.ts';
import { carrying, formatChange, joining, parting } from './moving.ts';
import { lifting, shownFrame, standingGlass } from './showing.ts';
import { allInOne, closedStarter, flyingStarter } from './starting.ts';

/** What is told, counted, checked and recorded at each step; read by the playbook's own screen alone. */
export const guidances: Guidances = {
  holding,
  closedStarter,
  flyingStarter,
  allInOne,
  finisher,
  bank,
  shownFrame,
  lifting,
  standingGlass,
  formatChange,
  quarters,
  carrying,
  joining,
  parting,
};
