// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { LogEvent } from '@yellow-cell/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { BOX, bays, built, id, serverWith, show, told } from '../yard/onScreen.test.kit.tsx';
import { useWarned } from '../yard/useWarned.tsx';
import type { YardView } from '../yard/useYard.ts';
import { ShortCheck } from './ShortCheck.tsx';

const COLONY = id(11);
const of = { box: BOX, colony: COLONY };
const stocked = told('stocked', '2026-05-01', {
  ...of,
  bays: bays.slice(0, 1),
  frames: { sealedBrood: 1, stores: 1, drawn: 1 },
  shakes: 2,
  openBrood: false,
  queen: 'laying',
});
const strips = told('stripsPut', '2026-05-20', {
  ...of,
  product: 'Strips',
  outBy: '2026-07-01',
});

function Checked({ view }: { view: YardView }) {
  const { send, asking } = useWarned(view);
  const [box] = view.boxes;
  const [room] = box?.compartments ?? [];
  return box && room ? (
    <>
      {asking}
      <ShortCheck line={{ box, room }} on={view.on} send={send} />
    </>
  ) : null;
}
async function opened(...more: readonly LogEvent[]) {
  const server = serverWith([...built, stocked, ...more]);
  show(server, (view) => <Checked view={view} />);
  await screen.findByText('Short check', { exact: false });
  return server;
}
const enter = () => screen.getByRole('button', { name: 'Enter the check' });
const tick = (label: RegExp) => fireEvent.click(screen.getByLabelText(label));
const seams = (typed: string) =>
  fireEvent.change(screen.getByLabelText('Seams seen, if counted'), { target: { value: typed } });

afterEach(cleanup);

describe('a short check', () => {
  it('is entered as one act in its order, with the seams that were counted, and once by two taps', async () => {
    const server = await opened();
    expect(enter()).toHaveProperty('disabled', true);
    tick(/strap or weight/);
    tick(/a look down/);
    seams('3,5');
    fireEvent.click(enter());
    fireEvent.click(enter());
    await waitFor(() => expect(server.posted).toHaveLength(2));
    expect(server.posted.map(({ kind, payload }) => [kind, payload])).toEqual([
      ['strengthSeen', { ...of, seams: 3.5 }],
      ['shortChecked', { ...of, did: ['lookedDown', 'strapped'] }],
    ]);
    await screen.findByText('Short check, last 10 Jun', { exact: false });
    await waitFor(() => expect(enter()).toHaveProperty('disabled', true));
    expect(server.posted).toHaveLength(2);
  });

  it('takes out the strips that are in, by what they are', async () => {
    const server = await opened(strips);
    tick(/strips out \(in since 20 May/);
    fireEvent.click(enter());
    await waitFor(() => expect(server.posted.map(({ kind }) => kind)).toEqual(['stripsOut', 'shortChecked']));
    expect(server.posted[0]?.payload).toMatchObject({ strips: strips.id });
  });

  it.each([
    ['-1', true],
    ['0', false],
    ['40', false],
    ['40.5', true],
    ['many', true],
  ])('of %s seams is refused before it is sent: %s', async (typed, refused) => {
    await opened();
    tick(/strap or weight/);
    seams(typed);
    expect(enter()).toHaveProperty('disabled', refused);
    expect(screen.queryByText(/Seams from 0 to 40/) !== null).toBe(refused);
  });
});
