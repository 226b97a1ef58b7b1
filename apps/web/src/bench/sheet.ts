import type { DesignContent } from '@yellow-cell/contract';
import type { BoxModel, RectShape } from '@yellow-cell/core';
import type { PhysicsLayer } from './PhysicsMarks.tsx';

/** What every view of the bench is given. */
export interface SheetProps {
  design: DesignContent;
  model: BoxModel;
  /** The model as it last rested, for what need not follow a drag. */
  resting: BoxModel;
  /** Told when a part is taken and let go. */
  onDragging: (dragging: boolean) => void;
  /** Body whose level is shown from above. */
  body: string;
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
  onEdit: (move: (design: DesignContent) => DesignContent, tag?: string) => void;
  /** Parts and spaces that the check under the pointer concerns. */
  pointed: readonly string[];
  /** Parts that a dangerous or faulty check names. */
  bad: ReadonlySet<string>;
  /** Tint of a space while it is shown who can go where. */
  tintOf: ((space: string) => string | undefined) | undefined;
  /** Air or warmth laid over the drawing. */
  layer: PhysicsLayer | undefined;
  onPressSpace: ((space: string) => void) | undefined;
}

/** Fill and outline that come from what is chosen, pointed at, or bad. */
export function shapeLook({ chosen, pointed, bad, tintOf }: SheetProps): {
  fillOf: (shape: RectShape) => string | undefined;
  strokeOf: (shape: RectShape) => string | undefined;
} {
  const lit = (id: string) => id === chosen || pointed.includes(id);
  return {
    fillOf: ({ role, id }) => {
      if (role !== 'compartment' && role !== 'void') return undefined;
      return tintOf?.(id) ?? (lit(id) ? 'var(--glow)' : undefined);
    },
    strokeOf: ({ role, id }) => {
      if (role === 'compartment' || role === 'void') return undefined;
      if (bad.has(id)) return 'var(--danger)';
      return lit(id) ? 'var(--yellow)' : undefined;
    },
  };
}

/** What a press on a shape chooses: the part, or the space it belongs to. */
export function pressedId({ role, id }: RectShape): string {
  return role === 'floor' || role === 'rim' ? 'floor' : id;
}
