import { roomName, type SpringLine, statusLine } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { ColonyHead } from './ColonyHead.tsx';
import { Growth } from './Growth.tsx';
import type { WinterView } from './useWinter.ts';
import { useWinterAddress } from './useWinterAddress.ts';

/** One colony as it comes out of winter: what it asks for and why, and how its bees grow. */
export function Spring({ winter, line }: { winter: WinterView; line: SpringLine }) {
  const say = useSay();
  const { view } = winter;
  const { box, room, why } = line;
  const address = useWinterAddress();
  const to = address.room(view.yard.id, line);
  return (
    <div className="px-5 pb-4">
      <ColonyHead yard={view.yard.id} line={line} words={[statusLine(room, view.on), box.designName]} />
      <p className="mt-1 max-w-prose">{say(why)}</p>
      <div className="no-print mt-2 flex flex-wrap gap-2">
        <Link className="button" to={to}>
          Count, feed, move, combine…
        </Link>
        {line.into && (
          <Link className="button" to={address.room(view.yard.id, line.into)}>
            See {roomName(line.into)}
          </Link>
        )}
      </div>
      <IntoSeason winter={winter} line={line} />
    </div>
  );
}

/** How its bees grow, until they fill its combs. */
export function IntoSeason({ winter, line }: { winter: WinterView; line: SpringLine }) {
  const { growth, now } = line;
  if (!growth || !now || now.middle <= 0) return null;
  return (
    <section aria-label="Into the season" className="mt-3 border-t border-hairline pt-2">
      <Growth growth={growth} on={winter.view.on} />
    </section>
  );
}
