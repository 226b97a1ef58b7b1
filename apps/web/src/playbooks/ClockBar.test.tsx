// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { built, serverWith, show, TODAY } from '../yard/onScreen.test.kit.tsx';
import { ClockBar } from './ClockBar.tsx';

afterEach(cleanup);

/** Ten in the morning in Vienna, as the session has it. */
const at = (hour: number, minute = 0) =>
  new Date(Date.parse(`${TODAY}T08:00:00.000Z`) + ((hour - 10) * 60 + minute) * 60_000).toISOString();
const clock = (key: string, more: { from?: string; to?: string }) => ({
  key,
  title: key,
  path: `/yard/y/box/b/run/${key}`,
  zone: 'Europe/Vienna',
  ...more,
});

it('shows what runs within hours, soonest first, what is late, and nothing of weeks; the nearest before the title', async () => {
  const clocks = [
    clock('grafts', { from: at(12), to: at(14) }),
    clock('late', { to: at(9) }),
    clock('weeks', { from: at(24 * 20) }),
    clock('yesterday', { to: at(-30) }),
    clock('open', { from: at(9) }),
  ];
  localStorage.setItem('yc-clocks', JSON.stringify({ yard: clocks }));
  document.title = 'Yellow Cell';
  show(serverWith(built), () => <ClockBar />);
  const lines = await screen.findAllByRole('link');
  expect(lines.map((each) => each.textContent)).toEqual(['late late by 1 h', 'grafts in 2 h']);
  expect(lines[1]?.getAttribute('href')).toBe('/yard/y/box/b/run/grafts');
  expect(document.title).toBe('late by 1 h · late');
  cleanup();
  expect(document.title).toBe('Yellow Cell');
});
