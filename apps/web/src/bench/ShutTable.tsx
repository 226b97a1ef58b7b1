import type { DesignContent } from '@yellow-cell/contract';
import { SHUT_HOURS, shutFor } from '@yellow-cell/core';
import { useMemo } from 'react';
import { Said } from '../parts/Said.tsx';
import { showC } from './heat.ts';
import { inHours } from './inHours.ts';
import type { PhysicsDesk } from './usePhysics.ts';

/** How long the box can stay shut, for each of the things that it is shut for, under the air and sun set above. */
export function ShutTable({
  design,
  desk: { conditions, figures },
}: {
  design: DesignContent;
  desk: PhysicsDesk;
}) {
  const answers = useMemo(() => shutFor(design, conditions), [design, conditions]);
  const { fanning_C, danger_C } = figures.constants;
  return (
    <section aria-label="How long it can stay shut" className="mt-3">
      <h3 className="eyebrow">How long can it stay shut?</h3>
      <table className="w-full text-sm">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal">for, and how long until</th>
            <th className="pl-2 text-right font-normal whitespace-nowrap">
              <Said>{fanning_C} °C</Said>
            </th>
            <th className="pl-2 text-right font-normal whitespace-nowrap">
              <Said>{danger_C} °C</Said>
            </th>
            <th className="pl-2 text-right font-normal whitespace-nowrap">at last</th>
          </tr>
        </thead>
        <tbody>
          {answers.map(
            ({ key, name, supposes, fanning_min, danger_min, least_min, stale_min, inside_C, warning }) => (
              <tr key={key} className="border-t border-hairline align-top">
                <td className="py-1">
                  {name}
                  <span className="block text-xs text-soft">{supposes}</span>
                  {stale_min !== null && (
                    <span className="block text-xs font-semibold text-danger">
                      Its air harms them after about {inHours(stale_min)}: more mesh, or shorter.
                    </span>
                  )}
                  {warning && <span className="block text-xs font-semibold text-danger">{warning}</span>}
                </td>
                <td className="pl-2 text-right whitespace-nowrap">{showMinutes(fanning_min)}</td>
                <td
                  className={`pl-2 text-right whitespace-nowrap ${least_min !== null && least_min < SOON_MIN ? 'font-semibold text-danger' : ''}`}
                >
                  {showSpan(least_min, danger_min)}
                </td>
                <td className="pl-2 text-right whitespace-nowrap">{showC(inside_C)}</td>
              </tr>
            ),
          )}
        </tbody>
      </table>
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
const showMinutes = (minutes: number | null): string =>
  minutes === null ? `over ${SHUT_HOURS} h` : minutes === 0 ? 'at once' : inHours(minutes);
/** What they have at least, and what is usual. */
const showSpan = (least: number | null, usual: number | null): string =>
  least === null || least === usual ? showMinutes(usual) : `${showMinutes(least)} to ${showMinutes(usual)}`;
