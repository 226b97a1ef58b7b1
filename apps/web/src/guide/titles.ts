import { type playbooks as Books, slugOf } from '@yellow-cell/core';

/** Chapters of the guide in the order in which the work is learnt; those that are written bear their file. */
export const chapters = [
  { title: 'Words', file: '1-words' },
  { title: 'Boxes and what passes', file: '2-boxes' },
  { title: 'Boxes by what they are for' },
  { title: 'Building', file: '3-building' },
  { title: 'Calendar', file: '4-calendar' },
  { title: 'A room from week to week', file: '5-rooms' },
  { title: 'What a room serves as' },
  { title: 'Step by step' },
  { title: 'Winter', file: '6-winter' },
  { title: 'Stock, record and trials', file: '7-record' },
  { title: 'Where breeders differ', file: '8-schools' },
  { title: 'Cautions', file: '9-cautions' },
] as const;

/** Where the guide has something of a name that is asked for: a chapter, or a playbook. */
export const inGuide = (
  fits: (name: string) => boolean,
  books: typeof Books,
): { name: string; path: string }[] =>
  [...chapters.map(({ title }) => title), ...Object.values(books).map(({ title }) => title)]
    .filter(fits)
    .map((name) => ({ name, path: `/guide#${slugOf(name)}` }));
