import { roomName, type SpringAct, type SpringLine, showDay } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { RoomHead, rowStyle } from './RoomHead.tsx';
import { WinterTable } from './WinterTable.tsx';

const ACTS: Readonly<Record<SpringAct, string>> = {
  unite: 'unite',
  count: 'look: count its bees',
  feed: 'feed',
  part: 'part the pair',
  widen: 'widen',
  room: 'more room',
  leave: 'leave to grow',
};

interface IntoSpringProps {
  yard: string;
  lines: readonly SpringLine[];
  on: string;
  chosen: SpringLine | undefined;
}

/** The yard as it comes out of winter: what each asks for, when it is crowded, and the free room that can take it. */
export function IntoSpring({ yard, lines, on, chosen }: IntoSpringProps) {
  const say = useSay();
  const outgrow = lines.filter((line) => crowdedWords(line, on) !== '' && line.act !== 'widen');
  const housed = outgrow.filter(({ into }) => into).length;
  return (
    <>
      {outgrow.length > 0 && (
        <p className="mt-1">
          <strong>{outgrow.length}</strong> outgrow their rooms; free rooms here take{' '}
          <strong>{housed}</strong>
          {housed < outgrow.length ? ', the rest want a body or a box more.' : '.'}
        </p>
      )}
      <WinterTable heads={['room', 'do', 'bees', 'crowded about']} right={2}>
        <tbody>
          {lines.map((line) => {
            const { box, room, act, now, into } = line;
            return (
              <tr key={`${box.box.id} ${room.position}`} className={rowStyle(chosen === line)}>
                <RoomHead yard={yard} line={line} chosen={chosen === line} />
                <td className="px-1">
                  {ACTS[act]}
                  {into ? <span className="block text-sm text-soft">to {roomName(into)}</span> : null}
                </td>
                <td className="whitespace-nowrap pr-3 text-right">
                  {now ? (now.middle > 0 ? say(`${now.middle.toFixed(1)} kg`) : 'none likely') : '?'}
                </td>
                <td className="whitespace-nowrap pr-1 text-right">{say(crowdedWords(line, on))}</td>
              </tr>
            );
          })}
        </tbody>
      </WinterTable>
      <p className="mt-2 text-sm text-soft">
        Patties and thin syrup only where they can be kept up until there is forage: brood that is called up
        wants feeding every day.
      </p>
    </>
  );
}

/** When its bees fill its combs; nothing is said of who is united before that. */
function crowdedWords({ act, growth }: SpringLine, on: string): string {
  const { expected, early } = growth?.crowded ?? {};
  if (act === 'unite') return '';
  if (expected) return expected <= on ? 'now' : showDay(expected, on);
  return early ? `${showDay(early, on)} at best` : '';
}
