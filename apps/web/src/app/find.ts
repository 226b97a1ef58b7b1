export const FIND = 'Find, or enter: B7 west eggs';
export const findLabel = 'Find a box, a design or a yard';
