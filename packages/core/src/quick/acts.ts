import type { FailReason } from '@yellow-cell/contract';
import { failWords, fateWords, feedWords } from '../yard/statusWords.ts';
import { act, ask, entry, type QuickAct, type QuickAnswer } from './answer.ts';
import { careAct, roundIn, weighAct } from './careActs.ts';
import type { QuickBox, QuickCompartment, QuickContext } from './context.ts';
import type { Read } from './readWords.ts';
import { weightIn } from './weightIn.ts';
import type { Where } from './where.ts';
import type { Meaning } from './words.ts';

interface Given extends Where {
  box: QuickBox;
  context: QuickContext;
  idFor: () => string;
}

export function actsOf(read: Read, given: Given): QuickAnswer {
  const { box } = given;
  const has = (is: Meaning['is']): boolean => read.meanings.some((meaning) => meaning.is === is);
  if ((has('pull') || has('set')) && (has('divider') || !has('strips')))
    return dividerAct(read, given, has('pull'));
  if (has('weigh')) return weighAct(read, box);
  const { compartment } = given;
  if (!compartment) {
    if (read.note !== undefined && read.meanings.length === 0)
      return entry(box.label, 'note', [act('noted', { box: box.id }, read.note)]);
    return ask(
      given.unsure.length > 0
        ? `Which one: ${given.unsure.join(' or ')}?`
        : `Which compartment of ${box.label}?`,
      given.unsure.length > 0 ? given.unsure : box.compartments.map(({ name }) => name),
    );
  }
  const title = box.compartments.length > 1 ? `${box.label} ${compartment.name}` : box.label;
  const state = read.meanings.find((meaning) => meaning.is === 'state');
  if (state) {
    if (compartment.entrances.length === 0) return ask(`${title} has no entrance of its own.`);
    return entry(
      title,
      `entrance ${state.state}`,
      compartment.entrances.map((entrance) =>
        act('entranceSet', { box: box.id, entrance, state: state.state }),
      ),
      read.note,
    );
  }
  if (has('stock')) return stockAct(read, given, compartment, title);
  if (!compartment.colony) return ask(`No bees are recorded in ${title}: stock it first.`, ['stocked']);
  return beesAct(read, given, compartment, title);
}

/** As handbook 5 has it: a frame of sealed brood, one of stores, the rest drawn, and bees of two shakes. */
function stockAct(
  read: Read,
  { box, idFor }: Given,
  compartment: QuickCompartment,
  title: string,
): QuickAnswer {
  if (compartment.colony) return ask(`${title} holds bees already.`);
  const shakes = read.numbers.find(({ unit }) => unit === '')?.value ?? USUAL_SHAKES;
  if (!Number.isInteger(shakes) || shakes > 40) return ask(`${shakes} shakes of bees are not counted.`);
  const frames = {
    sealedBrood: 1,
    stores: Math.min(1, compartment.frames - 1),
    drawn: Math.max(0, compartment.frames - 2),
  };
  return entry(
    title,
    `stocked, 1 sealed brood, ${frames.stores} stores, ${frames.drawn} drawn, ${shakes} ${shakes === 1 ? 'shake' : 'shakes'}`,
    [
      act('stocked', {
        box: box.id,
        colony: idFor(),
        bays: [...compartment.bays],
        frames,
        shakes,
        openBrood: false,
      }),
    ],
    read.note,
  );
}
const USUAL_SHAKES = 2;

function dividerAct({ numbers, note }: Read, { box }: Given, pull: boolean): QuickAnswer {
  const [given] = numbers;
  const wanted = given?.value;
  const board =
    box.boards.length === 1 && wanted === undefined ? box.boards[0] : box.boards[(wanted ?? 0) - 1];
  if (!board)
    return ask(
      box.boards.length === 0
        ? `${box.label} has no divider.`
        : `Which divider of ${box.label}, counted from the left?`,
      box.boards.map((_, index) => String(index + 1)),
      given?.typed,
    );
  return entry(
    box.label,
    `divider ${box.boards.indexOf(board) + 1} ${pull ? 'pulled' : 'set'}`,
    [act('dividerSet', { box: box.id, board, stands: !pull })],
    note,
  );
}

