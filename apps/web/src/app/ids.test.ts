import { Id } from '@yellow-cell/contract';
import { expect, it } from 'vitest';
import { newId } from './ids.ts';

it('ids are version 4 UUIDs, all different', () => {
  const ids = Array.from({ length: 2_000 }, newId);
  for (const id of ids) {
    expect(Id.safeParse(id).success).toBe(true);
    expect(id).toMatch(/^.{14}4.{4}[89ab]/);
  }
  expect(new Set(ids).size).toBe(ids.length);
});
