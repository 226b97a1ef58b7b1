import { useSuspenseQuery } from '@tanstack/react-query';
import type { Yard } from '@yellow-cell/contract';
import { type AutumnLine, countOf, lastDayOver, roomName, showDay } from '@yellow-cell/core';
import { Link, useSearchParams } from 'react-router';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { ClimateField } from '../bench/ClimateField.tsx';
import { Later } from '../parts/Later.tsx';
import { Said } from '../parts/Said.tsx';
import { useQuickYard } from '../yard/useQuickYard.ts';
import { BeforeWinter, YardTotals } from './BeforeWinter.tsx';
import { IntoSpring } from './IntoSpring.tsx';
import { InWinter } from './InWinter.tsx';
import { Losses } from './Losses.tsx';
import { Prepare } from './Prepare.tsx';
import { IntoSeason, Spring } from './Spring.tsx';
import { useWinter, type WinterView } from './useWinter.ts';
import { useWinterAddress } from './useWinterAddress.ts';
import { Watch } from './Watch.tsx';
import { WholeYard } from './WholeYard.tsx';

/** The cavity fitted to the colony, and the yard through to spring. */
export function WinterScreen() {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [params] = useSearchParams();
  const yard = yards.find(({ id }) => id === params.get('yard')) ?? yards[0];
  return yard ? (
    <Later
      key={yard.id}
      until={
        <main className="h-full bg-sheet">
          <Head yard={yard} yards={yards} />
        </main>
      }
    >
      <OneWinter yard={yard} yards={yards} />
    </Later>
  ) : (
    <p className="p-6">There is no yard yet, and no colony to winter.</p>
  );
}

/** The yards, and what the one is printed as. `isOne`: one colony is shown, and on a phone alone. */
function Head({ yard, yards, isOne = false }: { yard: Yard; yards: readonly Yard[]; isOne?: boolean }) {
  const address = useWinterAddress();
  return (
    <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-5 pt-3">
      <h1 className="text-xl">Winter in {yard.name}</h1>
      {isOne && (
        <Link className="inline-flex min-h-11 items-center underline lg:hidden" to={address.winter(yard.id)}>
          All colonies
        </Link>
      )}
      {yards.length > 1 && (
        <nav aria-label="Yards" className="no-print flex flex-wrap gap-x-3">
          {yards
            .filter(({ id }) => id !== yard.id)
            .map(({ id, name }) => (
              <Link
                key={id}
                className="inline-flex min-h-11 items-center font-semibold underline lg:min-h-8"
                to={address.winter(id)}
              >
                {name}
              </Link>
            ))}
        </nav>
      )}
      <Link
        className="no-print ml-auto inline-flex min-h-11 items-center underline lg:min-h-8"
        to={address.sheet(yard.id)}
      >
        Sheet
      </Link>
      <button type="button" className="button no-print" onClick={() => window.print()}>
        Print
      </button>
    </header>
  );
}

/** A line names its box here: none is opened. */
const NO_CHOICE = { box: undefined, bay: undefined };

