// @vitest-environment jsdom
import { DndContext } from '@dnd-kit/core';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { LogEvent } from '@yellow-cell/contract';
import { slotsOf } from '@yellow-cell/core';
import { afterEach, describe, expect, it } from 'vitest';
import { BOX, built, id, type Server, serverWith, show, slots, told } from '../yard/onScreen.test.kit.tsx';
import { bees, looked } from './looked.test.kit.ts';
import { Outside } from './Outside.tsx';
import { Room } from './Room.tsx';

function open(events: readonly LogEvent[] = [], advise = false): Server {
  const server = serverWith([...built, bees('unknown'), ...events]);
  show(server, (view) => {
    const [boxView] = view.boxes;
    const [compartment] = boxView?.compartments ?? [];
    const room = boxView?.model.compartments[0];
    return boxView && compartment && room ? (
      <DndContext>
        <p>It is {compartment.status}.</p>
        <Room
          view={view}
          boxView={boxView}
          compartment={compartment}
          slots={slotsOf(view.state, boxView.box, room, compartment)}
          advise={advise}
        />
        <Outside view={view} boxView={boxView} />
      </DndContext>
    ) : null;
  });
  return server;
}
const tap = (name: RegExp) => fireEvent.click(screen.getByRole('button', { name }));
afterEach(cleanup);

describe('the frames of a compartment', () => {
  it('are looked through by taps, a quarter of a side each; brood of an awaited queen is eggs seen', async () => {
    const server = open();
    await screen.findByText('It is unknown.');
    tap(/^Look through .*frame 2$/);
    tap(/^Side nearer the left: eggs/);
    tap(/^Side nearer the left: eggs/);
    tap(/^Other side: stores/);
    fireEvent.click(screen.getByLabelText('The queen is on this frame'));
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(server.posted.length).toBeGreaterThan(1));
    expect(server.refused).toEqual([]);
    expect(server.posted.map(({ kind }) => kind)).toEqual(['frameAudited', 'queenSeen']);
    expect(server.posted[0]?.payload).toMatchObject({
      slot: slots[1],
      sides: [{ eggs: 0.5 }, { stores: 0.25 }],
    });
  });

  it('tell nothing where nothing was touched, and that both sides are empty where it was said', async () => {
    const server = open();
    await screen.findByText('It is unknown.');
    tap(/^Look through .*frame 1$/);
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Nothing is told of it yet');
    expect(server.posted).toEqual([]);
    tap(/^Other side: empty drawn comb$/);
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(server.posted).toHaveLength(1));
    expect(server.posted[0]?.payload).toMatchObject({ sides: [{}, {}] });
  });

  it('go out until they are back, in their place', async () => {
    const server = open([looked(41, 0, { stores: 0.5 })]);
    await screen.findByText('It is unknown.');
    tap(/^Out: .*frame 1$/);
    fireEvent.change(screen.getByLabelText('Where it is'), { target: { value: 'School' } });
    fireEvent.click(screen.getByRole('button', { name: 'Taken out' }));
    await screen.findByText(/at “School”/);
    fireEvent.click(screen.getByRole('button', { name: 'Put back' }));
    await waitFor(() => expect(screen.queryByText(/at “School”/)).toBeNull());
    expect(server.refused).toEqual([]);
    expect(server.posted).toMatchObject([
      { kind: 'framesMoved', payload: { moves: [{ frame: id(41), to: null }], backBy: '2026-06-11' } },
      { kind: 'framesMoved', payload: { moves: [{ frame: id(41), from: null, to: { slot: slots[0] } }] } },
    ]);
  });

  it('say what becomes of them where the cavity is reduced; one that is kept wants a reason to go', async () => {
    const server = open([looked(41, 0, { stores: 0.5 }), looked(42, 1, { stores: 0 })], true);
    await screen.findByText(/stores worth feeling/);
    expect(screen.getByText(/empty drawn comb/)).toBeTruthy();
    tap(/^Out: .*frame 1$/);
    expect(screen.queryByLabelText('Back by')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Taken out' }));
    expect((await screen.findByRole('alert')).textContent).toContain('By the rule this frame is kept');
    fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(server.posted).toEqual([]);
    cleanup();

    const other = open([looked(42, 1, { stores: 0 })], true);
    await screen.findByText(/empty drawn comb/);
    tap(/^Out: .*frame 2$/);
    fireEvent.click(screen.getByRole('button', { name: 'Taken out' }));
    await waitFor(() => expect(other.posted).toHaveLength(1));
    expect(other.posted[0]?.payload).toMatchObject({ purpose: 'reduce' });
    expect(other.posted[0]?.payload).not.toHaveProperty('backBy');
  });

  it('give way to a feeder where nothing is told of them, and stand there again', async () => {
    const empty = told('framesMoved', '2026-06-02', {
      moves: [{ frame: id(43), from: { box: BOX, slot: slots[2] as string }, to: null, turned: false }],
      purpose: 'other',
    });
    const server = open([empty]);
    await screen.findByText('no frame here');
    fireEvent.click(screen.getByRole('button', { name: 'Feeder in' }));
    const feeder = await screen.findByText('frame feeder');
    fireEvent.click(within(feeder).getByRole('button', { name: 'Comb instead' }));
    await waitFor(() => expect(screen.queryByText('frame feeder')).toBeNull());
    expect(server.posted.map(({ kind }) => kind)).toEqual(['slotSet', 'slotSet']);
  });
});
