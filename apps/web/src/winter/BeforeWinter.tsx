import {
  type AutumnAct,
  type AutumnLine,
  comesThrough,
  countOf,
  SYRUPS,
  showDay,
  winterAct,
} from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';
import { RoomIcon } from '../yard/RoomIcon.tsx';
import { odds } from './odds.ts';
import { roomName } from './roomName.ts';
import { useWinterAddress } from './useWinterAddress.ts';

const ACTS: Readonly<Record<AutumnAct, string>> = {
  combine: 'combine',
  count: 'look: count its seams',
  pair: 'pair or combine',
  feed: 'feed',
  reduce: 'reduce',
  heft: 'heft',
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
  const address = useWinterAddress();
  return (
    <table className="w-full border-collapse text-[0.9rem] leading-tight">
      <thead>
        <tr className="text-left text-sm text-soft">
          <th className="font-normal">room</th>
          <th className="font-normal">{advised ? 'do' : 'stands'}</th>
          <th className="text-right font-normal">sugar</th>
          <th className="text-right font-normal">comes through</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => {
          const { box, room } = line;
          const id = `${box.box.id} ${room.position}`;
          const here = chosen === line;
          const planned = line.plan;
          return (
            <tr
              key={id}
              className={`relative border-b border-hairline ${here ? 'bg-glow shadow-[inset_4px_0_0_var(--yellow)]' : ''}`}
            >
              <th scope="row" className="py-0.5 text-left">
                <Link
                  className="inline-flex min-h-12 items-center gap-1.5 pl-2 font-semibold underline after:absolute after:inset-0 lg:min-h-8"
                  aria-current={here ? 'true' : undefined}
                  to={address.winter(yard, line)}
                >
                  <RoomIcon room={room} size={15} /> {roomName(line)}
                </Link>
              </th>
              <td className={`px-1 ${planned && !planned.preparedOn ? 'font-semibold' : ''}`}>
                {say(doing(line, advised, on))}
              </td>
              <td className="whitespace-nowrap text-right">
                {say(sugar(line) < 0.05 ? '' : `${sugar(line).toFixed(1)} kg`)}
              </td>
              <td className="whitespace-nowrap pr-1 text-right">
                <Through line={line} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
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

/** What is still to be fed of what is planned, or else what is short. */
const sugar = ({ plan, sugar_kg }: AutumnLine): number =>
  plan ? Math.max(0, plan.sugar_kg - plan.fed_kg) : sugar_kg;

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

/** What the whole yard wants, and how many of its colonies are there in spring as it stands and once all are fed. */
export function YardTotals({ lines }: { lines: readonly AutumnLine[] }) {
  const known = lines.filter(({ dwindled }) => dwindled !== undefined);
  const sugar_kg = lines.reduce((sum, line) => sum + sugar(line), 0);
  const unknown = lines.filter(({ stores_kg }) => stores_kg === undefined).length;
  const planned = lines.filter(({ plan }) => plan).length;
  const inSpring = known.reduce((sum, { dwindled = 0 }) => sum + 1 - dwindled, 0);
  return (
    <dl className="mt-3 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
      <dt className="text-soft">Sugar, as far as stores are known</dt>
      <dd className="text-right font-semibold">
        <Said>{sugar_kg.toFixed(0)} kg</Said>
      </dd>
      {sugar_kg >= 0.05 && (
        <>
          <dt className="text-soft">As syrup 2:1</dt>
          <dd className="text-right font-semibold">
            <Said>
              {(sugar_kg / SYRUPS.syrup21.sugar_kgPerLitre).toFixed(1)} l, with {(sugar_kg / 2).toFixed(1)} l
              of water
            </Said>
          </dd>
        </>
      )}
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
            about {Math.round(inSpring)} of {known.length}
          </dd>
        </>
      )}
    </dl>
  );
}
