import type { BuildPart, BuildStep, DesignContent, Joint } from '@yellow-cell/contract';
import { deriveBox } from '../box/model.ts';
import { bodiesOf, sheetsOf } from '../box/stack.ts';
import type { Constants } from '../constants/registry.ts';
import { capital } from '../say/words.ts';
import { DUST, FINISH, GLASS, KNIFE, LIFT, PAINT, SAW } from './cautions.ts';
import { parts as partsOf } from './parts.ts';
import { printsIt } from './print.ts';

const quantity = (list: readonly BuildPart[]): string =>
  list.map(({ key, name, count }) => `${count} × ${key} ${name.toLowerCase()}`).join(', ');
const keys = (list: readonly BuildPart[]): string[] => list.map(({ key }) => key);

/** A design's parts, sorted by the work that they want. */
interface Workpieces {
  design: DesignContent;
  closures: ReturnType<typeof partsOf>['closures'];
  printed: boolean;
  sieves: readonly BuildPart[];
  glass: readonly BuildPart[];
  sawn: readonly BuildPart[];
  soft: readonly BuildPart[];
  boards: readonly BuildPart[];
  walls: readonly BuildPart[];
  floor: readonly BuildPart[];
  lids: readonly BuildPart[];
  folded: readonly BuildPart[];
  /** With any of these cut into them. */
  having: (...kinds: readonly BuildPart['machining'][number]['kind'][]) => readonly BuildPart[];
}

function workpieces(design: DesignContent, { parts, closures }: ReturnType<typeof partsOf>): Workpieces {
  const of = (test: (part: BuildPart) => boolean): BuildPart[] => parts.filter(test);
  const sieves = of(({ material }) => material === 'mesh' || material === 'excluder');
  const isPane = ({ material, name }: BuildPart): boolean => material === 'glass' || name.startsWith('Pane');
  const glass = of((part) => isPane(part) && !part.name.startsWith('Pane rail'));
  return {
    design,
    closures,
    printed: printsIt(design),
    sieves,
    glass,
    sawn: of(
      (part) =>
        !glass.includes(part) && !['mesh', 'excluder', 'cloth', 'foil', 'slats'].includes(part.material),
    ),
    soft: of(({ material }) => ['cloth', 'foil', 'slats'].includes(material)),
    boards: of(({ name }) => /divider|follower|dummy/i.test(name)),
    walls: of(({ name }) => /^(Side|End|Corner|Pane rail|Cheek|Lug shelf)/.test(name)),
    floor: of(({ name }) => /^(Floor|Rim|Tray)/.test(name) && !sieves.some((each) => each.name === name)),
    lids: of(({ name }) => /cover|roof|tray|board$/i.test(name) && !/^Floor/.test(name)),
    folded: of(({ name }) => name === 'Folded sheet' || name === 'Lug rail'),
    having: (...kinds) =>
      unique(kinds.flatMap((kind) => of(({ machining }) => machining.some((each) => each.kind === kind)))),
  };
}

/** The build in order, made from the design (handbook 4, order of assembly): what, with what, what to look at, and how long to wait. */
export function buildSteps(design: DesignContent, joint: Joint, constants: Constants): BuildStep[] {
  const made = partsOf({ design, joint }, constants);
  const work = workpieces(design, made);
  const mesh = meshed(work);
  const steps: (BuildStep | false)[] = [
    measured(work),
    oriented(work),
    printed(work),
    cut(work),
    machined(work),
    holed(work),
    glued(work),
    design.folding !== null && mesh,
    folded(work),
    floored(work),
    design.folding === null && mesh,
    divided(work),
    covered(work),
    fitted(made.fittings),
    finished(work, constants),
    glazed(work),
    dryChecked(design, made.weights),
  ];
  return steps.filter((each): each is BuildStep => each !== false);
}

const measured = ({ closures }: Workpieces): BuildStep =>
  step('measure', 'Measure the stock', {
    text: `Measure every board and sheet: the inside width and inside length are what matters, outside follows. ${
      closures
        .filter(({ holds }) => !holds)
        .map(({ sentence }) => capital(sentence))
        .join(' ') || 'As drawn, all parts close.'
    }`,
    tools: ['steel rule', 'calliper'],
    checks: [
      'Thickness of every stock is the one drawn, or the design is changed to it',
      'Boards are dry and flat',
    ],
  });

const oriented = ({ design, folded }: Workpieces): BuildStep | false =>
  design.folding !== null &&
  step('orient', 'Mark the sheet before anything is cut or glued', {
    text: 'Mark outside, inside, front and the way up on the sheet, window and door side too. Look again before the first glue: a net folded the wrong way is lost.',
    parts: keys(folded),
    tools: ['marker'],
    checks: ['Outside and inside are marked', 'Front and top are marked', 'Looked at a second time'],
  });

