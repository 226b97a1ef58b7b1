import type { Queen, QueenColour } from '@yellow-cell/contract';
import { yearColour } from '@yellow-cell/core';
import { useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { type Draft, draft, useLog } from '../app/useLog.ts';
import { Check } from '../parts/Check.tsx';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Form } from './Form.tsx';
import { queenColours } from './queenColours.ts';
import { queenName } from './queenName.ts';

interface QueenFormProps {
  box: string;
  colony: string;
  queen: Queen;
}

/** What becomes known of a queen, and what is done to her: each an entry of its own, told as one act. */
export function QueenForm({ box, colony, queen }: QueenFormProps) {
  const log = useLog();
  const { on } = useAsOf();
  const [name, setName] = useState(queen.name ?? '');
  const [mother, setMother] = useState(queen.mother && 'name' in queen.mother ? queen.mother.name : '');
  const [year, setYear] = useState(queen.birthYear === undefined ? '' : String(queen.birthYear));
  const [matedAt, setMatedAt] = useState(queen.matedAt ?? '');
  const [colour, setColour] = useState<QueenColour | ''>(queen.mark?.colour ?? '');
  const [number, setNumber] = useState(queen.mark?.number ?? '');
  const [clipped, setClipped] = useState(queen.mark?.clipped ?? false);
  const [refused, setRefused] = useState<string>();
  const of = { box, colony, queen: queen.id };
  const birthYear = year.trim() === '' ? undefined : Number(year);
  const latest = Number(on.slice(0, 4));
  const badYear =
    birthYear !== undefined && !(Number.isInteger(birthYear) && birthYear >= 1990 && birthYear <= latest)
      ? `A year from 1990 to ${latest}, or nothing where it is not known.`
      : undefined;
  const usual = birthYear === undefined || badYear ? undefined : yearColour(birthYear);
  const save = async () => {
    if (badYear) return;
    const facts = {
      ...(name.trim() ? { name: name.trim() } : {}),
      ...(mother.trim() ? { mother: { name: mother.trim() } } : {}),
      ...(birthYear === undefined ? {} : { birthYear }),
      ...(matedAt.trim() ? { matedAt: matedAt.trim() } : {}),
    };
    const known =
      name.trim() !== (queen.name ?? '') ||
      birthYear !== queen.birthYear ||
      matedAt.trim() !== (queen.matedAt ?? '') ||
      (mother.trim() !== '' &&
        !(queen.mother && 'name' in queen.mother && queen.mother.name === mother.trim()));
    const marked =
      (colour || null) !== (queen.mark?.colour ?? null) ||
      number.trim() !== (queen.mark?.number ?? '') ||
      clipped !== (queen.mark?.clipped ?? false);
    const drafts: Draft[] = [
      ...(known && Object.keys(facts).length > 0 ? [draft('queenRecorded', { ...of, ...facts })] : []),
      ...(marked
        ? [
            draft('queenMarked', {
              ...of,
              colour: colour || null,
              clipped,
              ...(number.trim() ? { number: number.trim() } : {}),
            }),
          ]
        : []),
    ];
    if (drafts.length === 0) return;
    const delivery = await log(`${queenName(queen)}: recorded`, drafts);
    setRefused(delivery.state === 'refused' ? delivery.problems[0]?.sentence : undefined);
  };
  return (
    <section aria-label="What is known of her" className="mt-4">
      <h2 className="eyebrow">What is known of her</h2>
      {refused && (
        <p role="alert" className="text-danger">
          {refused}
        </p>
      )}
      <Form save="Record" onSave={save} onCancel={undefined}>
        <div className="grid grid-cols-2 gap-x-3">
          <TextField
            label="Name"
            value={name}
            maxLength={60}
            onChange={({ target }) => setName(target.value)}
          />
          <TextField
            label="Mother"
            value={mother}
            maxLength={60}
            onChange={({ target }) => setMother(target.value)}
          />
          <TextField
            label="Birth year"
            inputMode="numeric"
            value={year}
            problem={badYear}
            onChange={({ target }) => setYear(target.value)}
          />
          <TextField
            label="Mated at"
            value={matedAt}
            maxLength={80}
            onChange={({ target }) => setMatedAt(target.value)}
          />
          <SelectField
            label="Mark"
            value={colour}
            hint={usual ? `The year’s colour is ${usual}.` : undefined}
            onChange={({ target }) => setColour(target.value as QueenColour | '')}
          >
            <option value="">none</option>
            {queenColours.map((each) => (
              <option key={each} value={each}>
                {each}
              </option>
            ))}
          </SelectField>
          <TextField
            label="Number"
            value={number}
            maxLength={10}
            onChange={({ target }) => setNumber(target.value)}
          />
        </div>
        <Check tall label="Wing clipped" checked={clipped} onChange={setClipped} />
      </Form>
    </section>
  );
}
