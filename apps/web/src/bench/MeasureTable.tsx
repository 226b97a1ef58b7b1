import type { BoxModel } from '@yellow-cell/core';
import { Said } from '../parts/Said.tsx';

/** What each compartment holds when it is full: comb, cells, bees and stores, by the area of its combs. */
export function MeasureTable({ model }: { model: BoxModel }) {
  const { compartments } = model;
  if (compartments.length === 0) return null;
  return (
    <section aria-label="What it comes to">
      <h2 className="eyebrow">What it comes to, full</h2>
      <table className="w-full text-sm">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal">compartment</th>
            <th className="text-right font-normal">room</th>
            <th className="text-right font-normal">cells</th>
            <th className="text-right font-normal">bees</th>
            <th className="text-right font-normal">stores</th>
          </tr>
        </thead>
        <tbody>
          {compartments.map(({ name, spaces, measures }) => (
            <tr key={spaces.join()} className="border-t border-hairline">
              <td className="py-0.5">{name}</td>
              <td className="text-right">
                <Said>{measures.litres.toFixed(1)} l</Said>
              </td>
              <td className="text-right">{thousands(measures.cells)}</td>
              <td className="text-right">{thousands(measures.bees)}</td>
              <td className="text-right">
                <Said>{measures.stores_kg.toFixed(1)} kg</Said>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-xs text-soft">
        Both sides of every comb: 4.1 cells, 1.25 bees and 1.65 g of stores to a cm².
      </p>
    </section>
  );
}

const format = new Intl.NumberFormat('en');
const thousands = (value: number): string => format.format(Math.round(value / 100) * 100);
