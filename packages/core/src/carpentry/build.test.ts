import type { DesignContent, Family, NestAnswer, StockSheet } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { bodiesOf } from '../box/stack.ts';
import { withPrinted } from '../box/withPrinted.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { observation } from '../families/observation.ts';
import { nest, nestRounds } from '../nest/nest.ts';
import { parts, parts as partsOf } from './parts.ts';
import { bedProblem, printerFor, printPlan, usualPrinter } from './print.ts';
import { boxesPerSheet, costOf, sheetGroups, worthKeeping } from './sheets.ts';
import { buildSteps, earliestDays } from './steps.ts';
import { stockAfter } from './stockAfter.ts';
import { usualWorkshop } from './workshop.ts';

const wanted = (boxes: number) => [
  { design: 'three-way', boxes, parts: parts({ design: familyDesign('threeWay') }).parts },
];
const { stock } = usualWorkshop;

describe('a cut list', () => {
  it('has every part of every box, by material and thickness, on the smallest sheet that takes it', () => {
    const groups = sheetGroups(wanted(4), stock, 3);
    const count = groups.flatMap((group) => group.parts).reduce((sum, part) => sum + part.count, 0);
    expect(count).toBe(4 * (wanted(1)[0]?.parts.reduce((sum, part) => sum + part.count, 0) ?? 0));
    const thin = groups.find(({ material, thickness_mm }) => material === 'plywood' && thickness_mm === 3);
    expect(thin?.sheet?.name).toBe('Plywood 1220 × 610');
    for (const { parts: own, material } of groups)
      if (material === 'pine') expect(own.every(({ turn }) => !turn)).toBe(true);
  });

  it('rips strips from stock that is as thick as they are wide', () => {
    const strips = sheetGroups(wanted(1), stock, 3).filter(({ parts: own }) =>
      own.some(({ name }) => name.includes('Rim strip')),
    );
    expect(strips.map(({ thickness_mm }) => thickness_mm)).toEqual([19]);
    expect(strips[0]?.remark).toBeNull();
  });

  it('says what no stock is kept of, and what is larger than any', () => {
    const none = sheetGroups(wanted(1), [], 3);
    expect(none.every(({ remark }) => remark?.includes('reckoned on 2440 × 1220'))).toBe(true);
    const small = stock.map((each): StockSheet => ({ ...each, width_mm: 200, height_mm: 200 }));
    const refused = sheetGroups(wanted(1), small, 3).filter(({ question }) => !question);
    expect(refused.length).toBeGreaterThan(0);
    for (const { remark } of refused) expect(remark).toContain('larger than any');
    const panes = sheetGroups(
      [{ design: 'w', boxes: 1, parts: parts({ design: observation('wall') }).parts }],
      stock,
      3,
    );
    expect(panes.find(({ material }) => material === 'glass')?.remark).toContain('cut to size');
  });

  it('costs its sheets where their price is known, and says how many boxes one gives', () => {
    const priced = stock.map((each) => ({ ...each, price: 40 }));
    const [group] = sheetGroups(wanted(2), priced, 3);
    if (!group?.question) throw new Error('Nothing to lay.');
    const answer = nest(group.question);
    expect(costOf(group, answer)).toBe(40 * answer.sheets.length);
    const [unpriced] = sheetGroups(wanted(2), stock, 3);
    expect(unpriced && costOf(unpriced, answer)).toBeNull();
    const per = boxesPerSheet(group, 2, nestRounds);
    const whole = (boxes: number) => {
      const [again] = sheetGroups(wanted(boxes), stock, 3);
      return again?.question ? nest(again.question).sheets.length : 0;
    };
    expect(whole(per)).toBe(1);
    expect(whole(per + 1)).toBeGreaterThan(1);
  });

  it('uses up pieces at hand, and keeps offcuts worth keeping, once it is sawn', () => {
    const offcut: StockSheet = {
      id: 'piece',
      name: 'Piece',
      material: 'plywood',
      thickness_mm: 19,
      width_mm: 900,
      height_mm: 520,
      atHand: 2,
      price: null,
    };
    const all = [...stock, offcut];
    const sawn = sheetGroups(wanted(1), all, 3).flatMap((group) =>
      group.question ? [{ group, answer: nest(group.question) }] : [],
    );
    const used = sawn
      .flatMap(({ answer }) => answer.sheets)
      .filter((sheet) => sheet.offcut === 'Piece').length;
    expect(used).toBeGreaterThan(0);
    let next = 0;
    const after = stockAfter(all, sawn, defaultConstants, () => `new-${next++}`);
    expect(after.find(({ id }) => id === 'piece')?.atHand ?? 0).toBe(2 - used);
    const kept = sawn.flatMap(({ answer }) => worthKeeping(answer, defaultConstants));
    expect(after.filter(({ id }) => id.startsWith('new-'))).toHaveLength(kept.length);
    expect(after.filter(({ atHand }) => atHand === null)).toHaveLength(stock.length);
    const empty: NestAnswer = { sheets: [], yield: 0, bound: 0 };
    expect(worthKeeping(empty, defaultConstants)).toEqual([]);
  });
});

