import type { WinteringAnswer, WinteringPlan, WinteringQuestion } from '@yellow-cell/contract';
import {
  countOf,
  doing,
  inRoom,
  prepareRoom,
  pushedWith,
  roomName,
  winteringPlan,
  type YardChoice,
  type YardWay,
  yardChoice,
} from '@yellow-cell/core';
import { useState } from 'react';
import { ApiError, sendJson } from '../app/api.ts';
import { keep, readKept } from '../app/kept.ts';
import { useSay } from '../app/units.ts';
import { type Draft, draft } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { useWarned } from '../yard/useWarned.tsx';
import { usualArrangement, warmSideOf } from './arrangement.ts';
import { bookedSugar, LEAST_FEED_KG, planFrom } from './plan.ts';
import type { WinterView } from './useWinter.ts';

type Prices = WinteringQuestion['prices'];
const PRICES = 'yc-winter-prices';
interface Found {
  lines: WinterView['lines'];
  prices: Prices;
  choice: YardChoice;
  answer: WinteringAnswer;
}
const NOTHING: WinteringAnswer = { best: null, bound: 0, second: null };

/** What the server says of a question that it does not take, or that nobody answered. */
const whyNot = (error: unknown): string =>
  (error instanceof ApiError && error.judged && error.details?.problems?.[0]?.sentence) ||
  'The server does not answer; try again in a moment.';

const USUAL: Prices = { colony: 150, sugar_kg: 1, hour: 15 };

/** The whole yard as one choice: worked out by its prices, shown against the second best, and taken as plans of all. */
export function WholeYard({ winter }: { winter: WinterView }) {
  const say = useSay();
  const { send, asking: warned } = useWarned(winter.view);
  const [prices, setPrices] = useState(() => readKept<Prices>(PRICES) ?? USUAL);
  const [last, setLast] = useState<Found>();
  const [asking, setAsking] = useState(false);
  const [failed, setFailed] = useState<string>();
  const [second, setSecond] = useState(false);
  const { lines, view, season } = winter;
  // What was found of another state of the yard, or at other prices, is no plan of this one.
  const found = last?.lines === lines && last.prices === prices ? last : undefined;
  const work = async () => {
    setAsking(true);
    setFailed(undefined);
    setSecond(false);
    try {
      const choice = yardChoice(view.state, lines, view.boxes, season, prices);
      const answer =
        choice.question.colonies.length === 0
          ? NOTHING
          : await sendJson<WinteringAnswer>('POST', '/compute/wintering', choice.question);
      setLast({ lines, prices, choice, answer });
    } catch (error) {
      setFailed(whyNot(error));
    } finally {
      setAsking(false);
    }
  };
  const price = (name: keyof Prices, value: string) => {
    const number = numberIn(value);
    if (!(number >= 0)) return;
    const next = { ...prices, [name]: number };
    setPrices(next);
    keep(PRICES, next);
  };
  const plan = second ? found?.answer.second : found?.answer.best;
  const chosen = plan && found ? chosenWays(found.choice, plan.options) : [];
  const take = () =>
    void send(
      `Winter planned for ${chosen.length} colonies`,
      chosen.map((way) => planned(winter, way, pushedWith(way, chosen).join(', '))),
    ).then((done) => done === 'delivered' && setLast(undefined));
  return (
    <section aria-label="The whole yard" className="no-print mt-4 border-t border-hairline pt-2">
      <h3 className="font-semibold">The whole yard as one choice</h3>
      <p className="text-sm text-soft">
        Who stays, is reduced, moves into a free room, joins another, or is pushed together with a box of its
        kind nearby: the least expected loss, sugar and work, each at your price. What is planned already
        stays as planned.
      </p>
      <div className="mt-1 grid grid-cols-3 gap-x-2">
        {(
          [
            ['colony', 'A colony lost'],
            ['sugar_kg', 'A kg of sugar'],
            ['hour', 'An hour'],
          ] as const
        ).map(([name, label]) => (
          <TextField
            key={name}
            label={label}
            inputMode="decimal"
            defaultValue={String(prices[name])}
            onChange={({ target }) => price(name, target.value)}
          />
        ))}
      </div>
      <button type="button" className="button w-full" disabled={asking} onClick={() => void work()}>
        {asking ? 'Working it out…' : 'Work it out'}
      </button>
      {failed && (
        <p role="alert" className="mt-1 text-danger">
          {failed}
        </p>
      )}
      {warned}
      {found && !plan && (
        <p className="mt-2">
          {found.choice.question.colonies.length === 0
            ? 'No colony has its seams counted lately: count them from above first.'
            : 'What is planned by hand cannot be together: two take one room, or one joins who joins another. Drop one of these plans.'}
        </p>
      )}
      {found && plan && (
        <div className="mt-2">
          <p className="flex justify-between gap-2 font-semibold">
            <span>{second ? 'Second best' : 'Best'}</span>
            <span className="text-right">{inSpring(plan, view.constants.springSeams)}</span>
          </p>
          <p className="text-sm text-soft">
            {say(
              `As they stand ${inSpring(asTheyStand(found.choice), view.constants.springSeams)}. ${plan.sugar_kg.toFixed(0)} kg of sugar, ${(plan.work_min / 60).toFixed(1)} h of work`,
            )}
            {found.choice.unknown.length > 0
              ? `; ${found.choice.unknown.length} not counted, and left out`
              : ''}
            .
          </p>
          <ul className="mt-1">
            {chosen.map((way) => (
              <li
                key={roomName(way.line)}
                className="flex justify-between gap-3 border-b border-hairline py-0.5"
              >
                <strong>{roomName(way.line)}</strong>
                <span className="text-right">
                  {say(
                    `${doing(way, pushedWith(way, chosen))}${way.sugar_kg >= 0.1 ? `, ${way.sugar_kg.toFixed(1)} kg of sugar` : ''}`,
                  )}
                </span>
              </li>
            ))}
          </ul>
          <div className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="button button-main flex-1" onClick={take}>
              Take this plan
            </button>
            {found.answer.second && (
              <button type="button" className="button" onClick={() => setSecond(!second)}>
                {second ? 'See the best' : 'See second best'}
              </button>
            )}
          </div>
        </div>
      )}
    </section>
  );
}

