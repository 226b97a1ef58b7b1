interface CheckProps {
  label: string;
  checked: boolean;
  onChange: (on: boolean) => void;
  /** Where a thumb must hit it. */
  tall?: boolean;
}

/** One thing that is so, or is not. */
export function Check({ label, checked, onChange, tall = false }: CheckProps) {
  return (
    <label className={`flex items-center gap-2 ${tall ? 'mb-2 min-h-11' : 'mb-1'}`}>
      <input type="checkbox" checked={checked} onChange={({ target }) => onChange(target.checked)} />
      {label}
    </label>
  );
}
