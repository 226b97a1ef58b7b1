import { useSuspenseQuery } from '@tanstack/react-query';
import type { Climate } from '@yellow-cell/contract';
import { celsiusIn, degreesOf, meanOn, readClimate, shortMonths } from '@yellow-cell/core';
import { FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { ApiError } from '../app/api.ts';
import { sessionQuery } from '../app/queries.ts';
import { saveSettings } from '../app/saveSettings.ts';
import { useMeasures } from '../app/units.ts';
import { numberIn } from '../parts/numberIn.ts';

type Unit = 'unsaid' | 'C' | 'F';
interface Place {
  id: string;
  latitude_deg: number;
}

/** The climate of a yard: its means by months typed in, or a table of the breeder's own read in; kept for all devices. */
export function ClimateField({ yard }: { yard: Place | undefined }) {
  const { settings } = useSuspenseQuery(sessionQuery).data;
  const [problem, setProblem] = useState('');
  const [remarks, setRemarks] = useState<readonly string[]>([]);
  const [unit, setUnit] = useState<Unit>('unsaid');
  const keeping = useRef(false);
  if (!yard) return null;
  const climate = settings.climates?.[yard.id];
  const keep = async (next: Climate | undefined) => {
    // A second tap would be refused as somebody else's change.
    if (keeping.current) return;
    keeping.current = true;
    try {
      await saveSettings(({ climates = {} }) => {
        const { [yard.id]: _, ...others } = climates;
        return { climates: next ? { ...others, [yard.id]: next } : others };
      });
      setProblem('');
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setProblem(`Not kept. ${error.details?.problems?.[0]?.sentence ?? error.message}`);
    } finally {
      keeping.current = false;
    }
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    // The reader comes when it is needed: most breeders read a table once.
    const { default: Papa } = await import('papaparse');
    const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' });
    const found = readClimate(data, unit, yard.latitude_deg);
    setRemarks(found.ok ? found.remarks : []);
    if (found.ok) await keep(found.climate);
    else setProblem(found.problems.map(({ sentence }) => sentence).join(' '));
  };
  return (
    <details className="mt-1">
      <summary className="text-sm text-soft max-lg:py-3.5">
        Climate: {climate ? 'your own' : 'estimated from the latitude'}
      </summary>
      <p className="text-xs text-soft">
        A CSV with a column for the date and one for the mean, or for minimum and maximum.
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <select
          aria-label="Unit of its temperatures"
          className="field min-h-8 w-auto text-sm max-lg:min-h-12"
          value={unit}
          onChange={({ target }) => setUnit(target.value as Unit)}
        >
          <option value="unsaid">°C, or as it looks</option>
          <option value="C">°C</option>
          <option value="F">°F</option>
        </select>
        <label className="button min-h-8 cursor-pointer px-2 py-0.5 text-sm max-lg:min-h-12">
          <FileUp size={15} aria-hidden /> Read a climate
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            className="sr-only"
            onChange={({ target }) => {
              void read(target.files?.[0]);
              target.value = '';
            }}
          />
        </label>
        {climate && (
          <button
            type="button"
            className="min-h-8 text-sm underline max-lg:min-h-12"
            onClick={() => {
              setRemarks([]);
              void keep(undefined);
            }}
          >
            back to the estimate
          </button>
        )}
      </div>
      <TypedMonths key={JSON.stringify(climate)} climate={climate} yard={yard} onKeep={keep} />
      {problem && (
        <p role="alert" className="text-sm text-danger">
          {problem}
        </p>
      )}
      {remarks.map((remark) => (
        <p key={remark} className="text-sm">
          {remark}
        </p>
      ))}
    </details>
  );
}

const BOTH = ['min_C', 'max_C'] as const;
type Typed = Record<(typeof BOTH)[number], string>;

interface TypedMonthsProps {
  climate: Climate | undefined;
  yard: Place;
  onKeep: (climate: Climate) => Promise<void>;
}

/** Twelve means of the daily minimum and maximum, in the reader's own degrees; what stays empty is not known. */
function TypedMonths({ climate, yard, onKeep }: TypedMonthsProps) {
  const measures = useMeasures();
  const shown = (celsius: number): string => String(Math.round(degreesOf(celsius, measures) * 10) / 10);
  const [typed, setTyped] = useState<readonly Typed[]>(() =>
    shortMonths.map((_, month) => {
      const known = climate?.months[month];
      return known ? { min_C: shown(known.min_C), max_C: shown(known.max_C) } : { min_C: '', max_C: '' };
    }),
  );
  const celsiusOf = (text: string): number => celsiusIn(numberIn(text), measures);
  const half = typed.findIndex(({ min_C, max_C }) => (min_C === '') !== (max_C === ''));
  const wrong = typed.findIndex(
    ({ min_C, max_C }) => min_C !== '' && max_C !== '' && !(celsiusOf(min_C) <= celsiusOf(max_C)),
  );
  const problem =
    half >= 0
      ? `${shortMonths[half]}: minimum and maximum, or neither.`
      : wrong >= 0
        ? `${shortMonths[wrong]}: two temperatures, the minimum not above the maximum.`
        : undefined;
  const keep = () =>
    onKeep({
      months: typed.map(({ min_C, max_C }) =>
        min_C === '' ? null : { min_C: celsiusOf(min_C), max_C: celsiusOf(max_C) },
      ),
    });
  return (
    <details className="mt-1">
      <summary className="inline-flex min-h-8 cursor-pointer items-center text-sm underline max-lg:min-h-12">
        Type the months
      </summary>
      <table className="text-sm [&_td]:pb-1">
        <caption className="text-left text-soft">
          Means of the daily minimum and maximum, °{measures.temperature}; months that stay empty are
          estimated.
        </caption>
        <thead>
          <tr className="text-soft">
            <th className="font-normal">
              <span className="sr-only">month</span>
            </th>
            <th className="font-normal">minimum</th>
            <th className="font-normal">maximum</th>
            <th className="pl-3 font-normal">mean, estimated</th>
          </tr>
        </thead>
        <tbody>
          {shortMonths.map((name, month) => (
            <tr key={name}>
              <th scope="row" className="pr-2 text-left font-normal">
                {name}
              </th>
              {BOTH.map((which) => (
                <td key={which} className="pr-1">
                  <input
                    aria-label={`${name}, ${which === 'min_C' ? 'minimum' : 'maximum'}`}
                    // Not decimal: on some phones that has no minus.
                    inputMode="text"
                    className="field !min-h-8 w-20 !py-0 max-lg:!min-h-12"
                    value={typed[month]?.[which] ?? ''}
                    onChange={({ target: { value } }) =>
                      setTyped(typed.map((each, at) => (at === month ? { ...each, [which]: value } : each)))
                    }
                  />
                </td>
              ))}
              <td className="pl-3 text-soft">
                {shown(meanOn(undefined, `2025-${String(month + 1).padStart(2, '0')}-15`, yard.latitude_deg))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {problem && <p className="text-sm text-soft">{problem}</p>}
      <button
        type="button"
        className="button mt-1 min-h-8 text-sm max-lg:min-h-12"
        disabled={problem !== undefined || typed.every(({ min_C }) => min_C === '')}
        onClick={() => void keep()}
      >
        Keep the months
      </button>
    </details>
  );
}