const printed = ({ printed, sawn }: Workpieces): BuildStep | false =>
  printed &&
  step('print', 'Print the parts', {
    text: 'Print in a plastic for food contact and outdoors: PETG, ASA or HIPS; PLA softens in sun. Largest faces on the bed, walls upright, so that nothing hangs over.',
    parts: keys(sawn),
    tools: ['3-D printer'],
    caution: DUST,
    checks: ['Every print is flat on a table', 'Bees’ side is free of strings'],
  });

const cut = ({ design, printed, sawn }: Workpieces): BuildStep | false =>
  !printed &&
  step('cut', design.folding ? 'Cut the sheet and the wood' : 'Cut the parts', {
    text: `Saw by the sheets, in the order of their cuts, and chalk its letter on each: ${quantity(sawn)}.`,
    parts: keys(sawn),
    tools: design.folding ? ['knife', 'steel rule', 'saw'] : ['table saw', 'square'],
    caution: SAW,
    checks: ['Like parts lie flush in a stack', 'Diagonals of each panel are alike'],
  });

function machined({ printed, having }: Workpieces): BuildStep | false {
  const grooved = having('groove', 'rebate', 'seat', 'finger');
  return (
    !printed &&
    grooved.length > 0 &&
    step('machine', 'Grooves and rebates, before any glue', {
      text: 'Cut grooves for dividers, lug rebates, pane seats and joints while each board lies flat. Try a divider in its groove: it slides with half a millimetre to one of play.',
      parts: keys(grooved),
      tools: ['router or table saw', 'calliper'],
      caution: SAW,
      checks: ['A divider slides by hand in every groove', 'Lug rebates are as deep at both ends'],
    })
  );
}

function holed({ design, printed, having }: Workpieces): BuildStep | false {
  const opened = having('hole', 'window');
  return (
    !printed &&
    opened.length > 0 &&
    step('holes', 'Holes and windows', {
      text: design.folding
        ? 'Punch entrances and cut windows while the sheet lies flat, from its outside, on a board.'
        : 'Drill entrances from the outside into a scrap behind; cut windows for mesh and excluder; break every edge that bees or mesh touch.',
      parts: keys(opened),
      tools: design.folding ? ['hole punch', 'knife', 'steel rule'] : ['drill', 'hole saw', 'jigsaw'],
      caution: design.folding ? KNIFE : `${SAW} ${DUST}`,
      checks: ['No hole lies across a divider’s line', 'No splinter stands into a hole'],
    })
  );
}

const glued = ({ printed, walls, closures }: Workpieces): BuildStep | false =>
  walls.length > 0 &&
  !printed &&
  step('glue', 'Glue up the body', {
    text: 'Dry first, then with water-resistant glue: ends between the sides, screwed or nailed at the corners. Lay it on the flat floor panel and measure both diagonals before the glue takes.',
    parts: keys(walls),
    tools: ['clamps', 'square', 'screwdriver'],
    checks: [
      'Both diagonals are alike within 1 mm',
      'The body lies flat without rocking',
      ...closures
        .filter(({ key }) => /across|along/.test(key))
        .map(
          ({ wanted_mm, sentence }) =>
            `${capital(sentence.split(' comes')[0] ?? '')} measures ${Number(wanted_mm.toFixed(1))} mm`,
        ),
    ],
    wait_days: 1,
  });

function meshed({ design, printed, sieves }: Workpieces): BuildStep | false {
  const glued = printed || design.folding !== null;
  return (
    sieves.length > 0 &&
    step(
      'mesh',
      design.folding === null ? 'Mesh and excluders, before any cover' : 'Mesh, while the sheet lies flat',
      {
        text: `${quantity(sieves)}, each over the edge of its opening on every side, ${glued ? 'glued through the mesh, with any flaps left free' : 'stapled every 3 cm'}.`,
        parts: keys(sieves),
        tools: ['tin snips', glued ? 'contact glue' : 'stapler'],
        caution: 'Cut mesh is sharp: gloves, and edges folded under.',
        checks: ['No gap of 3 mm or more at any edge', 'Excluder wires are straight'],
      },
    )
  );
}

const folded = ({ folded }: Workpieces): BuildStep | false =>
  folded.length > 0 &&
  step('fold', 'Fold, and tape the seams', {
    text: 'Guides for the frame feet first. Score the bends on the inside of the fold, fold up, glue the flaps inside the side walls, tape every seam outside; rails for the lugs last. Leave the window flaps free.',
    parts: keys(folded),
    tools: ['folding rule', 'tape', 'contact glue'],
    caution: DUST,
    checks: ['Seams are taped along their whole length', 'Frame feet stand in their guides', 'Flaps open'],
  });

const floored = ({ printed, floor, closures }: Workpieces): BuildStep | false =>
  floor.length > 0 &&
  !printed &&
  step('floor', 'Floor and its rim', {
    text: `${quantity(floor)}. The front strips leave the entrance; measure it before they are fixed.`,
    parts: keys(floor),
    tools: ['screwdriver', 'rule'],
    checks: closures
      .filter(({ key }) => key === 'rim.front' || key === 'floor')
      .map(({ sentence }) => capital(sentence)),
  });

