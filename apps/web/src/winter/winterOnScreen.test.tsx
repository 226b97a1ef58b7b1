// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import type { LogEvent, Measures } from '@yellow-cell/contract';
import { inMeasures, METRIC, type SideBySide, sideBySide } from '@yellow-cell/core';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { BOX, bays, built, id, serverWith, show, slots, told } from '../yard/onScreen.test.kit.tsx';
import type { YardView } from '../yard/useYard.ts';
import { BeforeWinter, YardTotals } from './BeforeWinter.tsx';
import { Beside } from './Beside.tsx';
import { FeedAndStrips } from './FeedAndStrips.tsx';
import { IntoSpring } from './IntoSpring.tsx';
import { Losses } from './Losses.tsx';
import { usePreparation } from './usePreparation.ts';
import { useWinterOf, type WinterView } from './useWinter.ts';

const asked: SideBySide[] = [];
let broken = false;
vi.mock('../bench/benchWorker.ts', () => ({
  benchWorker: () => ({
    sideBySide: async (question: SideBySide) => {
      asked.push(question);
      if (broken) throw new Error('The worker was stopped.');
      return sideBySide(question);
    },
  }),
}));

const POUNDS: Measures = { ...METRIC, weight: 'lb' };
const [WEST, MIDDLE] = [id(11), id(12)];
const stocked = (colony: string, at: number): LogEvent =>
  told('stocked', '2026-05-01', {
    box: BOX,
    colony,
    bays: bays.slice(at, at + 1),
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 2,
    openBrood: false,
    queen: 'laying',
  });
const seams = (colony: string, count: number, on: string) =>
  told('strengthSeen', on, { box: BOX, colony, seams: count });
/** Two colonies in a box of three rooms, both counted on a day, of one of them the frames looked through. */
const countedOn = (on: string): readonly LogEvent[] => [
  ...built,
  stocked(WEST, 0),
  stocked(MIDDLE, 1),
  seams(WEST, 3, on),
  seams(MIDDLE, 2, on),
  ...slots.slice(0, 3).map((slot, at) =>
    told('frameAudited', on, {
      box: BOX,
      colony: WEST,
      frame: id(51 + at),
      slot,
      sides: [{ stores: 0.1 }, { stores: 0.1 }],
    }),
  ),
];
const autumn = countedOn('2026-10-01');

function Seen({ view, children }: { view: YardView; children: (winter: WinterView) => React.ReactNode }) {
  return children(useWinterOf(view));
}
const winterOn = (
  on: string,
  events: readonly LogEvent[],
  children: (winter: WinterView) => React.ReactNode,
  measures: Measures = METRIC,
) => show(serverWith(events), (view) => <Seen view={view}>{children}</Seen>, { on, measures });

function Opened({ winter }: { winter: WinterView }) {
  const line = winter.lines[0];
  return line ? <Prepared winter={winter} line={line} /> : null;
}
function Prepared({ winter, line }: { winter: WinterView; line: WinterView['lines'][number] }) {
  return <Beside winter={winter} line={line} preparing={usePreparation(winter, line)} />;
}

afterEach(() => {
  cleanup();
  asked.length = 0;
  broken = false;
});

describe('a yard before winter', () => {
  const both = (winter: WinterView) => (
    <>
      <YardTotals lines={winter.lines} feed={winter.feed} />
      <FeedAndStrips winter={winter} />
    </>
  );
  const total = (what: string) => screen.queryByText(what)?.nextElementSibling?.textContent;
  const sheet = () => within(screen.getByRole('region', { name: 'Feed and strips' }));

  it('is fed by the list as by the sheet: syrup while days are warm enough, fondant after', async () => {
    winterOn('2026-10-05', autumn, both);
    const syrup = (await screen.findByText('As syrup 2:1')).nextElementSibling?.textContent ?? '';
    const [, litres, water] = /^([\d.]+) l, with ([\d.]+) l of water$/.exec(syrup) ?? [];
    expect(Number(litres)).toBeGreaterThan(0);
    expect(
      sheet().getByText(new RegExp(`and ${water} l of water for ${litres} l of syrup 2:1`)),
    ).toBeTruthy();
    expect(total('As fondant, too cold for syrup')).toBeUndefined();
    cleanup();
    winterOn('2026-11-28', countedOn('2026-11-25'), both);
    const fondant = (await screen.findByText('As fondant, too cold for syrup')).nextElementSibling
      ?.textContent;
    expect(total('As syrup 2:1')).toBeUndefined();
    expect(sheet().getByText(new RegExp(`^${fondant} of fondant`))).toBeTruthy();
  });

  it('is listed colony by colony in the measures of the reader', async () => {
    winterOn(
      '2026-10-05',
      autumn,
      ({ view, lines }) => (
        <BeforeWinter yard={view.yard.id} lines={lines} on={view.on} chosen={lines[0]} advised />
      ),
      POUNDS,
    );
    const [west, middle] = (await screen.findAllByRole('row')).slice(1);
    expect(west?.textContent).toMatch(/B1 West.*[\d.]+ (lb|oz)/);
    expect(
      within(west as HTMLElement)
        .getByRole('link')
        .getAttribute('aria-current'),
    ).toBe('true');
    // Of the other no stores are known: only what it comes to once fed.
    expect(middle?.textContent).toContain('? →');
    expect(middle?.textContent).not.toMatch(/lb|oz|kg/);
  });
});

