import type { WinteringAnswer, WinteringQuestion } from '@yellow-cell/contract';
import { winteringPlan, winteringProgramme } from '@yellow-cell/core';
import { solver } from './solver.ts';

/** How near to its bound a choice is taken, and how long is looked for it, in seconds. */
const GAP = 0.002;
const LOOKED_S = 6;
const HALF = 0.5;

/** The best choice for a whole yard with the solver's own bound, and the best of all others. */
export async function wintering(question: WinteringQuestion): Promise<WinteringAnswer> {
  const highs = await solver();
  const solve = (without?: readonly number[]) =>
    highs.withModel({ format: 'lp', data: winteringProgramme(question, without) }, (model) => {
      model.options.set({ output_flag: false, mip_rel_gap: GAP, time_limit: LOOKED_S, random_seed: 1 });
      model.run();
      const amounts = model.getSolution().colValue;
      const isChosen = (name: string): boolean => (amounts[model.getColByName(name)] ?? 0) > HALF;
      const options = question.colonies.map(({ options: all }, colony) =>
        all.findIndex((_, option) => isChosen(`x${colony}_${option}`)),
      );
      return options.some((option) => option < 0)
        ? undefined
        : { plan: winteringPlan(question, options), bound: Number(model.info.get('mip_dual_bound')) };
    });
  const best = solve();
  if (!best) return { best: null, bound: 0, second: null };
  return {
    best: best.plan,
    bound: Math.min(best.plan.cost, best.bound),
    second: solve(best.plan.options)?.plan ?? null,
  };
}
