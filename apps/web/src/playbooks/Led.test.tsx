// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { LogEvent, PlaybookName, Run } from '@yellow-cell/contract';
import { plusDays } from '@yellow-cell/core';
import { afterEach, describe, expect, it } from 'vitest';
import {
  BOX,
  bays,
  built,
  id,
  type Server,
  serverWith,
  show,
  TODAY,
  told,
} from '../yard/onScreen.test.kit.tsx';
import type { BoxView } from '../yard/useYard.ts';
import { Led } from './Led.tsx';

afterEach(cleanup);

const [RUN, COLONY, ROUND] = [id(50), id(51), id(52)];
const stocked = told('stocked', '2026-06-01', {
  box: BOX,
  colony: COLONY,
  bays: bays.slice(0, 1),
  frames: { sealedBrood: 1, stores: 1, drawn: 1 },
  shakes: 4,
  openBrood: false,
});
const ticked = (step: string, hour = 8) => told('stepTicked', TODAY, { box: BOX, run: RUN, step }, hour);

/** A playbook in the first room, and what was told of it. */
function led(
  playbook: PlaybookName,
  more: readonly LogEvent[],
  bees: readonly LogEvent[] = [stocked],
): Server {
  const begun = told(
    'playbookBegun',
    TODAY,
    { box: BOX, run: RUN, playbook, bays: bays.slice(0, 1), cells: 20, round: ROUND },
    7,
  );
  const server = serverWith([...built, ...bees, begun, ...more]);
  show(server, (view) => {
    const [boxView] = view.boxes as [BoxView];
    return <Led view={view} boxView={boxView} run={boxView.box.runs?.[0] as Run} />;
  });
  return server;
}
const later =
  (days: number) =>
  (more: number): string =>
    plusDays(TODAY, days + more);
const kinds = ({ posted }: Server): string[] => posted.map(({ kind }) => kind);
const present = (title: string | RegExp) => screen.findByRole('heading', { level: 2, name: title });
const done = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Done' });

