import { placesIn } from '../../box/columns.ts';
import { withCompartments } from '../../box/editDesign.ts';
import { workersPass } from '../../box/gap.ts';
import { isEntrance } from '../../box/model.ts';
import { withoutPart, withPart } from '../../box/parts.ts';
import { mm as length } from '../../box/plainParts.ts';
import { bodiesOf, mainBody } from '../../box/stack.ts';
import { glazedAs } from '../../families/glazedAs.ts';
import { lengthOf } from '../../geometry/block.ts';
import { above, below } from '../../numbers.ts';
import { countOf } from '../../say/words.ts';
import { type Finding, fixed, limitOf, mm, nameOf, toHalf } from '../finding.ts';
import { own, type Part } from './own.ts';

/** Families that stand, travel, show, change formats and winter (handbook 2, families; handbook 8). */
const H8 = 'Special roles';

/** Four outside squares make one full-size body. */
export const quarter = own(({ model, design }) => {
  const small = model.stack.bodies.filter(
    ({ body }) =>
      body.beside ||
      model.stack.bodies.some(
        (next) =>
          next.body.beside && next.z[0] === model.stack.bodies.find((each) => each.body.id === body.id)?.z[0],
      ),
  );
  const sizes = (small.length > 0 ? small : model.stack.bodies).map(
    ({ outside }) => [lengthOf(outside.x), lengthOf(outside.y)] as const,
  );
  // One alone, or a stack of such, is held to the usual full size; side by side, to the body that they stand on.
  const base =
    small.length === 0
      ? undefined
      : model.stack.bodies.find(({ body }) => !small.some((each) => each.body.id === body.id));
  const [w, l] = base
    ? [lengthOf(base.outside.x), lengthOf(base.outside.y)]
    : [FULL_SQUARE_MM, FULL_SQUARE_MM];
  const off = Math.max(...sizes.flatMap(([x, y]) => [Math.abs(2 * x - w), Math.abs(2 * y - l)]));
  const first = small[0] ?? model.stack.bodies[0];
  return [
    {
      kind: 'fourMakeOne',
      severity: 'fault',
      holds: off < 0.5,
      places: small.map(({ body }) => body.id),
      figure: off,
      limit: fixed(0.5, 'What a gap does'),
      sentence:
        off < 0.5
          ? `Four of them make one ${mm(w)} × ${mm(l)}.`
          : `Two side by side miss the full size by ${mm(off)}: bees and rain get in.`,
      ...(first
        ? {
            fix: {
              label: `Make each ${mm(w / 2)} × ${mm(l / 2)} outside`,
              apply: () =>
                small.reduce(
                  (now, { body }) =>
                    withPart(now, body.id, {
                      insideWidth: length(w / 2 - 2 * body.wall.mm),
                      insideLength: length(l / 2 - 2 * body.wall.mm),
                    }),
                  design,
                ),
            },
          }
        : {}),
    },
  ];
});
const FULL_SQUARE_MM = 460;

/** Orientation is marked before anything is glued (requirement 24); seams are taped and frames guided before bees travel. */
export const foldedSheet = own(({ design }) => {
  const folding = design.folding ?? { seamsTaped: false, marked: false, guided: false };
  const check = (
    kind: string,
    field: 'marked' | 'seamsTaped' | 'guided',
    severity: Finding['severity'],
    yes: string,
    no: string,
    label: string,
  ): Part => ({
    kind,
    severity,
    holds: folding[field],
    sentence: folding[field] ? yes : no,
    fix: { label, apply: () => ({ ...design, folding: { ...folding, [field]: true } }) },
  });
  return [
    check(
      'foldMarked',
      'marked',
      'fault',
      'Outside and way up are marked on the sheet.',
      'Outside and way up are not marked: glued wrong, the door ends at the top.',
      'Mark it before gluing',
    ),
    check(
      'seamsTaped',
      'seamsTaped',
      'danger',
      'All seams are taped.',
      'Seams are not taped: bees come out on the way.',
      'Tape every seam',
    ),
    check(
      'framesGuided',
      'guided',
      'danger',
      'The feet of the frames are guided.',
      'Frames can swing and crush the queen.',
      'Guide their feet',
    ),
  ];
});

