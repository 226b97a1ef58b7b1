// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { BOX, built, serverWith, show } from '../yard/onScreen.test.kit.tsx';
import { newId } from './ids.ts';
import { draft, useLog } from './useLog.ts';

afterEach(cleanup);
afterEach(() => vi.restoreAllMocks());

function Buttons() {
  const log = useLog();
  const notes = [
    ['Weighed', 'B1 weighed', 'twelve', false],
    ['Weighed again', 'B1 weighed', 'thirteen', false],
    ['Noted', 'B1 noted', 'twelve', false],
    ['Counted', 'B1 counted', 'one more', true],
  ] as const;
  return notes.map(([name, title, note, counts]) => (
    <button
      key={name}
      type="button"
      onClick={() => void log(title, [draft('noted', { box: BOX }, `${note}, ${newId()}`)], counts)}
    >
      {name}
    </button>
  ));
}

it('a second tap of the same press enters nothing; another act, an undone one, or the same later on is entered', async () => {
  const server = serverWith(built);
  let now_ms = 10_000;
  vi.spyOn(performance, 'now').mockImplementation(() => now_ms);
  show(server, () => <Buttons />);
  const weighed = await screen.findByRole('button', { name: 'Weighed' });
  const posted = (count: number) => waitFor(() => expect(server.posted).toHaveLength(count));
  fireEvent.click(weighed);
  now_ms += 699;
  fireEvent.click(weighed);
  await posted(1);
  fireEvent.click(screen.getByRole('button', { name: 'Noted' }));
  await posted(2);
  fireEvent.click(screen.getByRole('button', { name: 'Weighed again' }));
  await posted(3);
  fireEvent.click(weighed);
  await posted(4);
  now_ms += 700;
  fireEvent.click(weighed);
  await posted(5);
  fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  await posted(6);
  fireEvent.click(weighed);
  await posted(7);
  expect(server.posted.map(({ kind }) => kind).filter((kind) => kind === 'withdrawn')).toHaveLength(1);
});

it('what is counted is one more with each press, however fast', async () => {
  const server = serverWith(built);
  vi.spyOn(performance, 'now').mockImplementation(() => 10_000);
  show(server, () => <Buttons />);
  const counted = await screen.findByRole('button', { name: 'Counted' });
  for (let press = 0; press < 5; press++) fireEvent.click(counted);
  await waitFor(() => expect(server.posted).toHaveLength(5));
  expect(new Set(server.posted.map(({ id }) => id)).size).toBe(5);
});
