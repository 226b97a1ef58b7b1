import { withDummy } from '../box/dummy.ts';
import { hasEqualSlack, withEqualSlack, withFramesIn } from '../box/editDesign.ts';
import { fitSentence } from '../box/fitSentence.ts';
import { withPart } from '../box/parts.ts';
import { mm as length, paneOf } from '../box/plainParts.ts';
import type { Space } from '../box/spaces.ts';
import { bodiesOf } from '../box/stack.ts';
import { ledgeFor, rebateFor, wallFor } from '../formats/lugs.ts';
import { above, below } from '../numbers.ts';
import { MM_PER_INCH } from '../units/length.ts';
import { boardName, type Finding, fixed, limitOf, mm, type Rule, type Scene } from './finding.ts';

/** Frames in their compartments: the slack, and what would put it right (handbook 2, fit; requirements 1 and 7). */
const slack: Rule = (scene) => {
  const { model, limits, design } = scene;
  return model.compartments.flatMap(({ fits }) =>
    fits.flatMap((fit): Finding[] => {
      const space = model.spaces.find(({ id }) => id === fit.space);
      if (!space?.body || (fit.frames === 0 && space.bays.every(({ frames }) => frames.length === 0)))
        return [];
      // Under a fixed glazed top one frame's room is left on purpose (handbook 2, fit).
      const leftOut = design.roof.kind === 'glazed' && space.body.body.glass.length === 0 && fit.oneMoreFits;
      const slack_mm = leftOut
        ? fit.slack_mm - (space.bays[0]?.format ?? space.body.body.format).pitch_mm
        : fit.slack_mm;
      const single = space.body.body.glass.length >= 2 && fit.frames === 1;
      const jams = below(slack_mm, limits.slackJams) && !single;
      const tight = !jams && below(slack_mm, limits.slackTight) && !single;
      const loose = above(slack_mm, limits.slackLoose);
      const board = above(slack_mm, limits.slackBoard);
      const holds = !jams && !tight && !loose;
      const limit = jams ? 'slackJams' : tight ? 'slackTight' : board ? 'slackBoard' : 'slackLoose';
      return [
        {
          kind: 'slack',
          severity: slack_mm < 0 || jams ? 'fault' : 'care',
          holds: holds || (loose && !board),
          places: [fit.space],
          figure: slack_mm,
          limit: limitOf(limits, limit),
          sentence: `${space.name}: ${fitSentence(fit, 'mm')}`,
          ...fixIf(holds ? undefined : slackFix(scene, space, slack_mm, fit.oneMoreFits)),
        },
      ];
    }),
  );
};

const fixIf = (fix: Finding['fix']): Pick<Finding, 'fix'> => (fix ? { fix } : {});

function slackFix(
  { design, model, limits }: Scene,
  space: Space,
  slack_mm: number,
  oneMoreFits: boolean,
): Finding['fix'] {
  const body = space.body?.body;
  const bay = space.bays[0];
  const frames = bay?.frames.length ?? 0;
  if (!body || !bay) return undefined;
  const even = withEqualSlack(design, body.id);
  if (!hasEqualSlack(body) && body.boards.length > 0) {
    const first = body.boards[0]?.id ?? '';
    const from = model.boards.find(({ board }) => board.id === first)?.x[0] ?? 0;
    const to = bodiesOf(even).find(({ id }) => id === body.id)?.grooves[0]?.at.mm ?? 0;
    const number =
      body.boards.length === 1 ? `Shift the divider ${mm(Math.abs(to - from))}` : 'Give all the same slack';
    return { label: number, apply: () => even };
  }
  if (below(slack_mm, limits.slackTight))
    return { label: 'Take out a frame', apply: () => withFramesIn(design, bay.id, Math.max(0, frames - 1)) };
  if (oneMoreFits) return { label: 'Add a frame', apply: () => withFramesIn(design, bay.id, frames + 1) };
  return { label: 'Add a dummy', apply: () => withDummy(design, body.id, space) };
}

/** Ledges hold the lugs, and enough wall stays behind them (handbook 2, lug rests). */
const lugs: Rule = ({ design, model, limits }) =>
  model.stack.bodies.flatMap(({ body }): Finding[] => {
    if (!body.rebate || body.bays.every(({ frames }) => frames.length === 0)) return [];
    const inside = body.insideLength.mm - 2 * (body.cheeks?.inset.mm ?? 0);
    const format = body.bays.find((bay) => bay.format)?.format ?? body.format;
    const needed = ledgeFor(format, inside) - 0.5 + limits.lugPlay;
    const behind = (body.cheeks ? body.cheeks.inset.mm : body.wall.mm) - body.rebate.width.mm;
    const short = below(body.rebate.width.mm, needed);
    const thin = below(behind, limits.behindLugs);
    return [
      {
        kind: 'lugsRest',
        severity: 'fault',
        holds: !short,
        places: [body.id],
        figure: body.rebate.width.mm,
        limit: fixed(needed, limitOf(limits, 'lugPlay').source),
        sentence: short
          ? `The ledge is ${mm(body.rebate.width.mm)} wide; the lugs need ${mm(needed)} at each end.`
          : `The lugs rest on ${mm(body.rebate.width.mm)} at each end.`,
        fix: {
          label: `Make the ledge ${mm(needed)} wide`,
          apply: () => withPart(design, body.id, { rebate: rebateFor(format, inside) }),
        },
      },
      {
        kind: 'behindLugs',
        severity: 'care',
        holds: !thin,
        places: [body.id],
        figure: behind,
        limit: limitOf(limits, 'behindLugs'),
        sentence: thin
          ? `Only ${mm(behind)} of wall stays behind the lugs: a double wall or a rail is needed.`
          : `${mm(behind)} of wall stays behind the lugs.`,
        fix: {
          label: `Make the ends ${mm(wallFor(format, inside, 19))} thick`,
          apply: () => withPart(design, body.id, { wall: length(wallFor(format, inside, 19)) }),
        },
      },
    ];
  });

