import type { BuildPart, PartsAnswer } from '@yellow-cell/contract';
import { capital, showLength } from '@yellow-cell/core';
import { useState } from 'react';
import { useUnits } from '../app/units.ts';
import { Notice } from '../parts/Notice.tsx';
import { Said } from '../parts/Said.tsx';
import { MATERIALS } from './materials.ts';
import { PartDrawing } from './PartDrawing.tsx';

/** The cut list, and the part chosen as it lies on the bench. */
export function PartList({ answer, boxes }: { answer: PartsAnswer; boxes: number }) {
  const [chosen, setChosen] = useState('');
  const units = useUnits();
  const part = answer.parts.find(({ key }) => key === chosen) ?? answer.parts[0];
  const open = answer.closures.filter(({ holds }) => !holds);
  return (
    <div className="grid gap-5 xl:grid-cols-[1.1fr_1fr]">
      <div>
        {open.length === 0 ? (
          <p className="mb-2 text-soft">
            {answer.parts.some(({ printed }) => printed)
              ? 'Printed parts are told by the room that they fill; their meshes are under Files, their time and plastic under Weight and cost.'
              : 'All parts close: together they make the measures drawn.'}
          </p>
        ) : (
          open.map(({ key, sentence }) => (
            <Notice key={key} kind="danger">
              {capital(sentence)}
            </Notice>
          ))
        )}
        <div className="overflow-x-auto">
          <table className="w-full">
            <thead className="text-left text-sm text-soft">
              <tr>
                <th className="font-normal">part</th>
                <th className="pr-3 text-right font-normal">how many</th>
                <th className="font-normal">length × width × thickness</th>
                <th className="font-normal">made of</th>
              </tr>
            </thead>
            <tbody>
              {answer.parts.map((each) => (
                <tr key={each.key} className={`border-t border-hairline ${each === part ? 'bg-glow' : ''}`}>
                  <td>
                    <button
                      type="button"
                      aria-pressed={each === part}
                      className="flex w-full items-baseline gap-2 py-1.5 text-left"
                      onClick={() => setChosen(each.key)}
                    >
                      <strong className="w-7 shrink-0">{each.key}</strong>
                      {each.name}
                    </button>
                  </td>
                  <td className="pr-3 text-right">{each.count * boxes}</td>
                  <td className="whitespace-nowrap">
                    {[each.length_mm, each.width_mm, each.thickness_mm]
                      .map((mm) => showLength(mm, units).replace(/ mm$/, ''))
                      .join(' × ')}
                    {units === 'mm' ? ' mm' : ''}
                  </td>
                  <td>{each.printed ? 'printed' : MATERIALS[each.material]}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <h2 className="eyebrow">Fittings</h2>
        <p>
          {answer.fittings.map(({ name, count }) => `${count * boxes} × ${name.toLowerCase()}`).join(', ')}
        </p>
      </div>
      {part && <ChosenPart part={part} />}
    </div>
  );
}

function ChosenPart({ part }: { part: BuildPart }) {
  const units = useUnits();
  const length = (mm: number) => showLength(mm, units);
  const fingers = part.machining.filter(({ kind }) => kind === 'finger');
  return (
    <section aria-label="The part" className="h-fit rounded-xl border border-hairline bg-slip p-4">
      <h2 className="text-lg">
        {part.key} {part.name}
      </h2>
      <p className="text-sm text-soft">
        {part.printed
          ? 'The room that it fills on the bed'
          : `Seen from its inner face${part.grain === 'none' ? '' : `, grain along its ${part.grain}`}`}
        ; <Said>{part.weight_kg.toFixed(2)} kg.</Said>
      </p>
      <PartDrawing part={part} height={300} />
      {part.machining.length > 0 && (
        <>
          <h3 className="eyebrow">Cut into it, from its lower left corner</h3>
          <ul className="text-sm">
            {part.machining
              .filter(({ kind }) => kind !== 'finger')
              .map(({ kind, x_mm, y_mm, width_mm, height_mm, depth_mm, round, face }) => (
                <li key={`${kind}${x_mm}${y_mm}${face}`} className="border-b border-hairline py-0.5">
                  {kind}{' '}
                  {round
                    ? `Ø ${length(width_mm)}, its centre at ${length(x_mm + width_mm / 2)} and ${length(y_mm + height_mm / 2)}`
                    : `${length(width_mm)} × ${length(height_mm)}, from ${length(x_mm)} and ${length(y_mm)}`}
                  {depth_mm === null ? ', through' : `, ${length(depth_mm)} deep`}
                  {face === 'outer' && depth_mm !== null ? ' from outside' : ''}
                </li>
              ))}
            {fingers[0] && (
              <li className="py-0.5">
                {fingers.length} fingers of {length(fingers[0].width_mm)} × {length(fingers[0].height_mm)} cut
                out
              </li>
            )}
          </ul>
        </>
      )}
      {part.bends.length > 0 && <p className="text-sm">{part.bends.length} bends, drawn in blue.</p>}
    </section>
  );
}
