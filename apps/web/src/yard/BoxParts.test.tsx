// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { LogEvent } from '@yellow-cell/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { BoxParts } from './BoxParts.tsx';
import { BOX, bays, boards, built, id, type Server, serverWith, show, told } from './onScreen.test.kit.tsx';

const bees = (colony: string, at: number) =>
  told('stocked', '2026-05-01', {
    box: BOX,
    colony,
    bays: bays.slice(at, at + 1),
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 2,
    openBrood: false,
    queen: 'laying',
  });

async function open(events: readonly LogEvent[], stands = 'Frames: 3 3 3'): Promise<Server> {
  const server = serverWith([...built, ...events]);
  show(server, (view) => {
    const [boxView] = view.boxes;
    return boxView ? (
      <>
        <p>Frames: {boxView.compartments.map(({ frames }) => frames).join(' ')}</p>
        <BoxParts view={view} boxView={boxView} />
      </>
    ) : null;
  });
  await screen.findByText(stands);
  return server;
}
const pull = (at: number) =>
  fireEvent.click(screen.getAllByRole('button', { name: 'Pull it' })[at] as HTMLElement);

afterEach(cleanup);

describe('a box as it stands', () => {
  it('has a divider pulled where nobody is harmed, and set again', async () => {
    const server = await open([bees(id(11), 0)]);
    pull(1);
    await screen.findByText('Frames: 3 6');
    fireEvent.click(screen.getByRole('button', { name: 'Set it' }));
    await screen.findByText('Frames: 3 3 3');
    expect(server.posted.map(({ kind }) => kind)).toEqual(['dividerSet', 'dividerSet']);
  });

  it('says before a divider is pulled between two colonies what comes of it', async () => {
    const server = await open([bees(id(11), 0), bees(id(12), 1)]);
    pull(0);
    const said = (await screen.findAllByRole('alert')).map(({ textContent }) => textContent).join(' ');
    expect(said).toContain('2 colonies');
    expect(server.posted).toEqual([]);
    fireEvent.change(screen.getByLabelText('Why it is done all the same'), {
      target: { value: 'Old queen.' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Do it all the same' }));
    await screen.findByText('Frames: 6 3');
    expect(server.posted).toMatchObject([{ kind: 'dividerSet', note: 'Old queen.' }]);
  });

  it('has a board set by hand between two frames, and put back into its groove', async () => {
    const server = await open([]);
    const place = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Divider 1: its place' });
    const before = place.value;
    const hand = [...place.options].find(({ textContent }) => textContent?.includes('2 | 4 frames'));
    fireEvent.change(place, { target: { value: hand?.value } });
    await screen.findByText('Frames: 2 4 3');
    fireEvent.change(screen.getByRole('combobox', { name: 'Divider 1: its place' }), {
      target: { value: before },
    });
    await screen.findByText('Frames: 3 3 3');
    expect(server.posted.map(({ kind }) => kind)).toEqual(['boardPlaced', 'boardMoved']);
  });

  it('says why a divider cannot be set where a board stands in its way', async () => {
    const server = await open(
      [
        told('dividerSet', '2026-06-01', { box: BOX, board: boards[1] as string, stands: false }),
        told('boardPlaced', '2026-06-02', {
          box: BOX,
          board: boards[0] as string,
          at_mm: 250,
          framesLeft: 0,
          groove: 'by-hand',
          bay: 'beyond',
        }),
      ],
      'Frames: 6 3',
    );
    fireEvent.click(screen.getByRole('button', { name: 'Set it' }));
    await screen.findByText(/Box B1 cannot stand so/);
    expect(server.posted).toEqual([]);
  });

  it('has its entrances turned, and says when that shuts bees in', async () => {
    const server = await open([bees(id(11), 0)]);
    const entrances = screen.getAllByLabelText(/^Entrance, left/);
    const turn = (at: number, state: string) =>
      fireEvent.change(entrances[at] as HTMLElement, { target: { value: state } });
    turn(0, 'vent');
    await waitFor(() => expect(server.posted).toHaveLength(1));
    turn(1, 'vent');
    const said = (await screen.findAllByRole('alert')).map(({ textContent }) => textContent).join(' ');
    expect(said).toContain('no way out');
    expect(server.posted).toHaveLength(1);
    fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(screen.queryAllByRole('alert')).toEqual([]);
  });
});
