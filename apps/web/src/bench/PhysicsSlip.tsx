import type { DesignContent } from '@yellow-cell/contract';
import { arrangements, type CompartmentPhysics, compassPoint, kgOfHeat, type Paint } from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { SelectField } from '../parts/Field.tsx';
import { Notice } from '../parts/Notice.tsx';
import { DayChart } from './DayChart.tsx';
import { showC } from './heat.ts';
import { type BeeState, HEAT_WKG, type PhysicsDesk } from './usePhysics.ts';
import { WinterChart } from './WinterChart.tsx';

const BEES: readonly (readonly [BeeState, string])[] = [
  ['calm', 'calm, cool and dark'],
  ['resting', 'at rest in season'],
  ['alarmed', 'alarmed, or shut in warm'],
];
const PAINTS: readonly (readonly [Paint, string])[] = [
  ['white', 'white'],
  ['wood', 'bare wood'],
  ['dark', 'dark'],
];

interface PhysicsSlipProps {
  kind: 'air' | 'warmth';
  design: DesignContent;
  desk: PhysicsDesk;
}

/** How the box breathes or what it costs to keep warm, for the season on the ribbon, and what each change would bring. */
export function PhysicsSlip({ kind, design, desk }: PhysicsSlipProps) {
  const { physics, weather } = desk;
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
              {each.bees_kg.toFixed(2)} kg of bees, {showC(each.inside_C)} inside
            </span>
            {kind === 'air' ? (
              <AirLines each={each} outside_C={weather.outside_C} />
            ) : (
              <WarmthLines each={each} />
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
      <Compare kind={kind} design={design} desk={desk} />
      {kind === 'warmth' ? <WinterChart physics={physics} /> : <DayChart design={design} desk={desk} />}
      <p className="mt-3 text-xs text-soft">
        Steady state; wind is left out. Bees cover six tenths of the comb. Stack flow through free areas,
        halved on the mesh of a shut box; ISO 6946 surfaces (handbook 3).
      </p>
    </aside>
  );
}

function ConditionFields({ desk: { weather, set }, kind }: { desk: PhysicsDesk; kind: 'air' | 'warmth' }) {
  return (
    <fieldset className="mt-2 rounded-lg border border-hairline px-3 pt-1 pb-2">
      <legend className="px-1 text-sm text-soft">The season on the ribbon, or as you set it</legend>
      <label className="block">
        <span className="flex justify-between text-sm text-soft">
          Outside <strong className="text-ink">{weather.outside_C} °C</strong>
        </span>
        <input
          type="range"
          aria-label="Outside temperature in °C"
          className="w-full accent-[var(--ink)]"
          min={-25}
          max={42}
          value={weather.outside_C}
          onChange={({ target }) => set({ outside_C: Number(target.value) })}
        />
      </label>
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label={`Bees (${HEAT_WKG[weather.bees]} W/kg)`}
          value={weather.bees}
          onChange={({ target }) => set({ bees: target.value as BeeState })}
        >
          {BEES.map(([bees, label]) => (
            <option key={bees} value={bees}>
              {label}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Sun"
          value={weather.sunHour ?? ''}
          onChange={({ target }) => set({ sunHour: target.value === '' ? undefined : Number(target.value) })}
        >
          <option value="">in the shade</option>
          <option value={8}>morning sun</option>
          <option value={12}>midday sun</option>
          <option value={16}>afternoon sun</option>
        </SelectField>
        {weather.sunHour !== undefined && (
          <>
            <SelectField
              label="Front looks"
              value={weather.front_deg}
              onChange={({ target }) => set({ front_deg: Number(target.value) })}
            >
              {[0, 45, 90, 135, 180, 225, 270, 315].map((bearing) => (
                <option key={bearing} value={bearing}>
                  {compassPoint(bearing)}
                </option>
              ))}
            </SelectField>
            <SelectField
              label="Painted"
              value={weather.paint}
              onChange={({ target }) => set({ paint: target.value as Paint })}
            >
              {PAINTS.map(([paint, label]) => (
                <option key={paint} value={paint}>
                  {label}
                </option>
              ))}
            </SelectField>
          </>
        )}
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={weather.brood}
          onChange={({ target }) => set({ brood: target.checked })}
        />
        Brood: {kind === 'air' ? 'starts at 34.5 °C' : 'held at 34.5 °C, else a cluster at 15 °C'}
      </label>
    </fieldset>
  );
}

function AirLines({ each, outside_C }: { each: CompartmentPhysics; outside_C: number }) {
  const { air, shut } = each;
  return (
    <>
      <p>
        {air.openings.length === 0
          ? 'No opening: no air goes through.'
          : `${(air.flow_m3s * 1_000).toFixed(2)} L/s through ${air.openings.length} opening${air.openings.length > 1 ? 's' : ''}.`}
      </p>
      <p className={shut.inside_C > 36 ? 'font-semibold text-danger' : ''}>
        Shut in as it stands: {showC(shut.inside_C)}
        {shut.minutesTo
          .map(({ limit_C, minutes }) =>
            minutes === null
              ? ''
              : `; ${limit_C} °C ${minutes === 0 ? 'at once' : `after ${inHours(minutes)}`}`,
          )
          .join('')}
        {shut.minutesTo.every(({ minutes }) => minutes === null) ? ', never over 36 °C.' : '.'}
      </p>
      <Formula>
        (UA + 1,200 · Q) · ΔT = bees · W/kg + sun, with UA {each.ua_WK.toFixed(2)} W/K, ΔT{' '}
        {shut.rise_K.toFixed(1)} K over {outside_C} °C, Q = Cd · A* · √(2 g h ΔT / T̄) ={' '}
        {(shut.flow_m3s * 1_000).toFixed(3)} L/s. Handbook 3, openings and stack flow.
      </Formula>
    </>
  );
}

const inHours = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)}`;
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

function WarmthLines({ each }: { each: CompartmentPhysics }) {
  const { ua_WK, sharedUa_WK, watts, paths, water } = each;
  const first = paths.filter(({ share }) => share > 0.02).slice(0, 4);
  return (
    <>
      <p>
        {ua_WK.toFixed(2)} W/K alone
        {sharedUa_WK < ua_WK - 0.005 ? `, ${sharedUa_WK.toFixed(2)} beside warm neighbours` : ''};{' '}
        {watts.toFixed(1)} W to hold, {kgOfHeat(watts, 30).toFixed(1)} kg of stores a month.
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
        {water.condensate_gDay > 0.5 ? `${Math.round(water.condensate_gDay)} g a day, ` : ''}dew point{' '}
        {showC(water.dewPoint_C)}.
      </p>
      <Formula>
        U = 1 ÷ (Rsi + Σ d/λ + Rse) for each face, a network of all spaces solved together; water: ρ inside =
        ρ outside + 0.66 · stores ÷ Q, saturated over the coldest inner surface. Handbook 3, layers, network,
        moisture.
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
function Compare({ kind, design, desk: { conditions } }: PhysicsSlipProps) {
  const [open, setOpen] = useState(true);
  const all = useMemo(() => (open ? arrangements(design, conditions) : []), [open, design, conditions]);
  const figure = (each: (typeof all)[number]): number =>
    kind === 'air' ? (each.minutes ?? LONG_MIN) : each.watts;
  const most = Math.max(1, ...all.map(figure));
  const drawn = all[0];
  return (
    <details open={open} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="mt-2 font-bold">What each change would bring</summary>
      <table className="w-full text-sm">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal">change</th>
            <th className="text-right font-normal">{kind === 'air' ? 'to 38 °C, shut' : 'to hold'}</th>
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
