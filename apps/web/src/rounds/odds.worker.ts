import { seasonOdds } from '@yellow-cell/core';
import { expose } from 'comlink';

/** A plan is played ten thousand times beside the page, which does not stand still for it. */
const oddsWorker = { odds: seasonOdds };
export type OddsWorker = typeof oddsWorker;
expose(oddsWorker);