describe('a colony side by side in all its ways', () => {
  const open = async () => {
    const details = (await screen.findByText(/^Side by side/)).closest('details');
    if (!details) throw new Error('Nothing to open.');
    details.open = true;
    fireEvent(details, new Event('toggle'));
  };

  it('is asked once it is opened, by its neighbour and the frames that stay, and shown in the measures of the reader', async () => {
    winterOn('2026-10-05', autumn, (winter) => <Opened winter={winter} />, POUNDS);
    await screen.findByText(/^Side by side/);
    expect(asked).toEqual([]);
    await open();
    const [, first] = await screen.findAllByRole('rowgroup');
    expect(asked).toHaveLength(1);
    expect(asked[0]).toMatchObject({
      seams: 3,
      neighbours: [{ bays: bays.slice(1, 2), seams: 2 }],
      keeps: 3,
    });
    // Rooms of its own design are its own kind, not another.
    expect(asked[0]?.rooms).toEqual([]);
    const [stands] = sideBySide(asked[0] as SideBySide);
    const { need_kg = 0 } = stands ?? {};
    expect(first?.textContent).toMatch(/^As it stands/);
    expect(first?.textContent).toContain(inMeasures(`${need_kg.toFixed(1)} kg`, POUNDS));
    expect(first?.textContent).not.toContain('kg');
    const [october] = stands?.months ?? [];
    expect(first?.textContent).toContain(((october?.used_kg ?? 0) / 0.453592).toFixed(1));
  });

  it('says so where it could not be worked out', async () => {
    broken = true;
    winterOn('2026-10-05', autumn, (winter) => <Opened winter={winter} />);
    await open();
    expect(await screen.findByText('It could not be worked out; open it again.')).toBeTruthy();
  });
});

describe('a yard out of winter', () => {
  const spring = [...autumn, seams(WEST, 2, '2027-04-05'), seams(MIDDLE, 1, '2027-04-05')];

  it('names who is crowded when, what they do, and the free room that one of them gets', async () => {
    winterOn(
      '2027-04-06',
      spring,
      (winter) => (
        <IntoSpring yard={winter.view.yard.id} lines={winter.spring} on={winter.view.on} chosen={undefined} />
      ),
      POUNDS,
    );
    const rows = (await screen.findAllByRole('row')).slice(1);
    expect(rows).toHaveLength(2);
    const west = rows.find((row) => row.textContent?.includes('B1 West'));
    expect(west?.textContent).toContain('part the pair');
    expect(west?.textContent).toMatch(/[\d.]+ (lb|oz)/);
  });

  it('tells how its winter went, with what is likely of the true rate', async () => {
    const lost = told('failed', '2027-01-10', { box: BOX, colony: MIDDLE, reason: 'starved' } as never);
    winterOn('2027-04-06', [...autumn, lost], ({ losses, view }) => <Losses losses={losses} on={view.on} />);
    expect((await screen.findByRole('heading')).textContent).toBe('How winter went');
    expect(screen.getByText(/^Of 2 colonies/).textContent).toBe(
      'Of 2 colonies 1 came through from 1 Dec 2026 to 1 Apr; 1 died or had to be joined to another.',
    );
    const [design] = screen.getAllByText('1 of 2');
    expect(design?.nextElementSibling?.textContent).toMatch(/^\d+ % to \d+ %$/);
  });
});
