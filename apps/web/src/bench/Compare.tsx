import type { DesignContent } from '@yellow-cell/contract';
import { arrangementsOf, type Conditions } from '@yellow-cell/core';
import type { ReactNode } from 'react';
import { Said } from '../parts/Said.tsx';
import type { Change } from './bench.worker.ts';
import { benchWorker } from './benchWorker.ts';
import { twoFigures } from './heat.ts';
import { roughly } from './inHours.ts';
import type { PhysicsDesk } from './usePhysics.ts';
import { useWorked } from './useWorked.ts';

interface CompareProps {
  kind: 'air' | 'warmth';
  design: DesignContent;
  desk: PhysicsDesk;
}

const changes = (design: DesignContent, conditions: Conditions): Promise<Change[]> =>
  benchWorker().changes(design, conditions);

/** Each change alone against the box as drawn, with a bar: what the walls lose, or minutes until 38 °C. */
export function Compare({ kind, design, desk }: CompareProps) {
  const { conditions, figures } = desk;
  const { answer } = useWorked(changes, design, conditions);
  const figure = (each: Change): number => (kind === 'air' ? (each.minutes ?? LONG_MIN) : each.walls_WK);
  const most = Math.max(1, ...(answer ?? []).map(figure));
  const drawn = answer?.[0];
  // Their names stand there at once, so that nothing moves when the figures come.
  const rows = answer ?? arrangementsOf(design, conditions);
  return (
    <details open aria-busy={answer === undefined}>
      <summary className="mt-2 font-bold">What each change would bring</summary>
      <table className="w-full text-sm">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal">change</th>
            <th className="text-right font-normal">
              <Said>{kind === 'air' ? `to ${figures.constants.danger_C} °C, shut` : 'walls'}</Said>
            </th>
            {kind === 'warmth' && <th className="text-right font-normal">burnt in 30 days</th>}
            <th className="text-right font-normal">water a day</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, name }) => {
            const change = answer?.find((each) => each.key === key);
            return (
              <tr key={key} className="border-t border-hairline align-top">
                <td className="py-1 pr-2">
                  {key === 'drawn' ? <strong>{name}</strong> : <Said>{name}</Said>}
                  <span
                    className="mt-0.5 block h-1.5 rounded bg-[var(--comb-line)]"
                    style={{ width: `${change ? (figure(change) / most) * 100 : 0}%` }}
                  />
                </td>
                <Figures kind={kind} change={change} drawn={drawn} />
              </tr>
            );
          })}
        </tbody>
      </table>
      {kind === 'warmth' && drawn?.drips && (
        <p className="text-sm">
          The surest cure of the drip first. A tilt of 2 to 5 cm to the front, which no figure shows, lets
          what forms above run to the front wall.
        </p>
      )}
    </details>
  );
}

interface FiguresProps {
  kind: 'air' | 'warmth';
  change: Change | undefined;
  drawn: Change | undefined;
}

function Figures({ kind, change, drawn }: FiguresProps) {
  const cell = (said: ReactNode, below: string | undefined = undefined, isBad = false) => (
    <td className={`pl-2 text-right whitespace-nowrap ${isBad ? 'text-danger' : ''}`}>
      {said}
      {below !== undefined && <span className="block text-xs text-soft">{below}</span>}
    </td>
  );
  if (!change)
    return (
      <>
        {cell('…')}
        {kind === 'warmth' && cell('…', '\u00a0')}
        {cell('…')}
      </>
    );
  return (
    <>
      {cell(
        kind === 'warmth'
          ? `${twoFigures(change.walls_WK)} W/K`
          : change.minutes === null
            ? 'never'
            : roughly(change.minutes),
      )}
      {kind === 'warmth' &&
        cell(
          <Said>{twoFigures(change.stores_kgMonth)} kg</Said>,
          drawn && change !== drawn ? percent(change.stores_kgMonth, drawn.stores_kgMonth) : '\u00a0',
        )}
      {cell(
        `${twoFigures(change.condensate_gDay)} g${change.drips ? ', drips' : ''}`,
        undefined,
        change.drips,
      )}
    </>
  );
}

/** A box that never gets too hot has the longest bar. */
const LONG_MIN = 12 * 60;
/** Against the box as it is drawn. */
function percent(now: number, drawn: number): string {
  const share = drawn > 0 ? Math.round(100 * (now / drawn - 1)) : 0;
  return share === 0 ? 'as drawn' : `${Math.abs(share)} % ${share < 0 ? 'less' : 'more'}`;
}
