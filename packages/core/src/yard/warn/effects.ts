import type { BoxState, EventKind } from '@yellow-cell/contract';
import { deriveBox } from '../../box/model.ts';
import { countOf, listOf } from '../../say/words.ts';
import { designOf, livingIn } from '../compartments.ts';
import { stateAfter } from '../fold.ts';
import type { YardState } from '../state.ts';
import { statusWords } from '../statusWords.ts';
import type { Act } from './act.ts';
import { beyond, namesAfter, occupants, passageWarnings } from './passages.ts';
import type { Objection, Situation } from './situation.ts';

/** Entries that change what stands on what, or move a whole colony: what they bring about is found by telling them. */
const TOLD_FIRST: readonly EventKind[] = [
  'layerPut',
  'layerTaken',
  'floorSet',
  'roofSet',
  'cheeksSet',
  'boardAdded',
  'boxBuilt',
  'colonyMoved',
];

/** What an entry does to those in the boxes that it is about, which was not so before (decision 17): joined, parted, shut in, open, frames left over. */
export function effectWarnings(situation: Situation, act: Act): Objection[] {
  if (!TOLD_FIRST.includes(act.kind)) return [];
  const { state, designs, on } = situation;
  const after = stateAfter(state, { designs, yards: new Set() }, act, on);
  // What cannot be at all is refused when it is told.
  if (typeof after === 'string') return [];
  const sentences = [...after.boxes.values()].flatMap((box) => {
    const before = state.boxes.get(box.id);
    return before === box ? [] : inBox(situation, after, before, box);
  });
  return [...sentences, ...framesLeft(state, after)].map((sentence) => ({ sentence }));
}

function inBox(
  { state, designs }: Situation,
  after: YardState,
  before: BoxState | undefined,
  box: BoxState,
): string[] {
  const next = designOf(designs, box);
  if (!next || box.takenApartOn || next.layers.length === 0) return [];
  const was = before && designOf(designs, before);
  const named = namesAfter(after, designs, box, next);
  const now = was ? passageWarnings(was, occupants(state, was, before)) : [];
  const fresh = beyond(passageWarnings(next, occupants(after, next, box)), now)
    .filter(({ kind }) => kind !== 'noFlight')
    .map(({ sentence }) => named(sentence));
  const openings = deriveBox(next).openStrips.length > (was ? deriveBox(was).openStrips.length : 0);
  return [
    ...joined(state, after, box),
    ...parted(state, after, box),
    ...shutIn(state, after, box),
    ...fresh,
    ...(openings
      ? [`${box.label} is open where nothing covers it: bees, robbers and rain come in there.`]
      : []),
  ];
}

/** Colonies that end by becoming one with another. */
function joined(state: YardState, after: YardState, box: BoxState): string[] {
  const ended = [...after.colonies.values()].filter(
    ({ id, box: at, ended: end }) =>
      at === box.id && end?.how === 'combined' && !state.colonies.get(id)?.ended,
  );
  if (ended.length === 0) return [];
  const who = ended
    .flatMap(({ id }) => state.colonies.get(id) ?? [])
    .map(({ status }) => statusWords[status]);
  return [
    `${countOf(ended.length, 'colony', 'colonies')} (${listOf(who)}) ${ended.length === 1 ? 'becomes' : 'become'} one with the other in ${box.label}; strangers fight, and one queen may be lost.`,
  ];
}

/** Colonies whose home is in two boxes, or behind a board, from then on. */
function parted(state: YardState, after: YardState, box: BoxState): string[] {
  return livingIn(after.colonies, box).flatMap((colony) => {
    const before = state.colonies.get(colony.id);
    return before && !before.ended && colony.home.length < before.home.length
      ? [
          `The bees of ${box.label} (${statusWords[before.status]}) are parted: who is without the queen raises one, or dwindles. Know where she is first.`,
        ]
      : [];
  });
}

function shutIn(state: YardState, after: YardState, box: BoxState): string[] {
  return livingIn(after.colonies, box).some(({ id, shutOn }) => shutOn && !state.colonies.get(id)?.shutOn)
    ? [
        `Bees of ${box.label} have no way out then: they want feed, water and air, and to be let out within three days.`,
      ]
    : [];
}

/** Frames that find no place where their bees go. */
function framesLeft(state: YardState, after: YardState): string[] {
  const out = [...after.frames.values()].filter(
    ({ id, at, out: gone }) => at === null && gone && state.frames.get(id)?.at !== null,
  );
  return out.length === 0
    ? []
    : [
        `${countOf(out.length, 'frame finds', 'frames find')} no place there: ${out.length === 1 ? 'it stays' : 'they stay'} out, and ${out.length === 1 ? 'is' : 'are'} kept as out.`,
      ];
}
