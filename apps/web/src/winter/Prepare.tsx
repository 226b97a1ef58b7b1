import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { type AutumnLine, countOf, lastDayOver, roomName, showDay, statusLine } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { CombKey } from '../frames/CombBar.tsx';
import { spokenDrag } from '../frames/spokenDrag.ts';
import { useFrameSensors } from '../frames/useFrameSensors.ts';
import { Notice } from '../parts/Notice.tsx';
import { AsItIs } from './AsItIs.tsx';
import { Beside } from './Beside.tsx';
import { ColonyHead } from './ColonyHead.tsx';
import { FittedRoom } from './FittedRoom.tsx';
import { BEYOND, carried, FOLLOWER, keptOf, withFollowerAt } from './kept.ts';
import { PlanBar } from './PlanBar.tsx';
import { Schools } from './Schools.tsx';
import { StoresBar } from './StoresBar.tsx';
import { ToSpring } from './ToSpring.tsx';
import { usePreparation } from './usePreparation.ts';
import type { WinterView } from './useWinter.ts';

/** One colony before winter: its room as it is, fitted to it, and both winters. */
export function Prepare({ winter, line }: { winter: WinterView; line: AutumnLine }) {
  const say = useSay();
  const preparing = usePreparation(winter, line);
  const { preparation, setKept, arrangement } = preparing;
  const { box, room, seams, why } = line;
  const sensors = useFrameSensors();
  const liquid = lastDayOver(winter.months, winter.view.on, winter.season.constants.liquidFeed_C);
  const name = roomName(line);
  const drop = ({ active, over }: DragEndEvent) => {
    if (!preparation || !over) return;
    const kept = keptOf(preparation.frames);
    const [from, to] = [String(active.id), String(over.id)];
    if (from === FOLLOWER) setKept(withFollowerAt(preparation.frames, kept, to, arrangement.end));
    else if (to !== BEYOND) setKept(carried(kept, from, to));
  };
  return (
    <div className="px-5 pb-4">
      <ColonyHead
        yard={winter.view.yard.id}
        line={line}
        words={[
          statusLine(room, winter.view.on),
          box.designName,
          seams === undefined ? '' : countOf(seams, 'seam'),
        ]}
      />
      {winter.advised && <p className="max-w-prose">{say(why)}</p>}
      <p className="text-sm text-soft">{say(knownOf(line, winter.view.on))}</p>
      {preparation ? (
        <>
          <DndContext
            sensors={sensors}
            collisionDetection={closestCenter}
            accessibility={{ announcements: spokenDrag }}
            onDragEnd={drop}
          >
            <div className="mt-2 flex flex-col gap-4 sm:flex-row sm:gap-6">
              <AsItIs name={name} line={line} preparing={preparing} />
              <FittedRoom name={name} preparing={preparing} />
            </div>
          </DndContext>
          <details className="mt-1 text-sm">
            <summary className="inline-flex min-h-8 items-center max-lg:min-h-12 text-soft underline">
              What the strips show
            </summary>
            <CombKey />
          </details>
          {preparation.notes.map((note) => (
            <Notice key={note} kind="ask">
              {say(note)}
            </Notice>
          ))}
          {preparation.follower && 'why' in preparation.follower && arrangement.follower && (
            <p className="mt-1 text-sm text-soft">{say(preparation.follower.why)}</p>
          )}
          <div className="mt-3 grid gap-x-8 gap-y-3 border-t border-hairline pt-2 sm:grid-cols-2">
            <StoresBar
              preparation={preparation}
              constants={winter.season.constants}
              liquid={liquid === undefined || winter.view.on <= liquid}
            />
            <Schools preparing={preparing} />
          </div>
          <ToSpring winter={winter} preparation={preparation} pitch_mm={pitchOf(line)} seams={seams ?? 0} />
          <Beside winter={winter} line={line} preparing={preparing} />
          <PlanBar winter={winter} line={line} preparing={preparing} />
        </>
      ) : (
        <p className="mt-2 text-soft">Nothing hangs in this room that a winter could be reckoned of.</p>
      )}
    </div>
  );
}

const BY = {
  looked: 'as looked through',
  weighed: 'by the weight of its box',
  felt: 'by a heft, a guess',
} as const;

/** What is known of its stores, and when it was treated last: a colony without is marked. */
function knownOf({ stores_kg, storesBy, room: { colony } }: AutumnLine, on: string): string {
  const stores =
    stores_kg === undefined || storesBy === undefined
      ? 'Stores not known'
      : `${stores_kg.toFixed(1)} kg of stores, ${BY[storesBy]}`;
  const treated = colony?.treatedOn ? `treated ${showDay(colony.treatedOn, on)}` : 'no treatment recorded';
  return `${stores} · ${treated}.`;
}

const pitchOf = ({ box, room }: AutumnLine): number =>
  box.model.compartments[room.position]?.frames[0]?.format.pitch_mm ?? 35;
