import type { Role } from '@yellow-cell/contract';
import { celsiusIn, readWeight, roles, showDay, showWeight, sunset } from '@yellow-cell/core';
import { useState } from 'react';
import { useMeasures, useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { Check } from '../parts/Check.tsx';
import { SelectField, TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Said } from '../parts/Said.tsx';
import { Form } from './Form.tsx';
import type { BoxView, YardView } from './useYard.ts';

/** Where a box stands and what it serves as; on the map it is dragged and turned, here it is typed. */
export function BoxPlace({ view, boxView: { box } }: { view: YardView; boxView: BoxView }) {
  const say = useSay();
  const log = useLog();
  const measures = useMeasures();
  const [open, setOpen] = useState<'place' | 'weigh'>();
  const role = box.roles?.findLast(({ bays }) => bays === undefined);
  const others = view.boxes.filter((each) => each.box.id !== box.id && each.box.onto !== box.id);
  const below = box.onto ? view.state.boxes.get(box.onto) : undefined;
  const weight = box.weights?.at(-1);
  return (
    <section aria-label="Place and role" className="mt-2">
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label="All of it serves as"
          value={role?.role ?? ''}
          hint={role ? `since ${say(showDay(role.since, view.on))}` : undefined}
          onChange={({ target }) =>
            void log(`${box.label} serves as ${roles[target.value as Role].name}`, [
              draft('roleSet', { box: box.id, role: target.value as Role }),
            ])
          }
        >
          {!role && <option value="">as proposed</option>}
          {Object.entries(roles).map(([key, { name }]) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Stands on"
          value={box.onto ?? ''}
          onChange={({ target }) =>
            void log(`${box.label} ${target.value ? 'set on another box' : 'taken down'}`, [
              draft('boxStacked', { box: box.id, onto: target.value || null }),
            ])
          }
        >
          <option value="">its stand</option>
          {below && <option value={below.id}>{below.label}</option>}
          {others
            .filter((each) => each.box.id !== below?.id)
            .map((each) => (
              <option key={each.box.id} value={each.box.id}>
                {each.box.label}
              </option>
            ))}
        </SelectField>
      </div>
      {weight && (
        <p className="mb-2 text-soft">
          {weight.felt ? 'Hefted' : 'Weighed'} {say(showDay(weight.on, view.on))}:{' '}
          {showWeight(weight.weight_kg, measures)}
        </p>
      )}
      {open === 'place' ? (
        <PlaceForm view={view} box={box} onDone={() => setOpen(undefined)} />
      ) : open === 'weigh' ? (
        <WeighForm box={box.id} label={box.label} onDone={() => setOpen(undefined)} />
      ) : (
        <div className="grid grid-cols-2 gap-2">
          <button type="button" className="button min-h-11" onClick={() => setOpen('place')}>
            Move or turn…
          </button>
          <button type="button" className="button min-h-11" onClick={() => setOpen('weigh')}>
            Weigh, read…
          </button>
        </div>
      )}
    </section>
  );
}

function PlaceForm({ view, box, onDone }: { view: YardView; box: BoxView['box']; onDone: () => void }) {
  const sets = sunset(view.on, view.yard);
  const log = useLog();
  const { place } = box;
  const [stand, setStand] = useState(place?.stand ?? '');
  const [bearing, setBearing] = useState(String(Math.round(place?.bearing_deg ?? 180)));
  const [east, setEast] = useState((place?.east_m ?? 0).toFixed(1));
  const [north, setNorth] = useState((place?.north_m ?? 0).toFixed(1));
  const [refused, setRefused] = useState<string>();
  const [bearing_deg, east_m, north_m] = [numberIn(bearing), numberIn(east), numberIn(north)];
  const badBearing = bearing_deg >= 0 && bearing_deg < 360 ? undefined : 'A bearing from 0 to 359.';
  const bad = (metres: number) => (metres >= 0 && metres <= 2_000 ? undefined : 'Metres from 0 to 2,000.');
  if (!place) return null;
  const save = async () => {
    if (badBearing || bad(east_m) || bad(north_m) || stand.trim() === '') return;
    const delivery = await log(`${box.label} moved`, [
      draft('boxPlaced', {
        box: box.id,
        yard: place.yard,
        stand: stand.trim(),
        east_m,
        north_m,
        bearing_deg,
      }),
    ]);
    if (delivery.state === 'refused') setRefused(delivery.problems[0]?.sentence);
    else onDone();
  };
  return (
    <Form save="Moved" onSave={save} onCancel={onDone}>
      {refused && (
        <p role="alert" className="text-danger">
          {refused}
        </p>
      )}
      <p className="mb-2 text-sm text-soft">
        At dusk{sets ? ` (the sun sets at ${sets})` : ''} or before dawn, shut on vent, strapped. Under 3 km
        the fliers go home: leave a box to catch them, or go over 5 km.{' '}
        <Said>Over {view.constants.liftAlone_kg} kg, two people or a barrow.</Said>
      </p>
      <div className="grid grid-cols-2 gap-x-3">
        <TextField
          label="Stand"
          value={stand}
          maxLength={40}
          onChange={({ target }) => setStand(target.value)}
        />
        <TextField
          label="Front looks to (°)"
          inputMode="numeric"
          value={bearing}
          problem={badBearing}
          onChange={({ target }) => setBearing(target.value)}
        />
        <TextField
          label="Metres east"
          inputMode="text"
          value={east}
          problem={bad(east_m)}
          onChange={({ target }) => setEast(target.value)}
        />
        <TextField
          label="Metres north"
          inputMode="text"
          value={north}
          problem={bad(north_m)}
          onChange={({ target }) => setNorth(target.value)}
        />
      </div>
    </Form>
  );
}

function WeighForm({ box, label, onDone }: { box: string; label: string; onDone: () => void }) {
  const log = useLog();
  const [typed, setTyped] = useState('');
  const [felt, setFelt] = useState(false);
  const [degrees, setDegrees] = useState('');
  const measures = useMeasures();
  const say = useSay();
  const weight_kg = readWeight(typed, measures.weight);
  const inside_C = celsiusIn(numberIn(degrees), measures);
  const bad = typed !== '' && !(weight_kg > 0 && weight_kg <= 300);
  const tooHot = degrees !== '' && !(inside_C >= -40 && inside_C <= 70);
  const drafts = [
    ...(typed === '' ? [] : [draft('weighed', { box, weight_kg, felt })]),
    ...(degrees === '' ? [] : [draft('temperatureRead', { box, inside_C })]),
  ];
  return (
    <Form
      save="Keep"
      onSave={() => {
        if (bad || tooHot || drafts.length === 0) return undefined;
        return log(`${label}: weighed or read`, drafts).then(onDone);
      }}
      onCancel={onDone}
    >
      <TextField
        label={`Weight (${measures.weight}, or with its unit)`}
        value={typed}
        problem={bad ? say('A weight above 0 and at most 300 kg; with its unit, any is read.') : undefined}
        onChange={({ target }) => setTyped(target.value)}
      />
      <Check tall label="Felt by hand, a guess" checked={felt} onChange={setFelt} />
      <TextField
        label={`Temperature inside (°${measures.temperature})`}
        inputMode="text"
        value={degrees}
        problem={tooHot ? say('From −40 to 70 °C.') : undefined}
        onChange={({ target }) => setDegrees(target.value)}
      />
    </Form>
  );
}
