import type { EventKind, Payload, PlaybookName, Run } from '@yellow-cell/contract';
import type { Constants } from '../../constants/registry.ts';
import type { ShutFor } from '../../warmth/occasions.ts';
import type { BoxView, CompartmentView } from '../../yard/boxView.ts';
import type { YardState } from '../../yard/state.ts';

/** What a step is judged by, and what its tick tells of. */
export interface Scene {
  state: YardState;
  view: BoxView;
  room: CompartmentView;
  run: Run;
  constants: Constants;
  /** The instant, and the hour by which those who leave are home. */
  now: string;
  backBy: string;
  /** Of a step that asks for an amount. */
  amount?: number;
  /** Of a step that asks for words: where they went. */
  words?: string;
  /** Of a step that asks which of several it was. */
  choice?: string;
  /** A new id. */
  fresh: () => string;
}

/** An entry that a tick makes beside itself. */
export type Fact = { [K in EventKind]: { kind: K; payload: Payload<K>; note?: string } }[EventKind];

/** Something counted aloud, one press at a time. */
export interface Tally {
  marks: (scene: Scene) => readonly { mark: string; title: string }[];
  /** What it comes to. */
  said: (scene: Scene, counts: Counts) => string;
  /** Why it is not enough, or too much, to go on. */
  lacks: (scene: Scene, counts: Counts) => string | undefined;
  /** Why one more of a mark cannot be. */
  refuses?: (scene: Scene, counts: Counts, mark: string) => string | undefined;
}
export type Counts = Readonly<Record<string, number>>;

/** What a person is told of a step, and what its tick does. */
export interface Guide {
  how: string;
  /** Who must be where. */
  where?: string;
  /** What it brings to leave it out. */
  skipped: string;
  /** What to do when it goes wrong. */
  wrong?: string;
  caution?: string;
  tally?: Tally;
  /** What it asks for before it is ticked; a weight is in kg, and typed in the breeder’s own. */
  amount?: {
    label: string;
    weight?: true;
    /** Left out where a figure set beforehand would be taken for one that was counted. */
    usual?: number;
    least: number;
    most: number;
    /** True where it is asked only of a run whose round is known. */
    ofRound?: true;
  };
  words?: { label: string };
  /** Which of several it was; nothing is chosen beforehand. */
  choice?: { label: string; options: readonly { key: string; label: string }[] };
  /** True where it asks for the hour by which they are home. */
  home?: true;
  /** Where its own entries are made. */
  at?: 'room' | 'box' | 'frames';
  /** What speaks against ticking it now. */
  against?: (scene: Scene) => string | undefined;
  facts?: (scene: Scene) => readonly Fact[];
  /** The model's answer for a box that is shut for this. */
  shut?: ShutFor['key'];
  /** True where it is done at dusk, of which the hour is said. */
  atDusk?: true;
  /** True where its tick shuts them in, and their time runs from it. */
  shuts?: true;
}

export interface Guidance {
  /** What speaks against beginning it in a room. */
  against?: (
    scene: Pick<Scene, 'state' | 'view' | 'room' | 'constants'> & { cells?: number },
  ) => string | undefined;
  steps: Readonly<Record<string, Guide>>;
}
export type Guidances = Readonly<Record<PlaybookName, Guidance>>;
