import { useQuery, useSuspenseQuery } from '@tanstack/react-query';
import type { CheckResult, Design, DesignContent } from '@yellow-cell/contract';
import { boxFromAbove, boxInSection, deriveBox, designChanges } from '@yellow-cell/core';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { designQuery, designsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { BoxShapes } from '../drawing/BoxShapes.tsx';
import { lying, upright } from '../drawing/place.ts';
import { Said } from '../parts/Said.tsx';
import { benchWorker } from './benchWorker.ts';
import { SideBySide } from './SideBySide.tsx';

/** Two designs, or two versions of one, side by side, with what differs named and marked. */
export function CompareScreen() {
  const say = useSay();
  const { design: id = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const { data: mine } = useSuspenseQuery(designQuery(id));
  const otherId = params.get('with') ?? id;
  const { data: other } = useSuspenseQuery(designQuery(otherId));
  const { data: all } = useSuspenseQuery(designsQuery);
  const a = versionOf(mine, params.get('a'), mine.versions.length);
  const b = versionOf(
    other,
    params.get('b'),
    otherId === id ? Math.max(1, mine.versions.length - 1) : other.versions.length,
  );
  const changes = useMemo(() => designChanges(b.content, a.content), [a, b]);
  const differing = useMemo(() => differingParts(a.content, b.content), [a, b]);
  const set = (key: string, value: string) =>
    setParams((now) => {
      now.set(key, value);
      if (key === 'with') now.delete('b');
      return now;
    });
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <h1 className="text-xl">
        <Link className="hover:underline" to={`/bench/${id}`}>
          {mine.name}
        </Link>{' '}
        compared
      </h1>
      <div className="mt-3 grid gap-5 lg:grid-cols-2">
        <Column
          title="This"
          design={mine}
          number={a.number}
          content={a.content}
          differing={differing}
          onVersion={(value) => set('a', value)}
        />
        <Column
          title="With"
          design={other}
          number={b.number}
          content={b.content}
          differing={differing}
          onVersion={(value) => set('b', value)}
        >
          <select
            aria-label="Compare with the design"
            className="field w-auto"
            value={otherId}
            onChange={({ target }) => set('with', target.value)}
          >
            {all.map(({ id: each, name }) => (
              <option key={each} value={each}>
                {name}
              </option>
            ))}
          </select>
        </Column>
      </div>
      <SideBySide left={a.content} right={b.content} params={params} set={set} />
      <section aria-label="What differs" className="mt-4 max-w-3xl">
        <h2 className="text-lg">What differs, from the right one to the left</h2>
        {changes.length === 0 ? (
          <p className="text-soft">Nothing that is drawn.</p>
        ) : (
          <ul className="list-disc pl-5">
            {changes.map((sentence) => (
              <li key={sentence}>{say(sentence)}</li>
            ))}
          </ul>
        )}
      </section>
    </main>
  );
}

const versionOf = (design: Design, wanted: string | null, usual: number) => {
  const found =
    design.versions.find(({ number }) => number === Number(wanted ?? usual)) ?? design.versions.at(-1);
  if (!found) throw new Error('A design without a version.');
  return found;
};

/** Ids of parts that one has and the other lacks, or has otherwise. */
function differingParts(a: DesignContent, b: DesignContent): ReadonlySet<string> {
  const parts = (design: DesignContent) =>
    new Map(
      design.layers.flatMap((layer): [string, string][] =>
        layer.kind === 'sheet'
          ? [[layer.id, JSON.stringify(layer)]]
          : [
              ...layer.boards.map((board): [string, string] => [
                board.id,
                JSON.stringify([board, layer.grooves.find(({ id }) => id === board.groove)]),
              ]),
              ...layer.entrances.map((entrance): [string, string] => [entrance.id, JSON.stringify(entrance)]),
              ...layer.bays.flatMap(({ frames }) =>
                frames.map((slot): [string, string] => [slot.id, slot.holds]),
              ),
            ],
      ),
    );
  const [left, right] = [parts(a), parts(b)];
  return new Set([...left.keys(), ...right.keys()].filter((id) => left.get(id) !== right.get(id)));
}

interface ColumnProps {
  title: string;
  design: Design;
  number: number;
  content: DesignContent;
  differing: ReadonlySet<string>;
  onVersion: (value: string) => void;
  children?: React.ReactNode;
}

function Column({ title, design, number, content, differing, onVersion, children }: ColumnProps) {
  const say = useSay();
  const model = useMemo(() => deriveBox(content), [content]);
  const { data: checks = [] } = useQuery({
    queryKey: ['checks', design.id, number],
    queryFn: () => benchWorker().check(content) as Promise<CheckResult[]>,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const open = checks.filter(({ holds, overruled }) => !holds && overruled === null);
  return (
    <section aria-label={title} className="rounded-xl border border-hairline bg-slip p-3">
      <div className="flex min-h-12 items-center gap-2 overflow-hidden [&>select]:min-w-0 [&>select]:shrink">
        <strong className="shrink-0">{title}:</strong> {children ?? design.name}
        <select
          aria-label={`Version of ${design.name}`}
          className="field w-auto"
          value={number}
          onChange={({ target }) => onVersion(target.value)}
        >
          {design.versions.map((version) => (
            <option key={version.id} value={version.number}>
              version {version.number}
              {version.note ? `, ${version.note}` : ''}
            </option>
          ))}
        </select>
      </div>
      <Drawings model={model} differing={differing} />
      <dl className="mt-2">
        {model.compartments.map(({ name, spaces, fits, measures }) => (
          <div key={spaces.join()} className="row-line">
            <dt>{name}</dt>
            <dd className="text-soft">
              {measures.frames} frames · slack {fits.map(({ slack_mm }) => slack_mm.toFixed(1)).join(', ')} mm
              · <Said>{measures.litres.toFixed(1)} l</Said>
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-2">
        {checks.length === 0
          ? 'Checking…'
          : `${open.length === 0 ? 'Nothing' : open.length} to look at of ${checks.length} checks.`}
      </p>
      <ul className="text-sm">
        {open.slice(0, 6).map(({ key, sentence }) => (
          <li key={key} className="border-b border-hairline py-0.5">
            {say(sentence)}
          </li>
        ))}
      </ul>
    </section>
  );
}

const SCALE = 0.6;
const PAD = 8;

function Drawings({
  model,
  differing,
}: {
  model: ReturnType<typeof deriveBox>;
  differing: ReadonlySet<string>;
}) {
  const above = useMemo(() => boxFromAbove(model), [model]);
  const section = useMemo(() => boxInSection(model, 'across'), [model]);
  const size = (span: readonly [number, number]) => (span[1] - span[0]) * SCALE;
  const [w, h] = [
    Math.max(size(above.y), size(section.x)) + 2 * PAD,
    size(above.x) + size(section.y) + 3 * PAD,
  ];
  const strokeOf = ({ id, role }: { id: string; role: string }) =>
    role !== 'compartment' && differing.has(id) ? 'var(--yellow)' : undefined;
  return (
    <svg
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label="From above, and cut across the frames; what differs is outlined"
      className="mt-2 max-h-[46vh] w-full"
    >
      <BoxShapes drawing={above} placing={lying(SCALE, PAD, PAD, above)} strokeOf={strokeOf} line={1.2} />
      <BoxShapes
        drawing={section}
        placing={upright(SCALE, PAD, size(above.x) + 2 * PAD, section)}
        strokeOf={strokeOf}
        line={1.2}
      />
    </svg>
  );
}
