import {
  AirAnswer,
  AirQuestion,
  BreathAnswer,
  BreathQuestion,
  CalendarAnswer,
  CalendarQuestion,
  CellsAnswer,
  CellsQuestion,
  CheckAnswer,
  CheckQuestion,
  ExportAnswer,
  ExportQuestion,
  FitAnswer,
  FitQuestion,
  GapAnswer,
  GapQuestion,
  LayoutsAnswer,
  LayoutsQuestion,
  MoistureAnswer,
  MoistureQuestion,
  NestAnswer,
  NestQuestion,
  OddsAnswer,
  OddsQuestion,
  PartsAnswer,
  PartsQuestion,
  PopulationAnswer,
  PopulationQuestion,
  type Problem,
  QuickLineAnswer,
  QuickQuestion,
  RatesAnswer,
  RatesQuestion,
  ReachAnswer,
  ReachQuestion,
  ReduceAnswer,
  ReduceQuestion,
  SeasonAnswer,
  SeasonQuestion,
  ShutAnswer,
  ShutQuestion,
  WarmthAnswer,
  WarmthQuestion,
  WinterAnswer,
  WinteringAnswer,
  WinteringQuestion,
  WinterQuestion,
} from '@yellow-cell/contract';
import {
  air,
  airProblems,
  breath,
  cells,
  cellsOutOfReach,
  cellsRecordProblems,
  check,
  checkProblems,
  constantProblem,
  doorProblems,
  fit,
  fitCountProblems,
  fitPlaceProblems,
  fitPlacesMissing,
  fitWidthProblems,
  gap,
  layouts,
  moisture,
  nest,
  nestProblems,
  occupantProblems,
  oddsProblems,
  parts,
  partsProblems,
  passageProblems,
  pooledRates,
  population,
  populationProblems,
  quick,
  quickProblems,
  RANGES,
  rangeProblems,
  rateProblems,
  reach,
  reduce,
  reduceProblems,
  roundCalendar,
  roundProblems,
  seasonOdds,
  seasonProblems,
  shut,
  shutProblems,
  spaceProblems,
  tooManyLayouts,
  warmth,
  warmthProblems,
  winter,
  winteringProblems,
} from '@yellow-cell/core';
import type { z } from 'zod';
import type { CrossCheck } from './crossChecks.ts';
import { exportFile, exportProblems } from './exportFile.ts';
import { season } from './season.ts';
import { wintering } from './wintering.ts';

/** Everything that can be asked without the interface: the schema of the question, the function, the schema of the answer. */
interface SubjectDoor {
  question: z.ZodType;
  answer: z.ZodType;
  /** What must hold between fields that each are right. */
  checks: readonly CrossCheck[];
  compute: (question: never) => unknown;
  /** True where an answer may take longer than 50 ms: a server gives it to a worker. */
  heavy?: true;
}

/** A check that is typed by the question and reads these of its fields; with `.length`, only how many there are. */
const reading = <Q extends object, F extends keyof Q & string>(
  reads: readonly (F | `${F}.length`)[],
  problems: (question: Pick<Q, F>) => Problem[],
): CrossCheck => ({ reads, problems });

/** Figures of the registry that a question changes must be known and in their range. */
const constantsKnown: CrossCheck = {
  reads: ['constants'],
  problems: ({ constants = {} }: { constants?: Readonly<Record<string, number>> }) =>
    Object.entries(constants).flatMap(([name, value]) => {
      const sentence = constantProblem(name, value);
      return sentence ? [{ path: `constants.${name}`, value, sentence }] : [];
    }),
};

