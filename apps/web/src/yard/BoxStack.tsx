import type { Body, DesignContent } from '@yellow-cell/contract';
import { drawnDesign, layerName } from '@yellow-cell/core';
import { useState } from 'react';
import { type Draft, draft } from '../app/useLog.ts';
import { StackAgainst } from './StackAgainst.tsx';
import { BoardForm, MoveLayerForm, OwnBoxForm, PutForm, SwapFloor, SwapRoof } from './StackForms.tsx';
import { renamedParts } from './stackParts.ts';
import { useJustKept } from './useJustKept.ts';
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
  // What stands under the thumb a moment later is another layer.
  const { justKept, keep } = useJustKept();
  const stack = drawnDesign(view.designs, box);
  if (!stack) return null;
  const { layers, roof, floor } = stack;
  const off = (layer: Layer) => {
    keep(layer.id);
    return send(`${box.label}: ${layerName(layer)} taken off`, [
      draft('layerTaken', { box: box.id, layer: layer.id }),
    ]);
  };
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
                <button
                  type="button"
                  className="button min-h-11"
                  disabled={justKept !== undefined}
                  onClick={() => void off(layer)}
                >
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
      <StackAgainst view={view} boxView={boxView} stack={stack} />
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
