import type { CheckResult, Design, Family } from '@yellow-cell/contract';
import {
  bodiesOf,
  families,
  fitSentence,
  fitWord,
  framesIn,
  hasEqualSlack,
  isRim,
  thicknessOf,
  withCompartmentCount,
  withEqualSlack,
  withFramesIn,
  withRimDivided,
  withThickness,
} from '@yellow-cell/core';
import { memo } from 'react';
import { useUnits } from '../app/units.ts';
import { SelectField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import { Notice } from '../parts/Notice.tsx';
import { Stepper } from '../parts/Stepper.tsx';
import { CheckList } from './CheckList.tsx';
import { FormatFields, SizeFields } from './FormatFields.tsx';
import { MeasureTable } from './MeasureTable.tsx';
import { MoreFields } from './MoreFields.tsx';
import { PartFields } from './PartFields.tsx';
import { DesignWays, SaveDesign } from './SaveDesign.tsx';
import { StackFields } from './StackFields.tsx';
import type { Bench } from './useBench.ts';
import type { DraftDesk } from './useDraft.ts';

interface BenchSlipProps {
  desk: DraftDesk;
  bench: Bench;
  saved: Design | undefined;
  checks: readonly CheckResult[];
  checking: boolean;
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
  onPoint: (places: readonly string[]) => void;
}

const MOST_COMPARTMENTS = 12;

/** What is chosen, the checks, what it comes to, and every figure of the design to type. */
export const BenchSlip = memo(function BenchSlip({
  desk,
  bench,
  saved,
  checks,
  checking,
  chosen,
  onChoose,
  onPoint,
}: BenchSlipProps) {
  const { content } = desk.draft;
  const { model, problems, body: bodyId, setBody } = bench;
  const body = bodiesOf(content).find(({ id }) => id === bodyId);
  return (
    <aside
      aria-label="The design"
      className="w-full shrink-0 border-l border-hairline bg-slip px-5 py-4 lg:h-full lg:w-[23rem] lg:scroll-pt-48 lg:overflow-y-auto"
    >
      <SaveDesign desk={desk} saved={saved} possible={problems.length === 0} />
      {problems.map(({ path, sentence }) => (
        <Notice key={path + sentence} kind="danger">
          {sentence}
        </Notice>
      ))}
      {chosen && <PartFields desk={desk} model={model} id={chosen} onChoose={onChoose} />}
      <CheckList desk={desk} checks={checks} checking={checking} onChoose={onChoose} onPoint={onPoint} />
      {body?.bays.some(({ frames }) => frames.length > 0) && (
        <section aria-label="Compartments">
          <h2 className="eyebrow">Compartments</h2>
          <div className="flex flex-wrap items-end justify-between gap-2">
            <Stepper
              label="compartments"
              count={framesIn(body).length}
              least={1}
              most={MOST_COMPARTMENTS}
              onChange={(count) => desk.edit((now) => withCompartmentCount(now, count, body.id))}
            />
            {body.boards.length > 0 && (
              <button
                type="button"
                className="button min-h-8 px-2 py-0.5 text-sm"
                disabled={hasEqualSlack(body)}
                onClick={() => desk.edit((now) => withEqualSlack(now, body.id))}
              >
                {hasEqualSlack(body) ? 'All have the same slack' : 'Give all the same slack'}
              </button>
            )}
          </div>
          <CompartmentList desk={desk} bench={bench} chosen={chosen} onChoose={onChoose} />
          {body.boards.length > 0 && (
            <LengthField
              label="Thickness of all dividers"
              value={thicknessOf(body)}
              onChange={(thickness) =>
                desk.edit((now) => withThickness(now, thickness, body.id), 'thickness')
              }
            />
          )}
        </section>
      )}
      {body && isRim(body) && (
        <p className="mt-2">
          {body.boards.length === 0
            ? 'This rim is one room over all that lies below it. '
            : `This rim is parted into ${body.boards.length + 1} rooms. `}
          <button
            type="button"
            className="underline"
            onClick={() => desk.edit((now) => withRimDivided(now, body.id))}
          >
            Part it as the body below
          </button>
        </p>
      )}
      <MeasureTable model={model} />
      <StackFields desk={desk} model={model} onChoose={onChoose} setBody={setBody} />
      {body && (
        <section aria-label="The body">
          <h2 className="eyebrow">{body.name || 'The body'}</h2>
          <SelectField
            label="Family, whose own rules it is held to"
            value={content.family}
            onChange={({ target }) => desk.edit((now) => ({ ...now, family: target.value as Family }))}
          >
            {families.map(({ family, name: each }) => (
              <option key={family} value={family}>
                {each}
              </option>
            ))}
          </SelectField>
          <FormatFields desk={desk} body={body} />
          <SizeFields desk={desk} body={body} />
          <MoreFields desk={desk} body={body} />
        </section>
      )}
      <DesignWays desk={desk} saved={saved} />
    </aside>
  );
});

/** Each room of the body shown, with its frames and what its slack means in plain words. */
function CompartmentList({
  desk,
  bench: { model, body },
  chosen,
  onChoose,
}: Pick<BenchSlipProps, 'desk' | 'bench' | 'chosen' | 'onChoose'>) {
  const units = useUnits();
  return (
    <ul className="my-1">
      {model.spaces
        .filter((space) => space.body?.body.id === body && space.column)
        .map((space) => {
          const fit = model.compartments.flatMap(({ fits }) => fits).find((each) => each.space === space.id);
          const bay = space.bays[0];
          const count = space.bays.reduce((sum, { frames }) => sum + frames.length, 0);
          const bad = fit?.verdict === 'impossible' || fit?.verdict === 'jams';
          return (
            <li
              key={space.id}
              className={`-mx-2 border-b border-hairline px-2 py-1.5 ${space.id === chosen ? 'bg-glow' : ''}`}
            >
              <div className="flex items-center justify-between gap-2">
                <button
                  type="button"
                  className="text-left font-bold hover:underline"
                  aria-pressed={space.id === chosen}
                  onClick={() => onChoose(space.id === chosen ? undefined : space.id)}
                >
                  {space.name}
                </button>
                {bay && (
                  <Stepper
                    label={`frames, ${space.name}`}
                    unit="frames"
                    count={count}
                    least={0}
                    most={30}
                    onChange={(next) =>
                      desk.edit((now) =>
                        withFramesIn(now, bay.id, Math.max(0, bay.frames.length + next - count)),
                      )
                    }
                  />
                )}
              </div>
              {fit && space.kind === 'frames' && (
                <p className={`text-sm ${bad ? 'text-danger' : ''}`}>
                  <strong>{fitWord[fit.verdict]}.</strong> {fitSentence(fit, units)}
                </p>
              )}
            </li>
          );
        })}
    </ul>
  );
}
