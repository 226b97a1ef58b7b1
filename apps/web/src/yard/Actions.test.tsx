// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { LogEvent, Status } from '@yellow-cell/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { Actions } from './Actions.tsx';
import { BOX, bays, built, id, type Server, serverWith, show, told } from './onScreen.test.kit.tsx';

const COLONY = id(11);
const OTHER = id(12);
const of = { box: BOX, colony: COLONY };
const attempt = id(21);
const bees = (colony: string, at: number, on = '2026-05-01', queen?: 'laying' | 'unknown') =>
  told('stocked', on, {
    box: BOX,
    colony,
    bays: bays.slice(at, at + 1),
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 2,
    openBrood: false,
    ...(queen ? { queen } : {}),
  });
const cell = told('cellGiven', '2026-05-03', { ...of, attempt });
const opened = told('cellOpened', '2026-05-06', { ...of, attempt });
const eggs = told('eggsSeen', '2026-05-17', { ...of, attempt });

/** A story for each status of the first compartment; other bees live in the second, the third is empty. */
const STORIES: Readonly<Record<Status, readonly LogEvent[]>> = {
  empty: [],
  stocked: [bees(COLONY, 0)],
  cellGiven: [bees(COLONY, 0), cell],
  virgin: [bees(COLONY, 0), cell, opened],
  caged: [
    bees(COLONY, 0),
    told('queenGiven', '2026-06-08', { ...of, queen: id(31), what: 'mated', caged: true }),
  ],
  laying: [bees(COLONY, 0), cell, opened, eggs],
  proven: [
    bees(COLONY, 0),
    cell,
    opened,
    eggs,
    told('patternScored', '2026-05-26', { ...of, attempt, pattern_pct: 90 }),
  ],
  queenright: [bees(COLONY, 0, '2026-05-01', 'laying')],
  failed: [bees(COLONY, 0), cell, told('failed', '2026-05-26', { ...of, attempt, reason: 'virginLost' })],
  unknown: [bees(COLONY, 0, '2026-05-01', 'unknown')],
};

const open = (status: Status, more: readonly LogEvent[] = []): Server => {
  const server = serverWith([...built, ...STORIES[status], bees(OTHER, 1), ...more]);
  show(server, (view) => {
    const [boxView] = view.boxes;
    const [compartment] = boxView?.compartments ?? [];
    return boxView && compartment ? (
      <>
        <p>It is {compartment.status}.</p>
        <Actions view={view} boxView={boxView} compartment={compartment} title="B1 West" />
      </>
    ) : null;
  });
  return server;
};

/** What enters nothing by itself: more of them, a screen of its own, and putting work off. */
const OF_THE_SCREEN = ['More…', 'Frames'];

async function offered(status: Status): Promise<string[]> {
  open(status);
  await screen.findByText(`It is ${status}.`);
  const more = screen.queryByRole('button', { name: 'More…' });
  if (more) fireEvent.click(more);
  const names = screen.getAllByRole('button').map(({ textContent }) => textContent ?? '');
  cleanup();
  return names.filter((name) => !OF_THE_SCREEN.some((each) => name.startsWith(each)));
}

/** Fills whatever a form leaves open, saves it, and gives a reason where something speaks against it. */
async function carryOut(server: Server, name: string): Promise<void> {
  const more = screen.queryByRole('button', { name: 'More…' });
  if (more) fireEvent.click(more);
  fireEvent.click(screen.getByRole('button', { name }));
  const save = document.querySelector<HTMLButtonElement>('form button[type=submit]');
  if (save) {
    for (const field of screen.queryAllByRole<HTMLInputElement>('textbox'))
      if (field.value === '')
        fireEvent.change(field, {
          target: { value: /seams|how many|wild|pattern/i.test(labelOf(field)) ? '2' : 'Some' },
        });
    fireEvent.click(save);
  }
  await waitFor(() => {
    const reason = screen.queryByLabelText('Why it is done all the same');
    if (reason) {
      fireEvent.change(reason, { target: { value: 'Tried once.' } });
      fireEvent.click(screen.getByRole('button', { name: 'Do it all the same' }));
    }
    expect([server.posted.length, ...server.refused]).not.toEqual([0]);
  });
}
const labelOf = (field: HTMLInputElement): string => field.labels?.[0]?.textContent ?? '';

afterEach(cleanup);

describe('every entry that a compartment offers', () => {
  it.each(Object.keys(STORIES) as Status[])(
    'of one that is %s can be kept as it is offered',
    async (status) => {
      const names = await offered(status);
      expect(names.length).toBeGreaterThan(status === 'empty' ? 0 : 10);
      for (const name of names) {
        const server = open(status);
        await screen.findByText(`It is ${status}.`);
        await carryOut(server, name);
        expect({ name, refused: server.refused }).toEqual({ name, refused: [] });
        expect(server.posted.length, name).toBeGreaterThan(0);
        await waitFor(() => expect(document.querySelector('form'), name).toBeNull());
        cleanup();
      }
    },
    60_000,
  );
});

