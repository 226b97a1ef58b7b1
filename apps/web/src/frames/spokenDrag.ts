import type { Active, Announcements, Over } from '@dnd-kit/core';

/** What is carried, and what it is carried over, in words: told in `data` where each is made to be carried or to take. */
const named = (thing: Active | Over): string => String(thing.data.current?.name ?? '');

/** What a screen reader says of something that is carried. */
export const spokenDrag: Announcements = {
  onDragStart: ({ active }) => `Taken up: ${named(active)}.`,
  onDragOver: ({ active, over }) =>
    over ? `${named(active)} over ${named(over)}.` : `${named(active)} over no place.`,
  onDragEnd: ({ active, over }) =>
    over ? `${named(active)} put down at ${named(over)}.` : `${named(active)} put back.`,
  onDragCancel: ({ active }) => `${named(active)} put back.`,
};