/** Frames lie inside the body in every direction. */
const framesFit: Rule = ({ model, design }) =>
  model.stack.bodies.flatMap(({ body, inside, room }): Finding[] => {
    const bays = new Set(body.bays.map(({ id }) => id));
    const own = model.frames.filter(({ bay }) => bays.has(bay));
    const first = own[0];
    if (!first) return [];
    const inset = body.cheeks?.inset.mm ?? 0;
    const long = Math.max(...own.map(({ y }) => y[1] - y[0])) - (inside.y[1] - inside.y[0] - 2 * inset);
    const deep = room[0] - Math.min(...own.map(({ z }) => z[0]));
    const over = Math.max(long, deep);
    return [
      {
        kind: 'framesFit',
        severity: 'fault',
        holds: !above(over, 0),
        places: [body.id],
        figure: Math.max(0, over),
        limit: fixed(0, 'Fit of frames'),
        sentence: !above(over, 0)
          ? 'The frames have room in length and depth.'
          : long >= deep
            ? `The frames are ${mm(long)} longer than the inside.`
            : `The frames hang ${mm(deep)} deeper than the body.`,
        fix:
          long >= deep
            ? {
                label: `Make the inside ${mm(first.format.bodyLength_mm + 17)} long`,
                apply: () =>
                  withPart(design, body.id, {
                    insideLength: length(first.format.bodyLength_mm + 17 + 2 * inset),
                  }),
              }
            : {
                label: `Make the body ${mm(deep + 5)} deeper`,
                apply: () => withPart(design, body.id, { depth: length(body.depth.mm + deep + 5) }),
              },
      },
    ];
  });

/** A board cannot reach deeper than there is room, through a floor or a sheet. */
const boardDepth: Rule = ({ model, design }) =>
  model.boards.map(({ board, body }): Finding => {
    const room = body.z[0] - body.room[0];
    const over = board.down.mm - room;
    return {
      kind: 'boardDepth',
      severity: 'fault',
      holds: !above(over, 0),
      places: [board.id],
      figure: Math.max(0, over),
      limit: fixed(0, 'Passages'),
      sentence: above(over, 0)
        ? `${boardName(model, board.id)} reaches ${mm(over)} deeper than there is room below it.`
        : `${boardName(model, board.id)} has room below it.`,
      fix: {
        label: `Make it ${mm(over)} shorter`,
        apply: () => withPart(design, board.id, { down: length(room) }),
      },
    };
  });

/** A typed size that is nearly a whole number of inches is perhaps a nominal one (requirement 5). */
const nominal: Rule = ({ design, limits }) =>
  bodiesOf(design).flatMap((body) =>
    (['insideWidth', 'insideLength', 'depth'] as const).flatMap((field): Finding[] => {
      const { mm: value, typed } = body[field];
      if (typed === undefined || /["”in]/i.test(typed)) return [];
      const inches = Math.round(value / MM_PER_INCH);
      const off = Math.abs(value - inches * MM_PER_INCH);
      const holds = off < 0.05 || off > limits.nominalNear || inches < 6;
      const exact = Math.round(inches * MM_PER_INCH * 10) / 10;
      return [
        {
          kind: 'nominalSize',
          severity: 'note',
          holds,
          places: [`${body.id}.${field}`],
          figure: value,
          limit: limitOf(limits, 'nominalNear'),
          sentence: holds
            ? `${typed} is taken as it was typed.`
            : `${typed} is near ${inches} in, which is ${mm(exact)}: measure which it is.`,
          fix: {
            label: `Make it ${mm(exact)}`,
            apply: () => withPart(design, body.id, { [field]: { mm: exact, typed: `${inches} in` } }),
          },
        },
      ];
    }),
  );

/** Behind a pane a rail of the wall's thickness holds the corners together: the pane is thinner than the wall by as much as a rail needs. */
const RAIL_LEAST_MM = 6;
const panes: Rule = ({ design }) =>
  bodiesOf(design)
    .filter(({ glass }) => glass.length > 0)
    .map((body): Finding => {
      const pane = paneOf(body);
      const left = body.wall.mm - pane.thickness.mm;
      const holds = !below(left, RAIL_LEAST_MM);
      return {
        kind: 'paneInWall',
        severity: 'fault',
        holds,
        places: [body.id],
        figure: left,
        limit: fixed(RAIL_LEAST_MM, 'Our estimate'),
        sentence: holds
          ? `The panes leave ${mm(left)} of the wall for the rails behind them.`
          : `The panes of ${mm(pane.thickness.mm)} leave ${mm(left)} of the wall for the rails behind them; ${mm(RAIL_LEAST_MM)} is the least.`,
        ...fixIf(
          holds
            ? undefined
            : {
                label: `Make the wall ${mm(pane.thickness.mm + RAIL_LEAST_MM)}`,
                apply: () => withPart(design, body.id, { wall: length(pane.thickness.mm + RAIL_LEAST_MM) }),
              },
        ),
      };
    });

export const bodyRules: readonly Rule[] = [slack, framesFit, boardDepth, lugs, nominal, panes];
