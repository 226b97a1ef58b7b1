import { showDay } from '../calendar/showDay.ts';
import { actsOf } from './acts.ts';
import type { QuickAnswer } from './answer.ts';
import type { QuickContext } from './context.ts';
import type { LineEntry } from './reading.ts';
import { readLine } from './readLine.ts';

/** Reads a typed line as entries of the yard on screen, shown before they are kept. `idFor` names what the line begins. */
export function readQuickLine(line: string, context: QuickContext, idFor: () => string): QuickAnswer {
  const { boxes, chosen, today, measures = {} } = context;
  const here = boxes.find(({ id }) => id === chosen?.box);
  const { entries, asks, choices, unread, chips, looksFor } = readLine(line, {
    on: today,
    measures,
    places: boxes.map(({ label, compartments, boards }) => ({
      label,
      compartments: compartments.map(({ name }) => name),
      dividers: boards.length,
      living: compartments.filter(({ colony }) => colony).map(({ name }) => name),
    })),
    here: here && { box: here.label, compartment: here.compartments[chosen?.compartment ?? -1]?.name },
  });
  if (looksFor) return { is: 'search' };
  if (asks !== null) return { is: 'ask', question: asks, choices, unread, chips };
  const acts = actsOf(entries, context, idFor);
  if ('question' in acts)
    return {
      is: 'ask',
      question: acts.question,
      choices: acts.choices.map((says) => ({ says, line: `${line} ${says}` })),
      unread,
      chips,
    };
  return { is: 'entry', words: toldOf(entries, context), acts, unread, chips };
}

/** “B7 West: eggs seen, pattern 85 %; B2 East, 28 May: failed, reason unknown”. */
export function toldOf(
  entries: readonly LineEntry[],
  { boxes, today }: Pick<QuickContext, 'boxes' | 'today'>,
): string {
  const told = new Map<string, string[]>();
  for (const { box, compartment, on, words, note } of entries) {
    const alone = boxes.find(({ label }) => label === box)?.compartments.length === 1;
    const place = compartment === undefined || alone ? box : `${box} ${compartment}`;
    const title = on === today ? place : `${place}, ${showDay(on, today)}`;
    const noted =
      note === undefined || words.startsWith('no eggs') || words === 'note' ? '' : ', with a note';
    told.set(title, [...(told.get(title) ?? []), `${words}${noted}`]);
  }
  return [...told].map(([title, said]) => `${title}: ${said.join(', ')}`).join('; ');
}
