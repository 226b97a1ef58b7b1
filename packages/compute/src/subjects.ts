import {
  AirAnswer,
  AirQuestion,
  CellsAnswer,
  CellsQuestion,
  CheckAnswer,
  CheckQuestion,
  FitAnswer,
  FitQuestion,
  GapAnswer,
  GapQuestion,
  LayoutsAnswer,
  LayoutsQuestion,
  MoistureAnswer,
  MoistureQuestion,
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
  fit,
  fitProblems,
  gap,
  layouts,
  layoutsProblems,
  moisture,
  reach,
  reachProblems,
  warmth,
  warmthProblems,
  winter,
} from '@yellow-cell/core';
import type { z } from 'zod';

/** Everything that can be asked without the interface: the schema of the question, the function, the schema of the answer. */
interface SubjectDoor {
  question: z.ZodType;
  answer: z.ZodType;
  /** Problems beyond those of single fields; safe to ask where the question has the right shape. */
  problems: (question: never) => Problem[];
  compute: (question: never) => unknown;
}

const noMore = (): Problem[] => [];

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
  air: { question: AirQuestion, answer: AirAnswer, problems: airProblems, compute: air },
  warmth: { question: WarmthQuestion, answer: WarmthAnswer, problems: warmthProblems, compute: warmth },
  winter: { question: WinterQuestion, answer: WinterAnswer, problems: noMore, compute: winter },
  moisture: { question: MoistureQuestion, answer: MoistureAnswer, problems: noMore, compute: moisture },
  cells: { question: CellsQuestion, answer: CellsAnswer, problems: cellsProblems, compute: cells },
} as const satisfies Record<string, SubjectDoor>;

export type SubjectName = keyof typeof subjects;
export const isSubject = (name: string): name is SubjectName => Object.hasOwn(subjects, name);
