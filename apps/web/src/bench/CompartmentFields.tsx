import type { Side } from '@yellow-cell/contract';
import {
  type BoxModel,
  compartmentNames,
  fitSentence,
  fitWord,
  sidesOf,
  withEntranceSide,
  withFramesIn,
} from '@yellow-cell/core';
import { useUnits } from '../app/units.ts';
import { Stepper } from '../parts/Stepper.tsx';
import type { DraftDesk } from './useDraft.ts';

interface CompartmentFieldsProps {
  desk: DraftDesk;
  model: BoxModel;
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
}

/** Each compartment: its frames, its entrance's side, and what its slack means in plain words. */
export function CompartmentFields({ desk, model, chosen, onChoose }: CompartmentFieldsProps) {
  const units = useUnits();
  const { content } = desk.draft;
  const names = compartmentNames(content.bays.length);
  return (
    <ul className="mt-2">
      {content.bays.map((bay, index) => {
        const fit = model.compartments[index]?.fit;
        const entrance = content.entrances.find((each) => each.bay === bay.id);
        const setFrames = (count: number) => desk.edit((now) => withFramesIn(now, index, count));
        const bad = fit?.verdict === 'impossible' || fit?.verdict === 'jams';
        return (
          <li
            key={bay.id}
            className={`-mx-2 border-b border-hairline px-2 py-2 ${bay.id === chosen ? 'bg-glow' : ''}`}
          >
            <div className="flex items-center justify-between gap-2">
              <button
                type="button"
                className="font-bold"
                aria-pressed={bay.id === chosen}
                onClick={() => onChoose(bay.id === chosen ? undefined : bay.id)}
              >
                {names[index]}
              </button>
              <Stepper
                label={`frames, ${names[index]}`}
                unit="frames"
                count={bay.frames.length}
                least={0}
                most={30}
                onChange={setFrames}
              />
            </div>
            {fit && (
              <p className={bad ? 'text-danger' : ''}>
                <strong>{fitWord[fit.verdict]}.</strong> {fitSentence(fit, units)}
              </p>
            )}
            {entrance && (
              <label className="mt-1 flex items-center gap-2 text-sm text-soft">
                Entrance
                <select
                  className="rounded border border-soft bg-slip px-1 py-0.5 text-ink"
                  value={entrance.side}
                  onChange={({ target }) =>
                    desk.edit((now) => withEntranceSide(now, entrance.id, target.value as Side))
                  }
                >
                  {sidesOf(index, content.bays.length).map((side) => (
                    <option key={side} value={side}>
                      {side}
                    </option>
                  ))}
                </select>
              </label>
            )}
          </li>
        );
      })}
    </ul>
  );
}
