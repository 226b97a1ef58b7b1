import type { DesignContent } from '@yellow-cell/contract';

/** Limits of the checks, each of which a design can set otherwise (requirement 4). In mm unless the name says so. */
interface Limit {
  value: number;
  source: string;
  range: readonly [number, number];
  meaning: string;
}

export const limitTable = {
  slackJams: limit(3, 'Fit of frames', [0, 10], 'Least slack at which frames do not jam'),
  slackTight: limit(8, 'Fit of frames', [2, 20], 'Slack from which frames lift well'),
  slackLoose: limit(16, 'Fit of frames', [5, 40], 'Slack from which frames stand loose'),
  slackBoard: limit(24, 'Fit of frames', [10, 80], 'Slack from which a dummy or follower is due'),
  jointLeast: limit(6, 'Formats', [3, 10], 'Least gap at a joint, and above frames'),
  jointMost: limit(13, 'Formats', [9, 25], 'Most gap at a joint, and above frames'),
  sheetLeast: limit(
    5,
    'Formats',
    [3, 9],
    'Least gap under the frames over a sheet; standard bodies leave 5.5',
  ),
  floorLeast: limit(6, 'What a gap does', [3, 20], 'Least gap under the frames over a floor'),
  floorMost: limit(22, 'What a gap does', [10, 80], 'Most gap under the frames over a floor'),
  endLeast: limit(6, 'What a gap does', [3, 9], 'Least gap at the ends of frames'),
  endMost: limit(9.5, 'What a gap does', [6, 15], 'Most gap at the ends of frames'),
  paneLeast: limit(6, 'Glass', [4, 8], 'Least gap from comb to pane'),
  paneMost: limit(9.5, 'Glass', [8, 14], 'Most gap from comb to pane'),
  panesLeast: limit(38, 'Glass', [30, 42], 'Least from pane to pane around one comb'),
  panesMost: limit(44, 'Glass', [40, 60], 'Most from pane to pane around one comb'),
  shouldersSpare: limit(2, 'Glass', [0, 10], 'A pane stands this much clear of a frame’s shoulders'),
  behindLugs: limit(8, 'Lug rests', [4, 20], 'Wall left behind the lugs'),
  lugPlay: limit(0.5, 'Lug rests', [0, 5], 'Room beyond each lug'),
  driftNear: limit(150, 'Finding home', [50, 500], 'Entrances of one side nearer than this are mistaken'),
  screenApart: limit(6, 'Passages', [4, 30], 'Two meshes stand so far apart that queens cannot touch'),
  starterMesh_cm2: limit(100, 'Closed starter', [20, 1_000], 'Least free mesh for a closed starter'),
  nominalNear: limit(3, 'Formats', [1, 6], 'A typed size this near a whole inch is pointed out'),
  wallStep: limit(0.5, 'What a gap does', [0, 5], 'Open strip at a joint that is still called closed'),
} as const satisfies Record<string, Limit>;

export type LimitName = keyof typeof limitTable;
export type Limits = Readonly<Record<LimitName, number>>;

function limit(value: number, source: string, range: readonly [number, number], meaning: string): Limit {
  return { value, source, range, meaning };
}

/** The limits of a design: the defaults, with its own where they lie in range. */
export function limitsOf({ limits }: DesignContent): Limits {
  const names = Object.keys(limitTable) as LimitName[];
  return Object.fromEntries(
    names.map((name) => {
      const own = limits[name];
      const [least, most] = limitTable[name].range;
      return [name, own !== undefined && own >= least && own <= most ? own : limitTable[name].value];
    }),
  ) as Record<LimitName, number>;
}
