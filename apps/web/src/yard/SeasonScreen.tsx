import { useQuery, useSuspenseQuery } from '@tanstack/react-query';
import type { LogEvent, Yard } from '@yellow-cell/contract';
import { countOf, dayOf, defaultConstants, showDay, takeRate } from '@yellow-cell/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { newId } from '../app/ids.ts';
import { useAsOf } from '../app/now.ts';
import { seasonQuery, takesQuery, yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { eventLine, type Names } from './eventLine.ts';
import { Form } from './Form.tsx';
import { useYard } from './useYard.ts';
import { WeatherPanel } from './WeatherPanel.tsx';

const NO_NAMES: Names = { boxes: new Map(), rounds: new Map() };

/** What a season brings to a yard beside its boxes: what blooms, and the questions put to them. */
export function SeasonScreen() {
  const { yard: wanted } = useParams();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const yard = yards.find(({ id }) => id === wanted);
  return yard ? <Season yard={yard} /> : <p className="p-6">There is no such yard.</p>;
}

function Season({ yard }: { yard: Yard }) {
  const say = useSay();
  const { data: events } = useSuspenseQuery(seasonQuery(yard.id));
  const view = useYard(yard);
  const { on } = useAsOf();
  const until = events.filter(({ occurredAt, zone }) => dayOf(occurredAt, zone) <= on);
  const blooms = until.filter(({ kind }) => kind === 'bloomSeen').reverse();
  const trials = until.filter((event) => event.kind === 'trialBegun').reverse();
  const ended = new Map(
    until.flatMap((event) => (event.kind === 'trialEnded' ? [[event.payload.trial, event]] : [])),
  );
  const [asking, setAsking] = useState(false);
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <div className="mx-auto grid max-w-5xl gap-x-8 lg:grid-cols-[1fr_20rem]">
        <section aria-label="Trials">
          <h1 className="text-xl">
            Trials in{' '}
            <Link className="underline" to={`/yard/${yard.id}`}>
              {yard.name}
            </Link>
          </h1>
          {trials.length === 0 && (
            <p className="text-soft">
              No question is put to these boxes yet. Say what you want to know, which boxes are in, and which
              they are held against; the takes are counted from that day on.
            </p>
          )}
          <ol>
            {trials.map((event) => (
              <Trial key={event.id} event={event} ended={ended.get(event.payload.trial)} yard={yard.id} />
            ))}
          </ol>
          {asking ? (
            <TrialForm yard={yard} onDone={() => setAsking(false)} />
          ) : (
            <button type="button" className="button mt-3" onClick={() => setAsking(true)}>
              Begin a trial…
            </button>
          )}
        </section>
        <section aria-label="Weather and forage">
          <WeatherPanel view={view} />
          <h2 className="text-xl">Forage</h2>
          <BloomForm yard={yard.id} />
          <ol>
            {blooms.map((event) => (
              <li key={event.id} className="row-line">
                <span>{say(eventLine(event, NO_NAMES))}</span>
                <span className="text-sm text-soft">
                  {say(showDay(dayOf(event.occurredAt, event.zone), on))}
                </span>
              </li>
            ))}
          </ol>
        </section>
      </div>
    </main>
  );
}

interface TrialProps {
  event: Extract<LogEvent, { kind: 'trialBegun' }>;
  ended: LogEvent | undefined;
  yard: string;
}

function Trial({ event, ended, yard }: TrialProps) {
  const say = useSay();
  const { on } = useAsOf();
  const log = useLog();
  const [answer, setAnswer] = useState('');
  const { question, measured, boxesIn, boxesAgainst, trial } = event.payload;
  const from = dayOf(event.occurredAt, event.zone);
  const to = ended ? dayOf(ended.occurredAt, ended.zone) : on;
  const { data: report } = useQuery(takesQuery('box', to, from));
  const sum = (boxes: readonly string[]) => {
    const own = (report?.groups ?? []).filter(({ key }) => boxes.includes(key));
    const takes = own.reduce((total, group) => total + group.takes, 0);
    const misses = own.reduce((total, group) => total + group.misses, 0);
    return { takes, misses, ...takeRate(takes, misses, defaultConstants.intervalShare) };
  };
  const [inside, against] = [sum(boxesIn), sum(boxesAgainst)];
  const apart = inside.low > against.high ? 'more' : against.low > inside.high ? 'less' : undefined;
  const words = (side: ReturnType<typeof sum>) =>
    side.rate === null
      ? 'nothing decided yet'
      : `${side.takes} of ${side.takes + side.misses}, ${Math.round(side.rate * 100)} % (${Math.round(side.low * 100)} to ${Math.round(side.high * 100)} %)`;
  return (
    <li className="mt-3 rounded-xl border border-hairline bg-slip p-4">
      <h2 className="text-lg">{question}</h2>
      <p className="text-soft">
        {measured}, since {say(showDay(from, on))}
        {ended ? `, ended ${say(showDay(to, on))}` : ''}. An idea under test, not a finding.
      </p>
      <dl className="mt-2">
        <div className="row-line">
          <dt>In it: {countOf(boxesIn.length, 'box', 'boxes')}</dt>
          <dd>{words(inside)}</dd>
        </div>
        <div className="row-line">
          <dt>Held against: {countOf(boxesAgainst.length, 'box', 'boxes')}</dt>
          <dd>{words(against)}</dd>
        </div>
      </dl>
      <p className="mt-2">
        <strong>
          {apart === undefined
            ? 'The data cannot tell: the intervals overlap.'
            : `Those in it take ${apart === 'more' ? 'more' : 'less'} often; the intervals part.`}
        </strong>
      </p>
      {ended?.kind === 'trialEnded' ? (
        <p className="mt-2">“{ended.payload.answer || 'Ended without an answer.'}”</p>
      ) : (
        <div className="mt-2 flex items-end gap-2">
          <div className="flex-1">
            <TextField
              label="Its answer, when it ends"
              value={answer}
              maxLength={1_000}
              onChange={({ target }) => setAnswer(target.value)}
            />
          </div>
          <button
            type="button"
            className="button mb-2.5"
            onClick={() =>
              void log('Trial ended', [draft('trialEnded', { trial, yard, answer: answer.trim() })])
            }
          >
            End it
          </button>
        </div>
      )}
    </li>
  );
}

