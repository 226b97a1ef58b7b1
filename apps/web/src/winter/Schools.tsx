import { comesThrough, type Preparation, type School } from '@yellow-cell/core';
import { odds } from './odds.ts';
import type { Preparing } from './usePreparation.ts';

const SCHOOLS: readonly (readonly [School, string, string])[] = [
  ['sun', 'sun side', 'the cluster moves one way'],
  ['both', 'both sides', 'as the bees leave it'],
  ['behind', 'behind', 'away from the sun'],
];

/** Where the stores go, by school, each with its reason and what follows; none is imposed. */
export function Schools({
  preparing: { arrangement, bySchool, chooseSchool, warm },
}: {
  preparing: Preparing;
}) {
  return (
    <fieldset className="no-print">
      <legend className="w-full">
        <strong>Stores go to</strong>{' '}
        <span className="text-sm text-soft">and how often it comes through</span>
      </legend>
      <div className="mt-1 grid gap-1">
        {SCHOOLS.map(([school, name, why]) => {
          const through = throughOf(bySchool.get(school));
          const here = arrangement.school === school;
          return (
            <label
              key={school}
              className={`flex min-h-9 cursor-pointer items-center gap-2 rounded-md border-[1.5px] px-2 leading-tight max-lg:min-h-12 ${here ? 'border-ink bg-glow' : 'border-hairline'}`}
            >
              <input type="radio" name="school" checked={here} onChange={() => chooseSchool(school)} />
              <span className="flex-1">
                <strong>{name}</strong> <span className="text-sm text-soft">{why}</span>
              </span>
              {through !== undefined && <span className="whitespace-nowrap text-sm">{odds(through)}</span>}
            </label>
          );
        })}
      </div>
      {!warm && (
        <p className="mt-1 text-sm text-soft">
          The sun warms both ends of this row alike, or nobody has said where its front looks to: left counts
          as its sun side.
        </p>
      )}
    </fieldset>
  );
}

const throughOf = (preparation: Preparation | undefined): number | undefined =>
  preparation?.fitted.forecast && comesThrough(preparation.fitted.forecast);
