import { excludesQueens } from '../box/gap.ts';
import type { Gap } from '../box/gaps.ts';
import type { LimitName } from '../box/limits.ts';
import { withPart } from '../box/parts.ts';
import { mm as length } from '../box/plainParts.ts';
import { above, below } from '../numbers.ts';
import { type Finding, fixed, limitOf, mm, nameOf, type Rule, type Scene, toHalf } from './finding.ts';

/** Gaps that bees are to leave free lie within their range (requirement 4; handbook 2, what a gap does). */
const RANGES: Readonly<Partial<Record<Gap['kind'], readonly [LimitName, LimitName, string]>>> = {
  frameEnd: ['endLeast', 'endMost', 'at the ends of the frames'],
  aboveFrames: ['jointLeast', 'jointMost', 'above the frames'],
  joint: ['jointLeast', 'jointMost', 'between the frames of two bodies'],
  underFrames: ['floorLeast', 'floorMost', 'under the frames'],
  pane: ['paneLeast', 'paneMost', 'from comb to pane'],
  paneToPane: ['panesLeast', 'panesMost', 'from pane to pane'],
};

const ranges: Rule = (scene) => {
  const { model, limits } = scene;
  return model.gaps.flatMap((gap): Finding[] => {
    const range = RANGES[gap.kind];
    if (!range) return [];
    const [usualLeast, most, where] = range;
    const least = gap.kind === 'underFrames' && gap.at.z[0] > 0 ? 'sheetLeast' : usualLeast;
    const narrow = below(gap.gap_mm, limits[least]);
    const wide = above(gap.gap_mm, limits[most]);
    const crushed = gap.kind === 'pane' && narrow;
    return [
      {
        kind: `gap-${gap.kind}`,
        severity: 'care',
        holds: !narrow && !wide,
        places: [gap.space, gap.id],
        figure: gap.gap_mm,
        limit: limitOf(limits, wide ? most : least),
        sentence: `${nameOf(model, gap.space)}: ${mm(gap.gap_mm)} ${where}${
          narrow
            ? crushed
              ? `, under ${mm(limits[least])}: the pane cuts bees off their comb.`
              : `, under ${mm(limits[least])}: bees glue it shut.`
            : wide
              ? `, over ${mm(limits[most])}: bees build in it.`
              : '.'
        }`,
        ...(narrow || wide ? fixOf(scene, gap, narrow ? least : most) : {}),
      },
    ];
  });
};

function fixOf({ design, model, limits }: Scene, gap: Gap, name: LimitName): Pick<Finding, 'fix'> | object {
  const body = model.spaces.find(({ id }) => id === gap.space)?.body?.body;
  const by = toHalf(limits[name] - gap.gap_mm) || (gap.gap_mm < limits[name] ? 0.5 : -0.5);
  if (!body) return {};
  const more = by > 0 ? 'more' : 'less';
  switch (gap.kind) {
    case 'frameEnd':
      if (body.cheeks) {
        const { inset, thickness } = body.cheeks;
        return {
          fix: {
            label: `Set the cheeks ${mm(Math.abs(by))} further ${by > 0 ? 'out' : 'in'}`,
            apply: () => withPart(design, body.id, { cheeks: { inset: length(inset.mm - by), thickness } }),
          },
        };
      }
      return {
        fix: {
          label: `Make the inside ${mm(Math.abs(2 * by))} ${by > 0 ? 'longer' : 'shorter'}`,
          apply: () => withPart(design, body.id, { insideLength: length(body.insideLength.mm + 2 * by) }),
        },
      };
    case 'underFrames':
      return {
        fix: {
          label: `Give the floor's lip ${mm(Math.abs(by))} ${more}`,
          apply: () => lipBy({ design, model, limits }, by),
        },
      };
    case 'aboveFrames': {
      const sheet = model.stack.sheets.find(({ block }) => Math.abs(block.z[0] - gap.at.z[1]) < 1e-6)?.sheet;
      const below_ = body.rebate ? body.rebate.depth.mm + by : 0;
      if (!sheet || !body.rebate || below_ <= 0) return {};
      return {
        fix: {
          label: `Cut the rebate ${mm(Math.abs(by))} ${by > 0 ? 'deeper' : 'shallower'}`,
          apply: () =>
            withPart(design, body.id, {
              rebate: { width: body.rebate?.width ?? length(1), depth: length(below_) },
            }),
        },
      };
    }
    case 'paneToPane':
    case 'pane': {
      // The comb stays in the middle: what is wanted beside it is wanted on both sides.
      const wider = gap.kind === 'pane' ? 2 * by : by;
      return {
        fix: {
          label: `Set the panes ${mm(Math.abs(wider))} ${by > 0 ? 'further apart' : 'closer'}`,
          apply: () => withPart(design, body.id, { insideWidth: length(body.insideWidth.mm + wider) }),
        },
      };
    }
    case 'joint':
      return {
        fix: {
          label: `Make the upper body ${mm(Math.abs(by))} ${by > 0 ? 'deeper' : 'lower'}`,
          apply: () => withPart(design, body.id, { depth: length(body.depth.mm + by) }),
        },
      };
    default:
      return {};
  }
}

