import { roomName, showDay, throughOf, type WatchAct, type WatchLine } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { odds } from './odds.ts';
import { RoomHead, rowStyle } from './RoomHead.tsx';
import { WinterTable } from './WinterTable.tsx';

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
      <WinterTable heads={['room', 'do', 'stores, reserve by', 'comes through']} right={2}>
        <tbody>
          {lines.map((line) => {
            const { box, room, act, stores_kg, reserveOn } = line;
            const through = throughOf(line);
            return (
              <tr key={`${box.box.id} ${room.position}`} className={rowStyle(chosen === line)}>
                <RoomHead yard={yard} line={line} chosen={chosen === line} />
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
      </WinterTable>
    </>
  );
}
