import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keep, keepSoon, readKept } from './kept.ts';

const shelf = new Map<string, string>();

describe('what a device keeps', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    shelf.clear();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => shelf.get(key) ?? null,
      setItem: (key: string, value: string) => shelf.set(key, value),
      removeItem: (key: string) => shelf.delete(key),
    });
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('is written once the hand rests, and read before it is written', () => {
    for (let move = 0; move < 50; move++) keepSoon('a', move);
    expect(shelf.size).toBe(0);
    expect(readKept('a')).toBe(49);
    vi.advanceTimersByTime(300);
    expect(shelf.get('a')).toBe('49');
  });

  it('is what was said last, soon or at once', () => {
    keepSoon('a', 1);
    keep('a', 2);
    vi.advanceTimersByTime(300);
    expect(readKept('a')).toBe(2);
    keepSoon('a', undefined);
    expect(readKept('a')).toBeUndefined();
    vi.advanceTimersByTime(300);
    expect(shelf.has('a')).toBe(false);
  });

  it('costs the memory, not the work, where the browser refuses', () => {
    vi.stubGlobal('localStorage', {
      getItem: () => {
        throw new Error('forbidden');
      },
      setItem: () => {
        throw new Error('full');
      },
    });
    expect(readKept('a')).toBeUndefined();
    expect(() => keep('a', 1)).not.toThrow();
  });
});
