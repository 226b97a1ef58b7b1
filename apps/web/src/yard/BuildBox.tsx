import { useSuspenseQuery } from '@tanstack/react-query';
import type { Problem } from '@yellow-cell/contract';
import { type CompassPoint, compassPoint } from '@yellow-cell/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../app/ids.ts';
import { designsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { BoxThumb } from '../drawing/BoxThumb.tsx';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Said } from '../parts/Said.tsx';
import { Form } from './Form.tsx';
import { useChoice } from './useChoice.ts';
import type { YardView } from './useYard.ts';

/** A box from a design, and where it stands: two entries, logged as one. */
export function BuildBox({ view, design: wanted }: { view: YardView; design: string }) {
  const say = useSay();
  const { data: designs } = useSuspenseQuery(designsQuery);
  const { choose } = useChoice();
  const log = useLog();
  const [design, setDesign] = useState(wanted || (designs[0]?.id ?? ''));
  const [label, setLabel] = useState('');
  const [stand, setStand] = useState(() => freeStand(view));
  const [bearing, setBearing] = useState(String(sunBearing_deg(view.yard.latitude_deg)));
  // From the press on, the box of that label is this one.
  const [building, setBuilding] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const chosen = designs.find(({ id }) => id === design);
  const degrees = Number(bearing);
  const bearingProblem =
    bearing.trim() !== '' && degrees >= 0 && degrees < 360 ? undefined : 'A bearing is 0 to below 360°.';
  const twice =
    !building && view.boxes.some(({ box }) => box.label.toLowerCase() === label.trim().toLowerCase())
      ? 'A box of this yard is already called that.'
      : undefined;

  if (designs.length === 0) {
    return (
      <>
        <h2 className="text-lg">Build a box</h2>
        <p className="my-2 text-soft">A box is built from a design, and there is none yet.</p>
        <Link className="button" to="/bench/new">
          Draw the first design
        </Link>
      </>
    );
  }

  const build = async () => {
    if (building || !chosen || bearingProblem || twice || label.trim() === '') return;
    const box = newId();
    setBuilding(true);
    const delivery = await log(`${label} built`, [
      draft('boxBuilt', { box, label: label.trim(), design, version: chosen.latest.number }),
      draft('boxPlaced', {
        box,
        yard: view.yard.id,
        stand: stand.trim() || '1',
        ...freePlace(view),
        bearing_deg: degrees,
      }),
    ]);
    if (delivery.state !== 'refused') return choose(box);
    setBuilding(false);
    setProblems(delivery.problems);
  };

  return (
    <>
      <h2 className="mb-2 text-lg">Build a box</h2>
      <Form save="Built, and on its stand" onSave={build} onCancel={() => choose()}>
        <SelectField label="Design" value={design} onChange={({ target }) => setDesign(target.value)}>
          {designs.map(({ id, name, latest }) => (
            <option key={id} value={id}>
              {name}, version {latest.number}
            </option>
          ))}
        </SelectField>
        {chosen && <BoxThumb design={chosen.latest.content} width={260} height={130} />}
        <TextField
          label="Label"
          required
          maxLength={20}
          placeholder="B13"
          value={label}
          problem={twice}
          onChange={({ target }) => setLabel(target.value)}
        />
        <TextField
          label="Stand"
          maxLength={40}
          value={stand}
          onChange={({ target }) => setStand(target.value)}
        />
        <SelectField
          label="Front looks to the"
          value={bearingProblem ? '' : compassPoint(degrees)}
          onChange={({ target }) => setBearing(String(BEARINGS[target.value as CompassPoint]))}
        >
          {bearingProblem && <option value="" />}
          {Object.keys(BEARINGS).map((point) => (
            <option key={point}>{point}</option>
          ))}
        </SelectField>
        <TextField
          label="Bearing from true north (°)"
          inputMode="numeric"
          value={bearing}
          problem={bearingProblem}
          onChange={({ target }) => setBearing(target.value)}
        />
        {problems.map(({ sentence }) => (
          <p key={sentence} role="alert" className="mb-2 text-danger">
            {say(sentence)}
          </p>
        ))}
        <p className="mb-2 text-sm text-soft">
          <Said>A full deep body weighs 35 to 40 kg: two people or a barrow over 20 kg.</Said>
        </p>
      </Form>
    </>
  );
}

const BEARINGS: Readonly<Record<CompassPoint, number>> = {
  north: 0,
  'north-east': 45,
  east: 90,
  'south-east': 135,
  south: 180,
  'south-west': 225,
  west: 270,
  'north-west': 315,
};

/** Where the noon sun stands, which a front is proposed to look to: south of the equator, north. */
const sunBearing_deg = (latitude_deg: number) => (latitude_deg < 0 ? BEARINGS.north : BEARINGS.south);

const STEP_M = 2.4;

/** The first place of a loose grid that no box stands near, row by row from the north-west. */
function freePlace({ boxes }: YardView): { east_m: number; north_m: number } {
  const taken = boxes.flatMap(({ box }) => box.place ?? []);
  const isFree = (spot: { east_m: number; north_m: number }) =>
    taken.every((each) => Math.hypot(each.east_m - spot.east_m, each.north_m - spot.north_m) > STEP_M * 0.8);
  const north = Math.max(8, ...taken.map(({ north_m }) => north_m));
  const down = Math.floor(north / STEP_M);
  // Below the northernmost row as far as the plan goes, then above it.
  for (let row = 0; ; row++) {
    const north_m = row <= down ? north - row * STEP_M : north + (row - down) * STEP_M;
    for (let column = 0; column < 5; column++) {
      const spot = { east_m: 2 + column * STEP_M, north_m };
      if (isFree(spot)) return spot;
    }
  }
}

/** The first number that no box of the yard stands on. */
function freeStand({ boxes }: YardView): string {
  const taken = new Set(boxes.map(({ box }) => box.place?.stand));
  let stand = 1;
  while (taken.has(String(stand))) stand += 1;
  return String(stand);
}
