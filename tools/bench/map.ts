import { chromium } from '@playwright/test';
import { chromiumFlags, chromiumPath } from '../chromium.ts';
import type { Stage } from '../stage.ts';
import type { Figure } from './figure.ts';
import type { LargeYard } from './largeYard.ts';

const TASK_MS = 50;
const BLOCKING_MS = 300;
const LAST_MS = 1_500;
/** Nothing more is done once so long nothing was. */
const QUIET_MS = 2_000;

/** The map of a large yard: how long the page could not answer in all, and when its last long task ended. */
export async function mapFigures(stage: Stage, { yard, boxes }: LargeYard): Promise<Figure[]> {
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumFlags });
  try {
    const tries: Task[][] = [];
    for (let turn = 0; turn < 3; turn++) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
      await page.addInitScript(watchTasks);
      await page.goto(`${stage.url}/yard/${yard}?view=map`);
      await page.waitForLoadState('networkidle');
      await page.waitForTimeout(QUIET_MS);
      tries.push(await page.evaluate(() => (globalThis as unknown as { tasks: Task[] }).tasks));
      await page.close();
    }
    const middle = (of: (tasks: readonly Task[]) => number): number =>
      tries.map(of).sort((a, b) => a - b)[1] ?? Number.NaN;
    const blocking = middle((tasks) => tasks.reduce((sum, { ms }) => sum + Math.max(0, ms - TASK_MS), 0));
    const last = middle((tasks) => Math.max(0, ...tasks.map(({ at, ms }) => at + ms)));
    const of = `map of ${Math.min(boxes, 1_000)} boxes`;
    const line = (what: string, ours: number, baseline: number, wanted: string): Figure => ({
      what: `${of}: ${what}`,
      ours,
      baseline,
      unit: 'ms',
      against: 'the budget',
      holds: ours <= baseline,
      wanted,
    });
    return [
      line('blocking in all', blocking, BLOCKING_MS, 'of 500, at most 300 ms'),
      line('its last long task ends', last, LAST_MS, 'of 500, at most 1.5 s'),
    ];
  } finally {
    await browser.close();
  }
}

interface Task {
  at: number;
  ms: number;
}

/** Runs in the page, before anything of it. */
function watchTasks(): void {
  const tasks: { at: number; ms: number }[] = [];
  (globalThis as unknown as { tasks: typeof tasks }).tasks = tasks;
  new PerformanceObserver((list) => {
    for (const { startTime, duration } of list.getEntries()) tasks.push({ at: startTime, ms: duration });
  }).observe({ type: 'longtask', buffered: true });
}
