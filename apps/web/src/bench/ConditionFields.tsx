import { type BeeState, compassPoint, heatOf, type Paint } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { Check } from '../parts/Check.tsx';
import { SelectField } from '../parts/Field.tsx';
import { Slider } from '../parts/Slider.tsx';
import { showC } from './heat.ts';
import type { PhysicsDesk } from './usePhysics.ts';

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

/** Air, bees, sun and place that the box is worked out for. */
export function ConditionFields({ desk, kind }: { desk: PhysicsDesk; kind: 'air' | 'warmth' }) {
  const { weather, set, figures } = desk;
  const say = useSay();
  const { constants } = figures;
  return (
    <fieldset className="mt-2 rounded-lg border border-hairline px-3 pt-1 pb-2">
      <legend className="px-1 text-sm text-soft">The season on the ribbon, or as you set it</legend>
      <Slider
        label="Outside"
        words={say(showC(weather.outside_C))}
        least={-25}
        most={42}
        value={weather.outside_C}
        onChange={(outside_C) => set({ outside_C })}
      />
      <SelectField
        // In an open box they give what the cold or the heat asks of them, and this where nothing does.
        label={`Bees ${kind === 'air' ? 'shut in' : 'at their ease'} (${heatOf(weather.bees, constants)} W/kg)`}
        value={weather.bees}
        onChange={({ target }) => set({ bees: target.value as BeeState })}
      >
        {BEES.map(([bees, label]) => (
          <option key={bees} value={bees}>
            {label}
          </option>
        ))}
      </SelectField>
      <SunFields desk={desk} />
      <Check
        label={
          kind === 'air'
            ? say(`Brood: starts at ${constants.broodNest_C} °C`)
            : say(`Brood: held at ${constants.broodNest_C} °C among them`)
        }
        checked={weather.brood}
        onChange={(brood) => set({ brood })}
      />
      <PlaceFields desk={desk} />
    </fieldset>
  );
}

function SunFields({ desk: { weather, set } }: { desk: PhysicsDesk }) {
  const lit = weather.sunHour !== undefined;
  return (
    <>
      <Check label="In the sun" checked={lit} onChange={(on) => set({ sunHour: on ? 12 : undefined })} />
      {lit && (
        <>
          <Slider
            label="Hour by the sun"
            words={`${weather.sunHour} h`}
            least={4}
            most={20}
            value={weather.sunHour ?? 12}
            onChange={(sunHour) => set({ sunHour })}
          />
          <div className="grid grid-cols-2 gap-x-3">
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
          </div>
        </>
      )}
    </>
  );
}

function PlaceFields({ desk: { weather, set, figures, glazed } }: { desk: PhysicsDesk }) {
  const { yards, yard, choose } = figures;
  return (
    <details>
      <summary className="text-sm text-soft">Where it stands{yard ? `: ${yard.name}` : ''}</summary>
      {yards.length > 1 && (
        <SelectField
          label="Sun, climate and figures of"
          value={yard?.id}
          onChange={({ target }) => choose(target.value)}
        >
          {yards.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      )}
      <SelectField
        label="Beside it"
        value={weather.inRow}
        onChange={({ target }) => set({ inRow: Number(target.value) })}
      >
        <option value={1}>nothing</option>
        <option value={2}>one box like it, pushed against it</option>
        <option value={3}>a box like it on either side</option>
        <option value={5}>two on either side, in a row</option>
      </SelectField>
      <Slider
        label="Insulation behind a follower"
        words={`${weather.insulation_mm} mm`}
        least={0}
        most={60}
        step={5}
        value={weather.insulation_mm}
        onChange={(insulation_mm) => set({ insulation_mm })}
      />
      <Check
        label="Its floor lies on the ground"
        checked={weather.grounded}
        onChange={(grounded) => set({ grounded })}
      />
      {glazed && (
        <Check
          label="Doors over the panes stand open"
          checked={weather.doorsOpen}
          onChange={(doorsOpen) => set({ doorsOpen })}
        />
      )}
      <Check
        label="A clear night over its roof"
        checked={weather.clearNight}
        onChange={(clearNight) => set({ clearNight })}
      />
      {yard && (
        <Link className="text-sm underline" to={`/figures/${yard.id}`}>
          Every figure that this is worked out with
        </Link>
      )}
    </details>
  );
}
