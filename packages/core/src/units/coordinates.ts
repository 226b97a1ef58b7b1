/** Where a place lies, as people write it. */
export type Axis = 'latitude' | 'longitude';
const SIDES: Readonly<Record<Axis, { plus: string; minus: string; most: number; words: [string, string] }>> =
  {
    latitude: { plus: 'n', minus: 's', most: 90, words: ['north', 'south'] },
    longitude: { plus: 'e', minus: 'w', most: 180, words: ['east', 'west'] },
  };

/**
 * Degrees, north and east above 0: `−41.3`, `41.3 S`, `S 41,3`, `41° 18' S`, `41 18 12 s`. NaN for what is none, has a
 * sign and a side at once, minutes of 60 and more, or lies beyond the pole.
 */
export function readCoordinate(typed: string, axis: Axis): number {
  const { plus, minus, most } = SIDES[axis];
  const text = typed.trim().toLowerCase().replaceAll(',', '.').replaceAll('−', '-');
  const [, before = '', sign = '', rest = '', after = ''] =
    /^([a-z]*)\s*(-?)\s*([\d.°º'’′"”″\s]+?)\s*([a-z]*)$/u.exec(text) ?? [];
  const side = (before + after).replace(new RegExp(`^(?:${SIDES[axis].words.join('|')})$`), (word) =>
    word.slice(0, 1),
  );
  if (![plus, minus, ''].includes(side) || (sign !== '' && side !== '')) return Number.NaN;
  const figures = rest.split(/[°º'’′"”″\s]+/u).filter(Boolean);
  const [degrees = Number.NaN, minutes = 0, seconds = 0, ...more] = figures.map(Number);
  const partsWhole = figures.slice(0, -1).every((figure) => /^\d+$/.test(figure));
  if (more.length > 0 || !partsWhole || !(minutes < 60) || !(seconds < 60)) return Number.NaN;
  const value = degrees + minutes / 60 + seconds / 3_600;
  if (!(value <= most)) return Number.NaN;
  return sign === '-' || side === minus ? -value : value;
}

/** `41.30° south`, so that a person sees how it was read. */
export function showCoordinate(degrees: number, axis: Axis): string {
  const [plus, minus] = SIDES[axis].words;
  return `${Math.abs(degrees).toFixed(2)}° ${degrees < 0 ? minus : plus}`;
}
