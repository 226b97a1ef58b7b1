import { useSuspenseQuery } from '@tanstack/react-query';
import type { WeatherDay, Yard } from '@yellow-cell/contract';
import { countOf, showDay } from '@yellow-cell/core';
import { Menu } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, NavLink, useLocation, useParams, useSearchParams } from 'react-router';
import { paramsNow } from '../app/address.ts';
import { isNarrow } from '../app/narrow.ts';
import { useAsOf } from '../app/now.ts';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { useKeys } from '../app/useKeys.ts';
import { Later } from '../parts/Later.tsx';
import { onDemand } from '../parts/onDemand.ts';
import { Said } from '../parts/Said.tsx';
import { useSoon } from '../parts/useSoon.ts';
import { NewYard } from './NewYard.tsx';
import { Slip } from './Slip.tsx';
import { useChoice } from './useChoice.ts';
import { useQuickYard } from './useQuickYard.ts';
import { useYard, type YardView } from './useYard.ts';
import { YardList } from './YardList.tsx';
import { YardMap } from './YardMap.tsx';
import { YardSlip } from './YardSlip.tsx';

export function YardScreen() {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const { yard: wanted } = useParams();
  const yard = yards.find(({ id }) => id === wanted) ?? (wanted ? undefined : yards[0]);
  if (yards.length === 0) {
    return (
      <main className="mx-auto max-w-xl p-6">
        <h1 className="text-xl">No yard yet</h1>
        <p className="mt-2 mb-4 text-soft">
          A yard is where stands are. Name the first, and say where it lies: its sun, its zone and its weather
          follow from that.
        </p>
        <NewYard />
        <p className="mt-4 text-soft">
          To look around first, start the program with its demo: <code>npm start -- --data</code> with another
          folder, and without <code>--empty</code>.
        </p>
      </main>
    );
  }
  if (!yard) return <p className="p-6">There is no such yard.</p>;
  return <OneYard key={yard.id} yard={yard} yards={yards} />;
}

function OneYard({ yard, yards }: { yard: Yard; yards: readonly Yard[] }) {
  const choice = useChoice();
  const { box, bay, choose } = choice;
  const view = useYard(yard, box);
  useQuickYard(view, choice);
  const [params, setParams] = useSearchParams();
  const [adding, setAdding] = useState(false);
  const shown = shownIn(params);
  const chosenBox = view.boxes.find((each) => each.box.id === box);
  const compartment = chosenBox?.compartments.find(({ bays }) => bay !== undefined && bays.includes(bay));
  const build = params.get('build') ?? undefined;
  useKeys({ escape: () => choose() });
  useSoon(fetchSlips);

  const slip = () => {
    if (adding) return <NewYard onDone={() => setAdding(false)} />;
    if (build !== undefined) return <BuildBox view={view} design={build} />;
    if (chosenBox && compartment)
      return (
        <CompartmentSlip
          key={`${chosenBox.box.id}-${compartment.position}`}
          view={view}
          boxView={chosenBox}
          compartment={compartment}
        />
      );
    if (chosenBox) return <BoxSlip view={view} boxView={chosenBox} />;
    if (box !== undefined) return <ElsewhereSlip view={view} box={box} yards={yards} />;
    return (
      <Later>
        <YardSlip view={view} />
      </Later>
    );
  };
  const open = adding || build !== undefined || box !== undefined;

  return (
    <main className="flex h-full flex-col lg:flex-row">
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <YardHead
          view={view}
          yards={yards}
          shown={shown}
          onShow={(next) => setParams((before) => viewed(before, next), { replace: true })}
          onAdd={() => setAdding(true)}
        />
        <div className="min-h-0 flex-1">
          <Suspense>
            <Later>
              {shown === 'today' ? (
                <TodayList view={view} />
              ) : shown === 'map' ? (
                <YardMap view={view} />
              ) : (
                <YardList view={view} />
              )}
            </Later>
          </Suspense>
        </div>
      </div>
      <Slip open={open} onClose={() => (adding ? setAdding(false) : choose())}>
        <Suspense>{slip()}</Suspense>
      </Slip>
    </main>
  );
}

// What is not on screen at once comes when it is wanted; without a network it is on the device already.
const BoxSlip = onDemand(async () => (await import('./BoxSlip.tsx')).BoxSlip);
const CompartmentSlip = onDemand(async () => (await import('./CompartmentSlip.tsx')).CompartmentSlip);
const BuildBox = lazy(async () => ({ default: (await import('./BuildBox.tsx')).BuildBox }));
const ElsewhereSlip = lazy(async () => ({ default: (await import('./ElsewhereSlip.tsx')).ElsewhereSlip }));
const TodayList = lazy(async () => ({ default: (await import('./TodayList.tsx')).TodayList }));
const fetchSlips = () => Promise.all([CompartmentSlip.fetch(), BoxSlip.fetch()]);

const VIEWS = [
  ['today', 'Today'],
  ['map', 'Map'],
  ['list', 'List'],
] as const;
type Shown = (typeof VIEWS)[number][0];

