import { troubleWords } from '../yard/statusWords.ts';
import { act, ask, entry, type QuickAct, type QuickAnswer } from './answer.ts';
import type { QuickBox, QuickContext } from './context.ts';
import type { Read } from './readWords.ts';
import { weightIn } from './weightIn.ts';
import type { Meaning } from './words.ts';

/** What a box weighs, on a scale or by hand; it needs no compartment. */
export function weighAct(read: Read, box: QuickBox): QuickAnswer {
  const { meanings, note } = read;
  const weight_kg = weightIn(read, {
    missing: 'How heavy is it?',
    most_kg: 300,
    absurd: (typed) => `No box of ${typed} is weighed.`,
  });
  if (typeof weight_kg !== 'number') return weight_kg;
  const felt = meanings.some((meaning) => meaning.is === 'weigh' && meaning.by === 'hand');
  return entry(
    box.label,
    `${felt ? 'hefted at about' : 'weighed'} ${weight_kg} kg`,
    [act('weighed', { box: box.id, weight_kg, felt })],
    note,
  );
}

/** The round that a line names; asked where there is none of that number. */
export function roundIn(
  { numbers }: Read,
  { rounds }: QuickContext,
): QuickContext['rounds'][number] | QuickAnswer | undefined {
  const number = numbers.find(({ unit }) => unit === 'round' || unit === '');
  if (!number) return undefined;
  return (
    rounds.find((each) => each.number === number.value) ??
    ask(
      `There is no round ${number.value}.`,
      rounds.map((each) => String(each.number)),
      number.typed,
    )
  );
}

interface Cared {
  inColony: { box: string; colony: string };
  queen: string | undefined;
  context: QuickContext;
  idFor: () => string;
  title: string;
}

/** What is seen and done of care in a compartment, or undefined where the line says none of it. */
export function careAct(
  read: Read,
  { inColony, queen, context, idFor, title }: Cared,
): QuickAnswer | undefined {
  const has = (is: Meaning['is']): boolean => read.meanings.some((meaning) => meaning.is === is);
  const find = <Is extends Meaning['is']>(is: Is) =>
    read.meanings.find((meaning): meaning is Extract<Meaning, { is: Is }> => meaning.is === is);
  const keep = (words: string, ...acts: QuickAct[]): QuickAnswer => entry(title, words, acts, read.note);

  if (has('wild')) {
    const count = read.numbers[0]?.value ?? (has('no') ? 0 : undefined);
    if (count === undefined) return ask('How many wild cells? 0 where none was found.');
    return keep(
      count === 0 ? 'searched, no wild cells' : `${count} wild ${count === 1 ? 'cell' : 'cells'} torn down`,
      act('wildCellsSearched', { ...inColony, found: count }),
    );
  }
  const trouble = find('trouble')?.trouble;
  if (trouble) {
    const over = has('over') || has('no');
    return keep(
      `${troubleWords[trouble]} ${over ? 'over' : 'seen'}`,
      act('troubleSeen', { ...inColony, trouble, over }),
    );
  }
  if (has('cover')) {
    const on = !has('off');
    return keep(`cover ${on ? 'on' : 'off'}`, act('coverSet', { ...inColony, on }));
  }
  if (has('virgin') && !has('reason') && !has('failed')) {
    const round = roundIn(read, context);
    if (round && 'is' in round) return round;
    return keep(
      `virgin given${round ? ` of round ${round.number}` : ''}`,
      act('queenGiven', {
        ...inColony,
        queen: idFor(),
        what: 'virgin',
        caged: true,
        ...(round ? { round: round.id } : {}),
      }),
    );
  }
  return queenAct(read, inColony, queen, has, find('colour')?.colour, keep);
}

const DONE: readonly Meaning['is'][] = ['taken', 'fate', 'eggs', 'failed', 'reason', 'combine', 'cell'];

function queenAct(
  read: Read,
  inColony: { box: string; colony: string },
  queen: string | undefined,
  has: (is: Meaning['is']) => boolean,
  colour: Extract<Meaning, { is: 'colour' }>['colour'] | undefined,
  keep: (words: string, ...acts: QuickAct[]) => QuickAnswer,
): QuickAnswer | undefined {
  if (has('marked') || colour) {
    if (!queen) return ask('No queen is known there as a person yet; give her a record first.');
    if (!colour) return ask('Which colour was she marked?', ['white', 'yellow', 'red', 'green', 'blue']);
    const number = read.numbers.find(({ unit }) => unit === '')?.typed;
    return keep(
      `queen marked ${colour}${number ? ` ${number}` : ''}`,
      act('queenMarked', { ...inColony, queen, colour, clipped: false, ...(number ? { number } : {}) }),
    );
  }
  if (!has('queen') || DONE.some(has)) return undefined;
  if (has('no')) return keep('queen looked for, not seen', act('queenSeen', { ...inColony, seen: false }));
  if (has('seen'))
    return keep('queen seen', act('queenSeen', { ...inColony, seen: true, ...(queen ? { queen } : {}) }));
  return ask('The queen: seen, not seen, or taken?', ['seen', 'not seen', 'taken']);
}
