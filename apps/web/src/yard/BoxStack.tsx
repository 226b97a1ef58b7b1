import { useQuery } from '@tanstack/react-query';
import type { Board, Body, DesignContent } from '@yellow-cell/contract';
import {
  boardNames,
  bodiesOf,
  designChanges,
  drawnDesign,
  handPlacesFor,
  layerName,
  showLength,
  versionOf,
  withBody,
} from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { designsQuery } from '../app/queries.ts';
import { useSay, useUnits } from '../app/units.ts';
import { type Draft, draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form } from './Form.tsx';
import { NEW_LAYERS, newBoard, renamedParts } from './stackParts.ts';
import type { Send } from './useWarned.tsx';
import { useWarned } from './useWarned.tsx';
import type { BoxView, YardView } from './useYard.ts';

type Layer = DesignContent['layers'][number];
type Open = { what: 'put' } | { what: 'board' } | { what: 'move' | 'box'; layer: Layer };

/**
 * The stack of a live box, from the roof down: what is put on, taken off, moved to another box or made a box of its
 * own, each by one entry, with what it brings about said before.
 */
export function BoxStack({ view, boxView }: { view: YardView; boxView: BoxView }) {
  const { box } = boxView;
  const { send, asking } = useWarned(view);
  const [open, setOpen] = useState<Open>();
  const stack = drawnDesign(view.designs, box);
  if (!stack) return null;
  const { layers, roof, floor } = stack;
  const off = (layer: Layer) =>
    send(`${box.label}: ${layerName(layer)} taken off`, [
      draft('layerTaken', { box: box.id, layer: layer.id }),
    ]);
  const done = () => setOpen(undefined);
  const form = { view, boxView, stack, send, onDone: done };
  const bodies = layers.filter(({ kind }) => kind === 'body').length;
  return (
    <section aria-label="The stack">
      <h3 className="eyebrow">The stack, from the roof down</h3>
      {asking}
      <ul>
        <li className="row-line items-center">
          <span>Roof, {roof.kind}</span>
          <SwapRoof {...form} />
        </li>
        {[...layers].reverse().map((layer) => (
          <li key={layer.id} className="row-line flex-wrap items-center">
            <span>{layerName(layer)}</span>
            <span className="flex gap-1.5">
              {(layer.kind === 'sheet' || bodies > 1) && (
                <button type="button" className="button min-h-11" onClick={() => void off(layer)}>
                  Take off
                </button>
              )}
              <button
                type="button"
                className="button min-h-11"
                aria-label={`${layerName(layer)}: to another box`}
                onClick={() => setOpen({ what: 'move', layer })}
              >
                Move…
              </button>
              {layer.kind === 'body' && exchangeOf(stack, boxView, layer) && (
                <button
                  type="button"
                  className="button min-h-11"
                  aria-label={`${layerName(layer)}: exchanged for a clean one`}
                  onClick={() =>
                    void send(
                      `${box.label}: ${layerName(layer)} exchanged for a clean one`,
                      exchangeOf(stack, boxView, layer) ?? [],
                    )
                  }
                >
                  Exchange
                </button>
              )}
              {layer.kind === 'body' && bodies > 1 && (
                <button
                  type="button"
                  className="button min-h-11"
                  aria-label={`${layerName(layer)}: a box of its own`}
                  onClick={() => setOpen({ what: 'box', layer })}
                >
                  Own box…
                </button>
              )}
            </span>
          </li>
        ))}
        <li className="row-line items-center">
          <span>Floor, {floor.kind}</span>
          <SwapFloor {...form} />
        </li>
      </ul>
      {open?.what === 'put' && <PutForm {...form} />}
      {open?.what === 'board' && <BoardForm {...form} />}
      {open?.what === 'move' && <MoveLayerForm {...form} layer={open.layer} />}
      {open?.what === 'box' && <OwnBoxForm {...form} layer={open.layer} />}
      {!open && (
        <div className="mt-2 grid grid-cols-2 gap-2">
          <button type="button" className="button min-h-11" onClick={() => setOpen({ what: 'put' })}>
            Put on…
          </button>
          <button type="button" className="button min-h-11" onClick={() => setOpen({ what: 'board' })}>
            Board in…
          </button>
        </div>
      )}
      {(box.off ?? []).length > 0 && (
        <p className="mt-2 text-soft">
          Lying beside it: {(box.off ?? []).map(({ layer }) => layerName(layer)).join(', ')}.
        </p>
      )}
      <Against view={view} boxView={boxView} stack={stack} />
    </section>
  );
}

/**
 * A body for a clean one of its kind: that on, the bees over in their order, this one off. Undefined where boards part
 * it: its rooms are moved one by one.
 */
function exchangeOf(stack: DesignContent, { box, compartments }: BoxView, layer: Body): Draft[] | undefined {
  const at = stack.layers.findIndex(({ id }) => id === layer.id);
  if (layer.boards.length > 0 || layer.bays.length > 1) return undefined;
  const clean = renamedParts(layer);
  const own = layer.bays.map(({ id }) => id);
  const bees = compartments.find(({ colony }) => colony?.home.some((bay) => own.includes(bay)))?.colony;
  return [
    draft('layerPut', { box: box.id, layer: clean, at: at + 1 }),
    ...(bees?.home.every((bay) => own.includes(bay))
      ? [
          draft('colonyMoved', {
            box: box.id,
            colony: bees.id,
            toBox: box.id,
            bays: clean.bays.map(({ id }) => id),
          }),
        ]
      : []),
    draft('layerTaken', { box: box.id, layer: layer.id }),
  ];
}

