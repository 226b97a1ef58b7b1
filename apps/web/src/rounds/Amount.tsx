import { useState } from 'react';
import { TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';

interface AmountProps {
  label: string;
  value: number;
  isOne: (value: number) => boolean;
  /** What it must be, said where it is not. */
  hint: string;
  onChange: (value: number) => void;
}
/** A number that is kept once it is one; until then what is wrong stands beside it. */
export function Amount({ label, value, isOne, hint, onChange }: AmountProps) {
  const [text, setText] = useState(String(value));
  return (
    <TextField
      label={label}
      inputMode="decimal"
      value={text}
      problem={isOne(numberIn(text)) ? undefined : hint}
      onChange={({ target }) => {
        setText(target.value);
        const number = numberIn(target.value);
        if (isOne(number)) onChange(number);
      }}
    />
  );
}

/** A whole number between these, both included. */
export const isWhole =
  (least: number, most: number) =>
  (value: number): boolean =>
    Number.isInteger(value) && value >= least && value <= most;
export const isBetween =
  (least: number, most: number) =>
  (value: number): boolean =>
    value >= least && value <= most;