/** A higher lip lifts the first body; boards that closed on the floor go on closing. */
function lipBy({ design }: Scene, by: number): Scene['design'] {
  const lip = Math.max(0, design.floor.lip.mm + by);
  const layers = design.layers.map((layer, index) =>
    index === 0 && layer.kind === 'body'
      ? {
          ...layer,
          boards: layer.boards.map((board) =>
            board.down.mm === design.floor.lip.mm ? { ...board, down: length(lip) } : board,
          ),
        }
      : layer,
  );
  return { ...design, layers, floor: { ...design.floor, lip: length(lip) } };
}

/** A pane never stands nearer than the frame's shoulders (handbook 2, glass). */
const shoulders: Rule = ({ model, limits }) =>
  model.compartments.flatMap((compartment) =>
    compartment.spaces.flatMap((id): Finding[] => {
      const space = model.spaces.find((each) => each.id === id);
      const body = space?.body?.body;
      if (!space || !body?.glass.includes('left') || !body.glass.includes('right')) return [];
      const pitch = (space.bays[0]?.format ?? body.format).pitch_mm;
      const width = space.block.x[1] - space.block.x[0];
      if (space.bays.reduce((sum, { frames }) => sum + frames.length, 0) !== 1) return [];
      const spare = width - pitch;
      return [
        {
          kind: 'shouldersPass',
          severity: 'fault',
          holds: !below(spare, limits.shouldersSpare),
          places: [id],
          figure: spare,
          limit: limitOf(limits, 'shouldersSpare'),
          sentence: below(spare, limits.shouldersSpare)
            ? `The panes leave the frame's shoulders ${mm(spare)}: it will not go in.`
            : `The panes leave the frame's shoulders ${mm(spare)}.`,
        },
      ];
    }),
  );

/** The excluder and other slots are what they are meant to be (handbook 2; requirement 114). */
const slots: Rule = ({ model, design }) => {
  const boards = model.boards
    .filter(({ board }) => board.kind === 'excluder')
    .map(({ board }) => ({ id: board.id, slot: board.slot ?? 0, word: 'excluder in the divider' }));
  const sheets = model.stack.sheets
    .filter(({ sheet }) => sheet.what === 'excluder')
    .map(({ sheet }) => ({ id: sheet.id, slot: sheet.slot ?? 0, word: 'excluder' }));
  return [...boards, ...sheets].map(({ id, slot, word }): Finding => {
    const holds = excludesQueens(slot);
    return {
      kind: 'excluderSlot',
      severity: slot > 4.5 ? 'danger' : 'care',
      holds,
      places: [id],
      figure: slot,
      limit: fixed(slot > 4.5 ? 4.5 : 4.1, 'What a gap does'),
      sentence: holds
        ? `The ${word} has slots of ${mm(slot)}: workers pass, a laying queen does not.`
        : slot > 4.5
          ? `The ${word} has slots of ${mm(slot)}: a queen passes.`
          : `The ${word} has slots of ${mm(slot)}: workers do not pass reliably.`,
      fix: { label: 'Use one with slots of 4.2 mm', apply: () => withPart(design, id, { slot: 4.2 }) },
    };
  });
};

export const gapRules: readonly Rule[] = [slots, shoulders, ranges];
