import type { DesignContent } from '@yellow-cell/contract';
import {
  arrangements,
  type CompartmentPhysics,
  type Constants,
  kgOfHeat,
  SHUT_HOURS,
  surestFirst,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { Notice } from '../parts/Notice.tsx';
import { Said } from '../parts/Said.tsx';
import { SourceLink } from '../parts/SourceLink.tsx';
import { ConditionFields } from './ConditionFields.tsx';
import { DayChart } from './DayChart.tsx';
import { showC } from './heat.ts';
import { inHours } from './inHours.ts';
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
      <ul aria-label="Compartments">
        {physics.compartments.map((each) => (
          <li key={each.spaces.join()} className="border-b border-hairline py-2">
            <strong>{each.name}</strong>{' '}
            <span className="text-sm text-soft">
              <Said>
                {each.bees_kg.toFixed(2)} kg of bees, {showC(each.inside_C)} inside
              </Said>
            </span>
            {kind === 'air' ? (
              <AirLines each={each} outside_C={weather.outside_C} constants={constants} />
            ) : (
              <WarmthLines each={each} constants={constants} />
            )}
          </li>
        ))}
      </ul>
      {kind === 'air' && weather.bees === 'alarmed' && (
        <Notice kind="danger">
          Shut-in bees can die within the hour in warmth. Keep them shaded, meshed on two sides and never
          unattended; follow the rules for moving bees where you are.
        </Notice>
      )}
      {kind === 'air' && <ShutTable design={design} desk={desk} />}
      <Compare kind={kind} design={design} desk={desk} />
      {kind === 'warmth' ? (
        <WinterChart physics={physics} figures={figures} />
      ) : (
        <DayChart design={design} desk={desk} />
      )}
      <p className="mt-3 text-xs text-soft">
        Steady state; wind is left out. Bees cover {Math.round(constants.covered * 100)} % of the comb. Stack
        flow through free areas, of which shut-in bees leave {Math.round(constants.clustered * 100)} %; ISO
        6946 surfaces.
      </p>
    </aside>
  );
}

interface LinesProps {
  each: CompartmentPhysics;
  constants: Constants;
}

function AirLines({ each, outside_C, constants }: LinesProps & { outside_C: number }) {
  const { air, shut } = each;
  const shared = each.sharedUa_WK < each.ua_WK - 0.005;
  const harmed = shut.breath.minutesTo[1]?.minutes ?? null;
  return (
    <>
      <p>
        {air.openings.length === 0
          ? 'No opening: no air goes through.'
          : `${(air.flow_m3s * 1_000).toFixed(2)} L/s through ${air.openings.length} opening${air.openings.length > 1 ? 's' : ''}.`}
      </p>
      <p className={shut.steady_C > constants.fanning_C ? 'font-semibold text-danger' : ''}>
        <Said>
          Shut now, its flight entrances closed: {showC(shut.steady_C)}
          {shut.minutesTo
            .map(({ limit_C, minutes }) =>
              minutes === null
                ? ''
                : `; ${limit_C} °C ${minutes === 0 ? 'at once' : `after ${inHours(minutes)}`}`,
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
        (UA + {constants.airHeat_Jm3K} · Q) · ΔT = bees · W/kg + sun, with UA {each.ua_WK.toFixed(2)} W/K, ΔT{' '}
        {(shut.steady_C - outside_C).toFixed(1)} K over {outside_C} °C, Q = Cd · A* · √(2 g h ΔT / T̄) ={' '}
        {(shut.flow_m3s * 1_000).toFixed(3)} L/s. <SourceLink source="Openings and stack flow" />.
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
    return `Shut, its air harms them after about ${inHours(harms.minutes)} (${harms.limit_pct} % carbon dioxide).`;
  if (fans?.minutes != null)
    return `Shut, its air makes them fan and stir after about ${inHours(fans.minutes)} (${fans.limit_pct} % carbon dioxide).`;
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

function WarmthLines({ each, constants }: LinesProps) {
  const { ua_WK, sharedUa_WK, watts, paths, water } = each;
  const first = paths.filter(({ share }) => share > 0.02).slice(0, 4);
  return (
    <>
      <p>
        {ua_WK.toFixed(2)} W/K alone
        {sharedUa_WK < ua_WK - 0.005 ? `, ${sharedUa_WK.toFixed(2)} beside warm neighbours` : ''};{' '}
        <Said>
          {watts.toFixed(1)} W to hold, {kgOfHeat(watts, 30, constants).toFixed(1)} kg of stores a month.
        </Said>
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
        {WATER[water.verdict]}{' '}
        {water.condensate_gDay > 0.5 ? `${Math.round(water.condensate_gDay)} g a day. ` : ''}Dew point{' '}
        <Said>{showC(water.dewPoint_C)}.</Said>
      </p>
      <Formula>
        U = 1 ÷ (Rsi + Σ d/λ + Rse) for each face, a network of all spaces solved together; water: ρ inside =
        ρ outside + {constants.waterOfStores} · stores ÷ Q, saturated over the coldest inner surface.{' '}
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

/** Each change alone against the box as drawn, with a bar: watts, water, or minutes until 38 °C. */
function Compare({ kind, design, desk }: PhysicsSlipProps) {
  const { conditions } = desk;
  const [open, setOpen] = useState(true);
  const all = useMemo(
    () => (open ? surestFirst(arrangements(design, conditions)) : []),
    [open, design, conditions],
  );
  const figure = (each: (typeof all)[number]): number =>
    kind === 'air' ? (each.minutes ?? LONG_MIN) : each.watts;
  const most = Math.max(1, ...all.map(figure));
  const drawn = all[0];
  return (
    <details open={open} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="mt-2 font-bold">What each change would bring</summary>
      {kind === 'warmth' && drawn?.drips && (
        <p className="text-sm">
          The surest cure of the drip first. A tilt of 2 to 5 cm to the front, which no figure shows, lets
          what forms above run to the front wall.
        </p>
      )}
      <table className="w-full text-sm">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal">change</th>
            <th className="text-right font-normal">
              <Said>{kind === 'air' ? `to ${desk.figures.constants.danger_C} °C, shut` : 'to hold'}</Said>
            </th>
            <th className="text-right font-normal">water a day</th>
          </tr>
        </thead>
        <tbody>
          {all.map((each) => (
            <tr key={each.key} className="border-t border-hairline align-top">
              <td className="py-1 pr-2">
                {each.key === 'drawn' ? <strong>{each.name}</strong> : each.name}
                <span
                  className="mt-0.5 block h-1.5 rounded bg-[var(--comb-line)]"
                  style={{ width: `${(figure(each) / most) * 100}%` }}
                />
              </td>
              <td className="text-right whitespace-nowrap">
                {kind === 'air'
                  ? each.minutes === null
                    ? 'never'
                    : inHours(each.minutes)
                  : `${each.watts.toFixed(1)} W`}
                {kind === 'warmth' && drawn && each !== drawn && (
                  <span className="block text-xs text-soft">{signed(each.watts - drawn.watts)} W</span>
                )}
              </td>
              <td className={`text-right whitespace-nowrap ${each.drips ? 'text-danger' : ''}`}>
                {Math.round(each.condensate_gDay)} g{each.drips ? ', drips' : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
/** A box that never gets too hot has the longest bar. */
const LONG_MIN = 12 * 60;
const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`;
