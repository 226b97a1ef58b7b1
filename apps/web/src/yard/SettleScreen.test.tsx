// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Entry, Unsettled } from '@yellow-cell/contract';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { addParcel, allParcels } from '../app/shelf.ts';
import { BOX, built, serverWith, show, told } from './onScreen.test.kit.tsx';
import { SettleScreen } from './SettleScreen.tsx';

const [, placed] = built;
const moved = told('boxPlaced', '2026-06-01', {
  ...(placed?.payload as never as object),
  box: BOX,
  stand: '9',
} as never);
const stands = told('weighed', '2026-06-01', { box: BOX, weight_kg: 20, felt: false });
const clash: Unsettled = {
  event: { ...moved, note: 'From the phone.' },
  sentence: 'Box B1 was taken apart on 30 May.',
  against: stands,
  boxes: [{ id: BOX, label: 'B1', yard: null }],
};
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('what waits to be settled', () => {
  it('shows both sides, and withdraws the one that does not hold', async () => {
    const server = serverWith([...built, moved, stands], [clash]);
    show(server, () => <SettleScreen />);
    await screen.findByText('Box B1 was taken apart on 30 May.');
    expect(screen.getByText('“From the phone.”')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'What stands holds' }));
    await waitFor(() => expect(server.posted).toHaveLength(1));
    fireEvent.click(screen.getByRole('button', { name: 'What waits holds: withdraw the other' }));
    await waitFor(() => expect(server.posted).toHaveLength(2));
    expect(server.posted.map(({ kind, corrects }) => [kind, corrects])).toEqual([
      ['withdrawn', moved.id],
      ['withdrawn', stands.id],
    ]);
  });

  it('shows what the server did not take, sends it again, and lets it go only when told so twice', async () => {
    const { breeder: _, recordedAt: __, subjects: ___, ...weighed } = stands;
    await addParcel({ id: 'p1', title: 'B1 weighed', entries: [weighed as Entry], refused: 'Not so.' });
    vi.resetModules();
    const fresh = await import('./SettleScreen.tsx');
    const kit = await import('./onScreen.test.kit.tsx');
    const server = kit.serverWith([...kit.built]);
    kit.show(server, () => <fresh.SettleScreen />);
    const line = (await screen.findByText('B1 weighed')).closest('li') as HTMLElement;
    expect(within(line).getByText('Not so.')).toBeTruthy();
    vi.stubGlobal('confirm', () => false);
    fireEvent.click(within(line).getByRole('button', { name: 'Let it go' }));
    expect(await allParcels()).toHaveLength(1);
    fireEvent.click(within(line).getByRole('button', { name: 'Send it again' }));
    await waitFor(() => expect(server.posted).toMatchObject([{ kind: 'weighed' }]));
    await screen.findByText('Nothing waits to be settled.');
    expect(await allParcels()).toEqual([]);
  });
});
