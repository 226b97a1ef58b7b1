import type { CheckResult } from '@yellow-cell/contract';
import { countOf, type GatheredCheck, gathered, type LimitName, limitTable } from '@yellow-cell/core';
import { CircleAlert, CircleHelp, Info, TriangleAlert } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { useSay } from '../app/units.ts';
import { LengthField } from '../parts/LengthField.tsx';
import { SourceLink } from '../parts/SourceLink.tsx';
import type { DraftDesk } from './useDraft.ts';

const SIGN = { danger: TriangleAlert, fault: CircleAlert, care: CircleHelp, note: Info } as const;
const WORD = { danger: 'Danger', fault: 'Fault', care: 'Care', note: 'Note' } as const;

interface CheckListProps {
  desk: DraftDesk;
  checks: readonly CheckResult[];
  /** True while the checks shown are still of the drawing before. */
  checking: boolean;
  onChoose: (id: string | undefined) => void;
  onPoint: (places: readonly string[]) => void;
}

/** What the design is held to, worst first: each points at its place, and where core has tried one, offers its fix. */
export function CheckList({ desk, checks, checking, onChoose, onPoint }: CheckListProps) {
  const say = useSay();
  const [all, setAll] = useState(false);
  const failing = gathered(checks.filter(({ holds }) => !holds));
  const open = failing.filter(({ overruled }) => overruled === null);
  const stand = failing.filter(({ overruled }) => overruled !== null);
  const held = checks.filter(({ holds }) => holds);
  const shown = (check: GatheredCheck) => (
    <Check
      key={check.key}
      check={check}
      desk={desk}
      checking={checking}
      onChoose={onChoose}
      onPoint={onPoint}
    />
  );
  return (
    <section aria-label="Checks" aria-busy={checking}>
      <h2 className="eyebrow">
        Checks{' '}
        <span className="font-sans font-normal text-soft">
          {checks.length === 0
            ? 'working them out…'
            : `${open.length === 0 ? 'nothing' : open.length} to look at, ${held.length} hold`}
        </span>
      </h2>
      <ul>{open.map(shown)}</ul>
      {stand.length > 0 && (
        <details className="mt-1">
          <summary className="text-sm text-soft">
            {countOf(stand.length, 'check')} let stand, with{' '}
            {stand.length === 1 ? 'its reason' : 'their reasons'}
          </summary>
          <ul>{stand.map(shown)}</ul>
        </details>
      )}
      {held.length > 0 && (
        <details className="mt-1" open={all} onToggle={({ currentTarget }) => setAll(currentTarget.open)}>
          <summary className="text-sm text-soft">What holds, and why</summary>
          {all && (
            <ul className="mt-1 text-sm">
              {held.map((check) => (
                <li
                  key={check.key}
                  className="border-b border-hairline py-1"
                  onPointerEnter={() => onPoint(check.places)}
                  onPointerLeave={() => onPoint([])}
                >
                  {say(check.sentence)} <Source check={check} />
                </li>
              ))}
            </ul>
          )}
        </details>
      )}
      <Limits desk={desk} />
    </section>
  );
}

