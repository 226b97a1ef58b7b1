import type { NestAnswer, StockSheet } from '@yellow-cell/contract';
import type { Constants } from '../constants/registry.ts';
import { type SheetGroup, worthKeeping } from './sheets.ts';

/** The stock once a cut list is sawn: pieces at hand are used up, and offcuts worth keeping lie ready. `idFor` names new ones. */
export function stockAfter(
  stock: readonly StockSheet[],
  sawn: readonly { group: SheetGroup; answer: NestAnswer }[],
  constants: Pick<Constants, 'keepOffcut_mm'>,
  idFor: () => string,
): StockSheet[] {
  let left = [...stock];
  const kept: StockSheet[] = [];
  for (const { group, answer } of sawn) {
    for (const { offcut, width_mm, height_mm } of answer.sheets) {
      if (offcut === null) continue;
      const used = left.find(
        (each) =>
          each.name === offcut &&
          each.material === group.material &&
          each.width_mm === width_mm &&
          each.height_mm === height_mm &&
          (each.atHand ?? 0) > 0,
      );
      left = left.map((each) => (each === used ? { ...each, atHand: (each.atHand ?? 0) - 1 } : each));
    }
    for (const { width_mm, height_mm } of worthKeeping(answer, constants)) {
      const [along, across] = [Math.floor(width_mm), Math.floor(height_mm)];
      kept.push({
        id: idFor(),
        name: `Offcut ${along} × ${across}`,
        material: group.material,
        thickness_mm: group.thickness_mm,
        width_mm: along,
        height_mm: across,
        atHand: 1,
        price: null,
      });
    }
  }
  // A piece used up is gone; kinds that are bought stay.
  return [...left.filter(({ atHand }) => atHand === null || atHand > 0), ...kept];
}
