import type {
  BuildPart,
  NestAnswer,
  NestPart,
  NestQuestion,
  PartMaterial,
  StockSheet,
} from '@yellow-cell/contract';
import type { Constants } from '../constants/registry.ts';
import { fitsIn } from '../nest/block.ts';

/** Boxes of one design that are to be built. */
export interface Wanted {
  design: string;
  boxes: number;
  parts: readonly BuildPart[];
}
/** Parts of one material and thickness, with the stock that they are cut from. */
export interface SheetGroup {
  key: string;
  material: PartMaterial;
  thickness_mm: number;
  parts: readonly NestPart[];
  /** Bought sheet that they are laid on; undefined where no stock takes them. */
  sheet: StockSheet | undefined;
  question: NestQuestion | undefined;
  /** What is odd about it, in a sentence. */
  remark: string | null;
}

/** Stock within this of a part's thickness serves, in mm. */
const NEAR_MM = 0.6;
/** Where no stock of a material is kept at all. */
const FULL_SHEET = { width_mm: 2_440, height_mm: 1_220 };

/** The cut list of any number of boxes, by material and thickness: grain along the sheet's width, pieces at hand first. */
export function sheetGroups(
  wanted: readonly Wanted[],
  stock: readonly StockSheet[],
  kerf_mm: number,
): SheetGroup[] {
  const groups = new Map<string, { material: PartMaterial; thickness_mm: number; parts: NestPart[] }>();
  for (const { design, boxes, parts } of wanted) {
    for (const cutPart of parts) {
      if (cutPart.printed) continue;
      const part = ripped(cutPart, stock);
      const key = `${part.material} ${Number(part.thickness_mm.toFixed(2))}`;
      const group = groups.get(key) ?? {
        material: part.material,
        thickness_mm: part.thickness_mm,
        parts: [],
      };
      const named = wanted.length > 1 ? `${design}: ${part.key} ${part.name}` : `${part.key} ${part.name}`;
      group.parts.push(nestPart(part, named, part.count * boxes));
      groups.set(key, group);
    }
  }
  return [...groups].map(
    ([key, group]): SheetGroup => ({ key, ...group, ...stockFor(group, stock, kerf_mm) }),
  );
}

/** A plain strip that no stock is as thick as is ripped from one that is as thick as the strip is wide. */
function ripped(part: BuildPart, stock: readonly StockSheet[]): BuildPart {
  const has = (mm: number): boolean =>
    stock.some((each) => each.material === part.material && Math.abs(each.thickness_mm - mm) <= NEAR_MM);
  if (part.machining.length > 0 || has(part.thickness_mm) || !has(part.width_mm)) return part;
  return { ...part, width_mm: part.thickness_mm, thickness_mm: part.width_mm };
}

/** Grain runs along a sheet's width: a part whose grain runs along its own width lies turned. */
export function nestPart({ length_mm, width_mm, grain }: BuildPart, name: string, count: number): NestPart {
  const upright = grain === 'width';
  return {
    name,
    width_mm: upright ? width_mm : length_mm,
    height_mm: upright ? length_mm : width_mm,
    count,
    turn: grain === 'none',
  };
}

function stockFor(
  { material, thickness_mm, parts }: { material: PartMaterial; thickness_mm: number; parts: NestPart[] },
  stock: readonly StockSheet[],
  kerf_mm: number,
): Pick<SheetGroup, 'sheet' | 'question' | 'remark'> {
  const same = stock.filter((each) => each.material === material);
  const thick = same.filter((each) => Math.abs(each.thickness_mm - thickness_mm) <= NEAR_MM);
  const takesAll = ({ width_mm, height_mm }: { width_mm: number; height_mm: number }): boolean =>
    parts.every((part) =>
      fitsIn(
        { width: part.width_mm, height: part.height_mm, turn: part.turn },
        { width: width_mm, height: height_mm },
      ),
    );
  const area = (each: StockSheet): number => each.width_mm * each.height_mm;
  const bought = thick.filter(({ atHand }) => atHand === null).sort((a, b) => area(a) - area(b));
  const sheet = bought.find(takesAll) ?? bought.at(-1);
  const offcuts = thick
    .filter(({ atHand }) => (atHand ?? 0) > 0)
    .flatMap(({ name, width_mm, height_mm, atHand }) =>
      Array.from({ length: Math.min(atHand ?? 0, 50) }, () => ({ name, width_mm, height_mm })),
    );
  const size = sheet ?? FULL_SHEET;
  const said = `${Number(thickness_mm.toFixed(1))} mm ${material}`;
  const tooLarge = parts.find(
    (part) =>
      ![size, ...offcuts].some((each) =>
        fitsIn(
          { width: part.width_mm, height: part.height_mm, turn: part.turn },
          { width: each.width_mm, height: each.height_mm },
        ),
      ),
  );
  if (tooLarge)
    return {
      sheet,
      question: undefined,
      remark: `${tooLarge.name} of ${round(tooLarge.width_mm)} × ${round(tooLarge.height_mm)} mm is larger than any ${said} in stock: add a larger sheet, or glue it up.`,
    };
  const question: NestQuestion = {
    sheet: { width_mm: size.width_mm, height_mm: size.height_mm },
    kerf_mm,
    parts,
    ...(offcuts.length > 0 ? { offcuts } : {}),
  };
  const remark = sheet
    ? null
    : material === 'glass'
      ? 'Panes are best bought cut to size.'
      : `No ${said} is kept in stock: reckoned on ${size.width_mm} × ${size.height_mm} mm.`;
  return { sheet, question, remark };
}
const round = (mm: number): number => Number(mm.toFixed(1));

/** What a group of sheets costs: those bought; null where the price is not known. */
export function costOf({ sheet }: SheetGroup, answer: NestAnswer): number | null {
  const bought = answer.sheets.filter(({ offcut }) => offcut === null).length;
  if (bought === 0) return 0;
  return sheet?.price == null ? null : bought * sheet.price;
}

/** Offcuts that are worth keeping: at least so long and so wide. */
export const worthKeeping = (
  answer: NestAnswer,
  { keepOffcut_mm }: Pick<Constants, 'keepOffcut_mm'>,
): { width_mm: number; height_mm: number }[] =>
  answer.sheets
    .flatMap(({ offcuts }) => offcuts)
    .filter(({ width_mm, height_mm }) => Math.min(width_mm, height_mm) >= keepOffcut_mm);

/** How many boxes one sheet gives of each of a design's groups: as many as a sheet still takes whole. */
export function boxesPerSheet(
  { question }: SheetGroup,
  boxes: number,
  nestings: (question: NestQuestion) => Iterable<NestAnswer>,
): number {
  if (!question) return 0;
  const { offcuts: _, ...bare } = question;
  const forBoxes = (count: number): boolean => {
    const parts = bare.parts.map((part) => ({ ...part, count: (part.count / boxes) * count }));
    for (const { sheets } of nestings({ ...bare, parts })) if (sheets.length <= 1) return true;
    return false;
  };
  const area = bare.parts.reduce(
    (sum, part) => sum + part.width_mm * part.height_mm * (part.count / boxes),
    0,
  );
  let count = Math.min(60, Math.floor((bare.sheet.width_mm * bare.sheet.height_mm) / area));
  while (count > 0 && !forBoxes(count)) count -= 1;
  return count;
}
