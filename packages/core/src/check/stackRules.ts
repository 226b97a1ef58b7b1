import type { DesignContent, Sheet } from '@yellow-cell/contract';
import { dronesPass, workersPass } from '../box/gap.ts';
import { isEntrance } from '../box/model.ts';
import { withLayers, withPart } from '../box/parts.ts';
import { coverSheet, mm as length } from '../box/plainParts.ts';
import { bodiesOf, narrowest } from '../box/stack.ts';
import { common, isReal } from '../geometry/block.ts';
import { above } from '../numbers.ts';
import { type Finding, fixed, limitOf, mm, nameOf, namesOf, type Rule } from './finding.ts';

/** Walls stand on walls: nothing of a layer's opening is left uncovered, from above or below (requirement 6). */
const closedJoints: Rule = ({ model, design, limits }) => {
  const joints = model.stack.bodies.filter(({ z }) => z[1] < model.stack.top - 1e-9);
  return joints.map(({ body, z }): Finding => {
    const widestAt = (end: 0 | 1): number =>
      Math.max(0, ...model.openStrips.filter((strip) => Math.abs(strip.z[end] - z[1]) < 1e-9).map(narrowest));
    const [uncovered, hanging] = [widestAt(0), widestAt(1)];
    const widest = Math.max(uncovered, hanging);
    const holds = !above(widest, limits.wallStep);
    return {
      kind: 'closedJoint',
      severity: 'fault',
      holds,
      places: [body.id],
      figure: widest,
      limit: limitOf(limits, 'wallStep'),
      sentence: holds
        ? 'What stands on it covers the body to the millimetre.'
        : uncovered >= hanging
          ? `What stands on it leaves a strip of ${mm(widest)} open above the body.`
          : `What stands on it hangs over it, open below by a strip of ${mm(widest)}.`,
      fix: { label: 'Set it over the opening', apply: () => centred(design, body.id) },
    };
  });
};

/** Moves the bodies that stand on another so that together they stand over the middle of its outside. */
function centred(design: DesignContent, below: string): DesignContent {
  const bodies = bodiesOf(design);
  const at = bodies.findIndex(({ id }) => id === below);
  const base = bodies[at];
  const rest = bodies.slice(at + 1);
  const last = rest.findIndex(({ beside }, index) => index > 0 && !beside);
  const level = last === -1 ? rest : rest.slice(0, last);
  if (!base || level.length === 0) return design;
  const least = (axis: 'x' | 'y') => Math.min(...level.map(({ offset, wall }) => offset[axis].mm - wall.mm));
  const most = (axis: 'x' | 'y') =>
    Math.max(
      ...level.map(
        (body) =>
          body.offset[axis].mm + body.wall.mm + (axis === 'x' ? body.insideWidth.mm : body.insideLength.mm),
      ),
    );
  const middle = {
    x: base.offset.x.mm + base.insideWidth.mm / 2,
    y: base.offset.y.mm + base.insideLength.mm / 2,
  };
  return level.reduce(
    (now, { id, offset }) =>
      withPart(now, id, {
        offset: {
          x: length(offset.x.mm + middle.x - (least('x') + most('x')) / 2),
          y: length(offset.y.mm + middle.y - (least('y') + most('y')) / 2),
        },
      }),
    design,
  );
}

/** Several compartments under one cover cannot be opened one at a time (requirement 13, handbook 2, covers). */
const ownCovers: Rule = ({ model, design }) => {
  const topOf = (spaces: readonly string[]) =>
    Math.max(...model.spaces.filter(({ id }) => spaces.includes(id)).map(({ block }) => block.z[1]));
  const top = Math.max(0, ...model.compartments.map(({ spaces }) => topOf(spaces)));
  const queens = model.compartments.filter(
    ({ use, spaces }) => use !== 'nothing' && use !== 'stores' && topOf(spaces) >= top - 1e-9,
  );
  if (queens.length < 2) return [];
  const sheet = model.stack.sheets.find(
    ({ block, sheet: each }) => block.z[0] >= top - 1e-9 && each.what !== 'excluder',
  )?.sheet;
  const holds = sheet ? sheet.each : design.roof.each;
  return [
    {
      kind: 'ownCovers',
      severity: 'care',
      holds,
      places: sheet ? [sheet.id] : ['roof'],
      sentence: holds
        ? 'Each compartment has its own cover.'
        : `${namesOf(
            model,
            queens.map(({ spaces }) => spaces[0] ?? ''),
          )} lie under one cover: opened together, bees mix and a queen can run across.`,
      fix: { label: 'Give each its own cover', apply: () => withOwnCovers(design, sheet) },
    },
  ];
};

