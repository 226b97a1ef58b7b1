import { useSuspenseQuery } from '@tanstack/react-query';
import { type ConstantName, constantGroups, constantProblem, registry } from '@yellow-cell/core';
import { RotateCcw } from 'lucide-react';
import { useDeferredValue, useId, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { ApiError } from '../app/api.ts';
import { refreshAfterEntry, sessionQuery, yardsQuery } from '../app/queries.ts';
import { saveSettings } from '../app/saveSettings.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Notice } from '../parts/Notice.tsx';

/** Every figure of judgement of a yard, with its default, range and source: looked up, changed, and put back. */
export function FiguresScreen() {
  const { yard: wanted } = useParams();
  const navigate = useNavigate();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const { settings } = useSuspenseQuery(sessionQuery).data;
  const yard = yards.find(({ id }) => id === wanted) ?? yards[0];
  const [find, setFind] = useState('');
  const searched = useDeferredValue(find.trim().toLowerCase());
  const [failure, setFailure] = useState('');
  if (!yard)
    return <p className="p-6">Figures are kept for each yard; there is none yet. Add one on the yard.</p>;
  const own = settings.constants[yard.id] ?? {};
  const save = async (name: ConstantName, value: number | undefined) => {
    const { [name]: _, ...others } = own;
    const mine =
      value === undefined || value === registry[name].value ? others : { ...others, [name]: value };
    try {
      setFailure('');
      await saveSettings(({ constants }) => ({ constants: { ...constants, [yard.id]: mine } }));
      await refreshAfterEntry();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setFailure(error.message);
    }
  };
  const changed = Object.keys(own).length;
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <div className="mx-auto max-w-4xl">
        <h1 className="text-xl">Figures of {yard.name}</h1>
        <p className="max-w-2xl text-soft">
          What the program reckons with where practice or physics leaves a choice. A change holds for this
          yard alone, from now on, and everything that follows from it is worked out anew.{' '}
          {changed === 0
            ? 'All stand at their defaults.'
            : `${changed} of them ${changed === 1 ? 'is' : 'are'} your own.`}
        </p>
        <div className="mt-3 grid gap-x-4 sm:grid-cols-2">
          <SelectField
            label="Yard"
            value={yard.id}
            onChange={({ target }) => void navigate(`/figures/${target.value}`)}
          >
            {yards.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
          <TextField
            label="Find"
            type="search"
            value={find}
            onChange={({ target }) => setFind(target.value)}
          />
        </div>
        {failure && (
          <Notice kind="danger">
            <p role="alert">{failure}</p>
          </Notice>
        )}
        {constantGroups.map(({ title, names }) => {
          const shown = names.filter((name) => matches(name, searched));
          if (shown.length === 0) return null;
          return (
            <section key={title} aria-label={title} className="mt-4">
              <h2 className="eyebrow">{title}</h2>
              <ul>
                {shown.map((name) => (
                  <FigureLine
                    key={`${yard.id}-${name}`}
                    name={name}
                    value={own[name]}
                    onSave={(value) => save(name, value)}
                  />
                ))}
              </ul>
            </section>
          );
        })}
      </div>
    </main>
  );
}

const matches = (name: ConstantName, searched: string): boolean => {
  const { meaning, unit, source } = registry[name];
  return `${meaning} ${unit} ${source}`.toLowerCase().includes(searched);
};

interface FigureLineProps {
  name: ConstantName;
  /** The yard's own, where it has one. */
  value: number | undefined;
  onSave: (value: number | undefined) => Promise<void>;
}

function FigureLine({ name, value, onSave }: FigureLineProps) {
  const id = useId();
  const { meaning, unit, source, range, value: usual } = registry[name];
  const [typed, setTyped] = useState<string>();
  const text = typed ?? String(value ?? usual);
  const parsed = Number(text.trim().replace(',', '.'));
  const problem =
    text.trim() === '' || Number.isNaN(parsed) ? 'A number is wanted.' : constantProblem(name, parsed);
  const settle = async () => {
    if (typed === undefined || problem) return;
    if (parsed !== (value ?? usual)) await onSave(parsed);
    setTyped(undefined);
  };
  return (
    <li className="grid grid-cols-[1fr_auto] items-start gap-x-4 border-b border-hairline py-1.5">
      <div>
        <label htmlFor={id}>{meaning}</label>
        <p className="text-sm text-soft">
          {usual} {unit} by default, {range[0]} to {range[1]}. {source}.
        </p>
        {problem && (
          <p role="alert" className="text-sm text-danger">
            {problem}
          </p>
        )}
      </div>
      <div className="flex items-center gap-2">
        <input
          id={id}
          inputMode="decimal"
          className={`field w-24 text-right ${value === undefined ? '' : 'border-2 border-[var(--yellow)] font-semibold'}`}
          value={text}
          aria-invalid={problem !== undefined}
          onChange={({ target }) => setTyped(target.value)}
          onBlur={() => void settle()}
          onKeyDown={({ key }) => {
            if (key === 'Enter') void settle();
            if (key === 'Escape') setTyped(undefined);
          }}
        />
        <button
          type="button"
          className="rounded p-2 disabled:invisible"
          aria-label={`Put back: ${meaning}`}
          title={`Back to ${usual}`}
          disabled={value === undefined}
          onClick={() => {
            setTyped(undefined);
            void onSave(undefined);
          }}
        >
          <RotateCcw size={17} aria-hidden />
        </button>
      </div>
    </li>
  );
}
