import type { Session } from '@yellow-cell/contract';
import { showDay } from '@yellow-cell/core';
import { useState } from 'react';
import { sendJson } from '../app/api.ts';
import { queries } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { useToast } from '../parts/Toast.tsx';

interface DemoClockProps {
  today: string;
  session: Session;
  setOn: (day: string) => void;
}

/** What day it is in the demo, and the days of its story that its clock can be moved on to. */
export function DemoClock({ today, session: { realNow, demoDays }, setOn }: DemoClockProps) {
  const say = useSay();
  const toast = useToast();
  const [asked, setAsked] = useState<string>();
  const [moving, setMoving] = useState(false);
  const real = realNow.slice(0, 10);
  const day = (date: string) => say(showDay(date, today));
  const move = async (to: string) => {
    setMoving(true);
    try {
      await sendJson('PUT', '/demo/clock', { day: to });
      await queries.invalidateQueries();
      setOn(to);
    } catch {
      toast({ text: 'The demo’s clock could not be moved on; try again in a moment.' });
    } finally {
      setMoving(false);
      setAsked(undefined);
    }
  };
  if (asked !== undefined)
    return (
      <span className="flex flex-wrap items-center gap-x-3" role="status">
        {moving
          ? `The demo lives on to ${day(asked)}…`
          : `What its people do until ${day(asked)} is entered; the clock is not turned back.`}
        {!moving && (
          <>
            <button type="button" className="font-semibold underline" onClick={() => void move(asked)}>
              Live on to {day(asked)}
            </button>
            <button type="button" className="underline" onClick={() => setAsked(undefined)}>
              Stay
            </button>
          </>
        )}
      </span>
    );
  return (
    <span className="flex flex-wrap gap-x-3 text-soft">
      Demo clock: today is {day(today)}.
      {demoDays.map((each) => (
        <button key={each} type="button" className="underline" onClick={() => setAsked(each)}>
          On to {day(each)}…
        </button>
      ))}
      <button type="button" className="underline" onClick={() => setOn(real)}>
        Show {say(showDay(real))}, the real date
      </button>
    </span>
  );
}
