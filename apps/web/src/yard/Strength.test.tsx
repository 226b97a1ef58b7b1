// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import type { LogEvent } from '@yellow-cell/contract';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { BOX, bays, built, id, serverWith, show, told } from './onScreen.test.kit.tsx';
import { Strength } from './Strength.tsx';

const of = { box: BOX, colony: id(11) };
const stocked = told('stocked', '2026-05-20', {
  ...of,
  bays: bays.slice(0, 1),
  frames: { sealedBrood: 1, stores: 1, drawn: 1 },
  shakes: 2,
  openBrood: false,
});
const cell = told('cellGiven', '2026-05-21', { ...of, attempt: id(21) });
const counted = told('strengthSeen', '2026-06-05', { ...of, seams: 2.5 });

async function shown(events: readonly LogEvent[], latitude_deg = 48) {
  show(serverWith([...built, ...events]), (view) => {
    const [boxView] = view.boxes;
    const [compartment] = boxView?.compartments ?? [];
    return boxView && compartment ? (
      <>
        <p>It serves as {compartment.role}.</p>
        <Strength
          view={{ ...view, yard: { ...view.yard, latitude_deg } }}
          boxView={boxView}
          compartment={compartment}
        />
      </>
    ) : null;
  });
  await screen.findByText(/^It serves as/);
  return screen.queryByRole('region', { name: 'Strength' });
}

vi.stubGlobal(
  'ResizeObserver',
  class {
    observe() {}
    disconnect() {}
  },
);
afterEach(cleanup);

describe('the strength of a room', () => {
  it('is said in seams with its days, and drawn with the same words', async () => {
    const strength = await shown([stocked, cell, counted]);
    const words = strength?.querySelector('p')?.textContent ?? '';
    expect(words).toMatch(/^About [\d.]+ seams \([\d.]+ to [\d.]+\); /);
    expect(words).toMatch(/her own bees about \d+ Jun/);
    expect(words).toMatch(/the count of 5 Jun moved it by [+−]0\.\d kg\.$/);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(words);
    // The one that was counted is drawn.
    expect(strength?.querySelectorAll('circle')).toHaveLength(1);
  });

  it('is left out in winter, which is now in the south', async () => {
    expect(await shown([stocked, cell, counted], -41)).toBeNull();
  });

  it.each(['bank', 'starter', 'finisher', 'donor', 'flying', 'wintering'] as const)(
    'is left out of a %s, whose bees come and go uncounted or are judged otherwise',
    async (role) => {
      expect(
        await shown([stocked, cell, counted, told('roleSet', '2026-06-06', { box: BOX, role })]),
      ).toBeNull();
      expect(screen.getByText(`It serves as ${role}.`)).toBeTruthy();
    },
  );

  it('is left out of an empty room', async () => {
    expect(await shown([])).toBeNull();
  });
});
