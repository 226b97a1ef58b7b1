import type { SeasonAnswer, SeasonQuestion } from '@yellow-cell/contract';
import { changeOutside, graftDays, seasonPlan, seasonProgramme } from '@yellow-cell/core';
import { solver } from './solver.ts';

/** How near to its bound a plan is taken, and how long is looked for it, in seconds. */
const GAP = 0.004;
const LOOKED_S = 7;

/** The best plan of a season that is found in the time, with the solver's own bound, which no plan exceeds. */
export async function season(question: SeasonQuestion): Promise<SeasonAnswer> {
  const days = graftDays(question);
  const nothing = seasonPlan(question, days, () => 0);
  if (days.length === 0) return { ...nothing, bound: nothing.objective };
  const highs = await solver();
  return highs.withModel({ format: 'lp', data: seasonProgramme(question, days) }, (model) => {
    model.options.set({ output_flag: false, mip_rel_gap: GAP, time_limit: LOOKED_S, random_seed: 1 });
    model.run();
    const amounts = model.getSolution().colValue;
    const plan = seasonPlan(question, days, (name) => amounts[model.getColByName(name)] ?? 0);
    const best = plan.objective > nothing.objective ? plan : nothing;
    return {
      ...best,
      bound: Math.max(
        best.objective,
        Number(model.info.get('mip_dual_bound')) - changeOutside(question, days),
      ),
    };
  });
}
