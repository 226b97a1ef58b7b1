import type { DesignContent } from '@yellow-cell/contract';
import {
  type BoxPhysics,
  type CompartmentPhysics,
  calibrate,
  countOf,
  effortWords,
  forecastWinter,
  type ScaleUse,
  seamsOfBees,
  winterWalls,
} from '@yellow-cell/core';
import { scaleLinear, scalePoint } from 'd3-scale';
import { useId, useMemo, useState } from 'react';
import { useSay } from '../app/units.ts';
import { BandPath } from '../parts/BandPath.tsx';
import { Said } from '../parts/Said.tsx';
import { storesSteps } from '../parts/storesSteps.ts';
import { ClimateField } from './ClimateField.tsx';
import { type Heft, HeftFields } from './HeftFields.tsx';
import { ScaleField } from './ScaleField.tsx';
import type { PhysicsDesk } from './usePhysics.ts';
import { WeightTicks } from './WeightTicks.tsx';

const SIZE = { width: 320, height: 170, left: 30, right: 16, top: 10, bottom: 24 };
const EFFORT = { easy: 'easily', hard: 'hard', dwindles: 'so hard that it is likely to dwindle' } as const;
const START = 'Start';

interface WinterChartProps {
  design: DesignContent;
  physics: BoxPhysics;
  desk: PhysicsDesk;
}

/** Stores over a winter of the yard's climate, as the band that the assumptions leave, for one compartment. */
export function WinterChart({ design, physics, desk }: WinterChartProps) {
  const say = useSay();
  const { figures, conditions } = desk;
  const { constants, climate, months: seasons } = figures;
  const [chosen, setChosen] = useState(0);
  const [stores_kg, setStores] = useState(10);
  const id = useId();
  const [hefts, setHefts] = useState<readonly Heft[]>([]);
  const each = physics.compartments[chosen] ?? physics.compartments[0];
  const bees_kg = each?.bees_kg ?? 0;
  // As the whole program reckons a winter: the walls, the air of the openings, every room lived in.
  const { insulation_mm, row } = conditions;
  const walls = useMemo(
    () => [...winterWalls(design, () => true, constants, insulation_mm, row)],
    [design, constants, insulation_mm, row],
  );
  const [room, ua_WK] = walls[physics.compartments.indexOf(each as CompartmentPhysics)] ?? [undefined, 0];
  const plan = useMemo(
    () => ({ bees_kg, ua_WK, stores_kg, months: seasons }),
    [bees_kg, ua_WK, stores_kg, seasons],
  );
  const real = bees_kg > 0 && ua_WK > 0;
  const byHefts = useMemo(
    () => (real ? calibrate(plan, hefts, constants) : 1),
    [real, plan, hefts, constants],
  );
  const [scale, setScale] = useState<ScaleUse>();
  const factor = scale?.factor ?? byHefts;
  const forecast = useMemo(
    () => (real ? forecastWinter({ ...plan, factor }, constants) : undefined),
    [real, plan, factor, constants],
  );
  if (!each || !forecast) return null;
  const names = [START, ...forecast.months.map(({ name }) => name)];
  const x = scalePoint(names, [SIZE.left, SIZE.width - SIZE.right]);
  const y = scaleLinear([0, stores_kg], [SIZE.height - SIZE.bottom, SIZE.top]);
  const last = forecast.months.at(-1);
  const seamsIn = (of: typeof room): string => {
    const pitch_mm = of?.frames[0]?.format.pitch_mm;
    if (!of || pitch_mm === undefined) return '';
    const seams = seamsOfBees(bees_kg, pitch_mm, constants.litresPerKg);
    return seams >= of.frames.length
      ? `Its bees fill all ${countOf(of.frames.length, 'frame')}.`
      : `That is about ${countOf(Math.round(seams), 'seam')} of bees.`;
  };
  const words = `In spring ${last?.middle_kg.toFixed(1)} kg left, likely ${last?.low_kg.toFixed(1)} to ${last?.high_kg.toFixed(1)} kg; about ${5 * Math.round(forecast.starved * 20)} of 100 winters starve it. In the coldest month it works ${EFFORT[effortWords(forecast.effort_Wkg, constants)]}, about ${Math.round(forecast.effort_Wkg)} W/kg.`;
  return (
    <section aria-label="A winter">
      <h3 className="eyebrow">A winter {climate ? 'in your climate' : 'as estimated from the latitude'}</h3>
      <div className="flex flex-wrap items-center gap-2 text-sm">
        {physics.compartments.length > 1 && (
          <select
            aria-label="Compartment"
            className="field min-h-8 w-auto"
            value={chosen}
            onChange={({ target }) => setChosen(Number(target.value))}
          >
            {physics.compartments.map(({ name, spaces }, index) => (
              <option key={spaces.join()} value={index}>
                {name}
              </option>
            ))}
          </select>
        )}
        <label htmlFor={id} className="text-soft">
          with stores of{' '}
          <strong className="text-ink">
            <Said>{stores_kg} kg</Said>
          </strong>
        </label>
        <input
          id={id}
          type="range"
          min={1}
          max={30}
          value={stores_kg}
          className="min-w-24 flex-1 accent-[var(--ink)]"
          onChange={({ target }) => setStores(Number(target.value))}
        />
      </div>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="img"
        aria-label={say(words)}
        className="mt-1 w-full"
      >
        <WeightTicks y={y} from={SIZE.left} to={SIZE.width - SIZE.right} />
        <BandPath steps={storesSteps(START, stores_kg, forecast.months, (name) => x(name) ?? 0)} y={y} />
        {names.map((name) => (
          <text
            key={name}
            x={x(name)}
            y={SIZE.height - 8}
            textAnchor="middle"
            fontSize={10.5}
            fill="var(--soft)"
          >
            {name === START ? name : name.slice(0, 3)}
          </text>
        ))}
      </svg>
      <p className={`text-sm ${forecast.starved > 0.2 ? 'font-semibold text-danger' : ''}`}>
        {say(words)} {seamsIn(room)}
      </p>
      <HeftFields hefts={hefts} onChange={setHefts} most={seasons.length} />
      <ScaleField plan={plan} constants={constants} onChange={setScale} />
      {(scale ?? hefts.length > 0) && (
        <p className="text-sm">
          By {scale ? `its scale over ${countOf(scale.days, 'day')}` : 'your hefts'} it uses{' '}
          {Math.round(Math.abs(factor - 1) * 100)} % {factor >= 1 ? 'more' : 'less'} than reckoned; the
          forecast is fitted to that.
        </p>
      )}
      <ClimateField yard={figures.yard} />
    </section>
  );
}
