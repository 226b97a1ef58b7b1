import type { Design, DesignContent, Length, Problem, Side } from '@yellow-cell/contract';
import {
  type BoxModel,
  compartmentNames,
  fitSentence,
  fitWord,
  frameFormat,
  hasEqualSlack,
  sidesOf,
  standardFormats,
  standardOf,
  withCompartments,
  withDividerAt,
  withEntranceSide,
  withEqualSlack,
} from '@yellow-cell/core';
import { Minus, Plus } from 'lucide-react';
import { Fragment } from 'react';
import { useUnits } from '../app/units.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import { Notice } from '../parts/Notice.tsx';
import { OwnFormat } from './OwnFormat.tsx';
import { SaveDesign } from './SaveDesign.tsx';
import type { DraftDesk } from './useDraft.ts';

interface BenchSlipProps {
  desk: DraftDesk;
  model: BoxModel;
  problems: readonly Problem[];
  saved: Design | undefined;
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
}

const MOST_COMPARTMENTS = 12;
const OWN = 'own';

/** Every figure of the design, to type; and what each compartment comes to. */
export function BenchSlip({ desk, model, problems, saved, chosen, onChoose }: BenchSlipProps) {
  const { content, name } = desk.draft;
  return (
    <aside
      aria-label="The design"
      className="w-full shrink-0 border-l border-hairline bg-slip px-5 py-4 lg:h-full lg:w-[23rem] lg:overflow-y-auto"
    >
      <TextField
        label="Name of the design"
        value={name}
        maxLength={80}
        placeholder="Three-way, ten-frame body"
        onChange={({ target }) => desk.change({ name: target.value })}
      />
      <FormatFields desk={desk} />
      <Sizes desk={desk} />
      <h2 className="eyebrow">Compartments</h2>
      <Stepper
        label="compartments"
        count={content.bays.length}
        least={1}
        most={MOST_COMPARTMENTS}
        onChange={(count) => desk.edit((now) => withCount(now, count))}
      />
      <Compartments desk={desk} model={model} chosen={chosen} onChoose={onChoose} />
      <Dividers desk={desk} problems={problems} />
      {problems.length > 0 && (
        <div className="mt-3">
          {problems.map(({ path, sentence }) => (
            <Notice key={path + sentence} kind="danger">
              {sentence}
            </Notice>
          ))}
        </div>
      )}
      <SaveDesign desk={desk} saved={saved} possible={problems.length === 0} />
    </aside>
  );
}

