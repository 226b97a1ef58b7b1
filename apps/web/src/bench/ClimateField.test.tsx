// @vitest-environment jsdom
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { Climate, Measures, Settings } from '@yellow-cell/contract';
import { Settings as SettingsSchema } from '@yellow-cell/contract';
import { METRIC } from '@yellow-cell/core';
import { Suspense } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { queries, sessionQuery } from '../app/queries.ts';
import { MeasuresContext } from '../app/units.ts';
import { ClimateField } from './ClimateField.tsx';

const YARD = '00000000-0000-4000-8000-000000000002';
const OTHER = '00000000-0000-4000-8000-000000000003';
const MONTHS = Array.from({ length: 12 }, () => null);
const of = (first: { min_C: number; max_C: number } | null): Climate => ({
  months: [first, ...MONTHS.slice(1)],
});

/** Settings on a server that does as the real one: what is not of the newest is refused. */
function shown(climates: Settings['climates'] = {}, measures: Measures = METRIC) {
  const server = {
    puts: 0,
    settings: { person: 'P', measures, constants: {}, climates, version: 1 } as Settings,
    away: false,
  };
  const session = () => ({ settings: server.settings });
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    if (server.away) throw new TypeError('Failed to fetch');
    if (url === '/api/session') return new Response(JSON.stringify(session()));
    server.puts += 1;
    const next = SettingsSchema.parse(JSON.parse(String(init?.body)));
    if (next.version !== server.settings.version)
      return new Response(JSON.stringify({ type: '', detail: 'Somebody else was faster.' }), { status: 409 });
    server.settings = { ...next, version: next.version + 1 };
    return new Response(JSON.stringify(server.settings));
  });
  queries.clear();
  queries.setQueryData(sessionQuery.queryKey, session() as never);
  render(
    <QueryClientProvider client={queries}>
      <MeasuresContext value={measures}>
        <Suspense fallback="…">
          <ClimateField yard={{ id: YARD, latitude_deg: -41 }} />
        </Suspense>
      </MeasuresContext>
    </QueryClientProvider>,
  );
  return server;
}
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const type = (label: string, value: string) => fireEvent.change(field(label), { target: { value } });
const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Keep the months' });

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the climate of a yard', () => {
  it('is kept month by month as it is typed, beside that of other yards, and gone back from', async () => {
    const others = { [OTHER]: of({ min_C: 1, max_C: 2 }) };
    const server = shown(others);
    expect(keep().disabled).toBe(true);
    type('Jan, minimum', '-4');
    expect(screen.getByText('Jan: minimum and maximum, or neither.')).toBeTruthy();
    expect(keep().disabled).toBe(true);
    type('Jan, maximum', '-4,5');
    expect(screen.getByText(/Jan: two temperatures, the minimum not above the maximum/)).toBeTruthy();
    type('Jan, maximum', '-4');
    fireEvent.click(keep());
    await waitFor(() => expect(server.settings.climates?.[YARD]).toEqual(of({ min_C: -4, max_C: -4 })));
    expect(server.settings.climates?.[OTHER]).toEqual(others[OTHER]);
    fireEvent.click(await screen.findByRole('button', { name: 'back to the estimate' }));
    await waitFor(() => expect(server.settings.climates).toEqual(others));
  });

  it('is typed in the degrees of the reader, whose tenths come back as they were', async () => {
    const server = shown({}, { ...METRIC, temperature: 'F' });
    type('Jan, minimum', '15.5');
    type('Jan, maximum', '41');
    fireEvent.click(keep());
    await waitFor(() => expect(server.settings.climates?.[YARD]?.months[0]?.max_C).toBe(5));
    expect(server.settings.climates?.[YARD]?.months[0]?.min_C).toBeCloseTo(-9.17, 6);
    await waitFor(() => expect(field('Jan, minimum').value).toBe('15.5'));
    expect(field('Jan, maximum').value).toBe('41');
    // Estimated for the south: January is warm there.
    const [january] = screen.getAllByRole('row').slice(1);
    expect(Number(january?.lastElementChild?.textContent)).toBeGreaterThan(50);
  });

  it('is kept once by two taps, and says so where it could not be', async () => {
    const server = shown();
    type('Jan, minimum', '1');
    type('Jan, maximum', '2');
    fireEvent.click(keep());
    fireEvent.click(keep());
    await screen.findByRole('button', { name: 'back to the estimate' });
    expect([server.puts, screen.queryByRole('alert')]).toEqual([1, null]);
    server.away = true;
    type('Feb, minimum', '1');
    type('Feb, maximum', '2');
    fireEvent.click(keep());
    expect((await screen.findByRole('alert')).textContent).toBe('Not kept. The server does not answer.');
    // What was typed is there still.
    expect(field('Feb, maximum').value).toBe('2');
    server.away = false;
    fireEvent.click(keep());
    await waitFor(() => expect(server.settings.climates?.[YARD]?.months[1]).toEqual({ min_C: 1, max_C: 2 }));
  });
});
