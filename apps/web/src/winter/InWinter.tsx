import { showDay, throughOf, type WatchAct, type WatchLine } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { RoomIcon } from '../yard/RoomIcon.tsx';
import { odds } from './odds.ts';
import { roomName } from './roomName.ts';
import { useWinterAddress } from './useWinterAddress.ts';

const ACTS: Readonly<Record<WatchAct, string>> = {
  feed: 'feed above the cluster',
  look: 'look on a mild day',
  heft: 'heft',
  leave: 'leave in peace',
};
/** So many are named as wanting a look this week. */
const THIS_WEEK = 3;

interface InWinterProps {
  yard: string;
  lines: readonly WatchLine[];
  on: string;
  chosen: WatchLine | undefined;
}

/** The yard in winter, most pressing first: what each asks for, its stores as brought on to today, and when they run low. */
export function InWinter({ yard, lines, on, chosen }: InWinterProps) {
  const say = useSay();
  const address = useWinterAddress();
  const pressing = lines.filter(({ act }) => act !== 'leave').slice(0, THIS_WEEK);
  return (
    <>
      <p className="mt-1">
        {pressing.length === 0 ? (
          'Nobody asks for anything this week.'
        ) : (
          <>
            <strong>This week:</strong> {pressing.map((line) => roomName(line)).join(', ')}.
          </>
        )}
      </p>
      <table className="mt-1 w-full border-collapse text-[0.9rem] leading-tight">
        <thead>
          <tr className="text-left text-sm text-soft">
            <th className="font-normal">room</th>
            <th className="font-normal">do</th>
            <th className="text-right font-normal">stores, reserve by</th>
            <th className="text-right font-normal">comes through</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => {
            const { box, room, act, stores_kg, reserveOn } = line;
            const through = throughOf(line);
            return (
              <tr
                key={`${box.box.id} ${room.position}`}
                className={`relative border-b border-hairline ${chosen === line ? 'bg-glow shadow-[inset_4px_0_0_var(--yellow)]' : ''}`}
              >
                <th scope="row" className="py-0.5 text-left">
                  <Link
                    className="inline-flex min-h-12 items-center gap-1.5 pl-2 font-semibold underline after:absolute after:inset-0 lg:min-h-8"
                    aria-current={chosen === line ? 'true' : undefined}
                    to={address.winter(yard, line)}
                  >
                    <RoomIcon room={room} size={15} /> {roomName(line)}
                  </Link>
                </th>
                <td className={`px-1 ${act === 'feed' ? 'font-semibold' : ''}`}>{ACTS[act]}</td>
                <td className="text-right">
                  {stores_kg === undefined ? '?' : say(`${stores_kg.toFixed(1)} kg`)}
                  {reserveOn ? (
                    <span className="block text-sm text-soft">{say(showDay(reserveOn, on))}</span>
                  ) : null}
                </td>
                <td className="whitespace-nowrap pr-1 text-right">
                  {through === undefined ? '?' : <strong>{odds(through)}</strong>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
