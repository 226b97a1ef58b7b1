import { roomWords, showDay, showWindow, statusWords } from '@yellow-cell/core';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import { useSay } from '../app/units.ts';
import { useBeforePrint } from '../parts/useBeforePrint.ts';
import { RoomIcon } from './RoomIcon.tsx';
import { UrgencyDot } from './SignKey.tsx';
import { useChoice } from './useChoice.ts';
import type { BoxView, CompartmentView, YardView } from './useYard.ts';

interface Row {
  view: BoxView;
  compartment: CompartmentView;
}

type Column = 'box' | 'status' | 'since' | 'due';
const COLUMNS: readonly (readonly [Column, string])[] = [
  ['box', 'Compartment'],
  ['status', 'Status'],
  ['since', 'Since'],
  ['due', 'Expected next'],
];

/** So many rows are drawn at once; more when they are asked for. */
const AT_ONCE = 200;
const NEVER = '9999';
const KEYS: Readonly<Record<Column, (row: Row) => string>> = {
  box: () => '',
  status: ({ compartment }) => statusWords[compartment.status],
  since: ({ compartment }) => compartment.since ?? NEVER,
  due: ({ compartment }) =>
    compartment.first ? `${compartment.urgency === 'ahead' ? 1 : 0}${compartment.first.expected}` : NEVER,
};

/** Every compartment in a line: sorted by any column, filtered by what is typed; on a phone, one large target each. */
export function YardList({ view }: { view: YardView }) {
  const [sort, setSort] = useState<{ column: Column; down: boolean }>({ column: 'box', down: false });
  const [wanted, setWanted] = useState('');
  const [dueOnly, setDueOnly] = useState(false);
  const [most, setMost] = useState(AT_ONCE);
  useBeforePrint(() => setMost(Number.POSITIVE_INFINITY));
  const { box, bay, choose } = useChoice();
  const rows = useMemo(() => rowsOf(view, wanted, dueOnly, sort), [view, wanted, dueOnly, sort]);
  return (
    <div className="flex h-full flex-col bg-sheet">
      <div className="flex flex-wrap items-center gap-4 px-5 py-2 max-sm:gap-3">
        <input
          aria-label="Show only"
          className="field max-w-56 max-sm:max-w-36"
          placeholder="Show only: box, status…"
          value={wanted}
          onChange={({ target }) => setWanted(target.value)}
        />
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={dueOnly} onChange={({ target }) => setDueOnly(target.checked)} />
          Only what is due
        </label>
        <span className="text-soft max-sm:hidden">{rows.length} compartments</span>
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto px-2 pb-16 sm:px-5">
        <table className="w-full border-collapse">
          <thead className="sticky top-0 z-10 bg-sheet text-left text-sm">
            <tr>
              {COLUMNS.map(([column, title]) => (
                <th
                  key={column}
                  className={`py-1.5 pr-2 font-normal ${column === 'since' ? 'max-sm:hidden' : ''}`}
                  aria-sort={sort.column === column ? (sort.down ? 'descending' : 'ascending') : 'none'}
                >
                  <button
                    type="button"
                    className="flex items-center gap-1 text-soft"
                    onClick={() => setSort({ column, down: sort.column === column && !sort.down })}
                  >
                    {title}
                    {sort.column === column &&
                      (sort.down ? <ArrowDown size={14} aria-hidden /> : <ArrowUp size={14} aria-hidden />)}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, most).map(({ view: of, compartment }) => (
              <ListRow
                key={of.box.id + compartment.position}
                view={of}
                compartment={compartment}
                on={view.on}
                isChosen={box === of.box.id && compartment.bays.includes(bay ?? '')}
                onChoose={choose}
              />
            ))}
          </tbody>
        </table>
        {rows.length === 0 && (
          <p className="py-4 text-soft">
            {view.boxes.length === 0 ? 'No boxes stand here.' : 'Nothing fits that.'}
          </p>
        )}
        {rows.length > most && (
          <button type="button" className="button mt-3 mr-3" onClick={() => setMost(most + AT_ONCE)}>
            Show more of {rows.length} compartments
          </button>
        )}
        {view.more && (
          <button type="button" className="button mt-3" onClick={view.more}>
            Show more boxes
          </button>
        )}
      </div>
    </div>
  );
}

interface ListRowProps extends Row {
  on: string;
  isChosen: boolean;
  onChoose: (box: string, bay?: string) => void;
}

const ListRow = memo(function ListRow({ view, compartment, on, isChosen, onChoose }: ListRowProps) {
  const say = useSay();
  const { first, due: all, urgency, since } = compartment;
  const due = urgency === 'due' || urgency === 'overdue';
  return (
    <tr className={`border-t border-hairline ${isChosen ? 'bg-glow' : ''}`}>
      <td className="py-0 pr-2">
        <button
          type="button"
          className="min-h-11 w-full text-left font-semibold hover:underline"
          onClick={() => onChoose(view.box.id, compartment.bays[0])}
        >
          {view.box.label} · {compartment.name}
        </button>
      </td>
      <td className="pr-2 sm:whitespace-nowrap max-sm:max-w-28">
        <RoomIcon room={compartment} /> {roomWords(compartment)}
      </td>
      <td className="pr-2 max-sm:hidden">{since ? say(showDay(since, on)) : ''}</td>
      <td className="pr-2">
        {first ? (
          <span className="flex items-center gap-1.5">
            {due && <UrgencyDot urgency={urgency} />}
            <span>
              {first.title}{' '}
              <span className="text-soft">
                {urgency === 'overdue'
                  ? `overdue since ${say(showDay(first.to, on))}`
                  : say(showWindow(first.from, first.to, on))}
                {all.length > 1 && `, and ${all.length - 1} more`}
              </span>
            </span>
          </span>
        ) : (
          <span className="text-soft">nothing</span>
        )}
      </td>
    </tr>
  );
});

function rowsOf(
  { boxes }: YardView,
  wanted: string,
  dueOnly: boolean,
  { column, down }: { column: Column; down: boolean },
): Row[] {
  const typed = wanted.trim().toLowerCase();
  const rows = boxes
    .flatMap((view) => view.compartments.map((compartment) => ({ view, compartment })))
    .filter(({ compartment: { urgency } }) => !dueOnly || urgency === 'due' || urgency === 'overdue')
    .filter((row) => typed === '' || textOf(row).includes(typed));
  const sorted = [...rows].sort((a, b) =>
    KEYS[column](a) < KEYS[column](b) ? -1 : KEYS[column](a) > KEYS[column](b) ? 1 : 0,
  );
  return down ? sorted.reverse() : sorted;
}

const textOf = ({ view, compartment }: Row): string =>
  `${view.box.label} ${compartment.name} ${statusWords[compartment.status]} ${compartment.first?.title ?? ''} ${view.designName}`.toLowerCase();
