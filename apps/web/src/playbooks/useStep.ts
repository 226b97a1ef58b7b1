import type { Measures } from '@yellow-cell/contract';
import {
  type Counts,
  countsOf,
  type Guide,
  phaseOf,
  readWeight,
  type Scene,
  type StepProgress,
  showWeight,
} from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { useAsOf } from '../app/now.ts';
import { useMeasures, useSay } from '../app/units.ts';
import { type Draft, draft, useLog, withdrawal } from '../app/useLog.ts';
import { numberIn } from '../parts/numberIn.ts';
import { useHomeBy } from '../yard/useHomeBy.tsx';
import type { BoxView, CompartmentView, YardView } from '../yard/useYard.ts';
import { whenWords } from './clockWords.ts';

export interface StepOf {
  view: YardView;
  boxView: BoxView;
  room: CompartmentView;
  run: Scene['run'];
  progress: StepProgress;
  now: string;
}

/** What is typed at a step, what speaks against it, and the entries that it makes. */
export function useStep({ view, boxView, room, run, progress, now }: StepOf, guide: Guide) {
  const say = useSay();
  const log = useLog();
  const measures = useMeasures();
  const { on } = useAsOf();
  const { step } = progress;
  const { zone } = run.begun;
  const asks = guide.amount?.ofRound && run.round === undefined ? undefined : guide.amount;
  const [amount, setAmount] = useState(() => usualOf(asks, measures));
  const [words, setWords] = useState('');
  const [choice, setChoice] = useState<string>();
  const [reason, setReason] = useState('');
  const [refused, setRefused] = useState<string>();
  const home = useHomeBy({ on, now, zone });
  const given = asks && (asks.weight ? readWeight(amount, measures.weight) : numberIn(amount));
  const badAmount =
    asks && !(given !== undefined && given >= asks.least && given <= asks.most)
      ? say(`From ${asks.least} to ${asks.most}${asks.weight ? ' kg' : ''}.`)
      : undefined;
  const bad = badAmount ?? (guide.home ? home.problem : undefined);
  const scene: Scene = {
    state: view.state,
    view: boxView,
    room,
    run,
    constants: view.constants,
    now,
    backBy: home.backBy,
    ...(given === undefined ? {} : { amount: given }),
    ...(words.trim() ? { words: words.trim() } : {}),
    ...(choice === undefined ? {} : { choice }),
    fresh: newId,
  };
  const counts = countsOf(run, step.id);
  const against = speaksAgainst(guide, scene, counts, progress);
  const title = `${boxView.box.label}: ${step.title}`;
  const of = { box: boxView.box.id, run: run.id, step: step.id };
  const chosen = !guide.choice || choice !== undefined;
  const ready = chosen && bad === undefined && (against.length === 0 || reason.trim() !== '');

  const tick = async () => {
    if (!ready) return;
    const facts = (guide.facts?.(scene) ?? []).map((fact): Draft & { id: string } => ({
      ...(draft(fact.kind, fact.payload, fact.note) as Draft),
      id: newId(),
    }));
    const note = against.length > 0 ? `${against.join(' ')} ${reason.trim()}` : undefined;
    const told = { ...of, ...(facts.length > 0 ? { facts: facts.map(({ id }) => id) } : {}) };
    const delivery = await log(`${title}, done`, [draft('stepTicked', told, note), ...facts]);
    setRefused(delivery.state === 'refused' ? delivery.problems[0]?.sentence : undefined);
    setReason('');
  };
  const skip = async () => {
    if (reason.trim() === '') return;
    await log(`${title}, left out`, [draft('stepSkipped', { ...of, reason: reason.trim() })]);
  };
  const mark = (each: string, name: string) =>
    log(
      `${title}, ${name.toLowerCase()} (${(counts[each] ?? 0) + 1})`,
      [draft('stepMarked', { ...of, mark: each })],
      true,
    );
  const last = run.marks?.findLast((each) => each.step === step.id);
  const unmark = last && (() => log(`${title}, ${last.mark} taken back`, [withdrawal(last.entry)]));

  return {
    asks,
    amount,
    setAmount,
    badAmount,
    words,
    setWords,
    choice,
    setChoice,
    homeField: home.field,
    reason,
    setReason,
    refused,
    scene,
    counts,
    against,
    facts: guide.facts?.(scene) ?? [],
    ready,
    tick,
    skip,
    mark,
    unmark,
  };
}

/** Its clock, what was not counted yet, and what stands otherwise than it should. */
function speaksAgainst(guide: Guide, scene: Scene, counts: Counts, progress: StepProgress): string[] {
  const { now, run } = scene;
  const { zone } = run.begun;
  const { from, to } = progress;
  const phase = phaseOf(progress, now);
  return [
    phase === 'early' && from !== undefined
      ? `It is too early: not before ${whenWords(from, now, zone)}.`
      : undefined,
    phase === 'late' && to !== undefined
      ? `It is late: it was to be done by ${whenWords(to, now, zone)}.`
      : undefined,
    guide.tally?.lacks(scene, counts),
    guide.against?.(scene),
  ].filter((each) => each !== undefined);
}

/** What is usual, in the breeder’s own measure; nothing where it is to be counted first. */
const usualOf = (asks: Guide['amount'], measures: Measures): string =>
  asks?.usual === undefined ? '' : asks.weight ? showWeight(asks.usual, measures) : String(asks.usual);
