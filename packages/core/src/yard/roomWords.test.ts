import { expect, it } from 'vitest';
import { roomWords, statusLine } from './roomWords.ts';

type Room = Parameters<typeof statusLine>[0];
const room = (more: Partial<Room>): Room =>
  ({ status: 'laying', role: 'mating', shares: undefined, queens: [], since: undefined, ...more }) as Room;

it('a room is called by its status, and by what it serves as where that is not mating', () => {
  expect(roomWords(room({}))).toBe('laying');
  expect(roomWords(room({ role: 'growing' }))).toBe('laying');
  expect(roomWords(room({ role: 'empty', status: 'empty' }))).toBe('empty');
  expect(roomWords(room({ role: 'donor' }))).toBe('donor: laying');
  expect(roomWords(room({ role: 'flying', shares: 'West' }))).toMatch(/, its queen in West$/);
  expect(roomWords(room({ role: 'bank', status: 'stocked', queens: [{}, {}] as never }))).toBe(
    'bank, 2 queens',
  );
});

it('a queen that was given free, or let out, is not called caged', () => {
  const caged = (...queens: { caged?: true }[]) =>
    room({ status: 'caged', since: '2026-05-24', queens: queens as never });
  expect(roomWords(caged({ caged: true }))).toBe('caged queen');
  expect(roomWords(caged({}))).toBe('queen given, free');
  expect(statusLine(caged({}), '2026-05-31')).toBe('queen given, free since 24 May');
  // Of several, one is in her cage yet; of none, nothing is known but that she was given.
  expect(roomWords(caged({}, { caged: true }))).toBe('caged queen');
  expect(roomWords(caged())).toBe('caged queen');
  expect(roomWords(room({ queens: [{}] as never }))).toBe('laying');
});

it('with since when, where that is known', () => {
  expect(statusLine(room({ since: '2026-05-24' }), '2026-05-31')).toBe('laying since 24 May');
  expect(statusLine(room({}), '2026-05-31')).toBe('laying');
  expect(statusLine(room({ role: 'donor', since: '2026-05-24' }), '2026-05-31')).toBe(
    'donor: laying since 24 May',
  );
  expect(statusLine(room({ role: 'bank', since: '2026-05-24', queens: [{}] as never }))).toBe(
    'bank, 1 queen',
  );
});