function beesAct(read: Read, given: Given, compartment: QuickCompartment, title: string): QuickAnswer {
  const { box, context, idFor, other } = given;
  const colony = compartment.colony ?? '';
  const inColony = { box: box.id, colony };
  const of = { ...inColony, ...(compartment.attempt ? { attempt: compartment.attempt } : {}) };
  const has = (is: Meaning['is']): boolean => read.meanings.some((meaning) => meaning.is === is);
  const find = <Is extends Meaning['is']>(is: Is) =>
    read.meanings.find((meaning): meaning is Extract<Meaning, { is: Is }> => meaning.is === is);
  const keep = (words: string, ...acts: QuickAct[]): QuickAnswer => entry(title, words, acts, read.note);
  const reason = find('reason')?.reason;
  const wholes = (['failed', 'fed', 'strips', 'taken', 'combine'] as const).filter(has);
  if (wholes.length > 1) return ask(`Two things at once, ${wholes.join(' and ')}: say them one by one.`);

  const care = careAct(read, { inColony, queen: compartment.queen, context, idFor, title });
  if (care) return care;
  if (has('combine')) {
    if (!other?.colony || other === compartment)
      return ask(
        `Combine ${title} with which compartment?`,
        given.box.compartments.filter((each) => each !== compartment && each.colony).map(({ name }) => name),
        given.otherTyped,
      );
    return keep(
      `combined into ${other.name}`,
      act('combined', { ...inColony, intoBox: box.id, into: other.colony }),
    );
  }
  if (has('strips')) return stripsAct(read, inColony, context, title, has('out'));
  if (has('fed') || (find('feed') && read.numbers.length > 0)) return fedAct(read, inColony, title);
  if (has('taken') || find('fate')) {
    const fate = find('fate')?.fate;
    if (!fate) return ask('Where did the queen go?', Object.keys(fateWords));
    return keep(`queen taken, ${fateWords[fate]}`, act('queenTaken', { ...of, to: fate, beesRemain: true }));
  }
  if (has('failed') || reason) {
    const why: FailReason = reason ?? (has('no') && has('opened') ? 'cellNotOpened' : 'unknown');
    return keep(`failed, ${failWords[why]}`, act('failed', { ...of, reason: why }));
  }
  if (has('no') && has('eggs'))
    return entry(title, 'no eggs seen (a note)', [
      act('noted', inColony, read.note ? `No eggs seen. ${read.note}` : 'No eggs seen.'),
    ]);
  if (has('no') && has('opened'))
    return read.note === undefined
      ? ask('Not opened: failed, or still to be looked at?', ['failed', 'note to be looked at again'])
      : keep('cell not opened (a note)', act('noted', inColony, `Cell not opened. ${read.note}`));
  if (has('opened')) {
    if (!compartment.attempt) return ask(`No cell is recorded in ${title}.`);
    return keep('cell seen opened', act('cellOpened', { ...inColony, attempt: compartment.attempt }));
  }
  if (has('cell') || (has('round') && !has('eggs'))) {
    const round = roundIn(read, context);
    if (round && 'is' in round) return round;
    return keep(
      `cell given${round ? ` of round ${round.number}` : ''}`,
      act('cellGiven', { ...inColony, attempt: idFor(), ...(round ? { round: round.id } : {}) }),
    );
  }
  return broodAct(read, of, inColony, title, has);
}

function broodAct(
  read: Read,
  of: { box: string; colony: string; attempt?: string },
  inColony: { box: string; colony: string },
  title: string,
  has: (is: Meaning['is']) => boolean,
): QuickAnswer {
  const share = read.numbers.find(({ unit }) => unit === '%' || unit === 'percent' || unit === '');
  if (has('pattern') && !share) return ask('A pattern of how many per cent?');
  if (share && !(share.value >= 0 && share.value <= 100)) return ask(`${share.value} is no share of 100.`);
  const eggs = has('eggs') ? [act('eggsSeen', of)] : [];
  const { seams, broodFrames } = read;
  if (has('seams') && seams === undefined && !share) return ask('How many seams of bees?');
  if (broodFrames !== undefined && seams === undefined)
    return ask(`${broodFrames} frames of brood, and how many seams of bees?`);
  if (seams !== undefined && seams > 40) return ask(`${seams} seams of bees are not in one compartment.`);
  const strength =
    seams === undefined
      ? []
      : [act('strengthSeen', { ...inColony, seams, ...(broodFrames === undefined ? {} : { broodFrames }) })];
  const pattern =
    share && (has('pattern') || has('eggs') || share.unit !== '')
      ? [act('patternScored', { ...of, pattern_pct: share.value })]
      : [];
  const acts = [...eggs, ...pattern, ...strength];
  if (acts.length > 0) {
    const words = [
      eggs.length > 0 ? 'eggs seen' : '',
      pattern.length > 0 ? `pattern ${share?.value} %` : '',
      strength.length > 0 ? `${seams} ${seams === 1 ? 'seam' : 'seams'} of bees` : '',
      broodFrames === undefined ? '' : `${broodFrames} ${broodFrames === 1 ? 'frame' : 'frames'} of brood`,
    ]
      .filter(Boolean)
      .join(', ');
    return entry(title, words, acts, read.note);
  }
  if (read.note !== undefined) return entry(title, 'note', [act('noted', inColony, read.note)]);
  if (share) return ask(`${share.value} of what?`, ['pattern', 'fed']);
  return ask('What happened there?', ['eggs', 'pattern', 'cell', 'opened', 'failed', 'fed']);
}

function fedAct(read: Read, inColony: { box: string; colony: string }, title: string): QuickAnswer {
  const feed = read.feedRatio ?? read.meanings.find((meaning) => meaning.is === 'feed')?.feed;
  const amount_kg = weightIn(read, {
    missing: 'How much was fed?',
    most_kg: 30,
    absurd: (typed) => `${typed} is not fed at once.`,
  });
  if (typeof amount_kg !== 'number') return amount_kg;
  if (!feed) return ask('What was fed?', ['syrup 1:1', 'syrup 2:1', 'fondant', 'patty', 'sugar']);
  return entry(
    title,
    `fed ${amount_kg} kg of ${feedWords[feed]}`,
    [act('fed', { ...inColony, feed, amount_kg })],
    read.note,
  );
}

function stripsAct(
  read: Read,
  inColony: { box: string; colony: string },
  { today }: QuickContext,
  title: string,
  out: boolean,
): QuickAnswer {
  if (read.date === undefined)
    return out && read.names.length === 0
      ? entry(title, 'strips out', [act('stripsOut', inColony)], read.note)
      : ask('Out by which day, as the label says?');
  const year = Number(today.slice(0, 4));
  const dated = read.date.startsWith('-') ? `${year}${read.date}` : read.date;
  const outBy = read.date.startsWith('-') && dated <= today ? `${year + 1}${read.date}` : dated;
  if (Number.isNaN(Date.parse(outBy)) || new Date(outBy).toISOString().slice(0, 10) !== outBy)
    return ask(`${outBy} is no day.`);
  if (outBy <= today) return ask('Strips come out on a day that is still to come.');
  const product = read.names.join(' ') || 'Strips';
  return entry(
    title,
    `${product} put in, out by ${outBy}`,
    [act('stripsPut', { ...inColony, product, outBy })],
    read.note,
  );
}