function TrialForm({ yard, onDone }: { yard: Yard; onDone: () => void }) {
  const view = useYard(yard);
  const log = useLog();
  const [question, setQuestion] = useState('');
  const [measured, setMeasured] = useState('takes of all cells given');
  const [sides, setSides] = useState<Readonly<Record<string, 'in' | 'against'>>>({});
  const on = (side: 'in' | 'against') => Object.keys(sides).filter((id) => sides[id] === side);
  const missing = on('in').length === 0 || on('against').length === 0;
  const save = () => {
    if (missing || question.trim() === '') return;
    return log(`Trial begun: ${question.trim()}`, [
      draft('trialBegun', {
        trial: newId(),
        yard: yard.id,
        question: question.trim(),
        measured: measured.trim() || 'takes',
        boxesIn: on('in'),
        boxesAgainst: on('against'),
      }),
    ]).then(onDone);
  };
  return (
    <div className="mt-3">
      <Form save="Begin" onSave={save} onCancel={onDone}>
        <TextField
          label="The question"
          required
          maxLength={200}
          value={question}
          hint="One that takes can answer: does a second hole raise takes?"
          onChange={({ target }) => setQuestion(target.value)}
        />
        <TextField
          label="What is measured"
          maxLength={200}
          value={measured}
          onChange={({ target }) => setMeasured(target.value)}
        />
        <ul className="mb-2 grid grid-cols-2 gap-x-4 sm:grid-cols-3">
          {view.boxes.map(({ box }) => (
            <li
              key={box.id}
              className="flex items-center justify-between gap-2 border-b border-hairline py-1"
            >
              <strong>{box.label}</strong>
              <select
                aria-label={`${box.label} in the trial`}
                className="field w-auto py-0.5"
                value={sides[box.id] ?? ''}
                onChange={({ target }) =>
                  setSides((now) => {
                    const { [box.id]: _, ...rest } = now;
                    return target.value ? { ...rest, [box.id]: target.value as 'in' | 'against' } : rest;
                  })
                }
              >
                <option value="">not in it</option>
                <option value="in">in it</option>
                <option value="against">held against</option>
              </select>
            </li>
          ))}
        </ul>
        {missing && (
          <p className="mb-2 text-sm text-soft">At least one box is in it, and one is held against.</p>
        )}
      </Form>
    </div>
  );
}

type Bloom = 'begins' | 'full' | 'over' | 'mown';

function BloomForm({ yard }: { yard: string }) {
  const log = useLog();
  const [plant, setPlant] = useState('');
  const [what, setWhat] = useState<Bloom>('begins');
  const save = () => {
    if (plant.trim() === '') return;
    setPlant('');
    return log(`${plant.trim()}: ${what}`, [draft('bloomSeen', { yard, plant: plant.trim(), what })]);
  };
  return (
    <Form save="Note it" onSave={save} onCancel={undefined}>
      <div className="grid grid-cols-2 gap-x-3">
        <TextField
          label="Plant"
          value={plant}
          maxLength={60}
          onChange={({ target }) => setPlant(target.value)}
        />
        <SelectField label="Bloom" value={what} onChange={({ target }) => setWhat(target.value as Bloom)}>
          <option value="begins">begins</option>
          <option value="full">in full</option>
          <option value="over">is over</option>
          <option value="mown">mown</option>
        </SelectField>
      </div>
    </Form>
  );
}
