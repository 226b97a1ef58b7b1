import { type ConstantName, countOf, type Rule, registry, rules, switchOf } from '@yellow-cell/core';
import { SourceLink } from '../parts/SourceLink.tsx';
import { FigureLine } from './FigureLine.tsx';

interface RuleListProps {
  yard: string;
  /** The yard's own figures. */
  own: Readonly<Record<string, number>>;
  searched: string;
  onSave: (name: ConstantName, value: number | undefined) => Promise<void>;
}

/** The rules that raise work: what each is for, where it comes from, its figures; each can be off. */
export function RuleList({ yard, own, searched, onSave }: RuleListProps) {
  const shown = rules.filter((rule) => textOf(rule).includes(searched));
  if (shown.length === 0) return null;
  const off = rules.filter(({ kind }) => own[switchOf(kind)] === 0).length;
  return (
    <section aria-label="What raises work" className="mt-4">
      <h2 className="eyebrow">What raises work</h2>
      <p className="text-soft">
        Each rule below puts something on the list of the day, with its reason.{' '}
        {off === 0 ? 'All are on.' : `${countOf(off, 'is', 'are')} off.`}
      </p>
      <ul>
        {shown.map(({ kind, title, why, source, figures }) => {
          const isOn = own[switchOf(kind)] !== 0;
          return (
            <li key={kind} className="border-b border-hairline py-2">
              <label className="flex items-start gap-3">
                <input
                  type="checkbox"
                  className="mt-1 size-5 accent-yellow"
                  checked={isOn}
                  onChange={({ target }) => void onSave(switchOf(kind), target.checked ? undefined : 0)}
                />
                <span className={isOn ? '' : 'text-soft line-through'}>
                  <strong>{title}</strong>
                </span>
              </label>
              <p className="pl-8 text-soft">
                {why}{' '}
                <span className="text-sm">
                  <SourceLink source={source} />.
                </span>
              </p>
              {isOn && figures.length > 0 && (
                <details className="pl-8">
                  <summary className="cursor-pointer text-sm underline">
                    {figures.length === 1 ? 'Its figure' : `Its ${figures.length} figures`}
                    {figures.some((name) => own[name] !== undefined) ? ', some your own' : ''}
                  </summary>
                  <ul>
                    {figures.map((name) => (
                      <FigureLine
                        key={`${yard}-${name}`}
                        name={name}
                        value={own[name]}
                        onSave={(value) => onSave(name, value)}
                      />
                    ))}
                  </ul>
                </details>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

const textOf = ({ title, why, source, figures }: Rule): string =>
  [title, why, source, ...figures.map((name) => registry[name].meaning)].join(' ').toLowerCase();
