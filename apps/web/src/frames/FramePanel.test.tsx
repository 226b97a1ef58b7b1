// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { LogEvent } from '@yellow-cell/contract';
import { slotsOf } from '@yellow-cell/core';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { built, id, type Server, serverWith, show, slots } from '../yard/onScreen.test.kit.tsx';
import { withQuarterMore } from './AuditForm.tsx';
import { FramePanel } from './FramePanel.tsx';
import { bees, looked } from './looked.test.kit.ts';

const queenless = bees('none');
const first = looked(41, 0, { stores: 0.5 }, { foundation: 1 });

/** The first frame of the first room, as the screen shows it beside the list. */
function open(events: readonly LogEvent[]): Server {
  const server = serverWith([...built, ...events]);
  show(server, (view) => {
    const [boxView] = view.boxes;
    const [compartment] = boxView?.compartments ?? [];
    const room = boxView?.model.compartments[0];
    if (!boxView || !compartment || !room) return null;
    const all = slotsOf(view.state, boxView.box, room, compartment);
    const [slot] = all;
    return slot ? <FramePanel boxView={boxView} compartment={compartment} slot={slot} slots={all} /> : null;
  });
  return server;
}
const press = (name: string | RegExp, at = 0) => {
  const button = screen.getAllByRole('button', { name })[at];
  if (!button) throw new Error(`No ${name}.`);
  fireEvent.click(button);
};
const side = (name: RegExp) => screen.getByRole('img', { name });

beforeAll(() => {
  Element.prototype.setPointerCapture = () => undefined;
  Element.prototype.getBoundingClientRect = () => new DOMRect(0, 0, 200, 100);
});
afterEach(cleanup);

describe('both sides of a frame', () => {
  it('are drawn as last seen, painted by the pointer, and kept by their shares', async () => {
    const server = open([queenless, first]);
    const left = await screen.findByRole('img', { name: 'Side nearer the left: stores 50 %' });
    expect(side(/^Other side: foundation 100 %$/)).toBeTruthy();
    // Pressed blindly it records nothing.
    const keep = screen.getByRole('button', { name: 'Keep' }) as HTMLButtonElement;
    expect(keep.disabled).toBe(true);
    press('sealed brood');
    expect(keep.disabled).toBe(true);
    fireEvent.pointerDown(left, { clientX: 5, clientY: 95, buttons: 1, pointerId: 1 });
    // The corner field and those about it: four of two hundred.
    expect(side(/^Side nearer the left: sealed brood 2 %, stores 50 %$/)).toBeTruthy();
    fireEvent.pointerMove(left, { clientX: 105, clientY: 95, buttons: 0, pointerId: 1 });
    expect(side(/sealed brood 2 %, stores 50 %$/)).toBeTruthy();
    // Two strokes before the page is drawn anew, of six and of four fields: neither is lost.
    act(() => {
      for (const clientX of [195, 100])
        left.dispatchEvent(
          new PointerEvent('pointermove', { clientX, clientY: 50, buttons: 1, bubbles: true }),
        );
    });
    expect(side(/^Side nearer the left: sealed brood 7 %, stores 47 %$/)).toBeTruthy();
    press('empty comb');
    press('All empty comb', 1);
    press('As it was');
    expect(side(/^Other side: foundation 100 %$/)).toBeTruthy();
    expect(keep.disabled).toBe(true);
    press('sealed brood');
    press('¼ more sealed brood');
    press('Like the first side');
    // A double tap is one.
    fireEvent.click(keep);
    fireEvent.click(keep);
    await waitFor(() => expect(server.posted).toHaveLength(1));
    expect(server.refused).toEqual([]);
    expect(server.posted[0]).toMatchObject({
      kind: 'frameAudited',
      payload: {
        frame: id(41),
        sides: [
          { stores: 0.5, sealed: 0.25 },
          { stores: 0.5, sealed: 0.25 },
        ],
      },
    });
  });

  it('stand for all frames of the room, in one act', async () => {
    const server = open([queenless, first]);
    await screen.findByRole('img', { name: /^Side nearer the left/ });
    press('stores');
    press('All stores');
    fireEvent.click(screen.getByLabelText('All 3 frames of this room are like it'));
    press('Keep');
    await waitFor(() => expect(server.posted).toHaveLength(3));
    expect(server.refused).toEqual([]);
    expect(server.posted.map(({ payload }) => payload)).toEqual(
      slots
        .slice(0, 3)
        .map((slot) => expect.objectContaining({ slot, sides: [{ stores: 1 }, { foundation: 1 }] })),
    );
    // The one that was known keeps its name, the others get their own.
    expect(new Set(server.posted.map(({ payload }) => (payload as { frame: string }).frame)).size).toBe(3);
    expect(server.posted[0]?.payload).toMatchObject({ frame: id(41) });
  });

  it('are only shown where no bees live', async () => {
    open([]);
    await screen.findByText(/No bees live here/);
    expect(screen.queryByRole('button', { name: 'Keep' })).toBeNull();
  });
});

it('a quarter more is what is left of a side where that is less, and nothing of it once the side is full', () => {
  expect(withQuarterMore({ sealed: 0.5, stores: 0.4 }, 'sealed')).toEqual({ sealed: 0.6, stores: 0.4 });
  expect(withQuarterMore({ sealed: 0.6, stores: 0.4 }, 'sealed')).toEqual({ stores: 0.4 });
  expect(withQuarterMore({ stores: 1 }, 'eggs')).toEqual({ stores: 1 });
});
