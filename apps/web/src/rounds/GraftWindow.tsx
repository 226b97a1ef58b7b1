import type { Round } from '@yellow-cell/contract';
import { dayOf, graftWindow, showDay, showInstant } from '@yellow-cell/core';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';

/** When the larvae of the comb that the donor got are of the right age, to the hour; and where the plan has another day. */
export function GraftWindow({ round }: { round: Round }) {
  const say = useSay();
  const { zone, today } = useAsOf();
  const window = graftWindow(round);
  if (!window || !round.comb) return null;
  const instant = (at: string) => showInstant(at, zone, today);
  const [from, to] = window;
  const days = [dayOf(from, zone), dayOf(to, zone)] as const;
  const isOff = round.graftedOn < days[0] || round.graftedOn > days[1];
  return (
    <p className={`mt-3 rounded px-2 py-1 ${isOff ? 'border-2 border-danger' : 'bg-glow'}`}>
      {say(
        `Her comb was given on ${instant(round.comb.at)}: its larvae are 12 to 24 hours old from ${instant(from)} to ${instant(to)}.`,
      )}
      {isOff &&
        ` ${say(`The graft is planned for ${showDay(round.graftedOn, today)}: move it, or give another comb.`)}`}
    </p>
  );
}
