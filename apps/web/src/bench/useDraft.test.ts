import { mainBody, withFramesIn } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { begun, type Draft, type History, newDraft, stepped } from './useDraft.ts';

const start = newDraft('threeWay');
const frames = ({ content }: Draft): number => mainBody(content).bays[0]?.frames.length ?? 0;
const more = (draft: Draft): Draft => ({
  ...draft,
  content: withFramesIn(draft.content, mainBody(draft.content).bays[0]?.id ?? '', frames(draft) + 1),
});
const change = (history: History, at: number, tag = ''): History =>
  stepped(history, { kind: 'change', to: more, tag, at });

describe('the history of a drawing', () => {
  it('goes back and forth step by step', () => {
    let history = begun(start, false);
    for (let step = 1; step <= 3; step++) history = change(history, step * 10);
    expect(frames(history.draft)).toBe(6);
    history = stepped(stepped(history, { kind: 'undo' }), { kind: 'undo' });
    expect(frames(history.draft)).toBe(4);
    history = stepped(history, { kind: 'redo' });
    expect(frames(history.draft)).toBe(5);
    // A new change after going back leaves nothing to redo.
    expect(stepped(change(history, 100), { kind: 'redo' }).draft).toEqual(change(history, 100).draft);
  });

  it('takes the moves of one drag as one step, those of two or after a rest as two', () => {
    let history = begun(start, false);
    for (let move = 0; move < 20; move++) history = change(history, 1_000 + move * 16, 'drag-a');
    expect(history.past).toHaveLength(1);
    expect(stepped(history, { kind: 'undo' }).draft).toEqual(start);
    expect(change(history, 1_400, 'drag-b').past).toHaveLength(2);
    expect(change(history, 9_000, 'drag-a').past).toHaveLength(2);
    expect(change(history, 1_400).past).toHaveLength(2);
  });

  it('has nothing before the start, and starts again when it is reset', () => {
    const history = begun(start, false);
    expect(stepped(history, { kind: 'undo' })).toBe(history);
    expect(stepped(history, { kind: 'redo' })).toBe(history);
    const reset = stepped(change(history, 1), { kind: 'reset', to: start, changed: false });
    expect(reset).toEqual(begun(start, false));
  });
});