export const subjects = {
  gap: { question: GapQuestion, answer: GapAnswer, checks: [], compute: gap },
  fit: {
    question: FitQuestion,
    answer: FitAnswer,
    checks: [
      { reads: ['frames.length', 'dividers.length'], problems: fitCountProblems },
      reading(['dividers'], fitPlacesMissing),
      reading(['insideWidth_mm', 'dividers'], fitPlaceProblems),
      reading(['insideWidth_mm', 'pitch_mm', 'frames', 'dividers', 'hung', 'barWidth_mm'], fitWidthProblems),
    ],
    compute: fit,
  },
  layouts: {
    question: LayoutsQuestion,
    answer: LayoutsAnswer,
    checks: [
      ...RANGES.map((field) =>
        reading([field], (question: Pick<LayoutsQuestion, typeof field>) => rangeProblems(field, question)),
      ),
      reading(
        [
          'insideWidth_mm',
          'pitch_mm',
          'thicknesses_mm',
          'compartments',
          'framesEach',
          'slack_mm',
          'hung',
          'barWidth_mm',
        ],
        tooManyLayouts,
      ),
    ],
    compute: layouts,
    heavy: true,
  },
  reach: {
    question: ReachQuestion,
    answer: ReachAnswer,
    checks: [
      reading(['spaces'], spaceProblems),
      reading(['spaces', 'passages'], passageProblems),
      reading(['spaces', 'occupants'], occupantProblems),
      reading(['spaces', 'entrances'], doorProblems),
    ],
    compute: reach,
  },
  check: {
    question: CheckQuestion,
    answer: CheckAnswer,
    checks: [reading(['design'], checkProblems)],
    compute: check,
    heavy: true,
  },
  air: {
    question: AirQuestion,
    answer: AirAnswer,
    checks: [reading(['ua_WK', 'openings', 'bees_kg', 'heat_Wkg', 'sun_W'], airProblems), constantsKnown],
    compute: (asked: AirQuestion) => air(asked),
  },
  warmth: {
    question: WarmthQuestion,
    answer: WarmthAnswer,
    checks: [reading(['spaces', 'faces', 'flows'], warmthProblems), constantsKnown],
    compute: warmth,
  },
  shut: {
    question: ShutQuestion,
    answer: ShutAnswer,
    checks: [reading(['spaces', 'faces', 'flows'], shutProblems), constantsKnown],
    compute: shut,
    heavy: true,
  },
  breath: { question: BreathQuestion, answer: BreathAnswer, checks: [], compute: breath },
  winter: {
    question: WinterQuestion,
    answer: WinterAnswer,
    checks: [constantsKnown],
    compute: (asked: WinterQuestion) => winter(asked),
  },
  moisture: {
    question: MoistureQuestion,
    answer: MoistureAnswer,
    checks: [constantsKnown],
    compute: (asked: MoistureQuestion) => moisture(asked),
  },
  parts: {
    question: PartsQuestion,
    answer: PartsAnswer,
    checks: [reading(['design'], partsProblems), constantsKnown],
    compute: (asked: PartsQuestion) => parts(asked),
    heavy: true,
  },
  nest: {
    question: NestQuestion,
    answer: NestAnswer,
    checks: [reading(['sheet', 'parts', 'offcuts'], nestProblems)],
    compute: nest,
    heavy: true,
  },
  export: {
    question: ExportQuestion,
    answer: ExportAnswer,
    checks: [reading(['design', 'format', 'workshop', 'constants'], exportProblems), constantsKnown],
    compute: exportFile,
    heavy: true,
  },
  calendar: {
    question: CalendarQuestion,
    answer: CalendarAnswer,
    checks: [reading(['graft', 'takeBy'], roundProblems)],
    compute: roundCalendar,
  },
  rates: {
    question: RatesQuestion,
    answer: RatesAnswer,
    checks: [reading(['groups'], rateProblems)],
    compute: pooledRates,
    heavy: true,
  },
  reduce: {
    question: ReduceQuestion,
    answer: ReduceAnswer,
    checks: [reading(['format', 'slots'], reduceProblems), constantsKnown],
    compute: (asked: ReduceQuestion) => reduce(asked),
  },
  population: {
    question: PopulationQuestion,
    answer: PopulationAnswer,
    checks: [
      reading(
        ['from', 'days', 'format', 'frames', 'sealedCells', 'openCells', 'stores_kg', 'feed', 'constants'],
        (asked: Parameters<typeof populationProblems>[0]) => populationProblems(asked),
      ),
      constantsKnown,
    ],
    compute: (asked: PopulationQuestion) => population(asked),
  },
  season: {
    question: SeasonQuestion,
    answer: SeasonAnswer,
    checks: [
      reading(
        [
          'from',
          'to',
          'lots',
          'compartments',
          'cells',
          'spells',
          'helpers',
          'work',
          'incubator',
          'finishers',
        ],
        seasonProblems,
      ),
    ],
    compute: season,
    heavy: true,
  },
  odds: {
    question: OddsQuestion,
    answer: OddsAnswer,
    checks: [reading(['record', 'accepted'], oddsProblems), constantsKnown],
    compute: seasonOdds,
    heavy: true,
  },
  wintering: {
    question: WinteringQuestion,
    answer: WinteringAnswer,
    checks: [reading(['colonies', 'together', 'fixed'], winteringProblems)],
    compute: wintering,
    heavy: true,
  },
  quick: {
    question: QuickQuestion,
    answer: QuickLineAnswer,
    checks: [reading(['boxes'], quickProblems)],
    compute: quick,
  },
  cells: {
    question: CellsQuestion,
    answer: CellsAnswer,
    checks: [
      reading(['rate', 'takes', 'tried', 'prior'], cellsRecordProblems),
      reading(['queens', 'confidence', 'rate', 'takes', 'tried', 'prior'], cellsOutOfReach),
    ],
    compute: cells,
  },
} as const satisfies Record<string, SubjectDoor>;

export type SubjectName = keyof typeof subjects;
export const isSubject = (name: string): name is SubjectName => Object.hasOwn(subjects, name);
/** True where a server had better let another thread answer. */
export const isHeavy = (name: string): boolean => isSubject(name) && 'heavy' in subjects[name];