interface StackFormProps {
  view: YardView;
  boxView: BoxView;
  stack: DesignContent;
  send: Send;
  onDone: () => void;
}

/** Something on the stack: new, or what lies off beside a box of this yard. */
function PutForm({ view, boxView: { box }, stack, send, onDone }: StackFormProps) {
  const lying = [...view.state.boxes.values()].flatMap((each) =>
    (each.off ?? []).map(({ layer }) => ({ layer, from: each.id, label: each.label })),
  );
  const [what, setWhat] = useState(lying[0] ? lying[0].layer.id : (Object.keys(NEW_LAYERS)[0] ?? ''));
  const [at, setAt] = useState(String(stack.layers.length));
  const put = () => {
    const found = lying.find(({ layer }) => layer.id === what);
    const layer = found?.layer ?? NEW_LAYERS[what]?.(stack);
    if (!layer) return;
    void send(`${box.label}: ${layerName(layer)} put on`, [
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
function MoveLayerForm({ view, boxView: { box }, layer, send, onDone }: StackFormProps & { layer: Layer }) {
  const others = view.boxes.filter((each) => each.box.id !== box.id);
  const [to, setTo] = useState(others[0]?.box.id ?? '');
  const target = others.find((each) => each.box.id === to);
  const there = target && drawnDesign(view.designs, target.box);
  const [at, setAt] = useState<string>();
  if (!target || !there) return <p className="text-soft">No other box stands in this yard.</p>;
  const move = () =>
    void send(`${layerName(layer)} of ${box.label} set on ${target.box.label}`, [
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
        Its frames, bees and queen go along. Know where she is first; two people over 20 kg.
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
function OwnBoxForm({ view, boxView: { box }, layer, send, onDone }: StackFormProps & { layer: Layer }) {
  const [label, setLabel] = useState('');
  const taken = view.boxes.some((each) => each.box.label.toLowerCase() === label.trim().toLowerCase());
  const problem = taken ? 'A box of this yard is already called that.' : undefined;
  const { place } = box;
  const make = () => {
    if (problem || label.trim() === '' || !place) return;
    const id = newId();
    const { since: _, ...spot } = place;
    void send(`${label.trim()} made of ${layerName(layer)} of ${box.label}`, [
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
function BoardForm({ boxView, stack, send, onDone }: StackFormProps) {
  const { box, design } = boxView;
  const units = useUnits();
  const bodies = bodiesOf(stack).filter(({ bays }) => bays.some(({ frames }) => frames.length > 1));
  const [bodyId, setBody] = useState(bodies[0]?.id ?? '');
  const [kind, setKind] = useState<Board['kind']>('follower');
  const [place, setPlace] = useState(0);
  const body = bodies.find(({ id }) => id === bodyId);
  const board = body && newBoard(kind, stack, body);
  const places = board ? placesFor(design, bodyId, board) : [];
  const chosen = places[place];
  const set = () => {
    if (!board || !chosen) return;
    void send(`${box.label}: ${boardNames[kind].toLowerCase()} put in`, [
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

function SwapFloor({ boxView: { box }, stack: { floor }, send }: StackFormProps) {
  return (
    <select
      aria-label="Floor"
      className="field min-h-11 w-auto"
      value={floor.kind}
      onChange={({ target }) => {
        const kind = target.value as keyof typeof FLOORS;
        void send(`${box.label}: floor, ${kind}`, [
          draft('floorSet', { box: box.id, floor: { ...floor, kind, mesh: FLOORS[kind] } }),
        ]);
      }}
    >
      {Object.keys(FLOORS).map((kind) => (
        <option key={kind}>{kind}</option>
      ))}
    </select>
  );
}

function SwapRoof({ boxView: { box }, stack: { roof }, send }: StackFormProps) {
  return (
    <select
      aria-label="Roof"
      className="field min-h-11 w-auto"
      value={roof.kind}
      onChange={({ target }) => {
        const kind = target.value as (typeof ROOFS)[number];
        void send(`${box.label}: roof, ${kind}`, [
          draft('roofSet', { box: box.id, roof: { ...roof, kind } }),
        ]);
      }}
    >
      {ROOFS.map((kind) => (
        <option key={kind}>{kind}</option>
      ))}
    </select>
  );
}

/** What it is otherwise than drawn, and what its version lacks against the newest. */
function Against({ view, boxView: { box }, stack }: Pick<StackFormProps, 'view' | 'boxView' | 'stack'>) {
  const say = useSay();
  const { data: designs = [] } = useQuery(designsQuery);
  const version = versionOf(view.designs, box);
  const latest = designs.find(({ id }) => id === box.design)?.latest;
  const since = version && box.changed ? designChanges(version, stack) : [];
  const newer =
    version && latest && latest.number > box.version ? designChanges(version, latest.content) : [];
  return (
    <>
      {since.length > 0 && <Changes title="Against its drawing" list={since.map(say)} />}
      {newer.length > 0 && latest && (
        <Changes title={`What version ${latest.number} has and it has not`} list={newer.map(say)} />
      )}
    </>
  );
}

const Changes = ({ title, list }: { title: string; list: readonly string[] }) => (
  <details className="mt-2">
    <summary className="min-h-11 py-2.5">
      {title} ({list.length})
    </summary>
    <ul className="text-soft">
      {list.map((each) => (
        <li key={each}>{each}</li>
      ))}
    </ul>
  </details>
);
