import type { Measures, Run } from '@yellow-cell/contract';
import {
  countsOf,
  dayOf,
  type Fact,
  type Guide,
  guidances,
  instantOf,
  phaseOf,
  readWeight,
  type Scene,
  type StepProgress,
  showWeight,
} from '@yellow-cell/core';
import { AlarmClock, Check, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../app/ids.ts';
import { useMeasures, useSay } from '../app/units.ts';
import { type Draft, draft, useLog } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Said } from '../parts/Said.tsx';
import { eventLine } from '../yard/eventLine.ts';
import type { BoxView, CompartmentView, YardView } from '../yard/useYard.ts';
import { clockWords, whenWords } from './clockWords.ts';
import { ShutLine } from './ShutLine.tsx';

interface StepCardProps {
  view: YardView;
  boxView: BoxView;
  room: CompartmentView;
  run: Run;
  progress: StepProgress;
  now: string;
  /** The present step; else one that comes round again. */
  large: boolean;
}

const HOME_BY_H = 17;

/** One step to be done: who must be where, how, what is counted, what speaks against it; ticked, or left out with a reason. */
export function StepCard({ view, boxView, room, run, progress, now, large }: StepCardProps) {
  const say = useSay();
  const log = useLog();
  const { step } = progress;
  const guide = guidances[run.playbook].steps[step.id];
  const { zone } = run.begun;
  const measures = useMeasures();
  const [amount, setAmount] = useState(() => usualOf(guide, measures));
  const [words, setWords] = useState('');
  const [hour, setHour] = useState(String(HOME_BY_H));
  const [reason, setReason] = useState('');
  const [skipping, setSkipping] = useState(false);
  const [refused, setRefused] = useState<string>();
  if (!guide) return null;
  const home = numberIn(hour);
  const given =
    guide.amount && (guide.amount.weight ? readWeight(amount, measures.weight) : numberIn(amount));
  const badAmount =
    guide.amount && !(given !== undefined && given >= guide.amount.least && given <= guide.amount.most)
      ? say(`From ${guide.amount.least} to ${guide.amount.most}${guide.amount.weight ? ' kg' : ''}.`)
      : undefined;
  const badHour = guide.home && !(home >= 0 && home < 24) ? 'An hour from 0 to 23.' : undefined;
  const scene: Scene = {
    state: view.state,
    view: boxView,
    room,
    run,
    constants: view.constants,
    now,
    backBy: badHour
      ? now
      : instantOf(dayOf(now, zone), Math.floor(home), Math.round((home % 1) * 60), view.yard.zone),
    ...(given === undefined ? {} : { amount: given }),
    ...(words.trim() ? { words: words.trim() } : {}),
    fresh: newId,
  };
  const counts = countsOf(run, step.id);
  const phase = phaseOf(progress, now);
  const against = [
    phase === 'early' && progress.from !== undefined
      ? `It is too early: not before ${whenWords(progress.from, now, zone)}.`
      : undefined,
    phase === 'late' && progress.to !== undefined
      ? `It is late: it was to be done by ${whenWords(progress.to, now, zone)}.`
      : undefined,
    guide.tally?.lacks(scene, counts),
    guide.against?.(scene),
  ].filter((each) => each !== undefined);
  const facts = guide.facts?.(scene) ?? [];
  const title = `${boxView.box.label}: ${step.title}`;
  const bad = badAmount ?? badHour;
  const tick = async () => {
    if (bad || (against.length > 0 && reason.trim() === '')) return;
    const drafts = (guide.facts?.(scene) ?? []).map((fact): Draft & { id: string } => ({
      ...(draft(fact.kind, fact.payload) as Draft),
      id: newId(),
    }));
    const note = against.length > 0 ? `${against.join(' ')} ${reason.trim()}` : undefined;
    const delivery = await log(`${title}, done`, [
      draft(
        'stepTicked',
        {
          box: boxView.box.id,
          run: run.id,
          step: step.id,
          ...(drafts.length > 0 ? { facts: drafts.map(({ id }) => id) } : {}),
        },
        note,
      ),
      ...drafts,
    ]);
    setRefused(delivery.state === 'refused' ? delivery.problems[0]?.sentence : undefined);
    setReason('');
  };
  const skip = async () => {
    if (reason.trim() === '') return;
    await log(`${title}, left out`, [
      draft('stepSkipped', { box: boxView.box.id, run: run.id, step: step.id, reason: reason.trim() }),
    ]);
  };
  const mark = (each: string, name: string) =>
    log(`${title}, ${name.toLowerCase()} (${(counts[each] ?? 0) + 1})`, [
      draft('stepMarked', { box: boxView.box.id, run: run.id, step: step.id, mark: each }),
    ]);
  const clock = clockWords(progress, now, zone);
  const Heading = large ? 'h2' : 'h3';
  return (
    <article
      aria-label={step.title}
      className={`mb-3 rounded-lg border p-3 break-inside-avoid ${large ? 'border-ink border-2' : 'border-hairline'}`}
    >
      <Heading className={large ? 'text-lg' : 'text-base'}>{step.title}</Heading>
      {clock && (
        <p
          className={`flex items-center gap-2 font-semibold ${phase === 'late' ? 'text-danger' : ''}`}
          role="status"
        >
          <AlarmClock size={18} aria-hidden /> {say(clock)}
        </p>
      )}
      {guide.where && (
        <p className="mt-1">
          <strong>Who is where:</strong> {say(guide.where)}
        </p>
      )}
      <p className="mt-1">{say(guide.how)}</p>
      {guide.caution && (
        <p className="mt-1 flex gap-2 font-semibold text-danger">
          <TriangleAlert size={18} className="mt-0.5 shrink-0" aria-hidden /> {say(guide.caution)}
        </p>
      )}
      {guide.shut && <ShutLine view={view} boxView={boxView} occasion={guide.shut} />}
      {guide.at && (
        <p className="no-print mt-1">
          <Link
            className="inline-flex min-h-11 items-center font-semibold underline"
            to={pathOf(guide.at, view, boxView, room)}
          >
            {{ room: 'To the room', box: 'To the box', frames: 'To its frames' }[guide.at]}
          </Link>
        </p>
      )}
      {guide.tally && (
        <>
          <p className="mt-2 text-lg font-semibold" role="status">
            {say(guide.tally.said(scene, counts))}
          </p>
          <div className="no-print mt-1 grid grid-cols-2 gap-2">
            {guide.tally.marks(scene).map((each) => {
              const no = guide.tally?.refuses?.(scene, counts, each.mark);
              return (
                <button
                  key={each.mark}
                  type="button"
                  className="button min-h-14"
                  disabled={no !== undefined}
                  title={no}
                  onClick={() => void mark(each.mark, each.title)}
                >
                  {each.title}
                  {counts[each.mark] ? (
                    no && counts[each.mark] === 1 ? (
                      <Check size={17} aria-label="done" />
                    ) : (
                      ` · ${counts[each.mark]}`
                    )
                  ) : null}
                </button>
              );
            })}
          </div>
        </>
      )}
      <div className="no-print mt-2">
        {guide.amount && (
          <TextField
            label={
              guide.amount.weight
                ? `${guide.amount.label} (${measures.weight}, or with its unit)`
                : guide.amount.label
            }
            inputMode="decimal"
            value={amount}
            problem={badAmount}
            onChange={({ target }) => setAmount(target.value)}
          />
        )}
        {guide.words && (
          <TextField
            label={guide.words.label}
            value={words}
            maxLength={80}
            onChange={({ target }) => setWords(target.value)}
          />
        )}
        {guide.home && (
          <TextField
            label="Home by (hour)"
            inputMode="decimal"
            value={hour}
            problem={badHour}
            onChange={({ target }) => setHour(target.value)}
          />
        )}
        {refused && (
          <p role="alert" className="mb-2 font-medium text-danger">
            {say(refused)}
          </p>
        )}
        {(skipping ? [guide.skipped] : against).map((sentence) => (
          <p key={sentence} role="alert" className="mb-1 font-medium text-danger">
            {say(sentence)}
          </p>
        ))}
        {(skipping || against.length > 0) && (
          <TextField
            label={skipping ? 'Why it is left out' : 'Why it is done all the same'}
            value={reason}
            maxLength={300}
            onChange={({ target }) => setReason(target.value)}
          />
        )}
        {skipping ? (
          <div className="flex gap-2">
            <button
              type="button"
              className="button min-h-12"
              disabled={reason.trim() === ''}
              onClick={() => void skip()}
            >
              Leave it out
            </button>
            <button type="button" className="button button-main min-h-12" onClick={() => setSkipping(false)}>
              Back to the step
            </button>
          </div>
        ) : (
          <div className="flex gap-2">
            <button
              type="button"
              className="button button-main min-h-12 flex-1"
              disabled={bad !== undefined || (against.length > 0 && reason.trim() === '')}
              onClick={() => void tick()}
            >
              {against.length > 0 ? 'Done all the same' : 'Done'}
            </button>
            {large && (
              <button type="button" className="button min-h-12 font-normal" onClick={() => setSkipping(true)}>
                Leave it out…
              </button>
            )}
          </div>
        )}
        {facts.length > 0 && !skipping && (
          <p className="mt-1 text-sm text-soft">
            It enters too: <Said>{factWords(facts, view, zone)}</Said>.
          </p>
        )}
      </div>
      {guide.wrong && (
        <details className="mt-2" open={phase === 'late'}>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">When it goes wrong</summary>
          {say(guide.wrong)}
        </details>
      )}
    </article>
  );
}

/** What is usual, in the breeder’s own measure. */
const usualOf = (guide: Guide | undefined, measures: Measures): string =>
  guide?.amount
    ? guide.amount.weight
      ? showWeight(guide.amount.usual, measures)
      : String(guide.amount.usual)
    : '';

const factWords = (facts: readonly Fact[], view: YardView, zone: string): string =>
  [...new Set(facts.map((fact) => eventLine({ ...fact, zone }, view.state)))].join('; ');

function pathOf(
  at: 'room' | 'box' | 'frames',
  view: YardView,
  { box }: BoxView,
  { bays }: CompartmentView,
): string {
  if (at === 'frames') return `/yard/${view.yard.id}/frames?box=${box.id}`;
  return `/yard/${view.yard.id}?box=${box.id}${at === 'room' ? `&bay=${bays[0] ?? ''}` : ''}`;
}
