import { Minus, Plus } from 'lucide-react';

interface StepperProps {
  label: string;
  unit?: string;
  count: number;
  least: number;
  most: number;
  onChange: (count: number) => void;
}

/** A small whole number, one more or one less at a press. */
export function Stepper({ label, unit, count, least, most, onChange }: StepperProps) {
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
