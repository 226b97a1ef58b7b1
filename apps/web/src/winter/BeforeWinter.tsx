import {
  type AutumnAct,
  type AutumnLine,
  comesThrough,
  countOf,
  type FeedPlan,
  showDay,
  springCount,
  wanted,
  winterAct,
} from '@yellow-cell/core';
import { Fragment } from 'react';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';
import { odds } from './odds.ts';
import { RoomHead, rowStyle } from './RoomHead.tsx';
import { WinterTable } from './WinterTable.tsx';

const ACTS: Readonly<Record<AutumnAct, string>> = {
  combine: 'combine',
  count: 'look: count its seams',
  pair: 'pair or combine',
  feed: 'feed',
  reduce: 'reduce',
  heft: 'heft',
  check: 'short check alone',
  leave: 'leave alone',
};

interface BeforeWinterProps {
  yard: string;
  lines: readonly AutumnLine[];
  on: string;
  chosen: AutumnLine | undefined;
  /** False while it is too early to say more than how they stand. */
  advised: boolean;
}

/** Every colony of the yard in walking order: what is to be done, the sugar it wants, and how often it comes through. */
export function BeforeWinter({ yard, lines, on, chosen, advised }: BeforeWinterProps) {
  const say = useSay();
  return (
    <WinterTable heads={['room', advised ? 'do' : 'stands', 'sugar', 'comes through']} right={2}>
      <tbody>
        {lines.map((line) => {
          const { box, room } = line;
          const id = `${box.box.id} ${room.position}`;
          const here = chosen === line;
          const planned = line.plan;
          return (
            <tr key={id} className={rowStyle(here)}>
              <RoomHead yard={yard} line={line} chosen={here} />
              <td className={`px-1 ${planned && !planned.preparedOn ? 'font-semibold' : ''}`}>
                {say(doing(line, advised, on))}
              </td>
              <td className="whitespace-nowrap pr-2 text-right">
                {say(wanted(line) < 0.05 ? '' : `${wanted(line).toFixed(1)} kg`)}
              </td>
              <td className="whitespace-nowrap pr-1 text-right">
                <Through line={line} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </WinterTable>
  );
}

/** What is planned, or advised; where neither is, how it stands. */
function doing({ act, plan, room, seams, keeps, winter }: AutumnLine, advised: boolean, on: string): string {
  if (plan?.preparedOn) return `prepared ${showDay(plan.preparedOn, on)}`;
  if (plan) return winterAct(plan) || (plan.sugar_kg > 0 ? 'feed' : 'left alone');
  if (!advised)
    return seams === undefined ? 'seams not known' : `${countOf(seams, 'seam')} on ${room.frames}`;
  if (act === 'reduce' && keeps !== undefined) return `reduce to ${keeps}`;
  return act === 'leave' && !winter ? 'leave alone; stores not known' : ACTS[act];
}

function Through({ line: { winter, dwindled } }: { line: AutumnLine }) {
  if (dwindled === undefined) return <span className="text-soft">?</span>;
  const fed = odds(1 - dwindled);
  const now = winter ? odds(comesThrough(winter)) : undefined;
  return now === undefined || now === fed ? (
    now === undefined ? (
      <>
        <span className="text-soft">? →</span> <strong>{fed}</strong>
      </>
    ) : (
      <strong>{now}</strong>
    )
  ) : (
    <>
      <span className="text-soft">{now}</span> → <strong>{fed}</strong>
    </>
  );
}

/** What that sugar is given as, as the sheet has it: combs at hand first, syrup while days are warm enough, fondant after. */
const fedAs = ({ combs, buy: { sugar_kg, syrup_l, water_l, fondant_kg } }: FeedPlan) =>
  [
    { is: combs.length > 0, what: 'Combs of stores at hand, first', amount: `${combs.length}` },
    {
      is: sugar_kg >= SHOWN_KG,
      what: 'As syrup 2:1',
      amount: `${syrup_l.toFixed(1)} l, with ${water_l.toFixed(1)} l of water`,
    },
    {
      is: fondant_kg >= SHOWN_KG,
      what: 'As fondant, too cold for syrup',
      amount: `${fondant_kg.toFixed(1)} kg`,
    },
  ].filter(({ is }) => is);
/** Less rounds to nothing. */
const SHOWN_KG = 0.05;

const NINE_OF_TEN = 0.9;
/** What the whole yard wants, and how many of its colonies are there in spring as it stands and once all are fed. */
export function YardTotals({ lines, feed }: { lines: readonly AutumnLine[]; feed: FeedPlan }) {
  const known = lines.filter(({ dwindled }) => dwindled !== undefined);
  const sugar_kg = lines.reduce((sum, line) => sum + wanted(line), 0);
  const unknown = lines.filter(({ stores_kg }) => stores_kg === undefined).length;
  const planned = lines.filter(({ plan }) => plan).length;
  const { low, high, spares } = springCount(
    known.map(({ dwindled = 0 }) => 1 - dwindled),
    NINE_OF_TEN,
  );
  return (
    <dl className="mt-3 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
      <dt className="text-soft">Sugar, as far as stores are known</dt>
      <dd className="text-right font-semibold">
        <Said>{sugar_kg.toFixed(1)} kg</Said>
      </dd>
      {fedAs(feed).map(({ what, amount }) => (
        <Fragment key={what}>
          <dt className="text-soft">{what}</dt>
          <dd className="text-right font-semibold">
            <Said>{amount}</Said>
          </dd>
        </Fragment>
      ))}
      {unknown > 0 && (
        <>
          <dt className="text-soft">Stores not known of</dt>
          <dd className="text-right font-semibold">{unknown}</dd>
        </>
      )}
      <dt className="text-soft">Planned</dt>
      <dd className="text-right font-semibold">
        {planned} of {lines.length}
      </dd>
      {known.length > 0 && (
        <>
          <dt className="text-soft">In spring, fed and left as they stand</dt>
          <dd className="text-right font-semibold">
            {low === high ? low : `${low} to ${high}`} of {known.length}
          </dd>
          {spares !== undefined && spares > 0 && (
            <>
              <dt className="text-soft">Spares, to have {known.length} in nine springs of ten</dt>
              <dd className="text-right font-semibold">{spares}</dd>
            </>
          )}
        </>
      )}
    </dl>
  );
}
