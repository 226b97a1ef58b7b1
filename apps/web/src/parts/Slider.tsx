interface SliderProps {
  label: string;
  /** The value as a person reads it. */
  words: string;
  least: number;
  most: number;
  step?: number;
  value: number;
  onChange: (value: number) => void;
}

/** A figure drawn along a line, with its value beside its name. */
export function Slider({ label, words, least, most, step = 1, value, onChange }: SliderProps) {
  return (
    <label className="block max-lg:min-h-12">
      <span className="flex justify-between text-sm text-soft">
        {label} <strong className="text-ink">{words}</strong>
      </span>
      <input
        type="range"
        aria-valuetext={words}
        className="w-full accent-[var(--ink)]"
        min={least}
        max={most}
        step={step}
        value={value}
        onChange={({ target }) => onChange(Number(target.value))}
      />
    </label>
  );
}
