import type { NestQuestion } from '@yellow-cell/contract';
import { familyDesign, nest, parts, seededRandom, sheetGroups, usualWorkshop } from '@yellow-cell/core';
import { firstFit, sawnApart } from '../../packages/core/src/nest/nest.test.kit.ts';
import type { Figure } from './figure.ts';

export const nestFigures = (): Figure[] => [...perfectNestFigures(), ...boxNestFigures(), manyPartsFigure()];

/** Parts sawn from whole sheets: the sheets that they came from are the known best. */
function perfectNestFigures(): Figure[] {
  let [used, best, rows, slowest] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 24; seed++) {
    const sheets = 1 + (seed % 3);
    const question = sawnApart(seed * 7, sheets, 40, 3);
    const started = performance.now();
    used += nest(question).sheets.length;
    slowest = Math.max(slowest, performance.now() - started);
    best += sheets;
    rows += firstFit(question);
  }
  return [
    {
      what: 'sheets used for 24 sets sawn from known sheets',
      ours: used,
      baseline: best,
      unit: '',
      against: `the known best (rows first-fit: ${rows})`,
      holds: used <= best * 1.1,
      wanted: 'at most a tenth more',
    },
    {
      what: 'slowest of them',
      ours: slowest,
      baseline: 2_000,
      unit: 'ms',
      against: 'the bound',
      holds: slowest <= 2_000,
      wanted: 'within 2 s',
    },
  ];
}

/** Ten boxes of four designs: sheets of every material and thickness against the fewest that their area allows. */
function boxNestFigures(): Figure[] {
  const wanted = (['threeWay', 'fourWay', 'nucleus', 'donorHolding'] as const).map((family, index) => ({
    design: family,
    boxes: [3, 2, 3, 2][index] ?? 1,
    parts: parts({ design: familyDesign(family) }).parts,
  }));
  const groups = sheetGroups(wanted, usualWorkshop.stock, 3).filter(({ question }) => question);
  return groups.map(({ key, question }): Figure => {
    const answer = nest(question as NestQuestion);
    return {
      what: `sheets of ten mixed boxes, ${key}`,
      ours: answer.sheets.length,
      baseline: answer.bound,
      unit: '',
      against: `the bound by area (${Math.round(answer.yield * 100)} % in parts)`,
      holds: answer.sheets.length <= answer.bound + 1,
      wanted: 'within one sheet',
    };
  });
}

/** Two hundred parts of forty kinds, as a workshop would cut them in a day. */
function manyPartsFigure(): Figure {
  const random = seededRandom(9);
  const list = Array.from({ length: 40 }, (_, index) => ({
    name: `P${index}`,
    width_mm: Math.round(120 + random() * 500),
    height_mm: Math.round(60 + random() * 260),
    count: 5,
    turn: index % 3 !== 0,
  }));
  const started = performance.now();
  const answer = nest({ sheet: { width_mm: 2_440, height_mm: 1_220 }, kerf_mm: 3, parts: list });
  const took = performance.now() - started;
  return {
    what: `200 parts on sheets (${answer.sheets.length}, ${answer.bound} by area)`,
    ours: took,
    baseline: 2_000,
    unit: 'ms',
    against: 'the bound',
    holds: took <= 2_000,
    wanted: 'within 2 s',
  };
}
