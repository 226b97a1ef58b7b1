import { feedWords, inRoom, type ManyRoom, showDay } from '@yellow-cell/core';
import { useCallback } from 'react';
import { draft } from '../../app/useLog.ts';
import { USUAL_FEED_KG } from '../../yard/CareForms.tsx';
import { useFeed } from '../../yard/useFeed.tsx';
import { useStrips } from '../../yard/useStrips.tsx';
import type { YardView } from '../../yard/useYard.ts';
import { type ActForm, at } from './actForm.ts';

export function useFed(): ActForm {
  const { feed, amount_kg, problem, fields } = useFeed({ usual_kg: USUAL_FEED_KG, label: 'Each' });
  return {
    words: `Fed ${amount_kg} kg of ${feedWords[feed]} each`,
    ready: problem === undefined,
    fields: <div className="grid max-w-xl grid-cols-2 gap-x-3">{fields}</div>,
    drafts: useCallback(
      ({ box, room }: ManyRoom) => [draft('fed', { ...inRoom(box.box, room), feed, amount_kg })],
      [feed, amount_kg],
    ),
  };
}

export function useStripsIn({ on }: YardView): ActForm {
  const { given, fields } = useStrips(on);
  const { product, batch, outBy } = given ?? {};
  return {
    words: given ? `${given.product} in, out by ${showDay(given.outBy, on)}` : 'Strips in',
    ready: given !== undefined,
    fields: <div className="max-w-xl">{fields}</div>,
    drafts: useCallback(
      ({ box, room }: ManyRoom) =>
        product === undefined || outBy === undefined
          ? []
          : [
              draft('stripsPut', {
                ...inRoom(box.box, room),
                product,
                ...(batch ? { batch } : {}),
                outBy,
              }),
            ],
      [product, batch, outBy],
    ),
  };
}

const stripsOut = (each: ManyRoom) => {
  const bees = each.room.colony ?? each.room.left;
  return (bees?.strips ?? []).map(({ id }) =>
    draft('stripsOut', { ...at(each), colony: bees?.id ?? '', strips: id }),
  );
};
export const useStripsOut = (): ActForm => ({ words: 'Strips out', ready: true, drafts: stripsOut });

const covered = ({ box, room }: ManyRoom) => [draft('coverSet', { ...inRoom(box.box, room), on: true })];
export const useCovers = (): ActForm => ({ words: 'Cover back on', ready: true, drafts: covered });
