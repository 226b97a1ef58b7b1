import type { Condition, Equipment, EquipmentKind, SpareComb } from '@yellow-cell/contract';
import { conditionWords, equipmentProblem, spareCombWords, standardFormats } from '@yellow-cell/core';
import { Trash2 } from 'lucide-react';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { newId } from '../app/ids.ts';
import { numberIn } from '../parts/numberIn.ts';
import { useOnce } from '../parts/useOnce.ts';
import { BoxList } from './BoxList.tsx';
import { Figure } from './Figure.tsx';
import type { WorkshopPartProps } from './workshopPart.ts';

const KINDS: Readonly<Record<EquipmentKind, string>> = {
  part: 'spare part',
  frame: 'frames',
  excluder: 'excluder',
  fitting: 'fitting',
  feeder: 'feeder',
  tool: 'tool',
};
const FORMATS = Object.fromEntries(standardFormats.map(({ id, name }) => [id, name]));
const EMPTY = {
  kind: 'frame',
  name: '',
  count: '',
  finish: '',
  condition: 'good',
  place: '',
  missing: '',
  format: 'langstroth-deep',
  comb: 'drawn',
  slot: '4.2',
};
/** What it is, beside its name: format, comb, slots. */
const about = ({ kind, format, comb, slot_mm }: Equipment): string =>
  [
    KINDS[kind],
    format && (FORMATS[format] ?? format),
    comb && spareCombWords[comb],
    slot_mm !== undefined && `slots ${slot_mm} mm`,
  ]
    .filter(Boolean)
    .join(', ');

/** What lies ready beside the boxes: kind, finish, condition, place, and what is missing (handbook 11). */
export function Register({ workshop, onSave }: WorkshopPartProps) {
  const { register } = workshop;
  const { hash } = useLocation();
  const shown = useRef<HTMLElement>(null);
  useEffect(() => {
    if (hash === '#register') shown.current?.scrollIntoView();
  }, [hash]);
  const change = (line: Equipment, more: Partial<Equipment>) =>
    onSave(
      (now) => ({
        register: now.register.map((each) => (each.id === line.id ? { ...each, ...more } : each)),
      }),
      `${line.name}: kept.`,
    );
  return (
    <section aria-label="Register" ref={shown}>
      <h2 className="eyebrow">Register</h2>
      <BoxList />
      {register.length === 0 ? (
        <p className="text-soft">Nothing else is kept yet: frames by kind, spare dividers, feeders.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full min-w-[40rem]">
            <thead className="text-left text-sm text-soft">
              <tr>
                <th className="font-normal">what</th>
                <th className="font-normal">how many</th>
                <th className="font-normal">condition</th>
                <th className="font-normal">finish</th>
                <th className="font-normal">place</th>
                <th className="font-normal">missing</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {register.map((line) => (
                <tr key={line.id} className="border-t border-hairline">
                  <td className="py-1.5">
                    {line.name} <span className="text-sm text-soft">{about(line)}</span>
                    {equipmentProblem(line) && (
                      <span className="block max-w-80 text-sm text-danger">{equipmentProblem(line)}</span>
                    )}
                  </td>
                  <td>
                    <Figure
                      label={`Number of ${line.name}`}
                      value={line.count}
                      onChange={(count) => change(line, { count: Math.round(count ?? 0) })}
                    />
                  </td>
                  <td>
                    <select
                      aria-label={`Condition of ${line.name}`}
                      className="field min-h-8 w-auto"
                      value={line.condition}
                      onChange={({ target }) => void change(line, { condition: target.value as Condition })}
                    >
                      {Object.entries(conditionWords).map(([key, name]) => (
                        <option key={key} value={key}>
                          {name}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td>{line.finish}</td>
                  <td>{line.place}</td>
                  <td className={line.missing ? 'text-danger' : ''}>{line.missing}</td>
                  <td>
                    <button
                      type="button"
                      className="p-2"
                      aria-label={`Take out ${line.name}`}
                      onClick={() =>
                        void onSave(
                          (now) => ({ register: now.register.filter(({ id }) => id !== line.id) }),
                          `${line.name} taken out.`,
                        )
                      }
                    >
                      <Trash2 size={16} aria-hidden />
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <NewLine
        onAdd={(line) => onSave((now) => ({ register: [...now.register, line] }), `${line.name} added.`)}
      />
    </section>
  );
}

function NewLine({ onAdd }: { onAdd: (line: Equipment) => Promise<boolean> }) {
  const [typed, setTyped] = useState(EMPTY);
  const set = (key: keyof typeof EMPTY) => (event: { target: { value: string } }) =>
    setTyped((now) => ({ ...now, [key]: event.target.value }));
  const count = numberIn(typed.count);
  const [isFrame, isExcluder] = [typed.kind === 'frame', typed.kind === 'excluder'];
  const slot_mm = numberIn(typed.slot);
  const possible =
    typed.name.trim() !== '' &&
    Number.isInteger(count) &&
    count >= 0 &&
    (!isExcluder || (slot_mm > 0 && slot_mm <= 20));
  const add = useOnce(async () => {
    if (!possible) return;
    const kept = await onAdd({
      id: newId(),
      kind: typed.kind as EquipmentKind,
      name: typed.name.trim(),
      count,
      finish: typed.finish.trim(),
      condition: typed.condition as Condition,
      place: typed.place.trim(),
      missing: typed.missing.trim(),
      ...(isFrame || isExcluder ? { format: typed.format } : {}),
      ...(isFrame ? { comb: typed.comb as SpareComb } : {}),
      ...(isExcluder ? { slot_mm } : {}),
    });
    if (kept) setTyped({ ...EMPTY, kind: typed.kind, format: typed.format });
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    add();
  };
  const choice = (
    key: 'kind' | 'condition' | 'format' | 'comb',
    label: string,
    names: Readonly<Record<string, string>>,
  ) => (
    <label className="block">
      <span className="block text-sm text-soft">{label}</span>
      <select className="field w-auto" value={typed[key]} onChange={set(key)}>
        {Object.entries(names).map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
  const field = (key: keyof typeof EMPTY, label: string, width: string) => (
    <label className="block">
      <span className="block text-sm text-soft">{label}</span>
      <input className={`field ${width}`} maxLength={80} value={typed[key]} onChange={set(key)} />
    </label>
  );
  return (
    <form onSubmit={submit} className="mt-2 flex flex-wrap items-end gap-2">
      {choice('kind', 'kind', KINDS)}
      {(isFrame || isExcluder) && choice('format', 'format', FORMATS)}
      {isFrame && choice('comb', 'comb', spareCombWords)}
      {isExcluder && field('slot', 'slots, mm', 'w-20')}
      {field('name', 'name', 'w-44')}
      {field('count', 'how many', 'w-20')}
      {choice('condition', 'condition', conditionWords)}
      {field('finish', 'finish', 'w-28')}
      {field('place', 'place', 'w-28')}
      {field('missing', 'missing', 'w-36')}
      <button type="submit" className="button" disabled={!possible}>
        Add
      </button>
    </form>
  );
}
