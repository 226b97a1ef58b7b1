import { Status } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { statusAfter, transitions } from './transitions.ts';

describe('the table of statuses and events', () => {
  it('says for each event and status at most one thing', () => {
    for (const list of Object.values(transitions)) {
      const from = list.flatMap((each) => [...each.from]);
      expect(new Set(from).size).toBe(from.length);
    }
  });
  it('leads to and from known statuses only', () => {
    for (const list of Object.values(transitions)) {
      for (const { from, to } of list)
        for (const status of [...from, ...(to === 'same' ? [] : [to])])
          expect(Status.options).toContain(status);
    }
  });
  it('keeps the status where an observation only adds to the record', () => {
    expect(statusAfter('eggsSeen', 'proven')).toBe('proven');
    expect(statusAfter('eggsSeen', 'failed')).toBeUndefined();
  });
});
