import { useSuspenseQuery } from '@tanstack/react-query';
import type { Problem } from '@yellow-cell/contract';
import { type CompassPoint, compassPoint, freePlaces, freeStands, labelsFrom } from '@yellow-cell/core';
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

/** Boxes from a design, one or many, and where they stand: kept as one act. */
export function BuildBox({ view, design: wanted }: { view: YardView; design: string }) {
  const say = useSay();
  const { data: designs } = useSuspenseQuery(designsQuery);
  const { choose } = useChoice();
  const log = useLog();
  const [design, setDesign] = useState(wanted || (designs[0]?.id ?? ''));
  const [many, setMany] = useState('1');
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
  const count = Number(many);
  const countProblem = isCount(count) ? undefined : `From 1 to ${MOST} boxes.`;
  const taken = view.boxes.map(({ box }) => box.label);
  const labels = countProblem || label.trim() === '' ? [] : labelsFrom(label, count, building ? [] : taken);
  const tooLong = labels.some((each) => each.length > 20);
  const twice =
    !building && count === 1 && taken.some((each) => each.toLowerCase() === label.trim().toLowerCase())
      ? 'A box of this yard is already called that.'
      : tooLong
        ? 'A label has at most 20 characters.'
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
    if (building || !chosen || bearingProblem || twice || labels.length === 0) return;
    const boxes = labels.map((each) => ({ box: newId(), label: each }));
    const places = freePlaces(
      boxes.length,
      view.boxes.flatMap(({ box }) => box.place ?? []),
    );
    const typed = stand.trim() || '1';
    const stands = boxes.length === 1 ? [typed] : freeStands(typed, boxes.length, standsOf(view));
    setBuilding(true);
    const delivery = await log(
      `${labels.length > 1 ? `${labels.length} boxes, ${labels[0]} to ${labels.at(-1)},` : label.trim()} built`,
      boxes.flatMap(({ box, label: each }, index) => [
        draft('boxBuilt', { box, label: each, design, version: chosen.latest.number }),
        draft('boxPlaced', {
          box,
          yard: view.yard.id,
          stand: stands[index] ?? '1',
          ...(places[index] ?? { east_m: 0, north_m: 0 }),
          bearing_deg: degrees,
        }),
      ]),
    );
    if (delivery.state !== 'refused') return choose(boxes.length > 1 ? undefined : boxes[0]?.box);
    setBuilding(false);
    setProblems(delivery.problems);
  };

  return (
    <>
      <h2 className="mb-2 text-lg">Build a box</h2>
      <Form
        save={labels.length > 1 ? `${labels.length} built, and on their stands` : 'Built, and on its stand'}
        onSave={build}
        onCancel={() => choose()}
      >
        <SelectField label="Design" value={design} onChange={({ target }) => setDesign(target.value)}>
          {designs.map(({ id, name, latest }) => (
            <option key={id} value={id}>
              {name}, version {latest.number}
            </option>
          ))}
        </SelectField>
        {chosen && <BoxThumb design={chosen.latest.content} width={260} height={130} />}
        <div className="grid grid-cols-3 gap-x-3">
          <TextField
            label="How many"
            inputMode="numeric"
            value={many}
            problem={countProblem}
            onChange={({ target }) => setMany(target.value)}
          />
          <TextField
            label={count > 1 ? 'First label' : 'Label'}
            required
            maxLength={20}
            placeholder="B13"
            value={label}
            problem={twice}
            onChange={({ target }) => setLabel(target.value)}
          />
          <TextField
            label={count > 1 ? 'First stand' : 'Stand'}
            maxLength={40}
            value={stand}
            onChange={({ target }) => setStand(target.value)}
          />
        </div>
        {labels.length > 1 && (
          <p className="mb-2 text-sm text-soft" role="status">
            {labels.length} boxes, {labels[0]} to {labels.at(-1)}, in rows where none stands yet; arrange them
            on the map afterwards.
          </p>
        )}
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

const standsOf = ({ boxes }: YardView) => boxes.map(({ box }) => box.place?.stand);
/** The first number that no box of the yard stands on. */
const freeStand = (view: YardView): string => freeStands('1', 1, standsOf(view))[0] ?? '1';

const MOST = 100;
const isCount = (count: number): boolean => Number.isInteger(count) && count >= 1 && count <= MOST;