function withOwnCovers(design: DesignContent, sheet: Sheet | undefined): DesignContent {
  if (sheet) return withPart(design, sheet.id, { each: true });
  return withLayers(design, (layers, ids) => [...layers, coverSheet(ids.next('sheet'))]);
}

/** A feeder that opens to two compartments joins them (requirement 13). */
const feeders: Rule = ({ model }) =>
  model.spaces
    .filter(({ kind }) => kind === 'rim' || kind === 'roof')
    .map((room): Finding => {
      const joined = model.passages.filter(
        ({ between, gap_mm }) => between.includes(room.id) && workersPass(gap_mm),
      );
      const from = [...new Set(joined.flatMap(({ between }) => between).filter((id) => id !== room.id))];
      const compartments = model.compartments.filter(
        ({ spaces, use }) => use !== 'nothing' && spaces.some((id) => from.includes(id)),
      );
      const holds = compartments.length < 2;
      return {
        kind: 'feederShared',
        severity: 'danger',
        holds,
        places: [room.id, ...compartments.flatMap(({ spaces }) => spaces.slice(0, 1))],
        sentence: holds
          ? `${room.name} joins no two compartments.`
          : `${room.name} opens to ${compartments.map(({ name }) => name).join(' and ')}: one tray joins them.`,
      };
    });

/** Strips of the front rim and the slots between them fill the inside width (requirement 2). */
const stripsClose: Rule = ({ design, model }) => {
  const { strips, lip } = design.floor;
  const first = bodiesOf(design)[0];
  if (strips.length === 0 || !first) return [];
  const slots = model.openings.filter(({ opening, z }) => opening.side === 'front' && z[0] < lip.mm - 1e-9);
  const sum =
    strips.reduce((total, { mm: each }) => total + each, 0) +
    slots.reduce((total, { opening }) => total + opening.width.mm, 0);
  const off = sum - first.insideWidth.mm;
  const holds = Math.abs(off) < 0.5;
  const last = strips.length - 1;
  return [
    {
      kind: 'stripsClose',
      severity: 'fault',
      holds,
      places: ['floor'],
      figure: sum,
      limit: fixed(first.insideWidth.mm, 'Formats'),
      sentence: holds
        ? `Strips and entrance come to ${mm(sum)}, the inside width.`
        : `Strips and entrance come to ${mm(sum)}, the inside width is ${mm(first.insideWidth.mm)}: ${mm(Math.abs(off))} too ${off > 0 ? 'much' : 'little'}.`,
      fix: {
        label: `Make the last strip ${mm(Math.abs(off))} ${off > 0 ? 'shorter' : 'longer'}`,
        apply: () => ({
          ...design,
          floor: {
            ...design.floor,
            strips: strips.map((strip, index) =>
              index === last ? length(Math.max(1, strip.mm - off)) : strip,
            ),
          },
        }),
      },
    },
  ];
};

/** Every stack holds together and closes (requirement 18). */
const complete: Rule = ({ design, model }) => {
  const top = design.layers.at(-1);
  const covered = top?.kind === 'sheet' || design.roof.kind === 'glazed' || design.roof.each;
  const bodies = bodiesOf(design).length;
  const held = design.fastenings.length > 0 || (design.floor.fixed && bodies === 1);
  return [
    {
      kind: 'fastened',
      severity: 'care',
      holds: held,
      places: ['roof'],
      sentence: held
        ? `The stack is held together: ${design.fastenings.join(', ') || 'fixed'}.`
        : 'Nothing holds the stack together: it opens when it is carried.',
      fix: { label: 'Add a strap', apply: () => ({ ...design, fastenings: ['strap'] }) },
    },
    {
      kind: 'innerCover',
      severity: 'care',
      holds: covered,
      places: [top?.id ?? ''],
      sentence: covered
        ? 'An inner cover lies under the roof.'
        : 'There is no inner cover: the roof is glued to the frames.',
      fix: {
        label: 'Lay an inner cover',
        apply: () =>
          withLayers(design, (layers, ids) => [
            ...layers,
            coverSheet(ids.next('sheet'), { each: model.compartments.length > 1 }),
          ]),
      },
    },
  ];
};

