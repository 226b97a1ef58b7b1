import type { SeasonAnswer } from '@yellow-cell/contract';
import type { Constants, SeasonAsked } from '@yellow-cell/core';
import { useEffect, useRef, useState } from 'react';
import { type Brought, solveSeason, tellBrings, whyUnsolved } from './seasonSolve.ts';

/** What was worked out, and of what. */
export interface FoundPlan {
  asked: SeasonAsked;
  answer: SeasonAnswer;
  brings: readonly Brought[];
  /** Things still to be tried; undefined where nobody answers any more: the plan stands all the same. */
  left: number | undefined;
}

/** A plan asked of the solver, then what more of each thing would bring; another question, or a stop, ends what is under way. */
export function useSeasonPlan(asked: SeasonAsked, constants: Constants) {
  const [found, setFound] = useState<FoundPlan>();
  const [asking, setAsking] = useState(false);
  const [failed, setFailed] = useState<string>();
  const run = useRef(0);
  useEffect(
    // Who has left the page asks no further.
    () => () => {
      run.current += 1;
    },
    [],
  );
  const question = JSON.stringify(asked.question);
  const isCurrent = found !== undefined && JSON.stringify(found.asked.question) === question;
  const work = async () => {
    if (!asked.question) return;
    run.current += 1;
    const mine = run.current;
    const isWanted = () => run.current === mine;
    setAsking(true);
    setFailed(undefined);
    try {
      const answer = await solveSeason(asked.question);
      if (!isWanted()) return;
      const tell = (brings: readonly Brought[], left: number | undefined) =>
        setFound({ asked, answer, brings, left });
      tell([], 0);
      setAsking(false);
      await tellBrings(asked.question, answer, tell, isWanted, constants).catch(
        () => isWanted() && tell([], undefined),
      );
    } catch (error) {
      if (isWanted()) setFailed(whyUnsolved(error));
    } finally {
      if (isWanted()) setAsking(false);
    }
  };
  return {
    found: isCurrent ? found : undefined,
    asking,
    failed,
    work,
    /** No more is tried of what more would bring. */
    stop: () => {
      run.current += 1;
      setFound((now) => now && { ...now, left: 0 });
    },
    forget: () => {
      run.current += 1;
      setFound(undefined);
    },
  };
}