function OneWinter({ yard, yards }: { yard: Yard; yards: readonly Yard[] }) {
  const say = useSay();
  const winter = useWinter(yard);
  useQuickYard(winter.view, NO_CHOICE);
  const [params] = useSearchParams();
  const { lines, time, view, phase, watched, spring, losses, feed, advised } = winter;
  const isNamed = ({ box, room }: Pick<AutumnLine, 'box' | 'room'>): boolean =>
    box.box.id === params.get('box') && (!params.get('bay') || room.bays.includes(params.get('bay') ?? ''));
  const followed = watched.find(isNamed) ?? watched[0];
  const sprung = spring.find(isNamed) ?? spring.find(({ now }) => now && now.middle > 0) ?? spring[0];
  const growing = spring.find(({ room }) => room === followed?.room);
  const named = lines.find(isNamed);
  const leading = phase === 'out' && spring.length > 0;
  const title = phase === 'watch' ? 'In winter' : leading ? 'Out of winter' : 'Before winter';
  const chosen = named ?? lines.find(({ act }) => act === 'reduce' || act === 'feed') ?? lines[0];
  return (
    <main className="flex h-full flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
      <section
        aria-label={chosen ? roomName(chosen) : 'Winter'}
        className="min-w-0 bg-sheet max-lg:shrink-0 lg:flex-1 lg:overflow-y-auto"
      >
        <Head yard={yard} yards={yards} isOne={named !== undefined} />
        <p
          className={`mx-5 mt-1 max-w-prose text-sm ${advised || leading || phase === 'watch' ? 'text-soft' : 'rounded bg-glow px-2 py-1'}`}
        >
          {phase === 'watch'
            ? 'Winter: nothing is opened but for food above the cluster. Heft, listen, keep the entrances free.'
            : leading
              ? 'Out of winter: first the queen’s brood and food, room ahead of the bees, pairs parted in time.'
              : say(`${time.sentence}${lastDays(winter)}`)}
        </p>
        {phase === 'watch' && followed ? (
          <div className={named ? '' : 'max-lg:hidden'}>
            <Watch winter={winter} line={followed} />
            {growing && (
              <div className="px-5 pb-4">
                <IntoSeason winter={winter} line={growing} />
              </div>
            )}
          </div>
        ) : leading && sprung ? (
          <div className={named ? '' : 'max-lg:hidden'}>
            <Spring winter={winter} line={sprung} />
          </div>
        ) : chosen ? (
          <div className={named ? '' : 'max-lg:hidden'}>
            <Prepare
              // Once it is done as planned, what was drawn by hand is how it stands.
              key={`${chosen.box.box.id} ${chosen.room.position} ${chosen.plan?.preparedOn ?? ''}`}
              winter={winter}
              line={chosen}
            />
          </div>
        ) : (
          <p className="p-5">No colony lives in this yard on this day.</p>
        )}
      </section>
      <aside
        aria-label={title}
        className="w-full shrink-0 border-hairline bg-slip px-4 py-3 lg:w-[26.5rem] lg:overflow-y-auto lg:border-l print:border-0"
      >
        <h2 className="text-lg">
          {title}{' '}
          <span className="text-sm font-normal text-soft">
            {countOf(lines.length, 'colony', 'colonies')}, {say(showDay(view.on))}
          </span>
        </h2>
        {phase === 'watch' ? (
          <>
            <InWinter yard={yard.id} lines={watched} on={view.on} chosen={named && followed} />
            {spring.length > 0 && (
              <section aria-label="Who is crowded when" className="mt-4">
                <h2 className="text-lg">Who is crowded when</h2>
                <IntoSpring yard={yard.id} lines={spring} on={view.on} chosen={named && growing} />
              </section>
            )}
          </>
        ) : leading ? (
          <IntoSpring yard={yard.id} lines={spring} on={view.on} chosen={named && sprung} />
        ) : (
          <>
            <BeforeWinter yard={yard.id} lines={lines} on={view.on} chosen={named} advised={advised} />
            <YardTotals lines={lines} feed={feed} />
            {advised && <WholeYard winter={winter} />}
          </>
        )}
        <Losses losses={losses} on={view.on} />
        <div className="no-print mt-3">
          <ClimateField yard={yard} />
        </div>
        <p className="mt-3 text-sm text-soft">
          Odds are of a hundred such winters by the climate, the walls, the bees and the stores as they are
          known; → once fed what is short. A count from above, and a heft, make them better.{' '}
          <Said>
            Vapours and lifting: a mask, two people over {view.constants.liftAlone_kg} kg, local rules for
            treatments.
          </Said>
        </p>
      </aside>
    </main>
  );
}

/** By when, by the climate: the last days for syrup, and for opening. */
function lastDays({ months, phase, view: { on, constants } }: WinterView): string {
  if (phase !== 'prepare') return '';
  const [syrup, opened] = [constants.liquidFeed_C, constants.openFrom_C].map((least_C) =>
    lastDayOver(months, on, least_C),
  );
  const of = (what: string, day: string | undefined): string =>
    day === undefined ? '' : day < on ? `${what} too late` : `${what} until about ${showDay(day, on)}`;
  const words = [of('syrup', syrup), of('opened', opened)].filter(Boolean).join(', ');
  return words === '' ? '' : ` By the climate: ${words}.`;
}
