import { useSuspenseQuery } from '@tanstack/react-query';
import type { Yard } from '@yellow-cell/contract';
import {
  type AutumnAct,
  type AutumnLine,
  autumnList,
  autumnTime,
  countOf,
  showDay,
  winterMonths,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { ClimateField } from '../bench/ClimateField.tsx';
import { useYardFigures } from '../bench/useYardFigures.ts';
import { Said } from '../parts/Said.tsx';
import { useQuickYard } from '../yard/useQuickYard.ts';
import { useYard } from '../yard/useYard.ts';
import { AutumnRow } from './AutumnRow.tsx';

/** The cavity fitted to the colony, and the yard through to spring: the list of autumn. */
export function WinterScreen() {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [params] = useSearchParams();
  const yard = yards.find(({ id }) => id === params.get('yard')) ?? yards[0];
  return yard ? (
    <OneWinter key={yard.id} yard={yard} yards={yards} />
  ) : (
    <p className="p-6">There is no yard yet, and no colony to winter.</p>
  );
}

const GROUPS: readonly (readonly [AutumnAct, string, string])[] = [
  ['combine', 'Combine', 'Bees without a queen'],
  ['count', 'Look down from above', 'Not known well enough: the cheapest look first'],
  ['pair', 'Pair or combine', 'The small winter in company'],
  ['feed', 'Feed', 'Stores are short of what winter takes, and a third more'],
  ['reduce', 'Reduce', 'Clearly fewer bees than the room holds'],
  ['heft', 'Heft', 'Stores are not known'],
  ['leave', 'Leave alone', 'As they should be'],
];

/** A line names its box here: none is opened. */
const NO_CHOICE = { box: undefined, bay: undefined };

function OneWinter({ yard, yards }: { yard: Yard; yards: readonly Yard[] }) {
  const say = useSay();
  const view = useYard(yard);
  useQuickYard(view, NO_CHOICE);
  const figures = useYardFigures();
  const [, setParams] = useSearchParams();
  const { state, boxes, on, constants, weather } = view;
  const lines = useMemo(
    () =>
      autumnList(state, boxes, {
        on,
        months: winterMonths(figures.climate, yard.latitude_deg),
        constants,
      }),
    [state, boxes, on, figures.climate, yard, constants],
  );
  const time = autumnTime(weather, constants);
  return (
    <main className="h-full overflow-y-auto bg-sheet px-5 py-4">
      <div className="mx-auto max-w-5xl">
        <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
          <h1 className="text-xl">Winter in {yard.name}</h1>
          {yards.length > 1 && (
            <nav aria-label="Yards" className="no-print flex flex-wrap gap-x-3">
              {yards
                .filter(({ id }) => id !== yard.id)
                .map(({ id, name }) => (
                  <button
                    key={id}
                    type="button"
                    className="min-h-11 font-semibold underline"
                    onClick={() =>
                      setParams((before) => new URLSearchParams({ ...Object.fromEntries(before), yard: id }))
                    }
                  >
                    {name}
                  </button>
                ))}
            </nav>
          )}
          <button type="button" className="button no-print ml-auto min-h-11" onClick={() => window.print()}>
            Print
          </button>
        </div>
        <p
          className={`mt-1 max-w-prose ${time.is === 'expanding' ? 'rounded bg-glow px-2 py-1' : 'text-soft'}`}
        >
          {say(time.sentence)}
        </p>
        <p className="mt-1 max-w-prose text-soft">
          <Said>
            {countOf(lines.length, 'colony', 'colonies')} on {say(showDay(on))}.
            {time.is === 'expanding' ? '' : ` ${sugarSentence(lines)}`}
          </Said>
        </p>
        <div className="no-print max-w-md">
          <ClimateField
            climate={figures.climate}
            latitude_deg={yard.latitude_deg}
            onChange={figures.setClimate}
          />
        </div>
        {lines.length === 0 && <p className="mt-4">No colony lives in this yard on this day.</p>}
        {time.is === 'expanding' ? (
          <section aria-label="As they stand" className="mt-5">
            <h2 className="text-lg">As they stand</h2>
            <p className="text-sm text-soft">
              What autumn asks of each is said here once days are cooler; until then the Yard says what is
              due.
            </p>
            <ul>
              {lines.map((line) => (
                <AutumnRow
                  key={`${line.box.box.id} ${line.room.position}`}
                  yard={yard.id}
                  line={line}
                  on={on}
                />
              ))}
            </ul>
          </section>
        ) : (
          GROUPS.map(([act, title, why]) => {
            const own = lines.filter((line) => line.act === act);
            return own.length === 0 ? null : (
              <section key={act} aria-label={title} className="mt-5 break-inside-avoid">
                <h2 className="text-lg">
                  {title} <span className="font-normal text-soft">{own.length}</span>
                </h2>
                <p className="text-sm text-soft">{why}.</p>
                <ul>
                  {own.map((line) => (
                    <AutumnRow
                      key={`${line.box.box.id} ${line.room.position}`}
                      yard={yard.id}
                      line={line}
                      on={on}
                      advised
                    />
                  ))}
                </ul>
              </section>
            );
          })
        )}
        <p className="mt-6 max-w-prose text-sm text-soft">
          What winter takes is reckoned from the seams counted, the walls of the box, neighbours over a
          divider, and the climate; it is an estimate, to be corrected by hefts.{' '}
          <Said>
            Vapours, lifting and ladders: mask, two people over {constants.liftAlone_kg} kg, local rules for
            treatments.
          </Said>
        </p>
      </div>
    </main>
  );
}

function sugarSentence(lines: readonly AutumnLine[]): string {
  if (lines.length === 0) return '';
  const sugar_kg = lines.reduce((sum, line) => sum + line.sugar_kg, 0);
  const unknown = lines.filter(({ stores_kg }) => stores_kg === undefined).length;
  if (unknown === lines.length)
    return 'Stores are known of none yet: hefts and frames looked through tell them.';
  const sugar = `Sugar to buy, as far as stores are known: ${sugar_kg.toFixed(0)} kg`;
  return unknown > 0 ? `${sugar}; of ${unknown} they are not.` : `${sugar}.`;
}
