import {
  AirAnswer,
  AirQuestion,
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
  PartsAnswer,
  PartsQuestion,
  type Problem,
  ReachAnswer,
  ReachQuestion,
  WarmthAnswer,
  WarmthQuestion,
  WinterAnswer,
  WinterQuestion,
} from '@yellow-cell/contract';
import {
  air,
  airProblems,
  cells,
  cellsProblems,
  check,
  checkProblems,
  constantProblem,
  fit,
  fitProblems,
  gap,
  layouts,
  layoutsProblems,
  moisture,
  nest,
  nestProblems,
  parts,
  partsProblems,
  reach,
  reachProblems,
  warmth,
  warmthProblems,
  winter,
} from '@yellow-cell/core';
import type { z } from 'zod';
import { exportFile, exportProblems } from './exportFile.ts';

/** Everything that can be asked without the interface: the schema of the question, the function, the schema of the answer. */
interface SubjectDoor {
  question: z.ZodType;
  answer: z.ZodType;
  /** Problems beyond those of single fields; safe to ask where the question has the right shape. */
  problems: (question: never) => Problem[];
  compute: (question: never) => unknown;
}

const noMore = (): Problem[] => [];
/** Figures of the registry that a question changes must be known and in their range. */
const constantsProblems = ({
  constants = {},
}: {
  constants?: Record<string, number> | undefined;
}): Problem[] =>
  Object.entries(constants).flatMap(([name, value]) => {
    const sentence = constantProblem(name, value);
    return sentence ? [{ path: `constants.${name}`, value, sentence }] : [];
  });

export const subjects = {
  gap: { question: GapQuestion, answer: GapAnswer, problems: noMore, compute: gap },
  fit: { question: FitQuestion, answer: FitAnswer, problems: fitProblems, compute: fit },
  layouts: {
    question: LayoutsQuestion,
    answer: LayoutsAnswer,
    problems: layoutsProblems,
    compute: layouts,
  },
  reach: { question: ReachQuestion, answer: ReachAnswer, problems: reachProblems, compute: reach },
  check: { question: CheckQuestion, answer: CheckAnswer, problems: checkProblems, compute: check },
  air: {
    question: AirQuestion,
    answer: AirAnswer,
    problems: (asked: AirQuestion) => [...airProblems(asked), ...constantsProblems(asked)],
    compute: (asked: AirQuestion) => air(asked),
  },
  warmth: {
    question: WarmthQuestion,
    answer: WarmthAnswer,
    problems: (asked: WarmthQuestion) => [...warmthProblems(asked), ...constantsProblems(asked)],
    compute: warmth,
  },
  winter: {
    question: WinterQuestion,
    answer: WinterAnswer,
    problems: constantsProblems,
    compute: (asked: WinterQuestion) => winter(asked),
  },
  moisture: {
    question: MoistureQuestion,
    answer: MoistureAnswer,
    problems: constantsProblems,
    compute: (asked: MoistureQuestion) => moisture(asked),
  },
  parts: {
    question: PartsQuestion,
    answer: PartsAnswer,
    problems: partsProblems,
    compute: (asked: PartsQuestion) => parts(asked),
  },
  nest: { question: NestQuestion, answer: NestAnswer, problems: nestProblems, compute: nest },
  export: { question: ExportQuestion, answer: ExportAnswer, problems: exportProblems, compute: exportFile },
  cells: { question: CellsQuestion, answer: CellsAnswer, problems: cellsProblems, compute: cells },
} as const satisfies Record<string, SubjectDoor>;

export type SubjectName = keyof typeof subjects;
export const isSubject = (name: string): name is SubjectName => Object.hasOwn(subjects, name);