/** An excluder has a format: it must cover the body that it lies on (requirement 114). */
const excluderFits: Rule = ({ design, model }) =>
  model.stack.sheets
    .filter(({ sheet }) => sheet.what === 'excluder' || sheet.what === 'screen')
    .map(({ sheet, layer }): Finding => {
      const below = design.layers.slice(0, layer).findLast((each) => each.kind === 'body');
      const name = below?.kind === 'body' ? below.format.name : '';
      const holds =
        sheet.fits !== '' &&
        (sheet.fits === name || sheet.fits === (below?.kind === 'body' ? below.format.id : ''));
      return {
        kind: 'excluderFormat',
        severity: 'care',
        holds,
        places: [sheet.id],
        sentence: holds
          ? `The ${sheet.what} is cut for ${sheet.fits}.`
          : `The ${sheet.what} ${sheet.fits ? `is cut for ${sheet.fits}` : 'has no format'}; the body below is ${name}: bees pass beside it.`,
        fix: { label: `Use one for ${name}`, apply: () => withPart(design, sheet.id, { fits: name }) },
      };
    });

/** Drones below an excluder need a way out (requirement 100). */
const dronesOut: Rule = ({ design, model }) =>
  model.stack.sheets
    .filter(({ sheet }) => sheet.what === 'excluder')
    .flatMap(({ sheet, block }): Finding[] => {
      const rooms = [
        {
          word: 'below',
          spaces: model.spaces.filter(
            ({ kind, block: room }) => kind === 'frames' && room.z[1] <= block.z[0] + 1e-9,
          ),
        },
        {
          word: 'above',
          spaces: model.spaces.filter(
            ({ kind, block: room }) => kind === 'frames' && room.z[0] >= block.z[1] - 1e-9,
          ),
        },
      ];
      return rooms.flatMap(({ word, spaces }): Finding[] => {
        if (spaces.length === 0) return [];
        const out = model.openings
          .filter(isEntrance)
          .some(
            ({ opening, serves }) =>
              (opening.state === 'open' || opening.state === 'reduced') &&
              serves.some(
                ({ space, clear_mm }) => dronesPass(clear_mm) && spaces.some(({ id }) => id === space),
              ),
          );
        return [
          {
            kind: 'dronesOut',
            severity: 'care',
            holds: out,
            places: [sheet.id, ...spaces.map(({ id }) => id)],
            sentence: out
              ? `Drones ${word} the excluder have a way out.`
              : `Drones ${word} the excluder have no way out: dead ones clog it.`,
            fix: {
              label: 'Open an entrance there',
              apply: () =>
                openOne(
                  design,
                  model.openings
                    .filter(isEntrance)
                    .filter(({ serves }) => serves.some(({ space }) => spaces.some(({ id }) => id === space)))
                    .map(({ id }) => id),
                ),
            },
          },
        ];
      });
    });

const openOne = (design: DesignContent, ids: readonly string[]): DesignContent =>
  ids[0] ? withPart(design, ids[0], { state: 'open' }) : design;

/** Bodies that stand side by side do not stand in each other. */
const besideEachOther: Rule = ({ model }) =>
  model.stack.bodies.flatMap((a, index) =>
    model.stack.bodies.slice(index + 1).flatMap((b): Finding[] => {
      if (Math.abs(a.z[0] - b.z[0]) > 1e-9) return [];
      const [x, y] = [common(a.outside.x, b.outside.x), common(a.outside.y, b.outside.y)];
      const over = isReal(x) && isReal(y) ? Math.min(x[1] - x[0], y[1] - y[0]) : 0;
      return [
        {
          kind: 'sideBySide',
          severity: 'fault',
          holds: over <= 1e-6,
          places: [a.body.id, b.body.id],
          figure: over,
          limit: fixed(0, 'What a gap does'),
          sentence:
            over <= 1e-6 ? 'The bodies stand side by side.' : `Two bodies stand ${mm(over)} in each other.`,
        },
      ];
    }),
  );

/** Frames' places are numbered from the left, seen from above with the front nearest (requirement 22). */
const slotNumbers: Rule = ({ model }) =>
  model.compartments
    .filter(({ frames }) => frames.length > 0)
    .slice(0, 1)
    .map(
      ({ spaces }): Finding => ({
        kind: 'slotsNumbered',
        severity: 'note',
        holds: true,
        places: spaces,
        sentence: `Frames are numbered from the left, seen from above with the front nearest; the first stands in ${nameOf(model, spaces[0] ?? '')}.`,
      }),
    );

export const stackRules: readonly Rule[] = [
  closedJoints,
  besideEachOther,
  feeders,
  ownCovers,
  excluderFits,
  dronesOut,
  stripsClose,
  complete,
  slotNumbers,
];
