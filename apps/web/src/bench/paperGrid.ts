/** Squared drawing paper under every view of the bench. */
export const paperGrid =
  'repeating-linear-gradient(var(--grid) 0 1px, transparent 1px 24px), repeating-linear-gradient(90deg, var(--grid) 0 1px, transparent 1px 24px), var(--sheet)';
