import type { Reading } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgeFeed, reportOf } from './judge.ts';

const NOW = '2026-02-01T12:00:00.000Z';
const at = (minutes: number) => new Date(Date.parse(NOW) + minutes * 60_000).toISOString();
const feed = (minutes: number, more: object) => ({ hives: [{ box: 'B1', at: at(minutes), ...more }] });
/** Feeds told one after another. */
const told = (...feeds: object[]): Reading[] => {
  const known: Reading[] = [];
  for (const each of feeds) known.push(...judgeFeed(each, known, NOW));
  return known;
};
const flags = (...feeds: object[]) => told(...feeds).map(({ flag }) => flag);

describe('a reading', () => {
  it('is taken where it is like the one before, and set aside with its reason where it is not', () => {
    expect(flags(feed(-60, { temperature_C: 31 }), feed(-50, { temperature_C: 33 }))).toEqual([null, null]);
    expect(flags(feed(-60, { temperature_C: 31 }), feed(-50, { temperature_C: 'error' }))).toEqual([
      null,
      'notANumber',
    ]);
    expect(flags(feed(-60, { weight_kg: 900 }))).toEqual(['outOfRange']);
    expect(flags(feed(30, { humidity_pct: 60 }))).toEqual(['future']);
    expect(
      flags(feed(-60, { weight_kg: 30 }), feed(-50, { weight_kg: 70 }), feed(-40, { weight_kg: 30.2 })),
    ).toEqual([null, 'jump', null]);
  });

  it('that jumps and is borne out by the next was real', () => {
    expect(
      flags(feed(-60, { weight_kg: 30 }), feed(-50, { weight_kg: 38 }), feed(-40, { weight_kg: 38.1 })),
    ).toEqual([null, 'jump', null]);
    expect(
      flags(
        feed(-60, { weight_kg: 30 }),
        feed(-50, { weight_kg: 38 }),
        feed(-40, { weight_kg: 30.1 }),
        feed(-30, { weight_kg: 30 }),
      ),
    ).toEqual([null, 'jump', null, null]);
  });

  it('that comes again is left out, one that never wavers is a probe that hangs', () => {
    expect(told(feed(-60, { weight_kg: 30 }), feed(-60, { weight_kg: 31 }))).toHaveLength(1);
    const same = Array.from({ length: 14 }, (_, index) => feed(-200 + index * 10, { temperature_C: 20 }));
    expect(flags(...same).slice(-4)).toEqual([null, 'stuck', 'stuck', 'stuck']);
  });

  it('is never more than what was sent, whatever is sent', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (whole, hive) => {
        for (const sent of [
          whole,
          { hives: whole },
          { hives: [hive] },
          { hives: [{ box: 'B1', at: NOW, weight_kg: hive }] },
        ])
          for (const { value, flag } of judgeFeed(sent, [], NOW))
            expect(value === null).toBe(flag === 'notANumber');
      }),
    );
  });
});

describe('what is known of a box', () => {
  it('is the newest that can be trusted, what was set aside and why, and silence', () => {
    const readings = told(
      feed(-300, { temperature_C: 31, weight_kg: 30 }),
      feed(-290, { temperature_C: 'x', weight_kg: 30.1 }),
    );
    const [report] = reportOf(readings, NOW);
    expect(report?.latest.map(({ measure, value }) => [measure, value])).toEqual([
      ['temperature_C', 31],
      ['weight_kg', 30.1],
    ]);
    expect(report?.setAside[0]?.sentence).toBe('“x” is no number.');
    expect(report?.silentSince).toBe(at(-290));
    expect(reportOf(told(feed(-20, { weight_kg: 30 })), NOW)[0]?.silentSince).toBeNull();
  });
});
