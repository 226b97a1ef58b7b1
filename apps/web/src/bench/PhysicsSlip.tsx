import type { DesignContent } from '@yellow-cell/contract';
import {
  type CompartmentPhysics,
  type Conditions,
  type Constants,
  countOf,
  type Doing,
  listOf,
  SHUT_HOURS,
} from '@yellow-cell/core';
import { Notice } from '../parts/Notice.tsx';
import { Said } from '../parts/Said.tsx';
import { SourceLink } from '../parts/SourceLink.tsx';
import { Compare } from './Compare.tsx';
import { ConditionFields } from './ConditionFields.tsx';
import { DayChart } from './DayChart.tsx';
import { doingWords } from './doingWords.ts';
import { showC, twoFigures } from './heat.ts';
import { roughly } from './inHours.ts';
import { ShutTable } from './ShutTable.tsx';
import type { PhysicsDesk } from './usePhysics.ts';
import { WinterChart } from './WinterChart.tsx';

interface PhysicsSlipProps {
  kind: 'air' | 'warmth';
  design: DesignContent;
  desk: PhysicsDesk;
}

/** How the box breathes or what it costs to keep warm, for the season on the ribbon, and what each change would bring. */
export function PhysicsSlip({ kind, design, desk }: PhysicsSlipProps) {
  const { physics, weather, figures } = desk;
  const { constants } = figures;
  return (
    <aside
      aria-label={kind === 'air' ? 'Air' : 'Warmth'}
      className="w-full shrink-0 border-l border-hairline bg-slip px-5 py-4 lg:h-full lg:w-[23rem] lg:overflow-y-auto"
    >
      <h2 className="text-lg">
        {kind === 'air' ? 'Air: how it breathes, and how long it can stay shut' : 'Warmth and water'}
      </h2>
      <ConditionFields desk={desk} kind={kind} />
      {kind === 'air' && weather.bees === 'alarmed' && (
        <Notice kind="danger">
          Shut-in bees can die within the hour in warmth. Keep them shaded, meshed on two sides and never
          unattended; follow the rules for moving bees where you are.
        </Notice>
      )}
      {kind === 'air' && <ShutTable design={design} desk={desk} />}
      <Compare kind={kind} design={design} desk={desk} />
      <h3 className="eyebrow mt-3">Room by room</h3>
      <ul aria-label="Compartments">
        {physics.compartments.map((each) => (
          <li key={each.spaces.join()} className="border-b border-hairline py-2">
            <strong>{each.name}</strong>
            <span className="block text-sm text-soft">
              <Said>
                {twoFigures(each.bees_kg)} kg of bees, air about {showC(each.inside_C)} beside them
              </Said>
            </span>
            <p className={ALARMING.has(each.bees.does) ? 'font-semibold text-danger' : ''}>
              <Said>{doingWords(each.bees, constants)}</Said>
            </p>
            {kind === 'air' ? (
              <AirLines each={each} outside_C={weather.outside_C} constants={constants} />
            ) : (
              <WarmthLines each={each} constants={constants} conditions={desk.conditions} />
            )}
          </li>
        ))}
      </ul>
      {kind === 'warmth' ? (
        <WinterChart design={design} physics={physics} desk={desk} />
      ) : (
        <DayChart design={design} desk={desk} />
      )}
      <p className="mt-3 text-xs text-soft">
        In air that does not change; wind is left out. Corners of walls let through 2 to 5 % more than is
        reckoned. Bees cover {Math.round(constants.covered * 100)} % of the comb. Stack flow through free
        areas, of which shut-in bees leave {Math.round(constants.clustered * 100)} %; ISO 6946 surfaces.
      </p>
    </aside>
  );
}

const ALARMING: ReadonlySet<Doing> = new Set(['chills', 'overheats']);

interface LinesProps {
  each: CompartmentPhysics;
  constants: Constants;
}

function AirLines({ each, outside_C, constants }: LinesProps & { outside_C: number }) {
  const { air, bees, shut } = each;
  const shared = each.sharedUa_WK < each.ua_WK - 0.005;
  const harmed = shut.breath.minutesTo[1]?.minutes ?? null;
  return (
    <>
      <p>
        {air.openings.length === 0
          ? 'No opening: no air goes through.'
          : `About ${twoFigures(air.flow_m3s * 1_000)} L/s through ${countOf(air.openings.length, 'opening')}${bees.fans_m3s > 0 ? ', most of it fanned' : ''}; ${twoFigures(air.co2_pct)} % carbon dioxide in it.`}
      </p>
      <p className={shut.steady_C > constants.fanning_C ? 'font-semibold text-danger' : ''}>
        <Said>
          Shut now, its flight entrances closed: about {showC(shut.steady_C)} at last
          {shut.minutesTo
            .map(({ limit_C, minutes }) =>
              minutes === null
                ? ''
                : `; ${limit_C} °C${limit_C === constants.slump_C ? ', where combs soften,' : ''} ${minutes === 0 ? 'at once' : `after ${roughly(minutes)}`}`,
            )
            .join('')}
          {shut.minutesTo.every(({ minutes }) => minutes === null)
            ? `, not over ${constants.fanning_C} °C in ${SHUT_HOURS} h.`
            : '.'}
          {shared ? ' Its warm neighbours are reckoned with.' : ''}
        </Said>
      </p>
      <p className={harmed === null ? '' : 'font-semibold text-danger'}>{breathWords(shut.breath)}</p>
      <Formula>
        (UA + {constants.airHeat_Jm3K} · Q) · ΔT = bees · W/kg + sun, with {each.bees_kg.toFixed(3)} kg, UA{' '}
        {each.ua_WK.toFixed(2)} W/K, ΔT {(shut.steady_C - outside_C).toFixed(1)} K over {outside_C} °C, Q = Cd
        · A* · √(2 g h ΔT / T̄) = {(shut.flow_m3s * 1_000).toFixed(3)} L/s.{' '}
        <SourceLink source="Openings and stack flow" />.
      </Formula>
    </>
  );
}

