import type { DesignContent } from '@yellow-cell/contract';

/** A bed of its own, and its bodies of what a printer lays down; without one they are of wood again. */
export function withPrinted(design: DesignContent, bed: DesignContent['bed']): DesignContent {
  const [from, to] = bed ? [undefined, 'plastic' as const] : ['plastic', 'pine' as const];
  const layers = design.layers.map((layer) =>
    layer.kind === 'body' && (from === undefined || layer.material === from)
      ? { ...layer, material: to }
      : layer,
  );
  return { ...design, bed, layers };
}
