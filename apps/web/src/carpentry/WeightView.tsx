import type { DesignContent, PartsAnswer, Workshop } from '@yellow-cell/contract';
import {
  bedProblem,
  type Constants,
  deriveBox,
  printerFor,
  printPlan,
  printsIt,
  sheetGroups,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { Notice } from '../parts/Notice.tsx';
import { Said } from '../parts/Said.tsx';
import { SourceLink } from '../parts/SourceLink.tsx';

interface WeightViewProps {
  design: DesignContent;
  answer: PartsAnswer;
  workshop: Workshop;
  constants: Constants;
}

/** What a box weighs, and what it costs, per box and per compartment; printed parts with their time and plastic. */
export function WeightView({ design, answer, workshop, constants }: WeightViewProps) {
  const say = useSay();
  const { weights } = answer;
  const compartments = deriveBox(design).compartments.filter(({ frames }) => frames.length > 0).length;
  const costs = useMemo(() => costsOf(answer, workshop), [answer, workshop]);
  const sum = costs.lines.reduce((total, { cost }) => total + (cost ?? 0), 0);
  const money = (value: number) => `${workshop.currency} ${value.toFixed(2)}`;
  return (
    <div className="grid max-w-5xl gap-6 lg:grid-cols-2">
      <section>
        <h2 className="text-lg">Weight</h2>
        <dl>
          {(
            [
              ['Empty', weights.empty_kg],
              ['In the season, with bees', weights.season_kg],
              ['Every comb full of honey', weights.full_kg],
            ] as const
          ).map(([name, kg]) => (
            <div key={name} className="row-line">
              <dt>{name}</dt>
              <dd className="font-semibold">
                <Said>{kg.toFixed(1)} kg</Said>
              </dd>
            </div>
          ))}
        </dl>
        {weights.heaviestLift_kg > constants.liftAlone_kg ? (
          <Notice kind="danger">{say(weights.sentence)}</Notice>
        ) : (
          <p className="mt-1">{say(weights.sentence)}</p>
        )}
        <p className="text-xs text-soft">
          Parts by their volume and density; honey {constants.honey_gcm2} g to the cm² of comb side; in the
          season combs are {Math.round(constants.seasonShare * 100)} % full.{' '}
          <SourceLink source="From a design to parts" />; change any of it in{' '}
          <Link className="underline" to="/figures">
            Figures
          </Link>
          .
        </p>
        {printsIt(design) && <Printing design={design} workshop={workshop} constants={constants} />}
      </section>
      <section>
        <h2 className="text-lg">Cost of one box</h2>
        {costs.lines.length === 0 ? (
          <p className="text-soft">
            No prices are kept yet. Put in what your sheets and fittings cost under{' '}
            <Link className="underline" to="/workshop">
              stock and prices
            </Link>
            .
          </p>
        ) : (
          <>
            <dl>
              {costs.lines.map(({ name, cost }) => (
                <div key={name} className="row-line">
                  <dt>{name}</dt>
                  <dd>{cost === null ? 'price not known' : money(cost)}</dd>
                </div>
              ))}
              <div className="row-line font-semibold">
                <dt>The box{costs.unknown ? ', as far as prices are known' : ''}</dt>
                <dd>{money(sum)}</dd>
              </div>
              <div className="row-line">
                <dt>Each of {compartments} compartments</dt>
                <dd>{money(sum / Math.max(1, compartments))}</dd>
              </div>
            </dl>
            <p className="text-xs text-soft">
              {printsIt(design) ? 'Plastic by its weight; sheets' : 'Sheets'} by the area that the parts take
              of them, with a fifth for saw cuts and offcuts; whole sheets are reckoned under Sheets.
            </p>
          </>
        )}
      </section>
    </div>
  );
}

/** Saw cuts, and offcuts too small to keep. */
const WASTE = 1.2;

function costsOf(answer: PartsAnswer, workshop: Workshop) {
  const groups = sheetGroups(
    [{ design: '', boxes: 1, parts: answer.parts }],
    workshop.stock,
    workshop.kerf_mm,
  );
  const sheets = groups.map(({ sheet, parts, key }) => {
    const area = parts.reduce((sum, { width_mm, height_mm, count }) => sum + width_mm * height_mm * count, 0);
    const cost =
      sheet?.price == null ? null : (sheet.price * area * WASTE) / (sheet.width_mm * sheet.height_mm);
    return { name: sheet?.name ?? key, cost };
  });
  const fittings = answer.fittings.map(({ key, name, count }) => {
    const price = workshop.fittings[key];
    return { name: `${count} × ${name.toLowerCase()}`, cost: price === undefined ? null : price * count };
  });
  const printed_kg = answer.parts.reduce(
    (sum, { printed, count, weight_kg }) => sum + (printed ? count * weight_kg : 0),
    0,
  );
  const plastic =
    printed_kg > 0
      ? [
          {
            name: 'Plastic of the printed parts',
            cost: workshop.plastic === null ? null : printed_kg * workshop.plastic,
          },
        ]
      : [];
  const all = [...plastic, ...sheets, ...fittings];
  const known = all.filter(({ cost }) => cost !== null);
  return { lines: known.length === 0 ? [] : all, unknown: known.length < all.length };
}

function Printing({ design, workshop, constants }: Omit<WeightViewProps, 'answer'>) {
  const say = useSay();
  const printer = printerFor(design, workshop.printer);
  const pieces = useMemo(() => printPlan(design, printer, constants), [design, printer, constants]);
  const problem = bedProblem(pieces);
  const [hours, grams] = [
    pieces.reduce((sum, piece) => sum + piece.hours, 0),
    pieces.reduce((sum, piece) => sum + piece.grams, 0),
  ];
  return (
    <>
      <h2 className="mt-4 text-lg">Printed parts</h2>
      {problem && <Notice kind="danger">{problem}</Notice>}
      <ul>
        {pieces.map(({ of, sentence, hours: each, grams: weight, connectors }) => (
          <li key={of} className="border-b border-hairline py-1">
            {say(sentence)}{' '}
            <span className="text-soft">
              {each.toFixed(0)} h, {weight.toFixed(0)} g{connectors > 0 ? `, ${connectors} connectors` : ''}.
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-1">
        In all {hours.toFixed(0)} hours and <Said>{(grams / 1_000).toFixed(1)} kg</Said> of plastic
        {workshop.plastic === null
          ? ''
          : `, ${workshop.currency} ${((grams / 1_000) * workshop.plastic).toFixed(2)}`}
        . PETG, ASA or HIPS with a certificate for food; PLA softens in sun.
      </p>
    </>
  );
}
