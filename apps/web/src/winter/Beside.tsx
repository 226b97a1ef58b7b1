import { useQuery } from '@tanstack/react-query';
import {
  type AutumnLine,
  countOf,
  type InBox,
  KG_PER,
  pushedRow,
  type SideBySide,
  type WayBeside,
} from '@yellow-cell/core';
import { useState } from 'react';
import { useMeasures, useSay } from '../app/units.ts';
import { benchWorker } from '../bench/benchWorker.ts';
import { odds } from './odds.ts';
import type { Preparing } from './usePreparation.ts';
import type { WinterView } from './useWinter.ts';

interface BesideProps {
  winter: WinterView;
  line: AutumnLine;
  preparing: Preparing;
}

/** The colony in every way in which it could be wintered, held against one another; worked out once it is opened. */
export function Beside({ winter, line, preparing }: BesideProps) {
  const [open, setOpen] = useState(false);
  if (!line.seams) return null;
  return (
    <details
      className="mt-3 border-t border-hairline pt-2"
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="inline-flex min-h-8 cursor-pointer items-center font-semibold underline max-lg:min-h-12">
        Side by side: boxes, vents, wraps, company
      </summary>
      {open && <Ways asked={askedOf(winter, line, preparing)} />}
    </details>
  );
}

function Ways({ asked }: { asked: SideBySide }) {
  const say = useSay();
  const { weight } = useMeasures();
  const per = KG_PER[weight] ?? 1;
  const { data: ways, isError } = useQuery({
    queryKey: ['side by side', asked],
    queryFn: () => benchWorker().sideBySide(asked),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
  });
  if (isError) return <p>It could not be worked out; open it again.</p>;
  if (!ways) return <p className="text-soft">Working it out…</p>;
  const least = Math.min(...ways.map(({ need_kg }) => need_kg));
  return (
    <>
      <p className="text-sm text-soft">
        Each fed to what it takes there and a third more. By months what is used, in {weight}, and its water
        under a clear night sky: <Drop water="dry" /> dry, <Drop water="runsDown" /> runs down,{' '}
        <Drop water="drips" /> drips on the bees.
      </p>
      <table className="mt-1 w-full border-collapse text-[0.9rem] leading-tight">
        <thead>
          <tr className="text-right text-sm text-soft">
            <th className="font-normal">takes</th>
            <th className="font-normal">comes through</th>
            <th className="font-normal">seams in spring</th>
            {ways[0]?.months.map(({ name }) => (
              <th key={name} className="px-1 text-center font-normal">
                {name.slice(0, 3)}
              </th>
            ))}
          </tr>
        </thead>
        {ways.map((way) => (
          <tbody key={way.name} className="border-b border-hairline">
            <tr>
              <th scope="rowgroup" colSpan={3 + way.months.length} className="pt-1.5 text-left font-normal">
                <strong>{say(way.name)}</strong>{' '}
                <span className="text-sm text-soft">
                  {say(`${countOf(way.frames, 'frame')}, ${way.litres.toFixed(0)} l. ${way.why}`)}
                </span>
              </th>
            </tr>
            <tr className="text-right">
              <td className={`whitespace-nowrap py-1 ${way.need_kg === least ? 'font-bold' : ''}`}>
                {say(`${way.need_kg.toFixed(1)} kg`)}
              </td>
              <td className="whitespace-nowrap py-1">{odds(1 - way.dwindled)}</td>
              <td className="whitespace-nowrap py-1">{springWords(way)}</td>
              {way.months.map(({ name, used_kg, water }) => (
                <td key={name} className="whitespace-nowrap px-1 py-1 text-center text-sm">
                  <Drop water={water} />
                  <span className="block text-soft">{(used_kg / per).toFixed(1)}</span>
                </td>
              ))}
            </tr>
          </tbody>
        ))}
      </table>
    </>
  );
}

/** Seams in the middle of those winters; where that one dwindles, in the better ones. */
const springWords = ({ spring_seams: { middle, high } }: WayBeside): string =>
  middle > 0 ? middle.toFixed(1) : high > 0 ? `none to ${high.toFixed(1)}` : 'none';

const WATER = { dry: 'dry', runsDown: 'runs down', drips: 'drips' } as const;
/** A ring, half full where water runs down a wall, full where it drips. */
function Drop({ water }: { water: WayBeside['months'][number]['water'] }) {
  return (
    <svg viewBox="0 0 12 12" className="inline-block size-3" role="img" aria-label={WATER[water]}>
      <circle cx={6} cy={6} r={5} fill={water === 'drips' ? 'var(--ink)' : 'none'} stroke="var(--ink)" />
      {water === 'runsDown' && <path d="M6 1a5 5 0 0 0 0 10z" fill="var(--ink)" />}
    </svg>
  );
}

/** As the room is drawn now: what is kept, the end, and who lives in its box. */
function askedOf(
  { view, season }: WinterView,
  { box, room, seams = 0, stores_kg }: AutumnLine,
  { arrangement, preparation }: Preparing,
): SideBySide {
  const own = box.model.compartments[room.position]?.frames[0]?.format.id;
  const row = room.colony && pushedRow(room.colony);
  const rooms = new Map(
    view.boxes.flatMap((each) =>
      each.compartments.flatMap((free) => {
        const format = each.model.compartments[free.position]?.frames[0]?.format.id;
        return free.colony || format !== own || free.frames < seams || each.design === box.design
          ? []
          : [
              [
                `a “${each.designName}”`,
                { design: each.design, bays: free.bays, neighbours: livingBeside(each, undefined) },
              ] as const,
            ];
      }),
    ),
  );
  return {
    design: box.design,
    bays: room.bays,
    seams,
    stores_kg,
    neighbours: livingBeside(box, room.colony?.id),
    ...(row ? { row } : {}),
    keeps: preparation?.frames.filter(({ to }) => to !== null).length ?? room.frames,
    end: arrangement.end,
    rooms: [...rooms].map(([name, free]) => ({ name, ...free })),
    months: season.months,
    since_d: season.since_d,
    constants: season.constants,
  };
}

/** Who lives in a box, but for one colony. */
const livingBeside = ({ compartments }: InBox['box'], colony: string | undefined): SideBySide['neighbours'] =>
  compartments.flatMap(({ colony: there, bays, shares }) =>
    there && there.id !== colony && shares === undefined ? [{ bays, seams: there.strength?.seams ?? 0 }] : [],
  );
