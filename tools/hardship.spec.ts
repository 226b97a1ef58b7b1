import { describe, expect, it } from 'vitest';
import { buildIfChanged } from './build.ts';
import { tryFaults, wrongIn } from './faults/faults.ts';
import { fuzz } from './fuzz/fuzz.ts';
import { setStage } from './stage.ts';

/** A short run of what `npm run suites` does at length: parts of the program killed under load, and spoiled requests. */
buildIfChanged();

describe('the program under hardship', () => {
  it('loses and doubles nothing while parts of it are killed, and comes up again without a hand', async () => {
    const report = await tryFaults(5, 5);
    expect(wrongIn(report)).toEqual([]);
  });

  it('answers spoiled requests with a sentence, and none with a failure of its own', async () => {
    const stage = await setStage();
    try {
      const { wrong, statuses } = await fuzz(stage.url, stage.pid(), 2_000, 5);
      // How long a request takes says nothing on a machine that does other things beside.
      expect(wrong.filter((each) => !/^\d+ ms/.test(each))).toEqual([]);
      expect(statuses['422']).toBeGreaterThan(250);
      expect(statuses['200']).toBeGreaterThan(250);
    } finally {
      await stage.close();
    }
  });
});
