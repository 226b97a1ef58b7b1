export const FIND = 'Find a box or a design';
export const findLabel = 'Find a box, a design or a yard';
