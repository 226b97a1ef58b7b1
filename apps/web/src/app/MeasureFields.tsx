import { Measures } from '@yellow-cell/contract';
import { METRIC } from '@yellow-cell/core';
import { SelectField } from '../parts/Field.tsx';

type Choices = { [K in keyof Measures]: { label: string; choices: Readonly<Record<Measures[K], string>> } };
const FIELDS: Choices = {
  length: { label: 'Lengths', choices: { mm: 'Millimetres', inch: 'Inches, to the sixteenth' } },
  weight: { label: 'Weights', choices: { kg: 'Kilograms', lb: 'Pounds and ounces' } },
  volume: {
    label: 'Volumes',
    choices: { l: 'Litres', usQuart: 'Quarts, US', imperialQuart: 'Quarts, imperial' },
  },
  temperature: { label: 'Temperatures', choices: { C: '°C', F: '°F' } },
  dates: {
    label: 'Days',
    choices: {
      unsaid: '28 May; 5/6 is asked about',
      dayMonth: '28 May; 5/6 is the fifth of June',
      monthDay: 'May 28; 5/6 is the sixth of May',
      iso: '05-28; 5/6 is the fifth of June',
    },
  },
  weekStart: { label: 'Weeks begin on', choices: { monday: 'Monday', sunday: 'Sunday' } },
};
const SETS: readonly (readonly [string, Measures])[] = [
  ['All metric', METRIC],
  [
    'All US',
    {
      length: 'inch',
      weight: 'lb',
      volume: 'usQuart',
      temperature: 'F',
      dates: 'monthDay',
      weekStart: 'sunday',
    },
  ],
];

interface MeasureFieldsProps {
  value: Measures;
  onChange: (measures: Measures) => void;
}

/** How everything is shown; either is understood wherever a measure is typed with its unit. */
export function MeasureFields({ value, onChange }: MeasureFieldsProps) {
  return (
    <fieldset className="mb-3 rounded-lg border border-hairline p-3">
      <legend className="px-1 font-semibold">Measures</legend>
      <div className="mb-2 flex gap-2">
        {SETS.map(([name, measures]) => (
          <button key={name} type="button" className="button" onClick={() => onChange(measures)}>
            {name}
          </button>
        ))}
      </div>
      <div className="grid gap-x-4 sm:grid-cols-2">
        {(Object.keys(FIELDS) as (keyof Measures)[]).map((field) => (
          <SelectField
            key={field}
            label={FIELDS[field].label}
            value={value[field]}
            onChange={({ target }) => onChange(Measures.parse({ ...value, [field]: target.value }))}
          >
            {Object.entries(FIELDS[field].choices).map(([choice, words]) => (
              <option key={choice} value={choice}>
                {words}
              </option>
            ))}
          </SelectField>
        ))}
      </div>
      <p className="text-sm text-soft">With its unit, either is understood wherever a measure is typed.</p>
    </fieldset>
  );
}
