import type { Design, Problem } from '@yellow-cell/contract';
import { type BoxModel, withCompartmentCount } from '@yellow-cell/core';
import { TextField } from '../parts/Field.tsx';
import { Notice } from '../parts/Notice.tsx';
import { Stepper } from '../parts/Stepper.tsx';
import { CompartmentFields } from './CompartmentFields.tsx';
import { DividerFields } from './DividerFields.tsx';
import { FormatFields, SizeFields } from './FormatFields.tsx';
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
      <SizeFields desk={desk} />
      <h2 className="eyebrow">Compartments</h2>
      <Stepper
        label="compartments"
        count={content.bays.length}
        least={1}
        most={MOST_COMPARTMENTS}
        onChange={(count) => desk.edit((now) => withCompartmentCount(now, count))}
      />
      <CompartmentFields desk={desk} model={model} chosen={chosen} onChoose={onChoose} />
      <DividerFields desk={desk} problems={problems} />
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
