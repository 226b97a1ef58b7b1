// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { BOX, built, serverWith, show } from '../yard/onScreen.test.kit.tsx';
import { draft, useLog } from './useLog.ts';

afterEach(cleanup);
afterEach(() => vi.restoreAllMocks());

function Buttons() {
  const log = useLog();
  return ['B1 weighed', 'B1 noted'].map((title) => (
    <button key={title} type="button" onClick={() => void log(title, [draft('noted', { box: BOX })])}>
      {title}
    </button>
  ));
}

it('a second tap of the same press enters nothing; another act, an undone one, or the same later on is entered', async () => {
  const server = serverWith(built);
  let now_ms = 10_000;
  vi.spyOn(performance, 'now').mockImplementation(() => now_ms);
  show(server, () => <Buttons />);
  const weighed = await screen.findByRole('button', { name: 'B1 weighed' });
  const posted = (count: number) => waitFor(() => expect(server.posted).toHaveLength(count));
  fireEvent.click(weighed);
  now_ms += 699;
  fireEvent.click(weighed);
  await posted(1);
  fireEvent.click(screen.getByRole('button', { name: 'B1 noted' }));
  await posted(2);
  fireEvent.click(weighed);
  await posted(3);
  now_ms += 700;
  fireEvent.click(weighed);
  await posted(4);
  fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  await posted(5);
  fireEvent.click(weighed);
  await posted(6);
  expect(server.posted.map(({ kind }) => kind).filter((kind) => kind === 'withdrawn')).toHaveLength(1);
});
