import type { Guidances } from './guidance.ts';
import { bank, quarters } from './keeping.ts';
import { carrying, formatChange, joining, parting } from './moving.ts';
import { lifting, shownFrame, standingGlass } from './showing.ts';
import { allInOne, closedStarter, finisher, flyingStarter, holding } from './starting.ts';

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
