import type { DesignContent } from '@yellow-cell/contract';
import {
  arrangementsOf,
  beesInSeason,
  boxPhysics,
  type Conditions,
  meanOn,
  monthNames,
  usualConditions,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { SelectField } from '../parts/Field.tsx';
import { Said } from '../parts/Said.tsx';
import { twoFigures } from './heat.ts';
import { roughly } from './inHours.ts';
import { useYardFigures, type YardFigures } from './useYardFigures.ts';

interface SideBySideProps {
  left: DesignContent;
  right: DesignContent;
  params: URLSearchParams;
  set: (key: string, value: string) => void;
}

/** Two boxes, seasons or arrangements held against each other: what each costs, where water forms, how long it can stay shut. */
export function SideBySide({ left, right, params, set }: SideBySideProps) {
  const figures = useYardFigures();
  const { constants, climate } = figures;
  const a = useSide(left, params.get('aMonth'), params.get('aAs'), figures);
  const b = useSide(right, params.get('bMonth'), params.get('bAs'), figures);
  return (
    <section aria-label="Warmth, water and air" className="mt-4 max-w-5xl">
      <h2 className="text-lg">Held against each other</h2>
      <table className="w-full table-fixed">
        <thead>
          <tr className="align-bottom">
            <th className="w-1/4 text-left font-normal text-soft">Which season, and what is changed</th>
            <th className="pr-4 text-left font-normal">
              <Choosers
                name="This"
                side={a}
                onMonth={(to) => set('aMonth', to)}
                onAs={(to) => set('aAs', to)}
              />
            </th>
            <th className="pr-4 text-left font-normal">
              <Choosers
                name="With"
                side={b}
                onMonth={(to) => set('bMonth', to)}
                onAs={(to) => set('bAs', to)}
              />
            </th>
          </tr>
        </thead>
        <tbody>
          {FIGURES.map(({ name, of, show }) => {
            const [left, right] = [of(a), of(b)];
            const most = Math.max(left, right, 1e-9);
            return (
              <tr key={name} className="border-t border-hairline align-top">
                <th className="py-1 pr-3 text-left font-normal">{name}</th>
                {[left, right].map((value, index) => (
                  <td key={index === 0 ? 'this' : 'with'} className="py-1 pr-4">
                    <Said>{show(value)}</Said>
                    <span
                      className="mt-0.5 block h-2 rounded bg-[var(--comb-line)]"
                      style={{ width: `${Math.min(1, value / most) * 100}%` }}
                    />
                  </td>
                ))}
              </tr>
            );
          })}
          <tr className="border-t border-hairline align-top">
            <th className="py-1 pr-3 text-left font-normal">Where it forms</th>
            {[a, b].map((side, index) => (
              <td key={index === 0 ? 'this' : 'with'} className={side.drips.length > 0 ? 'text-danger' : ''}>
                {side.drips.length > 0
                  ? `drips on the bees in ${side.drips.join(' and ')}`
                  : side.water_gDay > 0.5
                    ? 'on the walls, harmless'
                    : 'nowhere'}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      <p className="text-sm text-soft">
        <Said>
          At the month’s mean {climate ? 'in your climate' : 'as estimated from the latitude'}, in cold under
          a clear night; bees with brood hold it at {constants.broodNest_C} °C (over {constants.broodOver_C}{' '}
          °C outside), others cluster; shut in alarmed at the warmest hour, 8 K over the mean.
        </Said>
      </p>
    </section>
  );
}

interface Side {
  month: number;
  as: string;
  choices: readonly { key: string; name: string }[];
  walls_WK: number;
  stores_kg: number;
  water_gDay: number;
  drips: readonly string[];
  /** Until the first compartment is in danger; infinite where none ever is. */
  minutes: number;
}

/** Most minutes that a bar shows. */
const LONG_MIN = 12 * 60;
const FIGURES: readonly {
  name: string;
  of: (side: Side) => number;
  show: (value: number) => string;
}[] = [
  {
    name: 'What its walls lose',
    of: ({ walls_WK }) => walls_WK,
    show: (value) => `${twoFigures(value)} W/K`,
  },
  {
    name: 'Stores that its bees burn in thirty days',
    of: ({ stores_kg }) => stores_kg,
    show: (value) => `${twoFigures(value)} kg`,
  },
  { name: 'Water a day', of: ({ water_gDay }) => water_gDay, show: (value) => `${twoFigures(value)} g` },
  {
    name: 'Shut in, until it is in danger',
    of: ({ minutes }) => Math.min(minutes, LONG_MIN),
    show: (value) => (value >= LONG_MIN ? 'over 12 h, or never' : roughly(value)),
  },
];
const WARMEST_K = 8;
/** The coldest months, north and south. */
const JANUARY = 1;
const JULY = 7;

function useSide(
  content: DesignContent,
  month: string | null,
  as: string | null,
  { constants, climate, place: { latitude_deg } }: YardFigures,
): Side {
  return useMemo(() => {
    const at = Number(month) || (latitude_deg < 0 ? JULY : JANUARY);
    const outside_C = Math.round(meanOn(climate, `2025-${String(at).padStart(2, '0')}-15`, latitude_deg));
    const season = beesInSeason(outside_C, constants);
    const usual = {
      ...usualConditions({ outside_C, ...season }, constants),
      clearNight: !season.brood,
    };
    const choices = arrangementsOf(content, usual);
    const chosen = choices.find(({ key }) => key === as) ?? choices[0];
    const design = chosen?.design ?? content;
    const { compartments } = boxPhysics(design, chosen?.conditions ?? usual);
    return {
      month: at,
      as: chosen?.key ?? '',
      choices,
      walls_WK: compartments.reduce((sum, { sharedUa_WK }) => sum + sharedUa_WK, 0),
      stores_kg: compartments.reduce((sum, { stores_kgMonth }) => sum + stores_kgMonth, 0),
      water_gDay: compartments.reduce((sum, { water }) => sum + water.condensate_gDay, 0),
      drips: compartments.filter(({ water }) => water.verdict === 'drips').map(({ name }) => name),
      minutes: minutesShut(design, {
        ...chosen?.conditions,
        ...usualConditions(
          { outside_C: outside_C + WARMEST_K, bees: 'alarmed', brood: season.brood },
          constants,
        ),
      }),
    };
  }, [content, month, as, constants, climate, latitude_deg]);
}

/** Which of the limits of a shut room. */
const DANGER = 1;
function minutesShut(design: DesignContent, conditions: Conditions): number {
  return Math.min(
    ...boxPhysics(design, conditions).compartments.map(
      ({ shut }) => shut.minutesTo[DANGER]?.minutes ?? Number.POSITIVE_INFINITY,
    ),
  );
}

interface ChoosersProps {
  name: string;
  side: Side;
  onMonth: (month: string) => void;
  onAs: (key: string) => void;
}

function Choosers({ name, side, onMonth, onAs }: ChoosersProps) {
  return (
    <div className="grid grid-cols-[8rem_1fr] gap-x-2">
      <SelectField label={`${name}: in`} value={side.month} onChange={({ target }) => onMonth(target.value)}>
        {monthNames.map((month, index) => (
          <option key={month} value={index + 1}>
            {month}
          </option>
        ))}
      </SelectField>
      <SelectField label="arranged" value={side.as} onChange={({ target }) => onAs(target.value)}>
        {side.choices.map(({ key, name: choice }) => (
          <option key={key} value={key}>
            {choice}
          </option>
        ))}
      </SelectField>
    </div>
  );
}
