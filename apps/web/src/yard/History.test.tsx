// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { History } from './History.tsx';
import { BOX, bays, built, id, type Server, serverWith, show, told } from './onScreen.test.kit.tsx';
import { PutOff } from './PutOff.tsx';

const COLONY = id(11);
const of = { box: BOX, colony: COLONY };
const story = [
  ...built,
  told('stocked', '2026-05-20', {
    ...of,
    bays: bays.slice(0, 1),
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 2,
    openBrood: false,
  }),
  told('fed', '2026-05-21', { ...of, feed: 'syrup11', amount_kg: 0.5 }),
];

function open(): Server {
  const server = serverWith(story);
  show(server, (view) => (
    <>
      <p>Fed on {view.state.colonies.get(COLONY)?.fed?.on ?? 'no day'}</p>
      <History view={view} box={BOX} />
      <PutOff
        box={BOX}
        colony={COLONY}
        work={{ kind: 'giveCell' }}
        title="B1 West: Give a ripe cell"
        on={view.on}
      />
    </>
  ));
  return server;
}
afterEach(cleanup);

describe('the history of a box', () => {
  it('corrects the day of an entry by a further one', async () => {
    const server = open();
    fireEvent.click(await screen.findByRole('button', { name: /^Correct: Fed/ }));
    fireEvent.change(screen.getByLabelText('It happened on'), { target: { value: '2026-05-23' } });
    fireEvent.click(screen.getByRole('button', { name: 'Correct it' }));
    await screen.findByText('Fed on 2026-05-23');
    expect(server.posted).toMatchObject([{ kind: 'fed', corrects: story.at(-1)?.id }]);
    expect(server.posted[0]?.occurredAt.slice(0, 10)).toBe('2026-05-23');
  });

  it('says why a correction cannot be, and keeps what was typed', async () => {
    const server = open();
    fireEvent.click(await screen.findByRole('button', { name: /^Correct: Fed/ }));
    fireEvent.change(screen.getByLabelText('It happened on'), { target: { value: '2026-05-01' } });
    fireEvent.click(screen.getByRole('button', { name: 'Correct it' }));
    await screen.findAllByText(/There were no such bees in box B1/);
    expect(server.posted).toEqual([]);
    expect(screen.getByLabelText<HTMLInputElement>('It happened on').value).toBe('2026-05-01');
  });

  it('takes an entry back, and the last act can be undone', async () => {
    const server = open();
    fireEvent.click(await screen.findByRole('button', { name: /^Withdraw: Fed/ }));
    await screen.findByText('Fed on no day');
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await screen.findByText('Fed on 2026-05-21');
    expect(server.posted.map(({ kind, corrects }) => [kind, corrects])).toEqual([
      ['withdrawn', story.at(-1)?.id],
      ['withdrawn', server.posted[0]?.id],
    ]);
  });
});

describe('work that is not done now', () => {
  it('is put off or dismissed, with a reason and not without', async () => {
    const server = open();
    fireEvent.click(await screen.findByText('Not now, or not at all'));
    const later = await screen.findByText<HTMLButtonElement>('Put it off');
    expect(later.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'Rain until Friday.' } });
    fireEvent.click(later);
    await waitFor(() => expect(server.posted).toHaveLength(1));
    fireEvent.click(screen.getByText('Dismiss it'));
    await waitFor(() => expect(server.posted).toHaveLength(2));
    expect(
      server.posted.map(({ payload, note }) => [(payload as { until: string | null }).until, note]),
    ).toEqual([
      ['2026-06-13', 'Rain until Friday.'],
      [null, 'Rain until Friday.'],
    ]);
  });
});
