import { useSuspenseQuery } from '@tanstack/react-query';
import { type ConstantName, constantGroups, registry, rules } from '@yellow-cell/core';
import { useDeferredValue, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { ApiError } from '../app/api.ts';
import { refreshAfterEntry, sessionQuery, yardsQuery } from '../app/queries.ts';
import { saveSettings } from '../app/saveSettings.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { Notice } from '../parts/Notice.tsx';
import { FigureLine } from './FigureLine.tsx';
import { RuleList } from './RuleList.tsx';

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
        <RuleList own={own} yard={yard.id} searched={searched} onSave={save} />
        {constantGroups.map(({ title, names }) => {
          const shown = names.filter((name) => !IN_RULES.has(name) && matches(name, searched));
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

/** Figures that belong to a rule stand with it. */
const IN_RULES: ReadonlySet<ConstantName> = new Set(rules.flatMap(({ figures }) => figures));

const matches = (name: ConstantName, searched: string): boolean => {
  const { meaning, unit, source } = registry[name];
  return `${meaning} ${unit} ${source}`.toLowerCase().includes(searched);
};
