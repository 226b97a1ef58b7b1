import { type InputHTMLAttributes, type ReactNode, type SelectHTMLAttributes, useId } from 'react';

interface Common {
  label: string;
  hint?: ReactNode;
  problem?: string | undefined;
}

function Frame({ id, label, hint, problem, children }: Common & { id: string; children: ReactNode }) {
  return (
    <div className="mb-2.5">
      <label htmlFor={id} className="mb-0.5 block text-sm text-soft">
        {label}
      </label>
      {children}
      {hint && !problem && (
        <p id={`${id}-hint`} className="mt-0.5 text-sm text-soft">
          {hint}
        </p>
      )}
      {problem && (
        <p id={`${id}-problem`} className="mt-0.5 text-sm font-medium text-danger" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

/** What a field's screen reader text is made of. */
const described = (id: string, { hint, problem }: Pick<Common, 'hint' | 'problem'>) => ({
  'aria-invalid': problem !== undefined,
  ...(problem ? { 'aria-describedby': `${id}-problem` } : hint ? { 'aria-describedby': `${id}-hint` } : {}),
});

export function TextField({
  label,
  hint,
  problem,
  ...input
}: Common & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <Frame id={id} label={label} hint={hint} problem={problem}>
      <input id={id} className="field" {...described(id, { hint, problem })} {...input} />
    </Frame>
  );
}

export function SelectField({
  label,
  hint,
  problem,
  children,
  ...select
}: Common & SelectHTMLAttributes<HTMLSelectElement>) {
  const id = useId();
  return (
    <Frame id={id} label={label} hint={hint} problem={problem}>
      <select id={id} className="field" {...described(id, { hint, problem })} {...select}>
        {children}
      </select>
    </Frame>
  );
}