describe('an entry', () => {
  it('is kept in one press where nothing need be asked, with the colony and the cell it is about', async () => {
    const server = open('virgin');
    fireEvent.click(await screen.findByRole('button', { name: 'Eggs seen' }));
    await screen.findByText('It is laying.');
    expect(server.posted).toMatchObject([{ kind: 'eggsSeen', payload: { ...of, attempt }, person: 'P' }]);
  });

  it('is not made twice by a second tap, nor followed by the next: what was kept stands there for a moment', async () => {
    const server = open('virgin');
    const button = await screen.findByRole('button', { name: 'Eggs seen' });
    fireEvent.click(button);
    fireEvent.click(button);
    expect(await screen.findByText('Kept: Eggs seen')).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Score the pattern…' })).toBeNull();
    await screen.findByRole('button', { name: 'Score the pattern…' }, { timeout: 3_000 });
    expect(server.posted.map(({ kind }) => kind)).toEqual(['eggsSeen']);
  });

  const twoQueens = async (): Promise<Server> => {
    const server = open('proven', [told('eggsSeen', '2026-05-30', { box: BOX, colony: OTHER })]);
    await screen.findByText('It is proven.');
    fireEvent.click(screen.getByRole('button', { name: 'Combine…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Combine' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Both have a queen');
    expect(server.posted).toEqual([]);
    return server;
  };

  it('that something speaks against is made all the same with a reason, which stays with it', async () => {
    const server = await twoQueens();
    const all = screen.getByRole('button', { name: 'Do it all the same' });
    fireEvent.click(all);
    expect(server.posted).toEqual([]);
    fireEvent.change(screen.getByLabelText('Why it is done all the same'), {
      target: { value: ' The old one is failing. ' },
    });
    fireEvent.click(all);
    await waitFor(() => expect(server.posted).toHaveLength(1));
    expect(server.posted[0]).toMatchObject({ kind: 'combined', note: 'The old one is failing.' });
    await screen.findByText('It is empty.');
  });

  it('is not made where the warning is heeded, and the form is as it was', async () => {
    const server = await twoQueens();
    expect(screen.queryByRole('button', { name: 'Combine' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(screen.getByRole('button', { name: 'Combine' })).toBeTruthy();
    expect(server.posted).toEqual([]);
  });

  it('that the server refuses says why, and leaves the form open', async () => {
    const server = open('stocked');
    await screen.findByText('It is stocked.');
    fireEvent.click(screen.getByRole('button', { name: 'Cell given…' }));
    // Somebody else has given the cell meanwhile, and this screen does not know it yet.
    (server.events as LogEvent[]).push(told('cellGiven', '2026-06-09', { ...of, attempt: id(22) }));
    fireEvent.click(screen.getByRole('button', { name: 'Cell given' }));
    expect((await screen.findByRole('alert')).textContent).toContain('record what became of its queen');
    expect(server.posted).toEqual([]);
    expect(screen.getByRole('button', { name: 'Cell given' })).toBeTruthy();
  });

  it('with more frames than the compartment holds is refused beside the fields', async () => {
    const server = open('empty');
    fireEvent.click(await screen.findByRole('button', { name: 'Stock it…' }));
    fireEvent.change(screen.getByLabelText('Drawn frames'), { target: { value: '4' } });
    expect(screen.getByRole('alert').textContent).toBe('That is 6 frames; the compartment holds 3.');
    fireEvent.click(screen.getByRole('button', { name: 'Stocked' }));
    fireEvent.change(screen.getByLabelText('Drawn frames'), { target: { value: '1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Stocked' }));
    await screen.findByText('It is stocked.');
    expect(server.posted).toHaveLength(1);
  });

  it('of what is due soon is at hand while the compartment is open', async () => {
    const server = open('laying', [
      told('stripsPut', '2026-05-01', { ...of, product: 'Strips', outBy: '2026-06-14' }, 12),
    ]);
    const line = await screen.findByText(/^Take the strips out, by 14 Jun/);
    fireEvent.click(within(line.closest('li') as HTMLElement).getByRole('button', { name: 'Strips out' }));
    await waitFor(() => expect(server.posted).toMatchObject([{ kind: 'stripsOut', payload: of }]));
    await waitFor(() => expect(screen.queryByText(/^Take the strips out/)).toBeNull());
  });
});

describe('a form', () => {
  it('saves once, however often its button is tapped while that is on its way', async () => {
    const server = open('virgin');
    fireEvent.click(await screen.findByRole('button', { name: 'More…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Seams of bees…' }));
    fireEvent.change(screen.getByLabelText(/Seams of bees/), { target: { value: '3' } });
    const save = screen.getByRole('button', { name: 'Keep' });
    fireEvent.click(save);
    fireEvent.click(save);
    fireEvent.click(save);
    await waitFor(() => expect(document.querySelector('form')).toBeNull());
    expect(server.posted.map(({ kind }) => kind)).toEqual(['strengthSeen']);
  });
});
