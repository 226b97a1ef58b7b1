import type { Body, BoxState, EntranceState, Groove, Hole } from '@yellow-cell/contract';
import {
  boardNames,
  bodiesOf,
  drawnDesign,
  type HandPlace,
  handPlacesFor,
  sheetsOf,
  showLength,
} from '@yellow-cell/core';
import { newId } from '../app/ids.ts';
import { useUnits } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { entranceWords } from './entranceWords.ts';
import { useWarned } from './useWarned.tsx';
import type { BoxView, YardView } from './useYard.ts';

type Closing = Hole['closedBy'];
const closingWords: Readonly<Record<Closing, string>> = {
  nothing: 'open',
  jar: 'feeding jar',
  mesh: 'mesh',
  plug: 'plug',
  excluder: 'excluder',
  escape: 'bee escape',
};

/** Grooves of the same body that no other standing board is in. */
function freePlaces(bodies: readonly Body[], box: BoxState, board: string): Groove[] {
  const body = bodies.find(({ boards }) => boards.some(({ id }) => id === board));
  const taken = (body?.boards ?? [])
    .filter(({ id }) => id !== board && !(box.pulled ?? []).includes(id))
    .map(({ id, groove }) => box.grooves?.[id] ?? groove);
  return (body?.grooves ?? []).filter(({ id }) => !taken.includes(id));
}

/** Dividers and entrances as they stand. What a change would bring about for those who live there is said before it is kept. */
export function BoxParts({ view, boxView }: { view: YardView; boxView: BoxView }) {
  const { box } = boxView;
  const log = useLog();
  const units = useUnits();
  const { send, asking } = useWarned(view);
  const drawn = drawnDesign(view.designs, box);
  if (!drawn) return null;
  const bodies = bodiesOf(drawn);
  const boards = bodies.flatMap((body) => body.boards);
  const entrances = bodies.flatMap((body) => body.entrances);
  const move = (board: string, name: string, stands: boolean) =>
    send(`${box.label}: ${name.toLowerCase()} ${stands ? 'set' : 'pulled'}`, [
      draft('dividerSet', { box: box.id, board, stands }),
    ]);
  const shift = (board: string, name: string, groove: string) =>
    send(`${box.label}: ${name.toLowerCase()} moved`, [draft('boardMoved', { box: box.id, board, groove })]);
  const byHand = (board: string, name: string, { at_mm, framesLeft }: HandPlace) => {
    const place = { board, at_mm, framesLeft, groove: newId(), bay: newId() };
    send(`${box.label}: ${name.toLowerCase()} set by hand`, [
      draft('boardPlaced', { box: box.id, ...place }),
    ]);
  };
  const close = (hole: string, closedBy: Closing) =>
    send(`${box.label}: hole ${closedBy === 'nothing' ? 'left open' : `under ${closedBy}`}`, [
      draft('holeSet', { box: box.id, hole, closedBy }),
    ]);
  const turn = (entrance: string, state: EntranceState, where: string) =>
    send(`${box.label}: ${where} turned to ${entranceWords[state]}`, [
      draft('entranceSet', { box: box.id, entrance, state }),
    ]);
  return (
    <section aria-label="As it stands">
      <h3 className="eyebrow">As it stands</h3>
      {asking}
      <ul>
        {boards.map(({ id, kind, groove }, index) => {
          const places = freePlaces(bodies, box, id);
          const stands = !(box.pulled ?? []).includes(id);
          const hands = stands ? handPlacesFor(boxView.design, id) : [];
          const name = boards.length > 1 ? `${boardNames[kind]} ${index + 1}` : boardNames[kind];
          return (
            <li key={id} className="row-line items-center">
              <span>
                {name} <span className="text-soft">{stands ? 'stands' : 'is out'}</span>
              </span>
              <span className="flex items-center gap-1.5">
                {stands && places.length + hands.length > 1 && (
                  <select
                    aria-label={`${name}: its place`}
                    className="field min-h-11 w-32"
                    value={box.grooves?.[id] ?? groove}
                    onChange={({ target: { value } }) => {
                      const hand = hands[Number(value)];
                      if (hand) byHand(id, name, hand);
                      else shift(id, name, value);
                    }}
                  >
                    {places.map((place) => (
                      <option key={place.id} value={place.id}>
                        {showLength(place.at.mm, units)}
                      </option>
                    ))}
                    {hands.length > 0 && (
                      <optgroup label="By hand, between frames">
                        {hands.map(({ at_mm, frames }, at) => (
                          <option key={at_mm} value={at}>
                            {showLength(Math.round(at_mm), units)}: {frames.join(' | ')} frames
                          </option>
                        ))}
                      </optgroup>
                    )}
                  </select>
                )}
                <button
                  type="button"
                  className="button min-h-11 shrink-0 whitespace-nowrap"
                  onClick={() => move(id, name, !stands)}
                >
                  {stands ? 'Pull it' : 'Set it'}
                </button>
              </span>
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
        {bodies
          .flatMap((body) => body.vents)
          .map(({ id, side }) => {
            const open = !(box.ventsShut ?? []).includes(id);
            return (
              <li key={id} className="row-line items-center">
                <span>
                  Vent, {side} <span className="text-soft">{open ? 'is open' : 'is shut'}</span>
                </span>
                <button
                  type="button"
                  className="button min-h-11"
                  onClick={() =>
                    void log(`${box.label}: vent ${side} ${open ? 'shut' : 'opened'}`, [
                      draft('ventSet', { box: box.id, vent: id, open: !open }),
                    ])
                  }
                >
                  {open ? 'Shut it' : 'Open it'}
                </button>
              </li>
            );
          })}
        {sheetsOf(drawn)
          .flatMap((sheet) => sheet.holes)
          .map(({ id, closedBy }, index) => (
            <li key={id} className="row-line items-center">
              <label htmlFor={`${box.id}${id}`}>Hole {index + 1} in the cover</label>
              <select
                id={`${box.id}${id}`}
                className="field min-h-11 w-auto"
                value={box.holes?.[id] ?? closedBy}
                onChange={({ target }) => close(id, target.value as Closing)}
              >
                {Object.entries(closingWords).map(([key, words]) => (
                  <option key={key} value={key}>
                    {words}
                  </option>
                ))}
              </select>
            </li>
          ))}
      </ul>
    </section>
  );
}
