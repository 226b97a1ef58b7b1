import { describe, expect, it } from 'vitest';
import { ahead } from './ahead.ts';

describe('a query asked ahead of its turn', () => {
  it('ends nothing where it fails and nobody waits any more', async () => {
    const unheard: unknown[] = [];
    const hear = (reason: unknown) => unheard.push(reason);
    process.on('unhandledRejection', hear);
    ahead(Promise.reject(new Error('gone')));
    await new Promise((done) => setTimeout(done, 20));
    process.off('unhandledRejection', hear);
    expect(unheard).toEqual([]);
  });

  it('fails whoever waits for it, and gives its answer', async () => {
    await expect(ahead(Promise.reject(new Error('gone')))).rejects.toThrow('gone');
    expect(await ahead(Promise.resolve(3))).toBe(3);
  });
});
