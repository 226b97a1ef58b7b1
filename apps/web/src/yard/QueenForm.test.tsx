// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { BOX, bays, built, id, type Server, serverWith, show, told } from './onScreen.test.kit.tsx';
import { QueenForm } from './QueenForm.tsx';

const COLONY = id(11);
const QUEEN = id(51);
const of = { box: BOX, colony: COLONY };

async function open(): Promise<Server> {
  const server = serverWith([
    ...built,
    told('stocked', '2026-05-01', {
      ...of,
      bays: bays.slice(0, 1),
      frames: { sealedBrood: 1, stores: 1, drawn: 1 },
      shakes: 2,
      openBrood: false,
      queen: 'laying',
    }),
    told('queenRecorded', '2026-05-02', { ...of, queen: QUEEN, birthYear: 2025, mother: { name: 'Sable' } }),
  ]);
  show(server, (view) => {
    const queen = view.state.queens.get(QUEEN);
    return queen ? (
      <>
        <p>
          {queen.name ?? 'nameless'}, {queen.mark?.colour ?? 'no mark'}, {queen.birthYear ?? 'no year'}
        </p>
        <QueenForm box={BOX} colony={COLONY} queen={queen} />
      </>
    ) : null;
  });
  await screen.findByText('nameless, no mark, 2025');
  return server;
}
const fill = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const record = () => fireEvent.click(screen.getByRole('button', { name: 'Record' }));
afterEach(cleanup);

/** Between two taps of a person. */
const aMoment = () => new Promise((resolve) => setTimeout(resolve));

describe('what is known of a queen', () => {
  it('and what is done to her are entries of their own, told as one act', async () => {
    const server = await open();
    expect(screen.getByText('The year’s colour is blue.')).toBeTruthy();
    fill('Name', 'Ash 3');
    fill('Mark', 'blue');
    fill('Number', '12');
    record();
    await screen.findByText('Ash 3, blue, 2025');
    expect(server.posted).toMatchObject([
      { kind: 'queenRecorded', payload: { queen: QUEEN, name: 'Ash 3', birthYear: 2025 } },
      { kind: 'queenMarked', payload: { queen: QUEEN, colour: 'blue', number: '12', clipped: false } },
    ]);
  });

  it('is not entered anew where nothing has changed, nor with a year that cannot be', async () => {
    const server = await open();
    record();
    await aMoment();
    fill('Birth year', '2031');
    expect(screen.getByText(/A year from 1990 to 2026/)).toBeTruthy();
    record();
    await aMoment();
    fill('Birth year', '2025');
    fireEvent.click(screen.getByLabelText('Wing clipped'));
    record();
    await waitFor(() => expect(server.posted).toHaveLength(1));
    expect(server.posted).toMatchObject([{ kind: 'queenMarked', payload: { colour: null, clipped: true } }]);
  });
});
