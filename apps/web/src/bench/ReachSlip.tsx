import type { Occupant } from '@yellow-cell/contract';
import { type BoxModel, gap, showLength } from '@yellow-cell/core';
import { X } from 'lucide-react';
import { useUnits } from '../app/units.ts';
import { TerritoryDefs, TerritoryPatch } from '../drawing/TerritoryDefs.tsx';
import { Notice } from '../parts/Notice.tsx';
import type { ReachDesk } from './useReach.ts';

const WORDS: Readonly<Record<Occupant, string>> = {
  queen: 'queen',
  virgin: 'virgin',
  ripeCell: 'ripe cell',
  grafts: 'grafts',
  drones: 'drones',
};

interface ReachSlipProps {
  model: BoxModel;
  reach: ReachDesk;
  tool: Occupant;
  onTool: (tool: Occupant) => void;
  onPoint: (places: readonly string[]) => void;
}

/** Who can go where: queens, cells and drones put in on trial, and what would come of it. */
export function ReachSlip({ model, reach, tool, onTool, onPoint }: ReachSlipProps) {
  const units = useUnits();
  const { occupants, answer, put, take, empty } = reach;
  const nameOf = (id: string) => model.spaces.find((space) => space.id === id)?.name ?? id;
  const inWords = (sentence: string) =>
    [...model.spaces]
      .sort((a, b) => b.id.length - a.id.length)
      .reduce((text, { id, name }) => text.replaceAll(id, name), sentence);
  return (
    <aside
      aria-label="Who can go where"
      className="w-full shrink-0 border-l border-hairline bg-slip px-5 py-4 lg:h-full lg:w-[23rem] lg:overflow-y-auto"
    >
      <TerritoryDefs />
      <h2 className="text-lg">Who can go where</h2>
      <p className="text-soft">
        Put a queen, a cell or drones into a space to see what would happen, before any bees are at risk.
      </p>
      <fieldset className="mt-3">
        <legend className="mb-1 font-bold">Put in</legend>
        <div className="flex flex-wrap gap-1.5">
          {(Object.keys(WORDS) as Occupant[]).map((what) => (
            <button
              key={what}
              type="button"
              aria-pressed={tool === what}
              className={`button min-h-8 px-2.5 py-0.5 ${tool === what ? 'button-main' : ''}`}
              onClick={() => onTool(what)}
            >
              {WORDS[what]}
            </button>
          ))}
        </div>
      </fieldset>
      <h3 className="eyebrow">Where: press a space here or on the drawing</h3>
      <ul>
        {answer.territories.map((group, index) => (
          <li key={group.join()} className="border-b border-hairline py-1.5">
            <p className="flex items-center gap-2 text-sm text-soft">
              <TerritoryPatch index={index} /> one queen territory
            </p>
            <div className="mt-1 flex flex-wrap gap-1.5">
              {group.map((space) => (
                <button
                  key={space}
                  type="button"
                  className="button min-h-8 px-2 py-0.5 font-normal"
                  onPointerEnter={() => onPoint([space])}
                  onPointerLeave={() => onPoint([])}
                  onClick={() => put(space, tool)}
                >
                  {nameOf(space)}
                  {occupants.filter((each) => each.in === space).length > 0 && (
                    <strong>
                      {' '}
                      ·{' '}
                      {occupants
                        .filter((each) => each.in === space)
                        .map(({ what }) => WORDS[what])
                        .join(', ')}
                    </strong>
                  )}
                </button>
              ))}
            </div>
          </li>
        ))}
      </ul>
      {answer.colonies.some((colony) => colony.length > 1) && (
        <p className="mt-2 text-sm">
          Workers join{' '}
          {answer.colonies
            .filter((colony) => colony.length > 1)
            .map((colony) => colony.map(nameOf).join(' and '))
            .join('; ')}{' '}
          into one colony.
        </p>
      )}
      {occupants.length > 0 && (
        <>
          <h3 className="eyebrow">Put in on trial</h3>
          <ul className="flex flex-wrap gap-1.5">
            {occupants.map(({ in: space, what }, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: two of a kind may be in one space
              <li key={`${space}-${what}-${index}`}>
                <button
                  type="button"
                  className="button min-h-8 px-2 py-0.5 font-normal"
                  onClick={() => take(index)}
                  aria-label={`Take the ${WORDS[what]} out of ${nameOf(space)}`}
                >
                  {WORDS[what]} in {nameOf(space)} <X size={14} aria-hidden />
                </button>
              </li>
            ))}
          </ul>
          <button type="button" className="button mt-2" onClick={empty}>
            Take all out
          </button>
        </>
      )}
      <h3 className="eyebrow">What would happen</h3>
      <div aria-live="polite">
        {answer.warnings.map(({ kind, spaces, sentence }) => (
          <div
            key={kind + spaces.join()}
            onPointerEnter={() => onPoint(spaces)}
            onPointerLeave={() => onPoint([])}
          >
            <Notice kind="danger">{inWords(sentence)}</Notice>
          </div>
        ))}
        {answer.warnings.length === 0 && (
          <p>{occupants.length === 0 ? 'Nobody is in the box yet.' : 'Nothing that a breeder need fear.'}</p>
        )}
      </div>
      <h3 className="eyebrow">Passages</h3>
      <ul className="text-sm">
        {model.passages
          .filter(({ gap_mm }) => gap_mm >= 3)
          .map(({ between, gap_mm, reason, part }) => (
            <li key={between.join() + reason + part} className="border-b border-hairline py-1">
              {nameOf(between[0])} – {nameOf(between[1])}: {showLength(gap_mm, units)} {PASSAGE[reason]}, for{' '}
              {gap({ gap_mm })
                .passes.map((who) => PASSERS[who])
                .join(', ')}
            </li>
          ))}
        {model.passages.every(({ gap_mm }) => gap_mm < 3) && (
          <li className="text-soft">None: every board and cover closes.</li>
        )}
      </ul>
    </aside>
  );
}

const PASSERS = { air: 'air', worker: 'workers', queen: 'queens', drone: 'drones' } as const;
const PASSAGE: Readonly<Record<BoxModel['passages'][number]['reason'], string>> = {
  under: 'under the board',
  over: 'over the board',
  rebate: 'through the rebate',
  end: 'round the board’s end',
  groove: 'through the groove',
  slots: 'through the slots',
  entrance: 'by the entrance',
  joint: 'open joint',
  hole: 'by a hole',
  cheek: 'over the cheek',
};
