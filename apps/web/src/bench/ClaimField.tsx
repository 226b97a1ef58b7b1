import { useId } from 'react';

/** A maker's claim of R beside the computed one: claims are often higher, and are not reckoned with. */
export function ClaimField({
  computed,
  claimed,
  onChange,
}: {
  computed: number;
  claimed: number | undefined;
  onChange: (claimed: number | undefined) => void;
}) {
  const id = useId();
  return (
    <div className="mb-2">
      <label htmlFor={id} className="block text-sm text-soft">
        R as its maker claims (m²K/W); computed {computed.toFixed(2)}
      </label>
      <input
        id={id}
        type="number"
        min={0.01}
        max={50}
        step={0.01}
        className="field"
        value={claimed ?? ''}
        placeholder="no claim"
        onChange={({ target }) => {
          const typed = Number(target.value);
          onChange(target.value !== '' && typed > 0 && typed <= 50 ? typed : undefined);
        }}
      />
      {claimed !== undefined && claimed > computed * 1.25 && (
        <p className="text-sm text-soft">
          The claim is {(claimed / computed).toFixed(1)} times what its layers give; the computed one is used.
        </p>
      )}
    </div>
  );
}
