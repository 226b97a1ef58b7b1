import type { Board, Body, DesignContent } from '@yellow-cell/contract';
import {
  boardNames,
  bodiesOf,
  drawnDesign,
  handPlacesFor,
  layerName,
  newBoard,
  showLength,
  withBody,
} from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { useUnits } from '../app/units.ts';
import { draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Said } from '../parts/Said.tsx';
import { Form } from './Form.tsx';
import { NEW_LAYERS } from './stackParts.ts';
import type { Send } from './useWarned.tsx';
import type { BoxView, YardView } from './useYard.ts';

type Layer = DesignContent['layers'][number];

/** What every form about a live stack is given. */
export interface StackFormProps {
  view: YardView;
  boxView: BoxView;
  stack: DesignContent;
  send: Send;
  onDone: () => void;
}

/** Something on the stack: new, or what lies off beside a box of this yard. */
export function PutForm({ view, boxView: { box }, stack, send, onDone }: StackFormProps) {
  const lying = [...view.state.boxes.values()].flatMap((each) =>
    (each.off ?? []).map(({ layer }) => ({ layer, from: each.id, label: each.label })),
  );
  const [what, setWhat] = useState(lying[0] ? lying[0].layer.id : (Object.keys(NEW_LAYERS)[0] ?? ''));
  const [at, setAt] = useState(String(stack.layers.length));
  const put = () => {
    const found = lying.find(({ layer }) => layer.id === what);
    const layer = found?.layer ?? NEW_LAYERS[what]?.(stack);
    if (!layer) return;
    return send(`${box.label}: ${layerName(layer)} put on`, [
      draft('layerPut', { box: box.id, layer, at: Number(at), ...(found ? { from: found.from } : {}) }),
    ]).then(onDone);
  };
  return (
    <Form save="Put on" onSave={put} onCancel={onDone}>
      <SelectField label="What" value={what} onChange={({ target }) => setWhat(target.value)}>
        {lying.length > 0 && (
          <optgroup label="Lying ready">
            {lying.map(({ layer, label }) => (
              <option key={layer.id} value={layer.id}>
                {layerName(layer)}, at {label}
              </option>
            ))}
          </optgroup>
        )}
        <optgroup label="New">
          {Object.keys(NEW_LAYERS).map((name) => (
            <option key={name} value={name}>
              {name}
            </option>
          ))}
        </optgroup>
      </SelectField>
      <SelectField label="Where" value={at} onChange={({ target }) => setAt(target.value)}>
        {placesOf(stack)}
      </SelectField>
    </Form>
  );
}

/** Places in a stack, from the top. */
const placesOf = (stack: DesignContent) =>
  [...stack.layers.keys(), stack.layers.length].reverse().map((at) => {
    const below = stack.layers[at - 1];
    return (
      <option key={at} value={at}>
        {below ? `on ${layerName(below).toLowerCase()}` : 'on the floor'}
      </option>
    );
  });

/** A layer onto another box, with all that is in it. */
export function MoveLayerForm({
  view,
  boxView: { box },
  layer,
  send,
  onDone,
}: StackFormProps & { layer: Layer }) {
  const others = view.boxes.filter((each) => each.box.id !== box.id);
  const [to, setTo] = useState(others[0]?.box.id ?? '');
  const target = others.find((each) => each.box.id === to);
  const there = target && drawnDesign(view.designs, target.box);
  const [at, setAt] = useState<string>();
  if (!target || !there) return <p className="text-soft">No other box stands in this yard.</p>;
  const move = () =>
    send(`${layerName(layer)} of ${box.label} set on ${target.box.label}`, [
      draft('layerTaken', {
        box: box.id,
        layer: layer.id,
        to: { box: to, at: at === undefined ? there.layers.length : Number(at) },
        parted: newId(),
      }),
    ]).then(onDone);
  return (
    <Form save="Moved" onSave={move} onCancel={onDone}>
      <p className="mb-2 text-sm text-soft">
        Its frames, bees and queen go along. Know where she is first;{' '}
        <Said>two people over {view.constants.liftAlone_kg} kg.</Said>
      </p>
      <SelectField
        label="Onto"
        value={to}
        onChange={({ target: { value } }) => {
          setTo(value);
          setAt(undefined);
        }}
      >
        {others.map((each) => (
          <option key={each.box.id} value={each.box.id}>
            {each.box.label}
          </option>
        ))}
      </SelectField>
      <SelectField
        label="Where"
        value={at ?? String(there.layers.length)}
        onChange={({ target: { value } }) => setAt(value)}
      >
        {placesOf(there)}
      </SelectField>
    </Form>
  );
}

