import type { AutumnLine } from '@yellow-cell/core';

/** A box of one room alone is called by its label. */
export const roomName = ({ box, room }: Pick<AutumnLine, 'box' | 'room'>): string =>
  box.compartments.length > 1 ? `${box.box.label} ${room.name}` : box.box.label;