function FormatFields({ desk }: { desk: DraftDesk }) {
  const { format } = desk.draft.content;
  const standard = standardOf(format);
  const choose = (id: string) => {
    const next = standardFormats.find((each) => each.id === id);
    desk.edit((now) => {
      if (!next) return { ...now, format: { ...now.format, id: OWN, name: 'Own format' } };
      const body = {
        ...now,
        format: frameFormat(next),
        insideLength: { mm: next.insideLength_mm },
        depth: { mm: next.bodyDepth_mm },
        insideWidth: { mm: next.widths[0]?.width_mm ?? now.insideWidth.mm },
      };
      return withEqualSlack(body);
    });
  };
  return (
    <>
      <SelectField
        label="Frame format"
        value={standard ? format.id : OWN}
        onChange={({ target }) => choose(target.value)}
        hint={
          standard &&
          `Top bar ${standard.topBar_mm}, depth ${standard.depth_mm}, pitch ${standard.pitch_mm} mm, ${standard.hung ? 'hung apart' : 'self-spacing'}.`
        }
      >
        {standardFormats.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
        <option value={OWN}>Own format…</option>
      </SelectField>
      {!standard && (
        <OwnFormat
          format={format}
          onChange={(next) => desk.edit((now) => rearranged(now, { ...now, format: next }))}
        />
      )}
      {standard && (
        <div className="mb-2 flex flex-wrap gap-1.5" role="group" aria-label="Usual inside widths">
          {standard.widths.map(({ width_mm, frames }) => (
            <button
              key={width_mm}
              type="button"
              className="button min-h-8 px-2 py-0.5 text-sm font-normal"
              onClick={() => desk.edit((now) => rearranged(now, { ...now, insideWidth: { mm: width_mm } }))}
            >
              {width_mm} for {frames} frames
            </button>
          ))}
        </div>
      )}
    </>
  );
}

function Sizes({ desk }: { desk: DraftDesk }) {
  const { content } = desk.draft;
  const field = (key: 'insideWidth' | 'insideLength' | 'depth' | 'wall', label: string) => (
    <LengthField
      key={key}
      label={label}
      value={content[key]}
      onChange={(length: Length) => desk.edit((now) => rearranged(now, { ...now, [key]: length }))}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-x-3">
      {field('insideWidth', 'Inside width')}
      {field('insideLength', 'Inside length')}
      {field('depth', 'Depth')}
      {field('wall', 'Wall')}
    </div>
  );
}

/** After a size changed: dividers that stood at equal slack stand so again; others stay where they were put. */
function rearranged(before: DesignContent, after: DesignContent): DesignContent {
  return hasEqualSlack(before) ? withEqualSlack(after) : after;
}

const thicknessOf = ({ boards }: DesignContent): Length => boards[0]?.thickness ?? { mm: 9.5 };
const framesOf = ({ bays }: DesignContent): number[] => bays.map(({ frames }) => frames.length);

function withCount(design: DesignContent, count: number): DesignContent {
  const frames = framesOf(design);
  const next = Array.from({ length: count }, (_, index) => frames[index] ?? frames.at(-1) ?? 3);
  return withCompartments(design, next, thicknessOf(design));
}

function Compartments({
  desk,
  model,
  chosen,
  onChoose,
}: Pick<BenchSlipProps, 'desk' | 'model' | 'chosen' | 'onChoose'>) {
  const units = useUnits();
  const { content } = desk.draft;
  const names = compartmentNames(content.bays.length);
  return (
    <ul className="mt-2">
      {content.bays.map((bay, index) => {
        const fit = model.compartments[index]?.fit;
        const entrance = content.entrances.find((each) => each.bay === bay.id);
        const setFrames = (count: number) =>
          desk.edit((now) =>
            withCompartments(
              now,
              framesOf(now).map((each, at) => (at === index ? count : each)),
              thicknessOf(now),
            ),
          );
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

function Dividers({ desk, problems }: Pick<BenchSlipProps, 'desk' | 'problems'>) {
  const { content } = desk.draft;
  if (content.boards.length === 0) return null;
  return (
    <>
      <h2 className="eyebrow">Dividers</h2>
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label="Thickness"
          value={thicknessOf(content)}
          onChange={(thickness) => desk.edit((now) => keepingPlaces(now, thickness))}
        />
        {content.grooves.map((groove, index) => {
          const board = content.boards.find((each) => each.groove === groove.id);
          const problem = problems.find(({ path }) => path === `grooves.${index}.at`)?.sentence;
          return (
            <Fragment key={groove.id}>
              {board && (
                <LengthField
                  label={`No. ${index + 1} from the left wall`}
                  value={groove.at}
                  problem={problem}
                  onChange={(at) => desk.edit((now) => withDividerAt(now, board.id, at))}
                />
              )}
            </Fragment>
          );
        })}
      </div>
      <button
        type="button"
        className="button"
        disabled={hasEqualSlack(content)}
        onClick={() => desk.edit(withEqualSlack)}
      >
        {hasEqualSlack(content) ? 'All have the same slack' : 'Give all the same slack'}
      </button>
    </>
  );
}

function keepingPlaces(design: DesignContent, thickness: Length): DesignContent {
  return rearranged(design, { ...design, boards: design.boards.map((board) => ({ ...board, thickness })) });
}

interface StepperProps {
  label: string;
  unit?: string;
  count: number;
  least: number;
  most: number;
  onChange: (count: number) => void;
}

function Stepper({ label, unit, count, least, most, onChange }: StepperProps) {
  return (
    <div className="flex items-center gap-1">
      <button
        type="button"
        className="button min-h-8 px-1.5 py-0.5"
        aria-label={`Fewer ${label}`}
        disabled={count <= least}
        onClick={() => onChange(count - 1)}
      >
        <Minus size={16} aria-hidden />
      </button>
      <output className="min-w-8 text-center font-bold" aria-label={`Number of ${label}`}>
        {count}
      </output>
      <button
        type="button"
        className="button min-h-8 px-1.5 py-0.5"
        aria-label={`More ${label}`}
        disabled={count >= most}
        onClick={() => onChange(count + 1)}
      >
        <Plus size={16} aria-hidden />
      </button>
      {unit && <span className="text-sm text-soft">{unit}</span>}
    </div>
  );
}
