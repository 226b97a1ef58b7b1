export const FIND = 'Find, or enter: B7 west eggs';
export const findLabel = 'Find a box, a queen, a note, a design, a yard or a page of the guide';
