import type { DesignFile } from '@yellow-cell/contract';
import {
  bestDrawn,
  families,
  familyDesign,
  type ObservationKind,
  observation,
  showLength,
  standardBody,
  standardFormats,
} from '@yellow-cell/core';
import { FileUp } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { ApiError, sendText } from '../app/api.ts';
import { keep, readKept } from '../app/kept.ts';
import { useSay, useUnits } from '../app/units.ts';
import { BoxThumb } from '../drawing/BoxThumb.tsx';
import { SelectField } from '../parts/Field.tsx';
import { LengthField } from '../parts/LengthField.tsx';
import { Notice } from '../parts/Notice.tsx';
import { Stepper } from '../parts/Stepper.tsx';
import { useToast } from '../parts/Toast.tsx';
import type { Draft } from './useDraft.ts';

const NEW = 'yc-draft-new';

/** Puts a drawing on the bench; one that lay there unfinished can be had back. */
function useStart(): (draft: Draft) => void {
  const navigate = useNavigate();
  const { search } = useLocation();
  const toast = useToast();
  return (draft) => {
    const before = readKept<Draft>(NEW);
    keep(NEW, draft);
    navigate(`/bench/new${search}`);
    if (before) {
      toast({
        text: 'The unfinished drawing was put aside.',
        undo: async () => {
          keep(NEW, before);
          window.location.reload();
        },
      });
    }
  };
}

/** Where a new design begins: a family, a question, or a file. */
export function StartScreen() {
  const start = useStart();
  const { search } = useLocation();
  const kept = readKept<Draft>(NEW);
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <h1 className="text-xl">A new design</h1>
      {kept && (
        <p className="mt-1">
          An unfinished drawing{kept.name ? ` (“${kept.name}”)` : ''} is kept on this device.{' '}
          <Link className="underline" to={`/bench/new${search}`}>
            Go on with it
          </Link>
        </p>
      )}
      <div className="mt-3 grid gap-5 lg:grid-cols-2">
        <Question start={start} />
        <FromFile start={start} />
      </div>
      <h2 className="mt-5 text-lg">From one of fifteen families</h2>
      <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(230px,1fr))] gap-4">
        {families.map(({ family, name, purpose, school, own }) => (
          <li key={family} className="flex flex-col rounded-xl border border-hairline bg-slip p-3">
            <button
              type="button"
              className="flex flex-1 flex-col text-left hover:underline"
              onClick={() => start({ name: '', content: familyDesign(family) })}
            >
              <BoxThumb design={familyDesign(family)} width={200} height={112} />
              <strong className="mt-1 block font-head text-base">{name}</strong>
              <span className="block">{purpose}.</span>
            </button>
            <p className="mt-1 text-sm text-soft">{school}.</p>
            <p className="mt-1 text-sm text-soft">Its own: {own.part}.</p>
            {family === 'observation' && (
              <div className="mt-1 flex flex-wrap gap-1">
                {OBSERVATIONS.map(([kind, label]) => (
                  <button
                    key={kind}
                    type="button"
                    className="button min-h-8 px-2 py-0.5 text-sm font-normal"
                    onClick={() => start({ name: '', content: observation(kind) })}
                  >
                    {label}
                  </button>
                ))}
              </div>
            )}
          </li>
        ))}
      </ul>
    </main>
  );
}

const OBSERVATIONS: readonly (readonly [ObservationKind, string])[] = [
  ['display', 'one shown frame'],
  ['lifting', 'lifting top'],
  ['wall', 'standing wall'],
  ['columns', 'two columns'],
];

/** “I have such a body and such a board; I want so many.” */
function Question({ start }: { start: (draft: Draft) => void }) {
  const units = useUnits();
  const [format, setFormat] = useState('langstroth-deep');
  const [width, setWidth] = useState(standardBody('langstroth-deep').insideWidth);
  const [thickness, setThickness] = useState({ mm: 9.5 });
  const [count, setCount] = useState(3);
  const [none, setNone] = useState('');
  const ask = (event: FormEvent) => {
    event.preventDefault();
    const content = bestDrawn(format, width, thickness, count);
    if (!content) {
      setNone(
        `No ${count} compartments fit ${showLength(width.mm, units)} with boards of ${showLength(thickness.mm, units)}: frames jam or fall short. Thinner boards or fewer compartments may do.`,
      );
      return;
    }
    start({ name: '', content });
  };
  return (
    <form
      onSubmit={ask}
      className="rounded-xl border border-hairline bg-slip p-4"
      aria-label="From a question"
    >
      <h2 className="text-lg">From a question</h2>
      <div className="mt-1 grid gap-x-3 sm:grid-cols-3">
        <SelectField
          label="I have a body for"
          value={format}
          onChange={({ target }) => {
            setFormat(target.value);
            setWidth(standardBody(target.value).insideWidth);
          }}
        >
          {standardFormats.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <LengthField label="inside, across" value={width} onChange={setWidth} />
        <LengthField label="and boards of" value={thickness} onChange={setThickness} />
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <span>I want</span>
        <Stepper
          label="compartments wanted"
          unit="compartments"
          count={count}
          least={1}
          most={8}
          onChange={setCount}
        />
        <button type="submit" className="button button-main">
          Draw the best
        </button>
      </div>
      {none && (
        <p role="alert" className="mt-2 text-danger">
          {none}
        </p>
      )}
    </form>
  );
}

/** A design file of this program; taken whole, or refused with what is wrong and where. */
function FromFile({ start }: { start: (draft: Draft) => void }) {
  const say = useSay();
  const [problems, setProblems] = useState<readonly { path: string; sentence: string }[]>([]);
  const read = async (file: File | undefined) => {
    if (!file) return;
    setProblems([]);
    try {
      const { name, content } = await sendText<DesignFile>('/designs/read', await file.text());
      start({ name, content });
    } catch (failed) {
      if (!(failed instanceof ApiError)) throw failed;
      setProblems(failed.details?.problems ?? [{ path: '', sentence: failed.message }]);
    }
  };
  return (
    <section className="rounded-xl border border-hairline bg-slip p-4" aria-label="From a file">
      <h2 className="text-lg">From a file or another design</h2>
      <p>
        Open any design and use “Draw another from it”, or read a design file that was exported. Its{' '}
        <a className="underline" href="/api/design.schema.json">
          JSON Schema
        </a>{' '}
        is published.
      </p>
      <label className="button mt-2 cursor-pointer">
        <FileUp size={17} aria-hidden /> Read a design file
        <input
          type="file"
          accept="application/json,.json"
          className="sr-only"
          onChange={({ target }) => {
            void read(target.files?.[0]);
            target.value = '';
          }}
        />
      </label>
      {problems.length > 0 && (
        <div role="alert" className="mt-2">
          <p>Nothing was read.</p>
          {problems.slice(0, 12).map(({ path, sentence }) => (
            <Notice key={path + sentence} kind="danger">
              {path && <code className="text-sm">{path}: </code>}
              {say(sentence)}
            </Notice>
          ))}
          {problems.length > 12 && <p className="text-soft">and {problems.length - 12} more.</p>}
        </div>
      )}
    </section>
  );
}
