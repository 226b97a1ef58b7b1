import { countOf } from '@yellow-cell/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Later } from '../parts/Later.tsx';
import { Donors } from './Donors.tsx';
import { LotList } from './LotList.tsx';
import { NextList } from './NextList.tsx';
import { PlanForm } from './PlanForm.tsx';
import { RoundSlip } from './RoundSlip.tsx';
import { SeasonPlan } from './SeasonPlan.tsx';
import { SeasonSheet } from './SeasonSheet.tsx';
import { useOdds } from './useOdds.ts';
import { type Moved, useRearing } from './useRearing.ts';

/** From the queens wanted to the cells in the boxes: the rounds of a season, and what hangs on their days. */
export function RoundsScreen() {
  const [params, setParams] = useSearchParams();
  const [moved, setMoved] = useState<Moved>();
  const [planning, setPlanning] = useState(false);
  const rearing = useRearing(moved);
  const odds = useOdds(rearing, undefined, moved !== undefined);
  const chosen = params.get('round') ?? undefined;
  const choose = (round: string | undefined) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (round === undefined) next.delete('round');
        else next.set('round', round);
        return next;
      },
      { replace: true },
    );
  const view = rearing.views.find(({ round }) => round.id === chosen);
  const { record, accepted } = rearing.season;
  return (
    <main className="flex h-full flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
      <section className="min-w-0 flex-1 bg-sheet lg:overflow-y-auto" aria-label="The season">
        <div className="flex flex-wrap items-baseline gap-x-5 px-5 pt-3 pb-1">
          <h1 className="text-base">Rounds</h1>
          <p className="text-soft">
            Record: {countOf(record.takes, 'take')} of {countOf(record.tried, 'cell')}; {accepted.cells} of{' '}
            {accepted.grafts} grafts taken on
          </p>
          <a
            className="no-print inline-flex min-h-11 items-center underline lg:min-h-8"
            href="/api/calendar.ics"
          >
            Calendar file
          </a>
          <a
            className="no-print inline-flex min-h-11 items-center underline lg:min-h-8"
            href="/api/rounds.csv"
          >
            Rounds as CSV
          </a>
          <Link className="no-print inline-flex min-h-11 items-center underline lg:min-h-8" to="/rounds/week">
            Week sheet
          </Link>
        </div>
        {rearing.views.length === 0 ? (
          <p className="px-5 py-6 text-soft">
            No round is grafted or planned yet. Say what queens are wanted and by when, or plan a graft; its
            days, cells and rooms follow.
          </p>
        ) : (
          <Later>
            <div className="hidden sm:block">
              <SeasonSheet
                rearing={rearing}
                odds={odds}
                chosen={chosen}
                moved={moved}
                onChoose={choose}
                onMove={setMoved}
              />
            </div>
            <NextList rearing={rearing} onChoose={choose} />
          </Later>
        )}
      </section>
      <aside
        aria-label="Slip"
        className={`w-full shrink-0 border-hairline bg-slip p-5 lg:order-none lg:w-[22rem] lg:overflow-y-auto lg:border-l ${view || planning ? 'order-first' : ''}`}
      >
        {view ? (
          <RoundSlip key={view.round.id} rearing={rearing} view={view} onClose={() => choose(undefined)} />
        ) : planning ? (
          <PlanForm rearing={rearing} onDone={() => setPlanning(false)} />
        ) : (
          <>
            <button
              type="button"
              className="button button-main min-h-12 w-full"
              onClick={() => setPlanning(true)}
            >
              Plan a round…
            </button>
            <LotList rearing={rearing} odds={odds} />
            <Later>
              <Donors rearing={rearing} />
              <SeasonPlan rearing={rearing} />
            </Later>
            <p className="mt-4 text-sm text-soft">
              A lot’s odds are those of all queens wanted up to its day. What is planned is played ten
              thousand times: rates of takes and acceptance as far as your record knows them, and days that
              fly as your weather and climate have them. How rates lie apart is told in the{' '}
              <Link className="underline" to="/ledger">
                Ledger
              </Link>
              .
            </p>
          </>
        )}
      </aside>
    </main>
  );
}
