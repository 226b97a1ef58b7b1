/** Cautions where the work can hurt (handbook 10); local rules and trained practice come before any of this. */
export const SAW =
  'Saws and routers: guard and riving knife on, push stick, eyes and ears covered, no gloves near a blade, nobody beside you talked to.';
export const DUST =
  'Dust and plastic fumes: extraction or a mask; plastics are cut cool and never heated to smoking.';
export const KNIFE = 'Knives: away from the body, a rule with a guard, a sharp blade.';
export const GLASS = 'Glass: gloves and glasses, edges ground or taped, carried upright, film off last.';
export const FINISH =
  'Finishes and wax: outside only, open air, no flame; hot wax is never left alone and never met with water.';
export const PAINT = 'Finishes: outside only, open air, no flame.';
export const LIFT = 'Lift with a straight back, or by two.';
/** Of sheets, before they are parts. */
export const SHEETS = `${SAW} Whole sheets by two, or with a hand-held saw along a rail first.`;
