import {
  CellsAnswer,
  CellsQuestion,
  FitAnswer,
  FitQuestion,
  GapAnswer,
  GapQuestion,
  type Problem,
} from '@yellow-cell/contract';
import { cells, cellsProblems, fit, fitProblems, gap } from '@yellow-cell/core';
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
  cells: { question: CellsQuestion, answer: CellsAnswer, problems: cellsProblems, compute: cells },
} as const satisfies Record<string, SubjectDoor>;

export type SubjectName = keyof typeof subjects;
export const isSubject = (name: string): name is SubjectName => Object.hasOwn(subjects, name);