describe('the steps', () => {
  it.each(families.map(({ family }) => family))(
    'of %s name only its own parts, warn where they can hurt, and end with the dry check',
    (family) => {
      const design = familyDesign(family);
      const keys = parts({ design }).parts.map(({ key }) => key);
      const steps = buildSteps(design, 'butt', defaultConstants);
      for (const step of steps) for (const key of step.parts) expect(keys).toContain(key);
      const order = steps.map(({ key }) => key);
      expect(order.at(-1)).toBe('dryCheck');
      expect(new Set(order).size).toBe(order.length);
      const before = (one: string, other: string) => {
        if (order.includes(one) && order.includes(other))
          expect(order.indexOf(one)).toBeLessThan(order.indexOf(other));
      };
      before('machine', 'glue');
      before('mesh', 'covers');
      before('orient', 'cut');
      before('finish', 'panes');
      const caution = (key: string) => steps.find((step) => step.key === key)?.caution;
      if (order.includes('cut')) expect(caution('cut')).toContain('guard');
      if (order.includes('panes')) expect(caution('panes')).toContain('Glass');
      if (order.includes('finish')) expect(caution('finish')).toContain('no flame');
      before('mesh', 'fold');
      // Every part is in some step: nothing is cut and then forgotten.
      const named = new Set(steps.flatMap((step) => step.parts));
      expect(keys.filter((key) => !named.has(key))).toEqual([]);
    },
  );

  it('name what is used alone: no saw for a sheet’s windows, no wax on foam, no finish on plastic', () => {
    const stepsOf = (design: DesignContent) => buildSteps(design, 'butt', defaultConstants);
    const folded = stepsOf(familyDesign('foldedSheet'));
    expect(folded.map(({ key }) => key)).toContain('mesh');
    expect(folded.find(({ key }) => key === 'finish')).toBeUndefined();
    expect(folded.find(({ key }) => key === 'mesh')?.tools).not.toContain('stapler');
    const printed = stepsOf(familyDesign('smallFormat'));
    expect(printed.map(({ key }) => key)).toContain('print');
    expect(printed.flatMap(({ tools }) => tools).join(' ')).not.toMatch(/saw|router|stapler|drill/);
    const made = (material: 'pine' | 'foam' | 'plastic') => {
      const design = familyDesign('nucleus');
      const layers = design.layers.map((layer) => (layer.kind === 'body' ? { ...layer, material } : layer));
      return stepsOf({ ...design, layers }).find(({ key }) => key === 'finish');
    };
    expect(made('pine')?.text).toContain('wax');
    expect(made('foam')?.text).not.toContain('wax');
    expect(made('foam')?.caution).not.toContain('wax');
    expect(made('plastic')).toBeUndefined();
    const covers = (family: Family) =>
      stepsOf(familyDesign(family)).find(({ key }) => key === 'covers')?.text;
    expect(covers('nucleus')).not.toContain('its own cover');
    expect(covers('threeWay')).toContain('its own cover');
  });

  it('wait for what dries: bees come two days after the finish', () => {
    const steps = buildSteps(familyDesign('nucleus'), 'butt', defaultConstants);
    const days = earliestDays(steps);
    const at = (key: string) => days[steps.findIndex((step) => step.key === key)] ?? 0;
    expect(at('dryCheck') - at('finish')).toBe(defaultConstants.airing_d);
    expect(at('floor')).toBe(1);
  });
});