/** What is looked at through glass: a queen shown above an excluder, whole boxes with a frame left out, walls with doors. */
export const observation = own(({ model, design }) => {
  const panes = model.stack.bodies.filter(({ body }) => body.glass.length > 0);
  const as = glazedAs(design);
  const plain = model.stack.bodies.filter(
    ({ body }) => body.glass.length === 0 && body.bays.some(({ frames }) => frames.length > 0),
  );
  if (as === 'frame') {
    const sheet = model.stack.sheets.find(
      ({ sheet: each }) =>
        each.what === 'excluder' || each.holes.some(({ closedBy }) => closedBy === 'excluder'),
    );
    const open = model.stack.sheets
      .flatMap(({ sheet: each }) => each.holes)
      .find(({ closedBy }) => closedBy === 'nothing');
    return [
      {
        kind: 'viewing',
        severity: 'danger',
        holds: sheet !== undefined,
        places: panes.map(({ body }) => body.id),
        sentence: sheet
          ? 'An excluder keeps the shown queen above the nucleus.'
          : 'Nothing keeps the shown queen above: she walks down into the nucleus.',
        ...(open
          ? {
              fix: {
                label: 'Lay an excluder over the opening',
                apply: () => withPart(design, open.id, { closedBy: 'excluder' }),
              },
            }
          : {}),
      },
    ];
  }
  if (as === 'lifting') {
    const body = plain[0]?.body ?? mainBody(design);
    const room = Math.floor(body.insideWidth.mm / body.format.pitch_mm);
    const count = placesIn(body.bays);
    return [
      {
        kind: 'viewing',
        severity: 'care',
        holds: count <= room - 1,
        places: [body.id],
        figure: count,
        limit: fixed(room - 1, 'Fit of frames'),
        unit: 'frames',
        sentence:
          count <= room - 1
            ? `${countOf(count, 'frame')} of ${room}: each can be lifted through the fixed top.`
            : `${countOf(count, 'frame fills', 'frames fill')} it: none can be lifted through a fixed top; leave one out.`,
        fix: {
          label: 'Leave one frame out',
          apply: () => withCompartments(design, [room - 1], length(9.5), body.id),
        },
      },
    ];
  }
  const doors = panes.every(({ body }) => body.doors);
  return [
    {
      kind: 'viewing',
      severity: 'care',
      holds: doors,
      places: panes.map(({ body }) => body.id),
      sentence: doors
        ? 'Insulated doors shut over the panes.'
        : 'The panes have no doors: the nest is lit and loses warmth all day.',
      fix: {
        label: 'Hang insulated doors',
        apply: () => panes.reduce((now, { body }) => withPart(now, body.id, { doors: true }), design),
      },
    },
  ];
});

/** Cheeks take the smaller frames below; the larger ones above are shut off by a fitted excluder with an entrance between. */
export const changer = own(({ model, design, limits }) => {
  const lower = bodiesOf(design).find(({ cheeks }) => cheeks);
  const upper = model.stack.bodies.at(-1);
  const doors = model.openings.filter(isEntrance).filter(({ body }) => body.body.id === upper?.body.id);
  const format = lower?.bays.find((bay) => bay.format)?.format;
  const { endLeast, endMost } = limits;
  const spare =
    lower && format
      ? (lower.insideLength.mm - 2 * (lower.cheeks?.inset.mm ?? 0) - format.bodyLength_mm) / 2
      : 0;
  const holds =
    lower !== undefined && format !== undefined && !below(spare, endLeast) && !above(spare, endMost);
  const between = (endLeast + endMost) / 2;
  return [
    {
      kind: 'cheeksFit',
      severity: 'fault',
      holds,
      places: lower ? [lower.id] : [],
      figure: spare,
      limit: limitOf(limits, above(spare, endMost) ? 'endMost' : 'endLeast'),
      sentence: holds
        ? `The cheeks leave ${mm(spare)} at the ends of the smaller frames.`
        : `The cheeks leave ${mm(spare)} at the ends of the smaller frames; ${endLeast} to ${mm(endMost)} is right.`,
      ...(lower?.cheeks && format
        ? {
            fix: {
              label: `Set the cheeks to ${mm(toHalf(between))}`,
              apply: () =>
                withPart(design, lower.id, {
                  cheeks: {
                    inset: length((lower.insideLength.mm - format.bodyLength_mm) / 2 - toHalf(between)),
                    thickness: lower.cheeks?.thickness ?? length(35),
                  },
                }),
            },
          }
        : {}),
    },
    {
      kind: 'doorBetween',
      severity: 'care',
      holds: doors.length > 0,
      places: upper ? [upper.body.id] : [],
      sentence:
        doors.length > 0
          ? 'The upper body has an entrance of its own above the excluder.'
          : `The upper body has no entrance of its own (${H8}, changing format).`,
    },
  ];
});

/** Nothing but air, if that, reaches the void behind a follower. */
export const followerReduced = own(({ model, design }) => {
  const voids = model.spaces.filter(({ kind }) => kind === 'void');
  const doors = model.openings.filter(({ serves }) =>
    serves.some(({ space }) => voids.some(({ id }) => id === space)),
  );
  const ways = model.passages.filter(
    ({ between, gap_mm, reason }) =>
      workersPass(gap_mm) && reason !== 'slots' && between.some((id) => voids.some((each) => each.id === id)),
  );
  const holes = ways.filter(({ reason }) => reason === 'hole' || reason === 'joint');
  return [
    {
      kind: 'voidShut',
      severity: 'care',
      holds: voids.length > 0 && doors.length === 0 && holes.length === 0,
      places: [...voids.map(({ id }) => id), ...doors.map(({ id }) => id)],
      sentence:
        voids.length === 0
          ? 'No follower closes the cavity.'
          : doors.length > 0
            ? `An entrance opens into the void ${nameOf(model, voids[0]?.id ?? '').toLowerCase()}: robbers and mice live there.`
            : holes.length > 0
              ? 'A feeder spans the follower: a few bees, rarely the queen, get into the empty side.'
              : 'Nothing opens into the void behind the follower.',
      ...(doors.length > 0
        ? {
            fix: {
              label: 'Plug that entrance',
              apply: () => doors.reduce((now, { id }) => withoutPart(now, id), design),
            },
          }
        : {}),
    },
  ];
});
