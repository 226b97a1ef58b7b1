import type { EntranceState, ReachWarning } from '@yellow-cell/contract';
import { type BoxChange, boardNames, bodiesOf, drawnDesign, warningsOf } from '@yellow-cell/core';
import { useState } from 'react';
import { type Draft, draft, useLog } from '../app/useLog.ts';
import { entranceWords } from './entranceWords.ts';
import type { BoxView, YardView } from './useYard.ts';
import { Warned } from './Warned.tsx';

interface Pending {
  title: string;
  act: Draft;
  warnings: readonly ReachWarning[];
}

/** Dividers and entrances as they stand. What a change would bring about for those who live there is said before it is kept. */
export function BoxParts({ view, boxView: { box } }: { view: YardView; boxView: BoxView }) {
  const log = useLog();
  const [pending, setPending] = useState<Pending>();
  const drawn = drawnDesign(view.designs, box);
  if (!drawn) return null;
  const bodies = bodiesOf(drawn);
  const boards = bodies.flatMap((body) => body.boards);
  const entrances = bodies.flatMap((body) => body.entrances);
  const propose = (title: string, change: BoxChange, act: Draft) => {
    const warnings = warningsOf(view.state, view.designs, box, change);
    if (warnings.length === 0) void log(title, [act]);
    else setPending({ title, act, warnings });
  };
  const keep = async (reason: string) => {
    if (!pending) return;
    await log(pending.title, [{ ...pending.act, note: reason }]);
    setPending(undefined);
  };
  const move = (board: string, name: string, stands: boolean) =>
    propose(
      `${box.label}: ${name.toLowerCase()} ${stands ? 'set' : 'pulled'}`,
      { kind: 'divider', board, stands },
      draft('dividerSet', { box: box.id, board, stands }),
    );
  const turn = (entrance: string, state: EntranceState, where: string) =>
    propose(
      `${box.label}: ${where} turned to ${entranceWords[state]}`,
      { kind: 'entrance', entrance, state },
      draft('entranceSet', { box: box.id, entrance, state }),
    );
  return (
    <section aria-label="Dividers and entrances">
      <h3 className="eyebrow">Dividers and entrances</h3>
      {pending && <Warned warnings={pending.warnings} onKeep={keep} onCancel={() => setPending(undefined)} />}
      <ul>
        {boards.map(({ id, kind }, index) => {
          const stands = !(box.pulled ?? []).includes(id);
          const name = boards.length > 1 ? `${boardNames[kind]} ${index + 1}` : boardNames[kind];
          return (
            <li key={id} className="row-line items-center">
              <span>
                {name} <span className="text-soft">{stands ? 'stands' : 'is out'}</span>
              </span>
              <button type="button" className="button min-h-11" onClick={() => move(id, name, !stands)}>
                {stands ? 'Pull it' : 'Set it'}
              </button>
            </li>
          );
        })}
        {entrances.map(({ id, side, height, state: drawnState }) => {
          const others = entrances.filter((each) => each.side === side);
          const high = others.some((each) => each.height.mm < height.mm);
          const where = `${side}${others.length > 1 ? (high ? ', high' : ', low') : ''}`;
          return (
            <li key={id} className="row-line items-center">
              <label htmlFor={`${box.id}${id}`}>Entrance, {where}</label>
              <select
                id={`${box.id}${id}`}
                className="field min-h-11 w-auto"
                value={box.entranceStates?.[id] ?? drawnState}
                onChange={({ target }) => turn(id, target.value as EntranceState, `entrance ${where}`)}
              >
                {Object.entries(entranceWords).map(([key, words]) => (
                  <option key={key} value={key}>
                    {words}
                  </option>
                ))}
              </select>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
