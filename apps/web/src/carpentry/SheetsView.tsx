import { useQueries, useQuery } from '@tanstack/react-query';
import type { Design, DesignSummary, Joint, NestAnswer, Workshop } from '@yellow-cell/contract';
import {
  type Constants,
  costOf,
  countOf,
  likeSheets,
  parts,
  type SheetGroup,
  sawSteps,
  sheetGroups,
  sheetsCaution,
  showLength,
  showLengthBare,
  type Wanted,
  worthKeeping,
} from '@yellow-cell/core';
import { Plus, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { designQuery, designsQuery } from '../app/queries.ts';
import { useUnits } from '../app/units.ts';
import { Stepper } from '../parts/Stepper.tsx';
import { CutNow } from './CutNow.tsx';
import { MATERIALS } from './materials.ts';
import { SheetDrawing } from './SheetDrawing.tsx';
import { boxesOfOneSheet, useNesting } from './useNesting.ts';

interface SheetsViewProps {
  own: Wanted;
  joint: Joint;
  workshop: Workshop;
  constants: Constants;
}

/** Parts of any number of boxes, of one or several designs, laid on sheets: what to buy, and in which order to saw. */
export function SheetsView({ own, joint, workshop, constants }: SheetsViewProps) {
  const units = useUnits();
  const [others, setOthers] = useState<readonly Other[]>([]);
  const { data: designs = [] } = useQuery(designsQuery);
  const fetched = useQueries({ queries: others.map(({ id }) => designQuery(id)), combine: designsOf });
  const wanted = useMemo(
    (): Wanted[] => [
      own,
      ...others.flatMap(({ id, boxes }): Wanted[] => {
        const design = fetched.find((each) => each.id === id);
        const latest = design?.versions.at(-1);
        if (!design || !latest) return [];
        return [
          { design: design.name, boxes, parts: parts({ design: latest.content, joint }, constants).parts },
        ];
      }),
    ],
    [own, others, fetched, joint, constants],
  );
  const groups = useMemo(() => sheetGroups(wanted, workshop.stock, workshop.kerf_mm), [wanted, workshop]);
  const { found, working, stop } = useNesting(groups);
  const costs = groups.map((group) => {
    const answer = found.get(group.key);
    return answer ? costOf(group, answer) : null;
  });
  const known = costs.filter((cost) => cost !== null);
  const sum = known.reduce((total, cost) => total + cost, 0);
  return (
    <div>
      <div className="flex flex-wrap items-center gap-3">
        <OtherDesigns others={others} designs={designs} onChange={setOthers} />
        <p role="status" className="text-soft">
          {working > 0 ? `Laying ${working} of ${groups.length} kinds of sheet…` : ''}
        </p>
        {working > 0 && (
          <button type="button" className="button" onClick={stop}>
            Stop, this will do
          </button>
        )}
        <p className="ml-auto text-soft">
          Saw cut {showLength(workshop.kerf_mm, units)}.{' '}
          <Link className="underline" to="/workshop">
            Stock and prices
          </Link>
        </p>
      </div>
      {known.length > 0 && sum > 0 && (
        <p className="mt-2">
          Sheets for {workshop.currency} {sum.toFixed(2)}
          {known.length < groups.length ? ', without those whose price is not known' : ''}.
        </p>
      )}
      <p className="mt-2 text-sm text-danger">{sheetsCaution}</p>
      <CutNow groups={groups} found={found} constants={constants} ready={working === 0} />
      {groups.map((group) => (
        <Group
          key={group.key}
          group={group}
          answer={found.get(group.key)}
          boxes={own.boxes}
          alone={wanted.length === 1}
          currency={workshop.currency}
          constants={constants}
        />
      ))}
    </div>
  );
}

interface Other {
  id: string;
  boxes: number;
}
const designsOf = (results: readonly { data: Design | undefined }[]): Design[] =>
  results.flatMap(({ data }) => data ?? []);

interface OtherDesignsProps {
  others: readonly Other[];
  designs: readonly DesignSummary[];
  onChange: (others: readonly Other[]) => void;
}

/** Boxes of further designs that are cut from the same sheets. */
function OtherDesigns({ others, designs, onChange }: OtherDesignsProps) {
  const change = (at: number, more: Partial<Other>) =>
    onChange(others.map((each, index) => (index === at ? { ...each, ...more } : each)));
  const free = designs.filter(({ id }) => !others.some((each) => each.id === id));
  return (
    <>
      {others.map(({ id, boxes }, at) => (
        <span key={id} className="flex items-center gap-2">
          <select
            aria-label="Another design"
            className="field w-auto"
            value={id}
            onChange={({ target }) => change(at, { id: target.value })}
          >
            {designs
              .filter((each) => each.id === id || free.includes(each))
              .map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
          </select>
          <Stepper
            label="boxes of it"
            count={boxes}
            least={1}
            most={200}
            onChange={(count) => change(at, { boxes: count })}
          />
          <button
            type="button"
            className="p-2"
            aria-label="Without this design"
            onClick={() => onChange(others.filter((each) => each.id !== id))}
          >
            <X size={17} aria-hidden />
          </button>
        </span>
      ))}
      <button
        type="button"
        className="button"
        disabled={free.length === 0}
        onClick={() => onChange([...others, { id: free[0]?.id ?? '', boxes: 1 }])}
      >
        <Plus size={16} aria-hidden /> Another design on the same sheets
      </button>
    </>
  );
}

interface GroupProps {
  group: SheetGroup;
  answer: NestAnswer | undefined;
  boxes: number;
  alone: boolean;
  currency: string;
  constants: Constants;
}

function Group({ group, answer, boxes, alone, currency, constants }: GroupProps) {
  const units = useUnits();
  const [asked, setAsked] = useState(false);
  // Of one box: another number of them is the same question, another joint or saw cut is not.
  const ofOne = group.question?.parts.map((part) => ({ ...part, count: part.count / boxes }));
  const perSheet = useQuery({
    queryKey: ['boxesOfOneSheet', group.question?.sheet, group.question?.kerf_mm, ofOne],
    queryFn: () => boxesOfOneSheet(group, boxes),
    enabled: asked,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const kept = answer ? worthKeeping(answer, constants) : [];
  const cost = answer ? costOf(group, answer) : null;
  return (
    <section className="mt-4 border-t border-hairline pt-3">
      <h2 className="text-lg">
        {showLength(group.thickness_mm, units)} {MATERIALS[group.material]}
        {group.sheet ? <span className="text-base font-normal text-soft">, {group.sheet.name}</span> : null}
      </h2>
      {group.remark && <p className={group.question ? 'text-soft' : 'text-danger'}>{group.remark}</p>}
      {answer && (
        <p>
          {countOf(answer.sheets.length, 'sheet')}
          {answer.sheets.length > answer.bound ? ` (by area alone ${answer.bound})` : ''},{' '}
          {Math.round(answer.yield * 100)} % in parts
          {cost ? `, ${currency} ${cost.toFixed(2)}` : ''}.{' '}
          {kept.length > 0 &&
            `Offcuts worth keeping: ${kept
              .slice(0, 4)
              .map((each) =>
                [each.width_mm, each.height_mm].map((mm) => showLengthBare(mm, units)).join(' × '),
              )
              .join(', ')}${kept.length > 4 ? ` and ${kept.length - 4} more` : ''}. `}
          {alone &&
            (perSheet.data === undefined ? (
              <button
                type="button"
                className="underline"
                disabled={perSheet.isFetching}
                onClick={() => setAsked(true)}
              >
                {perSheet.isFetching ? 'Trying…' : 'How many boxes does one sheet give?'}
              </button>
            ) : (
              <strong role="status">
                One sheet gives{' '}
                {perSheet.data === 0 ? 'no whole box' : countOf(perSheet.data, 'box', 'boxes')}.
              </strong>
            ))}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-4">
        {likeSheets(answer?.sheets ?? []).map(({ sheet, count }) => (
          <SheetDrawing
            key={JSON.stringify(sheet.placements)}
            sheet={sheet}
            count={count}
            steps={sawSteps(sheet, group.question?.kerf_mm ?? 0)}
          />
        ))}
      </div>
    </section>
  );
}
