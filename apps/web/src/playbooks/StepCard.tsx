import { type Fact, type Guide, guidances, phaseOf, shutSince, sunset } from '@yellow-cell/core';
import { AlarmClock, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMeasures, useSay } from '../app/units.ts';
import { CautionsLink } from '../parts/CautionsLink.tsx';
import { TextField } from '../parts/Field.tsx';
import { Said } from '../parts/Said.tsx';
import { eventLine } from '../yard/eventLine.ts';
import { clockWords } from './clockWords.ts';
import { ShutLine } from './ShutLine.tsx';
import { StepTally } from './StepTally.tsx';
import { type StepOf, useStep } from './useStep.ts';

interface StepCardProps extends StepOf {
  /** The present step; else one that comes round again. */
  large: boolean;
  /** True for a moment after another step was ticked: the second tap of that press ticks nothing. */
  inert: boolean;
  onTicked: () => void;
}

/** One step to be done: who must be where, how, what is counted, what speaks against it; ticked, or left out with a reason. */
export function StepCard(props: StepCardProps) {
  const { run, progress, large } = props;
  const guide = guidances[run.playbook].steps[progress.step.id];
  if (!guide) return null;
  const { title } = progress.step;
  const Heading = large ? 'h2' : 'h3';
  return (
    <article
      aria-label={title}
      className={`mb-3 rounded-lg border p-3 break-inside-avoid ${large ? 'border-ink border-2' : 'border-hairline'}`}
    >
      <Heading className={large ? 'text-lg' : 'text-base'}>{title}</Heading>
      <Told {...props} guide={guide} />
      <Done {...props} guide={guide} />
    </article>
  );
}

/** When the sun sets at the yard; those who flew out are home within the half hour after. */
function Dusk({ view: { on, yard } }: Pick<StepOf, 'view'>) {
  const sets = sunset(on, yard);
  return (
    <p className="font-semibold">
      {sets === undefined ? 'The sun does not set here today.' : `The sun sets at ${sets}.`}
    </p>
  );
}

type Guided = StepCardProps & { guide: Guide };

/** What a person is told before they do it. */
function Told({ view, boxView, room, run, progress, now, guide }: Guided) {
  const say = useSay();
  const clock = clockWords(progress, now, run.begun.zone);
  return (
    <>
      {clock && (
        <p
          className={`flex items-center gap-2 font-semibold ${phaseOf(progress, now) === 'late' ? 'text-danger' : ''}`}
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
      {guide.atDusk && <Dusk view={view} />}
      {guide.caution && (
        <p className="mt-1 flex gap-2 font-semibold text-danger">
          <TriangleAlert size={18} className="mt-0.5 shrink-0" aria-hidden />
          <span>
            {say(guide.caution)} <CautionsLink />
          </span>
        </p>
      )}
      {guide.shut && (
        <ShutLine
          view={view}
          boxView={boxView}
          occasion={guide.shut}
          now={now}
          since={shutSince(run)}
          backBy={room.colony?.outing?.backBy}
        />
      )}
      {guide.at && (
        <p className="no-print mt-1">
          <Link
            className="inline-flex min-h-11 items-center font-semibold underline"
            to={pathOf(guide.at, view.yard.id, boxView.box.id, room.bays[0])}
          >
            {{ room: 'To the room', box: 'To the box', frames: 'To its frames' }[guide.at]}
          </Link>
        </p>
      )}
    </>
  );
}

/** What is counted, typed and pressed. */
function Done(props: Guided) {
  const { view, run, large, inert, guide } = props;
  const say = useSay();
  const measures = useMeasures();
  const step = useStep(props, guide);
  const [skipping, setSkipping] = useState(false);
  const { asks, against, facts } = step;
  const tick = () => {
    if (inert || !step.ready) return;
    props.onTicked();
    void step.tick();
  };
  return (
    <>
      {guide.tally && (
        <StepTally
          tally={guide.tally}
          scene={step.scene}
          counts={step.counts}
          onMark={(mark, title) => void step.mark(mark, title)}
          onUnmark={step.unmark && (() => void step.unmark?.())}
        />
      )}
      <div className="no-print mt-2">
        {guide.choice && (
          <fieldset className="mb-2">
            <legend className="mb-0.5 text-sm text-soft">{guide.choice.label}</legend>
            <div className="flex flex-wrap gap-2">
              {guide.choice.options.map(({ key, label }) => (
                <button
                  key={key}
                  type="button"
                  aria-pressed={step.choice === key}
                  className="button min-h-12 font-normal aria-pressed:border-2 aria-pressed:border-ink aria-pressed:font-semibold"
                  onClick={() => step.setChoice(key)}
                >
                  {label}
                </button>
              ))}
            </div>
          </fieldset>
        )}
        {asks && (
          <TextField
            label={asks.weight ? `${asks.label} (${measures.weight}, or with its unit)` : asks.label}
            inputMode="decimal"
            value={step.amount}
            problem={step.amount === '' ? undefined : step.badAmount}
            onChange={({ target }) => step.setAmount(target.value)}
          />
        )}
        {guide.words && (
          <TextField
            label={guide.words.label}
            value={step.words}
            maxLength={80}
            onChange={({ target }) => step.setWords(target.value)}
          />
        )}
        {guide.home && step.homeField}
        {step.refused && (
          <p role="alert" className="mb-2 font-medium text-danger">
            {say(step.refused)}
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
            value={step.reason}
            maxLength={300}
            onChange={({ target }) => step.setReason(target.value)}
          />
        )}
        {skipping ? (
          <div className="flex gap-2">
            <button
              type="button"
              className="button min-h-12"
              disabled={step.reason.trim() === ''}
              onClick={() => void step.skip()}
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
              disabled={inert || !step.ready}
              onClick={tick}
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
            It enters too: <Said>{factWords(facts, view.state, run.begun.zone)}</Said>.
          </p>
        )}
      </div>
      {guide.wrong && (
        <details className="mt-2" open={phaseOf(props.progress, props.now) === 'late'}>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">When it goes wrong</summary>
          {say(guide.wrong)}
        </details>
      )}
    </>
  );
}

const factWords = (facts: readonly Fact[], names: StepOf['view']['state'], zone: string): string =>
  [...new Set(facts.map((fact) => eventLine({ ...fact, zone }, names)))].join('; ');

function pathOf(at: NonNullable<Guide['at']>, yard: string, box: string, bay = ''): string {
  if (at === 'frames') return `/yard/${yard}/frames?box=${box}`;
  return `/yard/${yard}?box=${box}${at === 'room' ? `&bay=${bay}` : ''}`;
}
