// @vitest-environment jsdom
import type { KeptWorkshop } from '@yellow-cell/contract';
import { usualWorkshop } from '@yellow-cell/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { queries, workshopQuery } from '../app/queries.ts';
import { saveWorkshop } from './saveWorkshop.ts';

let stored: KeptWorkshop;
let away = false;
beforeEach(() => {
  stored = { ...usualWorkshop, version: 0 };
  away = false;
  queries.clear();
  vi.stubGlobal('fetch', async (_: string, init?: RequestInit) => {
    const answer = (status: number, body: object) => new Response(JSON.stringify(body), { status });
    if (init?.method !== 'PUT') return answer(200, stored);
    const sent: KeptWorkshop = JSON.parse(String(init.body));
    await Promise.resolve();
    if (away) throw new TypeError('Failed to fetch');
    if (sent.version !== stored.version)
      return answer(409, { type: '/problems/conflict', title: '', status: 409, detail: 'In between.' });
    stored = { ...sent, version: sent.version + 1 };
    return answer(200, stored);
  });
});
afterEach(() => vi.unstubAllGlobals());

const priced = (at: number, price: number) =>
  saveWorkshop(({ stock }) => ({ stock: stock.map((each, i) => (i === at ? { ...each, price } : each)) }));
const prices = () => stored.stock.slice(0, 2).map(({ price }) => price);

describe('saving the workshop', () => {
  it('keeps what is changed quickly one after the other, both; and takes one back without the other', async () => {
    const [first] = await Promise.all([
      saveWorkshop(() => ({ currency: 'kr' })),
      priced(0, 12),
      priced(1, 30),
    ]);
    expect([stored.currency, ...prices(), stored.version]).toEqual(['kr', 12, 30, 3]);
    await saveWorkshop(first);
    expect([stored.currency, ...prices()]).toEqual(['€', 12, 30]);
  });

  it('refuses what somebody else was faster with, and shows what it is now', async () => {
    await priced(0, 12);
    stored = { ...stored, currency: 'CHF', version: stored.version + 1 };
    await expect(priced(1, 30)).rejects.toThrow('In between.');
    expect(stored.currency).toBe('CHF');
    await queries.fetchQuery(workshopQuery);
    await priced(1, 30);
    expect([stored.currency, ...prices()]).toEqual(['CHF', 12, 30]);
  });

  it('goes on after a server that was away', async () => {
    await priced(0, 12);
    away = true;
    await expect(priced(1, 30)).rejects.toThrow();
    away = false;
    await priced(1, 31);
    expect(prices()).toEqual([12, 31]);
  });
});
