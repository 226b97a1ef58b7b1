import { usualPrinter } from '@yellow-cell/core';
import { Figure } from './Figure.tsx';
import type { WorkshopPartProps } from './workshopPart.ts';

const FIELDS = [
  ['width_mm', 'heated width, mm'],
  ['length_mm', 'heated length, mm'],
  ['height_mm', 'height, mm'],
  ['nozzle_mm', 'nozzle, mm'],
  ['layer_mm', 'layer, mm'],
  ['speed_mms', 'speed, mm/s'],
] as const;

/** The printer that small boxes come from: its heated area counts, not its bed. */
export function PrinterFields({ workshop, onSave }: WorkshopPartProps) {
  const printer = workshop.printer ?? usualPrinter;
  return (
    <section aria-label="Printer">
      <h2 className="eyebrow">3-D printer{workshop.printer ? '' : ', as usual until you change it'}</h2>
      <div className="flex flex-wrap gap-4">
        {FIELDS.map(([key, label]) => (
          <div key={key}>
            <span className="block text-sm text-soft">{label}</span>
            <Figure
              label={label}
              value={printer[key]}
              onChange={(value) =>
                onSave(
                  (now) => ({
                    printer: { ...(now.printer ?? usualPrinter), [key]: value ?? usualPrinter[key] },
                  }),
                  'Printer kept.',
                )
              }
            />
          </div>
        ))}
        <div>
          <span className="block text-sm text-soft">plastic, {workshop.currency} a kg</span>
          <Figure
            label="Price of a kilogram of plastic"
            value={workshop.plastic}
            onChange={(plastic) => onSave(() => ({ plastic }), 'Price of plastic kept.')}
          />
        </div>
      </div>
    </section>
  );
}