/** As the address says; else a list on a phone, and the map where there is room for it. */
function shownIn(params: URLSearchParams): Shown {
  const asked = VIEWS.find(([view]) => view === params.get('view'))?.[0];
  return asked ?? (isNarrow() ? 'list' : 'map');
}

function viewed(before: URLSearchParams, view: Shown): URLSearchParams {
  const params = paramsNow(before);
  params.set('view', view);
  return params;
}

/** What is known of a day. */
function weatherWords({ max_C, wind_ms, flying_h }: WeatherDay): string {
  return [
    max_C === null ? '' : `${max_C.toFixed(0)} °C`,
    wind_ms === null ? '' : `${wind_ms.toFixed(0)} m/s`,
    flying_h === null
      ? ''
      : flying_h === 0
        ? 'no flying weather'
        : `${flying_h.toFixed(1)} h of flying weather`,
  ]
    .filter(Boolean)
    .join(', ');
}

interface YardHeadProps {
  view: YardView;
  yards: readonly Yard[];
  shown: Shown;
  onShow: (shown: Shown) => void;
  onAdd: () => void;
}

function YardHead({ view, yards, shown, onShow, onAdd }: YardHeadProps) {
  const say = useSay();
  const { isToday } = useAsOf();
  const { yard, boxes, weather, on, more } = view;
  // Where not all boxes have come, the yard is counted as a whole, and what is due among those that have.
  const some = more !== undefined && isToday;
  const { search } = useLocation();
  const date = new URLSearchParams(search).get('on');
  const compartments = boxes.flatMap((each) => each.compartments);
  const due = compartments.filter(({ urgency }) => urgency === 'due' || urgency === 'overdue').length;
  const today = weather.get(on);
  // On a phone the first task comes before all this.
  const [unfolded, setUnfolded] = useState(false);
  return (
    <div className="flex flex-wrap items-center gap-x-3 bg-sheet px-4 sm:items-baseline sm:gap-x-5 sm:gap-y-1 sm:px-5 sm:pt-3 sm:pb-1">
      <h1 className="min-w-0 truncate text-base max-sm:flex-1">{yard.name}</h1>
      <button
        type="button"
        className="no-print order-last flex size-12 items-center justify-center sm:hidden"
        aria-label="More of this yard"
        aria-expanded={unfolded}
        onClick={() => setUnfolded(!unfolded)}
      >
        <Menu size={20} aria-hidden />
      </button>
      <p className={`text-soft max-sm:order-last max-sm:w-full ${unfolded ? '' : 'max-sm:hidden'}`}>
        <Said>
          {countOf(some ? yard.boxes : boxes.length, 'box', 'boxes')}
          {more && !isToday ? ' so far' : ''} ·{' '}
          {countOf(some ? yard.compartments : compartments.length, 'compartment')} · {due} due
          {some ? ` in the first ${countOf(boxes.length, 'box', 'boxes')}` : ''}
          {today ? ` · ${weatherWords(today)}` : ''}
        </Said>
      </p>
      <nav
        aria-label="Yards"
        className={`no-print flex flex-wrap gap-x-3 text-sm max-sm:order-last max-sm:w-full max-sm:gap-x-5 max-sm:text-base ${unfolded ? '' : 'max-sm:hidden'}`}
      >
        {yards
          .filter(({ id }) => id !== yard.id)
          .map(({ id, name }) => (
            <NavLink
              key={id}
              to={`/yard/${id}${date ? `?on=${date}` : ''}`}
              className="font-semibold underline max-sm:py-3"
            >
              {name}
            </NavLink>
          ))}
        <button type="button" className="underline max-sm:py-3" onClick={onAdd}>
          Add a yard
        </button>
        {boxes.length > 0 && (
          <Link className="underline max-sm:py-3" to={`/yard/${yard.id}/cards${date ? `?on=${date}` : ''}`}>
            Cards
          </Link>
        )}
        {boxes.length > 0 && (
          <Link className="underline max-sm:py-3" to={`/yard/${yard.id}/scan`}>
            Read a code
          </Link>
        )}
        {boxes.length > 0 && (
          <Link className="underline max-sm:py-3" to={`/yard/${yard.id}/many`}>
            Many at once
          </Link>
        )}
        <Link className="underline lg:hidden max-sm:py-3" to={`/yard/${yard.id}?build=`}>
          Build a box
        </Link>
        <Link className="underline max-sm:py-3" to={`/yard/${yard.id}/season${date ? `?on=${date}` : ''}`}>
          Season
        </Link>
      </nav>
      <div role="group" aria-label="View" className="no-print ml-auto flex gap-1">
        {VIEWS.map(([each, name]) => (
          <button
            key={each}
            type="button"
            aria-pressed={shown === each}
            onClick={() => onShow(each)}
            className={`border-b-3 px-2 pb-0.5 font-semibold max-sm:flex max-sm:min-h-12 max-sm:items-center ${shown === each ? 'border-yellow text-ink' : 'border-transparent text-soft'}`}
          >
            {name}
          </button>
        ))}
      </div>
      {boxes.length === 0 && <p className="w-full text-soft">No box stood here on {say(showDay(on))}.</p>}
    </div>
  );
}