describe('printed parts', () => {
  const small = familyDesign('smallFormat');
  it('fit the bed of the small format, and take plastic and time by the handbook’s rule', () => {
    const bed = printerFor(small, null);
    const plan = printPlan(small, bed, defaultConstants);
    const body = plan.find(({ of }) => of === deriveBox(small).stack.bodies[0]?.body.id);
    expect(body?.split.slice(0, 2)).toEqual([1, 1]);
    for (const { volume_cm3, hours, grams } of plan) {
      expect(hours * 3_600).toBeCloseTo(
        (volume_cm3 * 1_000 * 1.25) / (bed.nozzle_mm * bed.layer_mm * bed.speed_mms),
        6,
      );
      expect(grams / volume_cm3).toBeCloseTo(1.27, 6);
    }
    expect(bedProblem(plan)).toBeUndefined();
  });

  it('of a full body fit no 400 mm bed, and are split with connectors; a tiny bed is refused', () => {
    const large = familyDesign('threeWay');
    const [body] = printPlan(
      large,
      { ...usualPrinter, width_mm: 400, length_mm: 400, height_mm: 400 },
      defaultConstants,
    ).filter(({ name }) => name.includes('body'));
    expect((body?.split[0] ?? 0) * (body?.split[1] ?? 0)).toBeGreaterThan(1);
    expect(body?.connectors).toBeGreaterThan(0);
    const tiny = printPlan(
      large,
      { ...usualPrinter, width_mm: 60, length_mm: 60, height_mm: 60 },
      defaultConstants,
    );
    expect(bedProblem(tiny)).toContain('too small');
  });

  it('are the parts of the box, of one stuff, as heavy as the plan says, and no sheet is cut for them', () => {
    const plan = printPlan(small, printerFor(small, null), defaultConstants);
    const { parts, closures, weights } = partsOf({ design: small });
    const printed = parts.filter((part) => part.printed);
    expect(printed.map(({ of, name, weight_kg }) => [of, name, weight_kg * 1_000])).toEqual(
      plan.map(({ of, name, grams }) => [of, name, expect.closeTo(grams, 9)]),
    );
    for (const [at, { length_mm, width_mm, thickness_mm, material }] of printed.entries()) {
      const [x = 0, y = 0, z = 0] = plan[at]?.size_mm ?? [];
      expect([length_mm, width_mm, thickness_mm, material]).toEqual([
        Math.max(x, y),
        Math.min(x, y),
        z,
        'plastic',
      ]);
    }
    // What is laid into them is as in any other box: a mesh in the tray.
    const others = parts.filter((part) => !part.printed);
    expect(others.map(({ material }) => material)).toContain('mesh');
    expect(others.map(({ material }) => material)).not.toContain('pine');
    expect(new Set(parts.map(({ key }) => key)).size).toBe(parts.length);
    const groups = sheetGroups([{ design: 'x', boxes: 1, parts }], [], 3);
    expect(groups.flatMap((group) => group.parts)).toHaveLength(others.length);
    expect(closures).toEqual([]);
    expect(weights.empty_kg).toBeCloseTo(
      parts.reduce((sum, { count, weight_kg }) => sum + count * weight_kg, 0),
      9,
    );
  });

  it('make a box of plastic of one of wood, and of wood again; what is folded is not printed', () => {
    const wood = familyDesign('nucleus');
    const made = withPrinted(wood, small.bed);
    const stuff = (design: DesignContent) => new Set(bodiesOf(design).map(({ material }) => material));
    expect(stuff(made)).toEqual(new Set(['plastic']));
    expect(partsOf({ design: made }).parts.some((part) => part.printed)).toBe(true);
    expect(withPrinted(made, null)).toEqual(wood);
    expect(stuff(withPrinted(familyDesign('foldedSheet'), null))).toEqual(stuff(familyDesign('foldedSheet')));
    const folded = { ...familyDesign('foldedSheet'), bed: small.bed };
    expect(partsOf({ design: folded }).parts.some((part) => part.printed)).toBe(false);
  });

  it('with a wide flat opening say that it is printed over air', () => {
    const slot = printPlan(familyDesign('foldedSheet'), usualPrinter, defaultConstants).find(
      ({ overhang_mm }) => overhang_mm > 25,
    );
    expect(slot?.sentence).toContain('over air');
  });
});