/** A body on a floor and under a roof of its own: one box becomes two. */
export function OwnBoxForm({
  view,
  boxView: { box },
  layer,
  send,
  onDone,
}: StackFormProps & { layer: Layer }) {
  const [label, setLabel] = useState('');
  const taken = view.boxes.some((each) => each.box.label.toLowerCase() === label.trim().toLowerCase());
  const problem = taken ? 'A box of this yard is already called that.' : undefined;
  const { place } = box;
  const make = () => {
    if (problem || label.trim() === '' || !place) return;
    const id = newId();
    const { since: _, ...spot } = place;
    return send(`${label.trim()} made of ${layerName(layer)} of ${box.label}`, [
      draft('boxBuilt', {
        box: id,
        label: label.trim(),
        design: box.design,
        version: box.version,
        of: { box: box.id, layers: [layer.id] },
        parted: newId(),
      }),
      draft('boxPlaced', { box: id, ...spot, east_m: spot.east_m + BESIDE_M }),
    ]).then(onDone);
  };
  return (
    <Form save="Made" onSave={make} onCancel={onDone}>
      <TextField
        label="Label of the new box"
        required
        maxLength={20}
        value={label}
        problem={problem}
        hint="On a floor and under a roof as of its design; its frames, bees and queen go along."
        onChange={({ target }) => setLabel(target.value)}
      />
    </Form>
  );
}
const BESIDE_M = 0.8;

const KINDS: readonly Board['kind'][] = ['follower', 'dummy', 'tight', 'excluder', 'screen'];

/** A follower or divider into a body that was drawn without it. */
export function BoardForm({ boxView, stack, send, onDone }: StackFormProps) {
  const { box, design } = boxView;
  const units = useUnits();
  const bodies = bodiesOf(stack).filter(({ bays }) => bays.some(({ frames }) => frames.length > 1));
  const [bodyId, setBody] = useState(bodies[0]?.id ?? '');
  const [kind, setKind] = useState<Board['kind']>('follower');
  const [place, setPlace] = useState(0);
  const [ids] = useState(() => ({ board: newId(), groove: newId() }));
  const body = bodies.find(({ id }) => id === bodyId);
  const board = body && newBoard(kind, stack, body, ids);
  const places = board ? placesFor(design, bodyId, board) : [];
  const chosen = places[place];
  const set = () => {
    if (!board || !chosen) return;
    return send(`${box.label}: ${boardNames[kind].toLowerCase()} put in`, [
      draft('boardAdded', {
        box: box.id,
        body: bodyId,
        board,
        at_mm: chosen.at_mm,
        framesLeft: chosen.framesLeft,
        bay: newId(),
      }),
    ]).then(onDone);
  };
  return (
    <Form save="Put in" onSave={set} onCancel={onDone}>
      {bodies.length > 1 && (
        <SelectField label="Into" value={bodyId} onChange={({ target }) => setBody(target.value)}>
          {bodies.map((each) => (
            <option key={each.id} value={each.id}>
              {layerName(each)}
            </option>
          ))}
        </SelectField>
      )}
      <SelectField
        label="Board"
        value={kind}
        onChange={({ target }) => setKind(target.value as Board['kind'])}
      >
        {KINDS.map((each) => (
          <option key={each} value={each}>
            {boardNames[each]}
          </option>
        ))}
      </SelectField>
      {places.length === 0 ? (
        <p className="mb-2 text-soft">
          No board fits between two frames there as they stand: take a frame out first.
        </p>
      ) : (
        <SelectField
          label="Between frames"
          value={String(place)}
          onChange={({ target }) => setPlace(Number(target.value))}
        >
          {places.map(({ at_mm, frames }, index) => (
            <option key={at_mm} value={index}>
              {frames.join(' | ')} frames, {showLength(Math.round(at_mm), units)} from the left
            </option>
          ))}
        </SelectField>
      )}
    </Form>
  );
}

/** Where a board that is not in the body yet could stand: asked as if it were. */
const placesFor = (design: DesignContent, body: Body['id'], board: Board) =>
  handPlacesFor(
    withBody(design, body, (now) => ({ ...now, boards: [...now.boards, board] })),
    board.id,
  );

const FLOORS = { solid: null, mesh: 2.5, tray: 2.5 } as const;
const ROOFS = ['flat', 'deep', 'insulated', 'glazed'] as const;

export const SwapFloor = ({ boxView: { box }, stack: { floor }, send }: StackFormProps) => (
  <Swap
    label="Floor"
    now={floor.kind}
    kinds={Object.keys(FLOORS) as (keyof typeof FLOORS)[]}
    onChange={(kind) =>
      send(`${box.label}: floor, ${kind}`, [
        draft('floorSet', { box: box.id, floor: { ...floor, kind, mesh: FLOORS[kind] } }),
      ])
    }
  />
);

export const SwapRoof = ({ boxView: { box }, stack: { roof }, send }: StackFormProps) => (
  <Swap
    label="Roof"
    now={roof.kind}
    kinds={ROOFS}
    onChange={(kind) =>
      send(`${box.label}: roof, ${kind}`, [draft('roofSet', { box: box.id, roof: { ...roof, kind } })])
    }
  />
);

/** What closes the stack, exchanged for another of its kinds. */
function Swap<K extends string>({
  label,
  now,
  kinds,
  onChange,
}: {
  label: string;
  now: K;
  kinds: readonly K[];
  onChange: (kind: K) => Promise<unknown>;
}) {
  return (
    <select
      aria-label={label}
      className="field min-h-11 w-auto"
      value={now}
      onChange={({ target }) => void onChange(target.value as K)}
    >
      {kinds.map((kind) => (
        <option key={kind}>{kind}</option>
      ))}
    </select>
  );
}
