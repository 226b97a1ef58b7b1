import { layouts } from '@yellow-cell/core';
import { expose } from 'comlink';

/** The solver beside the page, so that the drawing never waits for it. */
const solver = { layouts };
export type LayoutSolver = typeof solver;
expose(solver);
