import type { Problem, QuickLineAnswer, QuickQuestion } from '@yellow-cell/contract';
import { refuse } from '../problems.ts';
import { readLine } from './readLine.ts';

/** A typed line read without the interface: the entries that it makes, or what must be asked first. Throws `ProblemsError`. */
export function quick(question: QuickQuestion): QuickLineAnswer {
  refuse(quickProblems(question));
  const { line, on, boxes, here, measures = {} } = question;
  const reading = readLine(line, {
    on,
    here,
    measures,
    places: boxes.map(({ label, compartments, dividers = compartments.length - 1 }) => ({
      label,
      compartments,
      dividers,
    })),
  });
  const questions = reading.chips.filter(({ is }) => is === 'question');
  return {
    entries: reading.entries.map(({ words: _, fields, ...entry }) => ({ ...entry, ...fields })),
    asks: reading.asks,
    // What is asked about stands in no entry yet.
    unread: [...reading.unread, ...(reading.asks === null ? [] : questions)]
      .toSorted((a, b) => a.start - b.start)
      .flatMap(({ start, end }) => line.slice(start, end).split(/\s+/).filter(Boolean)),
    choices: reading.choices,
  };
}

/** Names by which two boxes, or two rooms of one, could not be told apart. */
export function quickProblems({ boxes }: Pick<QuickQuestion, 'boxes'>): Problem[] {
  return [
    ...twice(boxes.map(({ label }) => label)).map((index) => ({
      path: `boxes.${index}.label`,
      value: boxes[index]?.label,
      sentence: 'Two boxes bear this label.',
    })),
    ...boxes.flatMap(({ compartments }, box) =>
      twice(compartments).map((index) => ({
        path: `boxes.${box}.compartments.${index}`,
        value: compartments[index],
        sentence: 'Two compartments of the box bear this name.',
      })),
    ),
  ];
}
/** Where a name stands that stood before; the case does not tell names apart. */
const twice = (names: readonly string[]): number[] => {
  const lower = names.map((each) => each.toLowerCase());
  return lower.flatMap((each, index) => (lower.indexOf(each) < index ? [index] : []));
};
