import type { Body, DesignContent, FitQuestion, Problem } from '@yellow-cell/contract';
import { bayGroups, placesIn, standingBoards } from './columns.ts';
import { fitProblems } from './fit.ts';

/** Everything that keeps a design from being built as data: parts that name missing parts, boards that overlap. */
export function designProblems(design: DesignContent): Problem[] {
  const problems: Problem[] = [];
  const twice = firstTwice(partIdsOf(design));
  if (twice) problems.push({ path: '', sentence: `The part id ${twice} is used twice.`, value: twice });
  if (design.layers[0]?.kind !== 'body')
    problems.push({ path: 'layers.0', sentence: 'The lowest layer is a body.' });
  design.layers.forEach((layer, index) => {
    if (layer.kind === 'body') problems.push(...bodyProblems(layer, `layers.${index}`));
  });
  return problems;
}

export function partIdsOf(design: DesignContent): string[] {
  return design.layers.flatMap((layer) =>
    layer.kind === 'sheet'
      ? [layer.id, ...layer.holes.map(({ id }) => id)]
      : [
          layer.id,
          ...[...layer.grooves, ...layer.boards, ...layer.bays, ...layer.entrances, ...layer.vents].map(
            ({ id }) => id,
          ),
          ...layer.bays.flatMap(({ frames }) => frames.map(({ id }) => id)),
        ],
  );
}

function firstTwice(ids: readonly string[]): string | undefined {
  const seen = new Set<string>();
  return ids.find((id) => seen.size === seen.add(id).size);
}

function bodyProblems(body: Body, path: string): Problem[] {
  const problems: Problem[] = [];
  const say = (at: string, sentence: string, value?: unknown) =>
    problems.push({ path: `${path}.${at}`, sentence, value });
  const { grooves, boards, bays, cheeks } = body;
  if (bays.length !== grooves.length + 1)
    say('bays', `${grooves.length} grooves make ${grooves.length + 1} bays, not ${bays.length}.`);
  boards.forEach((board, index) => {
    if (!grooves.some(({ id }) => id === board.groove))
      say(`boards.${index}.groove`, 'The divider stands in no groove.', board.groove);
    if (boards.findIndex(({ groove }) => groove === board.groove) !== index)
      say(`boards.${index}.groove`, 'Two dividers stand in one groove.', board.groove);
    if (board.up.mm > 0) say(`boards.${index}.up`, 'A board cannot stand above its body.', board.up.mm);
    if (body.depth.mm + board.up.mm + board.down.mm <= 0)
      say(`boards.${index}.up`, 'The board would have no height.', board.up.mm);
  });
  grooves.forEach((groove, index) => {
    if (groove.depth.mm >= body.wall.mm)
      say(
        `grooves.${index}.depth`,
        `A groove ${groove.depth.mm} mm deep goes through the wall.`,
        groove.depth.mm,
      );
  });
  if (cheeks && 2 * cheeks.inset.mm >= body.insideLength.mm)
    say('cheeks.inset', 'The cheeks leave no room between them.', cheeks.inset.mm);
  if (cheeks && cheeks.thickness.mm > cheeks.inset.mm)
    say('cheeks.thickness', 'The cheeks are thicker than they stand from the wall.', cheeks.thickness.mm);
  if (body.rebate && body.rebate.depth.mm >= body.depth.mm)
    say('rebate.depth', 'The rebate is as deep as the body.', body.rebate.depth.mm);
  if (problems.length > 0) return problems;
  return fitProblems(fitQuestionOf(body)).map((problem) => ({
    ...problem,
    path: `${path}.${bodyPath(body, problem.path)}`,
  }));
}

/** The same question that a shell or another program would ask of `fit` about one body. */
export function fitQuestionOf(body: Body): FitQuestion {
  const { format } = body;
  return {
    insideWidth_mm: body.insideWidth.mm,
    pitch_mm: format.pitch_mm,
    frames: bayGroups(body).map(placesIn),
    dividers: standingBoards(body).map(({ board, groove }) => ({
      thickness_mm: board.thickness.mm,
      at_mm: groove.at.mm,
    })),
    ...(format.hung ? { hung: true, barWidth_mm: format.barWidth_mm } : {}),
  };
}

/** The place in the body of a problem that `fit` named in its own question. */
function bodyPath(body: Body, path: string): string {
  const found = standingBoards(body)[Number(/^dividers\.(\d+)\./.exec(path)?.[1])];
  return found ? `grooves.${body.grooves.indexOf(found.groove)}.at` : path;
}
