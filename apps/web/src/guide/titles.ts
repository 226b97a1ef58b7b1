import { type playbooks as Books, slugOf } from '@yellow-cell/core';

/** Chapters of the guide in the order in which the work is learnt; those that are written bear their file. */
export const chapters = [
  { title: 'Words', file: '1-words' },
  { title: 'Boxes and what passes', file: '2-boxes' },
  { title: 'Boxes by what they are for' },
  { title: 'Calendar', file: '3-calendar' },
  { title: 'What a room serves as' },
  { title: 'Step by step' },
  { title: 'Winter', file: '4-winter' },
  { title: 'Where breeders differ', file: '5-schools' },
  { title: 'Cautions', file: '6-cautions' },
] as const;

/** Where the guide has something of a name that is asked for: a chapter, or a playbook. */
export const inGuide = (
  fits: (name: string) => boolean,
  books: typeof Books,
): { name: string; path: string }[] =>
  [...chapters.map(({ title }) => title), ...Object.values(books).map(({ title }) => title)]
    .filter(fits)
    .map((name) => ({ name, path: `/guide#${slugOf(name)}` }));
