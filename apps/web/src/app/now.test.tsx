// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import type { Session, Yard } from '@yellow-cell/contract';
import { Suspense } from 'react';
import { MemoryRouter, Outlet, Route, Routes } from 'react-router';
import { afterEach, expect, it } from 'vitest';
import { ShownDay, useAsOf } from './now.ts';

const yards = [
  { id: 'vienna', zone: 'Europe/Vienna' },
  { id: 'chicago', zone: 'America/Chicago' },
  { id: 'wellington', zone: 'Pacific/Auckland' },
] as Yard[];

function Shown() {
  const { today, zone } = useAsOf();
  return (
    <p>
      {zone} {today}
    </p>
  );
}

/** Half past eleven in the evening by Greenwich. */
function at(path: string) {
  const client = new QueryClient();
  client.setQueryData(['yards'], yards);
  client.setQueryData(['session'], { now: '2026-05-31T23:30:00.000Z' } as Session);
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[path]}>
        <Suspense fallback="…">
          <Routes>
            {/* As in the frame of all places, which stands above what their addresses bear. */}
            <Route
              element={
                <ShownDay>
                  <Outlet />
                </ShownDay>
              }
            >
              <Route path="/yard/:yard?" element={<Shown />} />
              <Route path="/queen/:queen" element={<Shown />} />
            </Route>
          </Routes>
        </Suspense>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return screen.getByText(/\d{4}-/).textContent?.trim();
}
afterEach(cleanup);

it.each([
  ['/yard/vienna', 'Europe/Vienna 2026-06-01'],
  ['/yard/chicago', 'America/Chicago 2026-05-31'],
  ['/yard/wellington', 'Pacific/Auckland 2026-06-01'],
  ['/yard', 'Europe/Vienna 2026-06-01'],
  ['/queen/q', 'Europe/Vienna 2026-06-01'],
])('today at %s is by the yard’s own zone', (path, said) => {
  expect(at(path)).toBe(said);
});
