import type { DesignContent } from '@yellow-cell/contract';
import { type Conditions, SHUT_HOURS, type ShutFor } from '@yellow-cell/core';
import { Said } from '../parts/Said.tsx';
import { benchWorker } from './benchWorker.ts';
import { roughly } from './inHours.ts';
import type { PhysicsDesk } from './usePhysics.ts';
import { useWorked } from './useWorked.ts';

const asked = (design: DesignContent, conditions: Conditions): Promise<ShutFor[]> =>
  benchWorker().shutFor(design, conditions);

/** How long the box can stay shut, for each of the things that it is shut for, under the air and sun set above. */
export function ShutTable({
  design,
  desk: { conditions, figures },
}: {
  design: DesignContent;
  desk: PhysicsDesk;
}) {
  const { answer: answers } = useWorked(asked, design, conditions);
  const { fanning_C, danger_C } = figures.constants;
  return (
    <section
      aria-label="How long it can stay shut"
      aria-busy={answers === undefined}
      // So high as its four answers are, so that nothing moves when they come.
      className={`mt-3 ${answers ? '' : 'min-h-[22rem]'}`}
    >
      <h3 className="eyebrow">How long can it stay shut?</h3>
      {!answers && <p className="text-sm text-soft">Working it out…</p>}
      <ul className="text-sm">
        {answers?.map((each) => (
          <li key={each.key} className="border-t border-hairline py-1.5">
            <strong>{each.name}</strong> <span className="text-xs text-soft">{each.supposes}</span>
            <p className={isSoon(each) ? 'font-semibold text-danger' : ''}>
              <Said>
                {each.fanning_min === null && each.least_min === null
                  ? `Not over ${fanning_C} °C in ${SHUT_HOURS} h`
                  : `Over ${fanning_C} °C ${showMinutes(each.fanning_min)}, over ${danger_C} °C ${showSpan(each.least_min, each.danger_min)}`}
                ; about {Math.round(each.inside_C)} °C at last.
              </Said>
            </p>
            {each.stale_min !== null && (
              <p className="font-semibold text-danger">Its air harms them {showMinutes(each.stale_min)}.</p>
            )}
            {each.warning && <p className="font-semibold text-danger">{each.warning}</p>}
          </li>
        ))}
      </ul>
      <p className="text-xs text-soft">
        All compartments shut and warm at once; of the one that warms fastest. Where two figures stand, the
        first is what they have at least, with the most heat that such bees give. What is on vent stays so.
        Water, shade and an open hand are surer than any figure: look in early.
      </p>
    </section>
  );
}
/** Less than an hour leaves no time to be late. */
const SOON_MIN = 60;
const isSoon = ({ least_min }: ShutFor): boolean => least_min !== null && least_min < SOON_MIN;
function showMinutes(minutes: number | null): string {
  if (minutes === null) return `not in ${SHUT_HOURS} h`;
  return minutes < 1 ? 'at once' : `after ${roughly(minutes)}`;
}
/** What they have at least, and what is usual. */
function showSpan(least: number | null, usual: number | null): string {
  if (least === null || usual === null || roughly(least) === roughly(usual))
    return showMinutes(least ?? usual);
  return `after ${roughly(least)} to ${roughly(usual)}`;
}