function Check({
  check,
  desk,
  checking,
  onChoose,
  onPoint,
}: Omit<CheckListProps, 'checks'> & { check: GatheredCheck }) {
  const { severity, sentence, fix, keys, overruled, places } = check;
  const say = useSay();
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  const Sign = SIGN[severity];
  const bad = severity === 'danger' || severity === 'fault';
  const overrule = (event: FormEvent) => {
    event.preventDefault();
    if (reason.trim() === '') return;
    desk.edit((now) => ({
      ...now,
      overrules: [
        ...now.overrules.filter((each) => !keys.includes(each.check)),
        ...keys.map((key) => ({ check: key, reason })),
      ],
    }));
    setAsking(false);
  };
  return (
    <li
      className={`flex gap-2 border-b border-hairline py-2 ${overruled === null ? '' : 'text-soft'}`}
      onPointerEnter={() => onPoint(places)}
      onPointerLeave={() => onPoint([])}
      onFocus={() => onPoint(places)}
      onBlur={() => onPoint([])}
    >
      <Sign
        size={18}
        aria-hidden
        className={`mt-0.5 shrink-0 ${bad && overruled === null ? 'text-danger' : 'text-soft'}`}
      />
      <div className="min-w-0">
        <button
          type="button"
          className="text-left hover:underline"
          onClick={() => onChoose(places[0]?.split('.')[0])}
        >
          <strong>{WORD[severity]}.</strong> {say(sentence)}
        </button>{' '}
        <Source check={check} />
        {overruled !== null && (
          <p>
            Let stand: “{overruled}”{' '}
            <button
              type="button"
              className="underline"
              onClick={() =>
                desk.edit((now) => ({
                  ...now,
                  overrules: now.overrules.filter((each) => !keys.includes(each.check)),
                }))
              }
            >
              take that back
            </button>
          </p>
        )}
        {overruled === null && (
          <div className="mt-1 flex flex-wrap items-center gap-2">
            {fix && (
              <button
                type="button"
                className="button min-h-8 px-2.5 py-0.5"
                // A fix was tried on the drawing that was checked; on a newer one it would undo what came since.
                disabled={checking}
                onClick={() => desk.edit(() => fix.design)}
              >
                {say(fix.label)}
              </button>
            )}
            {!asking && (
              <button type="button" className="text-sm text-soft underline" onClick={() => setAsking(true)}>
                let it stand…
              </button>
            )}
          </div>
        )}
        {asking && overruled === null && (
          <form className="mt-1 flex gap-2" onSubmit={overrule}>
            <input
              className="field min-h-8"
              aria-label="Why it may stand"
              placeholder="Why it may stand"
              value={reason}
              maxLength={300}
              onChange={({ target }) => setReason(target.value)}
            />
            <button type="submit" className="button min-h-8 px-2 py-0.5" disabled={reason.trim() === ''}>
              Keep
            </button>
          </form>
        )}
      </div>
    </li>
  );
}

/** The figure with its limit and where the limit comes from, for who wants to know. */
function Source({ check: { figure, limit, unit } }: { check: CheckResult }) {
  const say = useSay();
  if (figure === null || limit === null) return null;
  const shown = (value: number) => say(`${Math.round(value * 10) / 10} ${unit}`);
  return (
    <span className="text-sm text-soft">
      {shown(figure)}, limit {shown(limit.value)} (<SourceLink source={limit.source} />
      ).
    </span>
  );
}

const names = Object.keys(limitTable) as LimitName[];

/** Every limit with its default and source; a design may set its own. */
function Limits({ desk }: { desk: DraftDesk }) {
  const { limits } = desk.draft.content;
  const [shown, setShown] = useState(false);
  const set = (name: LimitName, value: number | undefined) =>
    desk.edit((now) => {
      const { [name]: _, ...rest } = now.limits;
      return { ...now, limits: value === undefined ? rest : { ...rest, [name]: value } };
    }, `limit-${name}`);
  const own = names.filter((name) => limits[name] !== undefined).length;
  return (
    <details className="mt-1" onToggle={({ currentTarget }) => setShown(currentTarget.open)}>
      <summary className="text-sm text-soft">Limits{own > 0 ? `, ${own} of this design’s own` : ''}</summary>
      {shown && (
        <ul className="mt-2">
          {names.map((name) => {
            const { value, source, meaning, range } = limitTable[name];
            const now = limits[name];
            return (
              <li key={name} className="mb-2 border-b border-hairline pb-1">
                <LengthField
                  label={meaning}
                  value={{ mm: now ?? value }}
                  onChange={({ mm }) => set(name, mm)}
                />
                <p className="-mt-2 text-sm text-soft">
                  {value} by default ({source}), {range[0]} to {range[1]}.{' '}
                  {now !== undefined && (
                    <button type="button" className="underline" onClick={() => set(name, undefined)}>
                      back to the default
                    </button>
                  )}
                </p>
              </li>
            );
          })}
        </ul>
      )}
    </details>
  );
}