const divided = ({ boards }: Workpieces): BuildStep | false =>
  boards.length > 0 &&
  step('dividers', 'Fit the dividers', {
    text: `${quantity(boards)}. Each slides in its grooves, reaches the floor and the cover, and its ears fill the lug rebates.`,
    parts: keys(boards),
    tools: ['plane', 'sandpaper'],
    checks: [
      'No light shows under any divider',
      'No light shows over any divider with its covers on',
      'Ears leave no channel in the rebates',
    ],
  });

function covered({ design, lids, soft }: Workpieces): BuildStep | false {
  const covers = unique([...lids, ...soft]);
  const ownCovers = sheetsOf(design).some(({ each }) => each) && deriveBox(design).compartments.length > 1;
  return (
    covers.length > 0 &&
    step('covers', 'Covers and roof', {
      text: `${quantity(covers)}.${ownCovers ? ' Each compartment has its own cover: one lifts while the next stays shut.' : ''}`,
      parts: keys(covers),
      tools: ['scissors', 'plane'],
      checks: ['Covers lie flat', ...(ownCovers ? ['One cover lifts without moving its neighbour'] : [])],
    })
  );
}

const fitted = (fittings: ReturnType<typeof partsOf>['fittings']): BuildStep | false =>
  fittings.length > 0 &&
  step('fittings', 'Discs, latches, handles and plate', {
    text: `${fittings.map(({ name, count }) => `${count} × ${name.toLowerCase()}`).join(', ')}. Number the box, and mark every compartment at its own entrance.`,
    tools: ['screwdriver'],
    checks: ['Every disc turns through all its states', 'Every compartment has its number and its mark'],
  });

function finished({ design, printed }: Workpieces, constants: Constants): BuildStep | false {
  const material = printed || design.folding ? undefined : finishOf(design);
  return (
    material !== undefined &&
    step('finish', 'Finish the outside', {
      text: `Outside only, ${material === 'foam' ? 'a water-based paint without solvents, which melt foam' : 'water-based, or dipped in wax'}; nothing on the inside. Air it ${constants.airing_d} days before bees.`,
      tools: ['brush'],
      caution: material === 'foam' ? PAINT : FINISH,
      checks: ['Inside is bare'],
      wait_days: constants.airing_d,
    })
  );
}

function glazed({ glass }: Workpieces): BuildStep | false {
  const breaks = glass.some(({ material }) => material === 'glass');
  return (
    glass.length > 0 &&
    step('panes', 'Panes last, and the film off at the end', {
      text: `${quantity(glass)}. Slide each into its seat with half a millimetre of play, so that wet wood cannot break it.`,
      parts: keys(glass),
      tools: breaks ? ['gloves', 'glass cutter'] : ['fine saw'],
      caution: breaks ? GLASS : DUST,
      checks: ['Every pane moves by hand in its seat', 'Film is off'],
    })
  );
}

const dryChecked = (design: DesignContent, weights: ReturnType<typeof partsOf>['weights']): BuildStep =>
  step('dryCheck', 'Dry check before bees', {
    text: `Hang every frame, close it, carry it once round the shed. ${weights.sentence}`,
    tools: ['torch', 'frames'],
    caution: LIFT,
    checks: [
      'Every frame slides in and out',
      'No light under any divider',
      'Every disc turns',
      'Covers lie flat',
      ...(design.fastenings.includes('screws')
        ? ['Screws that hold the box together in transport are in']
        : []),
      ...(bodiesOf(design).length + sheetsOf(design).length > 2
        ? ['The whole stack stands without rocking']
        : []),
    ],
  });

/** What is finished outside: wood, else foam; plastic and glass want nothing. */
function finishOf(design: DesignContent): 'wood' | 'foam' | undefined {
  const materials = bodiesOf(design).map(({ material }) => material);
  if (materials.some((each) => each === 'pine' || each === 'plywood')) return 'wood';
  return materials.includes('foam') ? 'foam' : undefined;
}

type Rest = Pick<BuildStep, 'text'> & Partial<BuildStep>;
const step = (
  key: string,
  title: string,
  { parts = [], tools = [], caution = null, checks = [], wait_days = 0, ...rest }: Rest,
): BuildStep => ({
  ...rest,
  key,
  title,
  parts,
  tools,
  caution,
  checks,
  wait_days,
});
const unique = (list: readonly BuildPart[]): BuildPart[] => [...new Set(list)];

/** On which day each step can be begun at the earliest, from the day of the first; a step that waits holds back all that follow. */
export function earliestDays(steps: readonly BuildStep[]): number[] {
  let day = 0;
  return steps.map(({ wait_days }) => {
    const own = day;
    day += wait_days;
    return own;
  });
}
