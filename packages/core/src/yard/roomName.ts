import type { BoxView, CompartmentView } from './boxView.ts';

/** A room of a yard, in its box. */
export interface InBox {
  box: BoxView;
  room: CompartmentView;
}

/** A room as it is called among others; a box of one room alone is called by its label. */
export const roomName = ({ box, room }: InBox): string =>
  box.compartments.length > 1 ? `${box.box.label} ${room.name}` : box.box.label;
