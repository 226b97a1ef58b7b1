import {
  compassPoint,
  confidenceWords,
  countOf,
  feedWords,
  restsUntil,
  roleName,
  showDay,
  sideBearing,
  troubleWords,
} from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';
import type { BoxView, CompartmentView, YardView } from './useYard.ts';

interface RoomFactsProps {
  view: YardView;
  boxView: BoxView;
  compartment: CompartmentView;
}

/** What is in a room, and what is known of it. */
export function RoomFacts({ view, boxView: { box, model }, compartment }: RoomFactsProps) {
  const say = useSay();
  const { on } = view;
  const { colony, attempt } = compartment;
  const rested = colony && restsUntil(colony, view.constants);
  const entrances = model.compartments[compartment.position]?.entrances ?? [];
  return (
    <>
      <h3 className="eyebrow">In it</h3>
      <dl>
        <Fact name="Frames">
          <Link className="underline" to={`/yard/${view.yard.id}/frames?box=${box.id}`}>
            {compartment.frames}, one by one
          </Link>
        </Fact>
        {colony?.strength && (
          <Fact name="Strength">
            {countOf(colony.strength.seams, 'seam')}, {say(showDay(colony.strength.on, on))}
          </Fact>
        )}
        {colony?.broodSeen && (
          <Fact name="Brood">
            on {countOf(colony.broodSeen.frames, 'frame')}, {say(showDay(colony.broodSeen.on, on))}
          </Fact>
        )}
        {colony?.fed && (
          <Fact name="Fed">
            <Said>{colony.fed.amount_kg} kg</Said> of {feedWords[colony.fed.feed]},{' '}
            {say(showDay(colony.fed.on, on))}
          </Fact>
        )}
        {compartment.role !== 'empty' && <Fact name="Serves as">{roleName(compartment.role)}</Fact>}
        {(colony ?? compartment.left)?.strips?.map(({ id, product, outBy }) => (
          <Fact key={id} name={product}>
            out by {say(showDay(outBy, on))}
          </Fact>
        ))}
        {colony?.troubles?.map(({ trouble, on: since }) => (
          <Fact key={trouble} name="Trouble">
            {troubleWords[trouble]}, {say(showDay(since, on))}
          </Fact>
        ))}
        {colony?.suspicions?.map(({ id, what, confidence }) => (
          <Fact key={id} name="Suspected">
            {what}
            {confidence ? `, ${confidenceWords[confidence]}` : ''}
          </Fact>
        ))}
        {colony?.outing && <Fact name="Out at">{colony.outing.place}</Fact>}
        {colony?.gaveOn && rested && (
          <Fact name="Gave frames">
            {say(showDay(colony.gaveOn, on))}, again from {say(showDay(rested, on))}
          </Fact>
        )}
        {colony && <Fact name="Stocked">{say(showDay(colony.stockedOn, on))}</Fact>}
        {attempt && attempt.patterns.length > 0 && (
          <Fact name="Pattern">
            {attempt.patterns.map(({ pattern_pct }) => `${pattern_pct} %`).join(', ')}
          </Fact>
        )}
        {box.place &&
          entrances.map(({ id, opening: { side, state, height } }) => (
            <Fact key={id} name="Entrance">
              {side}
              {heightWord(entrances, side, height.mm)}, {state === 'open' ? '' : `${state}, `}flies{' '}
              {compassPoint(sideBearing(box.place?.bearing_deg ?? 0, side))}
            </Fact>
          ))}
      </dl>
    </>
  );
}

/** Two entrances of one side are told apart by which is the higher. */
function heightWord(
  entrances: readonly { opening: { side: string; height: { mm: number } } }[],
  side: string,
  height_mm: number,
): string {
  const same = entrances.filter(({ opening }) => opening.side === side);
  if (same.length < 2) return '';
  return same.some(({ opening }) => opening.height.mm < height_mm) ? ' high' : ' low';
}

function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="row-line">
      <dt>{name}</dt>
      <dd className="text-right text-soft">{children}</dd>
    </div>
  );
}
