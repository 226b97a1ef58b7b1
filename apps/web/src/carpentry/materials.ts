import type { PartMaterial } from '@yellow-cell/contract';

/** What parts are made of, as a shed calls it. */
export const MATERIALS: Readonly<Record<PartMaterial, string>> = {
  pine: 'softwood',
  plywood: 'plywood',
  foam: 'foam board',
  plastic: 'plastic',
  corrugated: 'corrugated sheet',
  glass: 'glass',
  cloth: 'cloth',
  foil: 'foil-bubble',
  slats: 'slatted mat',
  mesh: 'wire mesh',
  excluder: 'excluder',
};
