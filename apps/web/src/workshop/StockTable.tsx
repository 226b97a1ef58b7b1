import type { StockSheet } from '@yellow-cell/contract';
import { parseLength, showLength, showLengthBare } from '@yellow-cell/core';
import { Trash2 } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { newId } from '../app/ids.ts';
import { useUnits } from '../app/units.ts';
import { MATERIALS } from '../carpentry/materials.ts';
import { numberIn } from '../parts/numberIn.ts';
import { useOnce } from '../parts/useOnce.ts';
import { Figure } from './Figure.tsx';
import { PartMaterial } from './materialList.ts';
import type { WorkshopPartProps } from './workshopPart.ts';

/** Sheets and boards: those bought as wanted, and pieces at hand. */
export function StockTable({ workshop, onSave }: WorkshopPartProps) {
  const { stock, currency, kerf_mm } = workshop;
  const units = useUnits();
  const change = (id: string, more: Partial<StockSheet>, words: string) =>
    onSave(
      (now) => ({ stock: now.stock.map((each) => (each.id === id ? { ...each, ...more } : each)) }),
      words,
    );
  return (
    <section aria-label="Stock">
      <h2 className="eyebrow">Sheets and boards</h2>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[44rem]">
          <thead className="text-left text-sm text-soft">
            <tr>
              <th className="font-normal">name</th>
              <th className="font-normal">of</th>
              <th className="font-normal">thick × along the grain × across</th>
              <th className="font-normal">at hand</th>
              <th className="font-normal">price of one, {currency}</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {stock.map((sheet) => (
              <tr key={sheet.id} className="border-t border-hairline">
                <td className="py-1.5">{sheet.name}</td>
                <td>{MATERIALS[sheet.material]}</td>
                <td>
                  {[sheet.thickness_mm, sheet.width_mm].map((mm) => showLengthBare(mm, units)).join(' × ')} ×{' '}
                  {showLength(sheet.height_mm, units)}
                </td>
                <td>
                  {sheet.atHand === null ? (
                    <span className="text-soft">bought as wanted</span>
                  ) : (
                    <Figure
                      label={`${sheet.name} at hand`}
                      value={sheet.atHand}
                      onChange={(atHand) =>
                        change(
                          sheet.id,
                          { atHand: Math.round(atHand ?? 0) },
                          `${sheet.name}: ${atHand ?? 0} at hand.`,
                        )
                      }
                    />
                  )}
                </td>
                <td>
                  <Figure
                    label={`Price of ${sheet.name}`}
                    value={sheet.price}
                    onChange={(price) => change(sheet.id, { price }, `${sheet.name}: price kept.`)}
                  />
                </td>
                <td>
                  <button
                    type="button"
                    className="p-2"
                    aria-label={`Take out ${sheet.name}`}
                    onClick={() =>
                      void onSave(
                        (now) => ({ stock: now.stock.filter(({ id }) => id !== sheet.id) }),
                        `${sheet.name} taken out.`,
                      )
                    }
                  >
                    <Trash2 size={16} aria-hidden />
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <NewSheet
        onAdd={(sheet) => onSave((now) => ({ stock: [...now.stock, sheet] }), `${sheet.name} added.`)}
      />
      <div className="mt-2 flex items-center gap-2">
        <span className="text-soft">A saw cut takes</span>
        <Figure
          label="Saw cut in mm"
          value={kerf_mm}
          onChange={(value) => onSave(() => ({ kerf_mm: value ?? 0 }), 'Saw cut kept.')}
        />{' '}
        mm
      </div>
    </section>
  );
}

const EMPTY = { name: '', material: 'plywood', thickness: '', width: '', height: '', atHand: '' };

function NewSheet({ onAdd }: { onAdd: (sheet: StockSheet) => Promise<boolean> }) {
  const [typed, setTyped] = useState(EMPTY);
  const set = (key: keyof typeof EMPTY) => (event: { target: { value: string } }) =>
    setTyped((now) => ({ ...now, [key]: event.target.value }));
  const units = useUnits();
  const [thickness_mm, width_mm, height_mm] = [typed.thickness, typed.width, typed.height].map((text) => {
    const read = parseLength(text, units);
    return read.ok ? read.length.mm : Number.NaN;
  }) as [number, number, number];
  const unit = units === 'mm' ? 'mm' : 'in';
  const possible = [thickness_mm, width_mm, height_mm].every((mm) => mm > 0);
  const add = useOnce(async () => {
    if (!possible) return;
    const material = typed.material as StockSheet['material'];
    const kept = await onAdd({
      id: newId(),
      name: typed.name.trim() || `${MATERIALS[material]} ${typed.width.trim()} × ${typed.height.trim()}`,
      material,
      thickness_mm,
      width_mm,
      height_mm,
      atHand: typed.atHand.trim() === '' ? null : Math.max(0, Math.round(numberIn(typed.atHand))),
      price: null,
    });
    if (kept) setTyped(EMPTY);
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    add();
  };
  const field = (key: keyof typeof EMPTY, label: string, width: string) => (
    <label className="block">
      <span className="block text-sm text-soft">{label}</span>
      <input className={`field ${width}`} value={typed[key]} onChange={set(key)} />
    </label>
  );
  return (
    <details className="mt-2">
      <summary>Add a sheet, or an offcut at hand</summary>
      <form onSubmit={submit} className="mt-1 flex flex-wrap items-end gap-2">
        {field('name', 'name', 'w-44')}
        <label className="block">
          <span className="block text-sm text-soft">of</span>
          <select className="field w-auto" value={typed.material} onChange={set('material')}>
            {PartMaterial.map((each) => (
              <option key={each} value={each}>
                {MATERIALS[each]}
              </option>
            ))}
          </select>
        </label>
        {field('thickness', `thick, ${unit}`, 'w-20')}
        {field('width', `along, ${unit}`, 'w-24')}
        {field('height', `across, ${unit}`, 'w-24')}
        {field('atHand', 'at hand (empty: bought)', 'w-28')}
        <button type="submit" className="button" disabled={!possible}>
          Add
        </button>
      </form>
    </details>
  );
}