/** Those that are alive with so many seams at least: fewer is too small to count on. */
const inSpring = ({ options, loss }: Pick<WinteringPlan, 'options' | 'loss'>, seams: number): string =>
  `about ${Math.max(0, options.length - loss).toFixed(1)} of ${options.length} in spring with ${countOf(seams, 'seam')} or more`;

const asTheyStand = ({ question }: YardChoice): WinteringPlan =>
  winteringPlan(
    question,
    question.colonies.map(() => 0),
  );

const chosenWays = ({ ways }: YardChoice, options: readonly number[]): YardWay[] =>
  ways.flatMap((some, colony) => some[options[colony] ?? 0] ?? []);

/** The plan of one colony: frames and board as the rules have them and feed as its own page says it, or where it goes. */
function planned({ view, season }: WinterView, way: YardWay, pushedTo: string): Draft {
  const { act, line, at, into, sugar_kg } = way;
  const of = { ...inRoom(line.box.box, line.room), ...(pushedTo ? { pushedTo } : {}) };
  if (act === 'combine' && into?.room.colony)
    return draft('winterPlanned', {
      ...of,
      act,
      with: { box: into.box.box.id, colony: into.room.colony.id },
      where: roomName(into),
      sugar_kg: 0,
    });
  if (act === 'move' && at)
    return draft('winterPlanned', {
      ...of,
      act,
      to: { box: at.box.box.id, bays: [...at.room.bays] },
      where: `${at.box.box.label} ${at.room.name}`,
      sugar_kg: bookedSugar(sugar_kg),
    });
  const arrangement = usualArrangement(line, warmSideOf(view, line, season.on), season.constants);
  const known = { seams: line.seams, stores_kg: line.stores_kg };
  const preparation = prepareRoom(view.state, line.box, line.room, known, arrangement, season);
  if (act === 'reduce' && preparation) {
    const room = planFrom(arrangement, preparation);
    return draft('winterPlanned', {
      ...of,
      act,
      ...(room ? { room } : {}),
      sugar_kg: bookedSugar(preparation.sugar_kg),
    });
  }
  const sugar = bookedSugar(line.sugar_kg);
  return draft('winterPlanned', { ...of, act: sugar >= LEAST_FEED_KG ? 'feed' : 'leave', sugar_kg: sugar });
}