describe('a step', () => {
  it('is ticked once by two taps of a press, and the next not at all until a moment is over', async () => {
    const server = led('bank', []);
    await present(/^No free queen/);
    fireEvent.click(done());
    fireEvent.click(done());
    await present(/^Open brood/);
    expect(done().disabled).toBe(true);
    fireEvent.click(done());
    await waitFor(() => expect(done().disabled).toBe(false), { timeout: 3_000 });
    expect(kinds(server)).toEqual(['stepTicked', 'roleSet']);
    fireEvent.click(done());
    await waitFor(() =>
      expect(kinds(server)).toEqual(['stepTicked', 'roleSet', 'stepTicked', 'wildCellsSearched']),
    );
    // The tick names what was entered with it.
    expect(server.posted[0]?.payload).toMatchObject({ facts: [server.posted[1]?.id] });
  });

  it('is left out with a reason alone, after what that brings was said', async () => {
    const server = led('bank', []);
    await present(/^No free queen/);
    fireEvent.click(screen.getByRole('button', { name: 'Leave it out…' }));
    expect(screen.getByText(/has the cages starved/)).toBeTruthy();
    const out = screen.getByRole<HTMLButtonElement>('button', { name: 'Leave it out' });
    expect(out.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Why it is left out'), { target: { value: 'Looked yesterday.' } });
    fireEvent.click(out);
    await present(/^Open brood/);
    expect(server.posted).toMatchObject([{ kind: 'stepSkipped', payload: { reason: 'Looked yesterday.' } }]);
  });

  it('is taken back last told first, with all that it entered', async () => {
    const server = led('bank', [ticked('noQueen', 8), ticked('brood', 9)]);
    await present(/^The bank frame/);
    const back = screen.getAllByRole('button', { name: /^Take back/ });
    expect(back.map((each) => each.getAttribute('aria-label'))).toEqual([
      expect.stringContaining('Open brood'),
    ]);
    fireEvent.click(back[0] as HTMLElement);
    await present(/^Open brood/);
    expect(kinds(server)).toEqual(['withdrawn']);
  });

  it('counts aloud, takes the last back, and is not enough until it is', async () => {
    const server = led('closedStarter', [ticked('frames')], []);
    await present(/sign each side/);
    const all = () => screen.getByText(/of 6 sides signed/).textContent;
    fireEvent.click(screen.getByRole('button', { name: 'Frame 1, one side' }));
    await waitFor(() => expect(all()).toMatch(/^1 of 6/));
    fireEvent.click(screen.getByRole('button', { name: 'Take the last back' }));
    await waitFor(() => expect(all()).toMatch(/^0 of 6/));
    expect(kinds(server)).toEqual(['stepMarked', 'withdrawn']);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Done all the same' }).disabled).toBe(true);
  });

  it('is reckoned back from a day that is wanted, and again from another', async () => {
    const server = led('formatChange', [ticked('below')]);
    await present(/^The new body/);
    expect(screen.queryByRole('list', { name: 'Latest days' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'To be delivered on…' }));
    const set = async (day: string) => {
      fireEvent.change(screen.getByLabelText('To be delivered on'), { target: { value: day } });
      fireEvent.click(screen.getByRole('button', { name: 'Set the day' }));
    };
    const days = later(34);
    await set(days(-1));
    await screen.findByText(/^It cannot be by .* 1 day later\.$/);
    fireEvent.click(await screen.findByRole('button', { name: 'Another day…' }));
    await set(days(9));
    await screen.findByText(/ it can be, with 9 days in hand\.$/);
    // Each stage has its latest day among the steps.
    expect(screen.getByRole('listitem', { current: 'step' }).textContent).toMatch(/by 23:59$/);
    expect(server.posted.map(({ kind, corrects }) => [kind, corrects !== undefined])).toEqual([
      ['playbookBegun', true],
      ['playbookBegun', true],
    ]);
    expect(server.posted[1]?.payload).toMatchObject({ run: RUN, by: days(9), cells: 20, round: ROUND });
  });

  it('counts the minutes of those who are shut in from when they were', async () => {
    led('carrying', [ticked('rules'), ticked('frames'), ticked('dusk', 9)]);
    const card = within(await screen.findByRole('article', { name: /^Mesh flaps/ }));
    expect(card.getByText('Shut since 09:00.')).toBeTruthy();
    expect(card.getByText(/^In the shade: /)).toBeTruthy();
    fireEvent.change(card.getByRole('slider', { name: /^Air outside/ }), { target: { value: '38' } });
    const [, span, until] = /at least (?:(\d+) min), until (\d\d:\d\d)/.exec(
      card.getByText(/^In the shade: safe for at least/).textContent ?? '',
    ) as RegExpExecArray;
    const minutes = Number(until?.slice(0, 2)) * 60 + Number(until?.slice(3)) - 9 * 60;
    expect(minutes).toBeGreaterThanOrEqual(Number(span));
    expect(minutes).toBeLessThan(Number(span) + 5);
  });

  it('asks how those came who were away, and enters what was lost', async () => {
    const away = ['rules', 'frames', 'dusk', 'flaps', 'strapped', 'left'];
    const server = led(
      'carrying',
      away.map((step) => ticked(step)),
    );
    await present(/^They arrive/);
    expect(done().disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'The bees are dead' }));
    fireEvent.change(screen.getByLabelText('Combs that broke'), { target: { value: '2' } });
    fireEvent.click(done());
    await waitFor(() => expect(kinds(server)).toEqual(['stepTicked', 'noted', 'failed']));
    expect(server.posted[1]?.note).toBe('2 combs broke on the way.');
    expect(server.posted[2]?.payload).toMatchObject({ reason: 'smothered' });
  });

  it('keeps no count before somebody has counted', async () => {
    const graft = told('grafted', TODAY, { round: ROUND, number: 4, donor: 'Sable', grafts: 20 }, 6);
    const before = ['frames', 'search', 'bees', 'closed', 'grafts', 'syrup'].map((step) => ticked(step, 8));
    const server = led('closedStarter', [graft, ...before]);
    await present(/^Cells that were taken on/);
    const card = within(screen.getByRole('article', { name: /^Cells that were taken on/ }));
    expect(done().disabled).toBe(true);
    fireEvent.change(card.getByLabelText('Cells taken on'), { target: { value: '21' } });
    expect(card.getByText(/has 20 grafts: 21 cannot/)).toBeTruthy();
    fireEvent.change(card.getByLabelText('Cells taken on'), { target: { value: '16' } });
    fireEvent.click(done());
    await present(/^A second batch/);
    expect(kinds(server)).toEqual(['stepTicked', 'cellsAccepted', 'cellsMoved']);
  });
});
