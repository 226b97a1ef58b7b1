import type { DesignContent, Entry, EventKind } from '@yellow-cell/contract';
import { subjectFields } from '@yellow-cell/contract/subjects';
import { describe, expect, it } from 'vitest';
import type { Layer } from '../../box/stackMoves.ts';
import { defaultConstants } from '../../constants/registry.ts';
import { compartmentsOf } from '../compartments.ts';
import { expectationsOf } from '../due/rules.ts';
import { fold, stateAfter } from '../fold.ts';
import type { YardState } from '../state.ts';
import { known } from '../story.test.kit.ts';
import type { Act } from '../warn/act.ts';
import { warningsOf } from '../warn/warnings.ts';
import { FOLLOWING, type Following, FULL_YARD, KINDS_FOLLOWING, NOW, OTHERS } from './fullYard.test.kit.ts';

const before = fold(known, FULL_YARD);
const answerTo = (kind: EventKind, payload: object): YardState | string =>
  stateAfter(before, known, { kind, payload } as Pick<Entry, 'kind' | 'payload'>, NOW);

const situation = {
  state: before,
  designs: known.designs,
  on: NOW,
  weather: new Map(),
  constants: defaultConstants,
  yard: { latitude_deg: 48 },
  climate: undefined,
};
/** What speaks against an entry before it is made. */
const saidBefore = (kind: EventKind, payload: object): string[] =>
  warningsOf(situation, { kind, payload } as Act).map(({ sentence }) => sentence);

/** All that is expected of the rooms of a yard. */
const dueIn = (state: YardState): string[] =>
  [...state.boxes.values()].flatMap((box) =>
    compartmentsOf(state, known.designs, box).flatMap((room) =>
      expectationsOf(room, box, new Map(), defaultConstants).map(
        ({ kind, key, from, expected, to }) =>
          `${box.label} ${room.name}: ${kind}${key ? ` ${key}` : ''} ${from} ${expected} ${to}`,
      ),
    ),
  );
const dueBefore = dueIn(before);
function dueChanges(after: YardState): string[] {
  const now = dueIn(after);
  return [
    ...dueBefore.filter((each) => !now.includes(each)).map((each) => `no more due: ${each}`),
    ...now.filter((each) => !dueBefore.includes(each)).map((each) => `due: ${each}`),
  ];
}

const KEPT = ['boxes', 'colonies', 'attempts', 'queens', 'frames', 'rounds', 'trials', 'weather'] as const;

const partsOf = ({ layers }: DesignContent) =>
  layers.map((layer) => [layer.id, ...(layer.kind === 'body' ? layer.boards.map(({ id }) => id) : [])]);
/** A stack is told by the names of its parts. */
const shown = (value: unknown, of = ''): string =>
  JSON.stringify(value, (key, each: unknown) => {
    const field = key || of;
    if (each === null || typeof each !== 'object') return each;
    if (field === 'layer') return (each as Layer).id;
    return field === 'changed' ? partsOf(each as DesignContent) : each;
  }) ?? 'nothing';

/** What is otherwise in the state, field by field. */
function changes(after: YardState): string[] {
  return KEPT.flatMap((part) => {
    const [was, is] = [before[part], after[part]] as [
      ReadonlyMap<string, object>,
      ReadonlyMap<string, object>,
    ];
    return [...new Set([...was.keys(), ...is.keys()])].flatMap((id) => {
      const [one, other] = [fieldsOf(was.get(id)), fieldsOf(is.get(id))];
      if (!one || !other) return [`${part} ${id}: ${other ? shown(other) : 'gone'}`];
      return [...new Set([...Object.keys(one), ...Object.keys(other)])].flatMap((field) => {
        const [a, b] = [one, other].map((each) => shown(each[field], field));
        return a === b ? [] : [`${part} ${id} ${field}: ${a} → ${b}`];
      });
    });
  });
}

/** Weather is kept by day. */
const fieldsOf = (value: object | undefined): Record<string, unknown> | undefined =>
  value && (value instanceof Map ? Object.fromEntries(value) : { ...value });

/** The same payload with one id in it another, for every id and every other of its sort. */
function spoilt(payload: unknown): { path: string; other: string; payload: object }[] {
  const found: { path: string; other: string; payload: object }[] = [];
  const visit = (value: unknown, path: readonly string[]): void => {
    if (typeof value === 'string') {
      const others = OTHERS.find(
        (ids) => ids.includes(value) || (/-new$/.test(value) && ids[0]?.startsWith(value.replace('new', ''))),
      );
      if (!others) return;
      for (const other of [...others.filter((each) => each !== value), 'nobody'])
        found.push({ path: path.join('.'), other, payload: replaced(payload, path, other) as object });
    } else if (value !== null && typeof value === 'object')
      for (const [key, each] of Object.entries(value)) visit(each, [...path, key]);
  };
  visit(payload, []);
  return found;
}

function replaced(value: unknown, [step, ...rest]: readonly string[], by: string): unknown {
  if (step === undefined) return by;
  if (Array.isArray(value))
    return value.map((each, at) => (String(at) === step ? replaced(each, rest, by) : each));
  return { ...(value as object), [step]: replaced((value as Record<string, unknown>)[step], rest, by) };
}

/** Answers to all that is spoilt, those that are alike together. */
function answersTo([kind, payload]: Following): string[] {
  const said = new Map<string, string[]>();
  for (const each of spoilt(payload)) {
    const answer = answerTo(kind, each.payload);
    const kept = ['kept', ...saidBefore(kind, each.payload)].join(': ');
    const key = `${each.path}: ${typeof answer === 'string' ? answer : kept}`;
    said.set(key, [...(said.get(key) ?? []), each.other]);
  }
  return [...said].map(([key, others]) => `    ${others.join(' ')} as ${key}`);
}

describe('a yard in which something of every kind stands', () => {
  it('is told without a word against it, and every kind of entry follows', () => {
    expect(before.toSettle.map(({ sentence }) => sentence)).toEqual([]);
    expect(Object.keys(subjectFields).filter((kind) => !KINDS_FOLLOWING.has(kind as EventKind))).toEqual([]);
  });

  it('what each entry changes there, and what is said where it is about something else', () => {
    const lines = FOLLOWING.flatMap((following) => {
      const [kind, payload] = following;
      const answer = answerTo(kind, payload);
      return [
        `${kind} ${shown(payload)}`,
        ...(typeof answer === 'string'
          ? [`  refused: ${answer}`]
          : [
              ...saidBefore(kind, payload).map((each) => `  said before: ${each}`),
              ...changes(answer).map((each) => `  ${each}`),
              ...dueChanges(answer).map((each) => `  ${each}`),
            ]),
        ...answersTo(following),
        '',
      ];
    });
    return expect(lines.join('\n')).toMatchFileSnapshot('./told.txt');
  });
});
