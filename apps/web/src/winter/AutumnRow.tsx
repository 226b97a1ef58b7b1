import { type AutumnLine, countOf, showDay, statusLine } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { BoxThumb } from '../drawing/BoxThumb.tsx';
import { RoomIcon } from '../yard/RoomIcon.tsx';

/** One colony before winter: what is known of it, what is to be done, and why. */
export function AutumnRow({
  yard,
  line,
  on,
  advised = false,
}: {
  yard: string;
  line: AutumnLine;
  on: string;
  advised?: boolean;
}) {
  const say = useSay();
  const { box, room, why, seams, stores_kg, storesBy, carry_kg, starved, keeps } = line;
  const { colony, frames } = room;
  const facts = [
    `${seams === undefined ? 'seams not known' : countOf(seams, 'seam')} on ${countOf(frames, 'frame')}`,
    stores_kg === undefined
      ? 'stores not known'
      : `${stores_kg.toFixed(1)} kg of stores${BY[storesBy ?? 'looked']}`,
    carry_kg === undefined || !advised ? '' : `${carry_kg.toFixed(1)} kg to carry`,
    starved === undefined || !advised ? '' : odds(starved),
    colony?.treatedOn ? `treated ${say(showDay(colony.treatedOn, on))}` : 'no treatment recorded',
  ].filter(Boolean);
  return (
    <li className="flex items-center gap-4 border-b border-hairline py-2">
      <span aria-hidden className="hidden w-24 shrink-0 sm:block">
        <BoxThumb design={box.design} width={96} height={60} />
      </span>
      <span aria-hidden className="hidden size-4 shrink-0 border border-[var(--ink)] print:inline-block" />
      <div className="min-w-0 flex-1">
        <p>
          <Link
            className="inline-flex min-h-11 items-center gap-2 font-semibold underline"
            to={`/yard/${yard}?box=${box.box.id}&bay=${room.bays[0] ?? ''}`}
          >
            <RoomIcon room={room} size={16} /> {box.box.label} {room.name}
          </Link>{' '}
          <span className="text-soft">{say(statusLine(room, on))}</span>
        </p>
        {advised && (
          <p>
            {say(why)}
            {keeps !== undefined && (
              <>
                {' '}
                <Link className="underline" to={`/yard/${yard}/frames?box=${box.box.id}`}>
                  Frame by frame
                </Link>
              </>
            )}
          </p>
        )}
        <p className="text-sm text-soft">{say(facts.join(' · '))}</p>
      </div>
    </li>
  );
}

/** A weight is of the whole box; what is felt by hand is a guess. */
const BY = { looked: '', weighed: ' by the weight of its box', felt: ' by a heft, a guess' } as const;

/** How often it starves, as far as that is known: not to the percent. */
function odds(starved: number): string {
  if (starved < 0.02) return 'seldom starves so';
  if (starved > 0.98) return 'starves so in nearly every winter';
  return `starves so in about ${Math.max(1, Math.round(starved * 10))} winters of 10`;
}