/** Carbon dioxide, to what is known of it. */
function breathWords({
  steady_pct,
  end_pct,
  minutesTo: [fans, harms],
}: CompartmentPhysics['shut']['breath']): string {
  if (harms?.minutes != null)
    return `Shut, its air harms them after about ${roughly(harms.minutes)} (${harms.limit_pct} % carbon dioxide).`;
  if (fans?.minutes != null)
    return `Shut, its air makes them fan and stir after about ${roughly(fans.minutes)} (${fans.limit_pct} % carbon dioxide).`;
  return `Shut, its air comes to ${(steady_pct ?? end_pct).toFixed(1)} % carbon dioxide.`;
}

const PARTS = {
  wall: 'walls',
  pane: 'panes',
  cover: 'cover',
  floor: 'floor',
  divider: 'divider',
  follower: 'follower',
  cheek: 'cheeks',
  air: 'air',
} as const;
const WATER = {
  dry: 'No water forms.',
  runsDown: 'Water forms on the walls and runs down: harmless.',
  drips: 'Water forms on the cover and drips on the bees: it kills more small colonies than cold does.',
} as const;

const WHERE: Readonly<Record<string, string>> = {
  cover: 'the cover',
  front: 'the front',
  back: 'the back',
  left: 'the left wall',
  right: 'the right wall',
  wall: 'the walls',
  divider: 'a divider',
  follower: 'the follower',
  cheek: 'a cheek',
};

const waterWords = ({ verdict, fannedOut }: CompartmentPhysics['water']): string =>
  fannedOut ? 'No water forms: the bees fan it out.' : WATER[verdict];
const lowered = (sentence: string): string => `${sentence.charAt(0).toLowerCase()}${sentence.slice(1)}`;

function WarmthLines({ each, constants, conditions }: LinesProps & { conditions: Conditions }) {
  const { ua_WK, sharedUa_WK, stores_kgMonth, paths, water } = each;
  const isNight = conditions.clearNight === true && conditions.sun === undefined;
  const wet = water.surfaces.filter((surface) => surface.wet).map(({ name }) => WHERE[name] ?? name);
  const first = paths.filter(({ share }) => share > 0.02).slice(0, 4);
  return (
    <>
      <p>
        <Said>That burns about {twoFigures(stores_kgMonth)} kg of stores in thirty days.</Said> The walls lose{' '}
        {twoFigures(ua_WK)} W/K alone
        {sharedUa_WK < ua_WK - 0.005 ? `, ${twoFigures(sharedUa_WK)} beside warm neighbours` : ''}.
      </p>
      <div
        className="my-1 flex h-5 overflow-hidden rounded border border-hairline"
        role="img"
        aria-label={first.map(({ part, share }) => `${PARTS[part]} ${Math.round(share * 100)} %`).join(', ')}
      >
        {first.map(({ part, share }, index) => (
          <span
            key={part}
            className="overflow-hidden border-r border-hairline px-1 text-xs whitespace-nowrap"
            style={{
              width: `${share * 100}%`,
              background: index % 2 === 0 ? 'var(--comb)' : 'var(--wood)',
              color: 'var(--ink)',
            }}
          >
            {share > 0.2 ? `${PARTS[part]} ${Math.round(share * 100)} %` : ''}
          </span>
        ))}
      </div>
      <p className={water.verdict === 'drips' ? 'font-semibold text-danger' : ''}>
        {isNight ? 'In a clear night: ' : ''}
        {isNight ? lowered(waterWords(water)) : waterWords(water)}{' '}
        {water.condensate_gDay > 0.5
          ? `About ${twoFigures(water.condensate_gDay)} g a day${wet.length > 0 ? `, on ${listOf(wet)}` : ''}. `
          : ''}
        Dew point <Said>about {showC(water.dewPoint_C)}.</Said>
      </p>
      <Formula>
        U = 1 ÷ (Rsi + Σ d/λ + Rse) for each face, a network of all spaces solved together; water: ρ inside =
        ρ outside + {constants.waterOfStores} · stores ÷ Q, saturated over the coldest inner surface (Rsi{' '}
        {constants.rsiWet}), over ice below freezing; stores = heat ÷ {constants.storesHeat_MJkg} MJ/kg.{' '}
        <SourceLink source="Layers and surfaces" />, <SourceLink source="Network of a box" />,{' '}
        <SourceLink source="Moisture" />.
      </Formula>
    </>
  );
}

function Formula({ children }: { children: React.ReactNode }) {
  return (
    <details>
      <summary className="text-xs text-soft">how it is worked out</summary>
      <p className="text-xs text-soft">{children}</p>
    </details>
  );
}
