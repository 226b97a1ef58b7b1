import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from '../root.ts';
import { setStage } from '../stage.ts';
import type { Figure } from './figure.ts';
import { fillLargeYard } from './largeYard.ts';
import { mapFigures } from './map.ts';
import { mixedLoadFigure } from './mixed.ts';
import { serverFigures } from './server.ts';

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** A yard of many rows, on data that outlives a crash: each thing asked by itself, then everything at once. */
export async function largeFigures(rows: number): Promise<Figure[]> {
  const dir = mkdtempSync(join(tmpdir(), 'yellow-cell-loop-'));
  const file = join(dir, 'delay.json');
  const probe = pathToFileURL(join(root, 'tools', 'bench', 'loopDelay.mjs')).href;
  const env = { NODE_OPTIONS: `--import ${probe}`, YC_LOOP_FILE: file };
  const stage = await setStage({ env, empty: true, durable: true });
  const longestHeld = async (): Promise<number> => {
    rmSync(file, { force: true });
    process.kill(stage.pid(), 'SIGUSR2');
    for (;;) {
      await pause(50);
      try {
        return JSON.parse(readFileSync(file, 'utf8')).most_ms;
      } catch {
        // Not written yet.
      }
    }
  };
  try {
    const large = await fillLargeYard(stage, rows);
    const figures = await serverFigures(stage, large);
    return [
      ...figures,
      ...(await mapFigures(stage, large)),
      await mixedLoadFigure(stage, large, longestHeld),
    ];
  } finally {
    await stage.close();
    rmSync(dir, { recursive: true, force: true });
  }
}
