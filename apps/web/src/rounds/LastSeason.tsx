import { useQuery } from '@tanstack/react-query';
import type { PastSeason, SeasonAnswer } from '@yellow-cell/contract';
import { countOf, type SeasonHabits, seasonReplayed, seasonYear, seasonYearOf } from '@yellow-cell/core';
import { useState } from 'react';
import { pastSeasonQuery, yardsQuery } from '../app/queries.ts';
import { queensOf, solveSeason, whyUnsolved } from './seasonSolve.ts';
import type { Rearing } from './useRearing.ts';

interface LastSeasonProps {
  rearing: Rearing;
  habits: SeasonHabits;
}

/** The season before this one as it was, and under the habits that are set: with its own lots, rooms, weather and record. */
export function LastSeason({ rearing, habits }: LastSeasonProps) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-3" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-sm underline max-sm:min-h-12">
        Last season, worked so
      </summary>
      {open && <Replay rearing={rearing} habits={habits} />}
    </details>
  );
}

function Replay({ rearing: { today, constants, flying }, habits }: LastSeasonProps) {
  const { data: yards } = useQuery(yardsQuery);
  const latitude_deg = yards?.[0]?.latitude_deg ?? 0;
  const { from, to } = seasonYear(seasonYearOf(today, latitude_deg).year - 1, latitude_deg);
  const { data: past, error } = useQuery(pastSeasonQuery(from, to));
  if (error) return <p className="text-sm text-soft">It cannot be read: the server does not answer.</p>;
  if (!past) return <p className="text-sm text-soft">Reading it…</p>;
  return <Played past={past} asked={seasonReplayed(past, { constants, flying, habits })} />;
}

function Played({
  past,
  asked: { was, question },
}: {
  past: PastSeason;
  asked: ReturnType<typeof seasonReplayed>;
}) {
  const [found, setFound] = useState<{ of: string; answer: SeasonAnswer }>();
  const [failed, setFailed] = useState<string>();
  const [asking, setAsking] = useState(false);
  const key = JSON.stringify(question);
  const answer = found && found.of === key ? found.answer : undefined;
  if (past.rounds.length === 0)
    return <p className="text-sm text-soft">No round of last season is in the record.</p>;
  if (past.lots.length === 0)
    return (
      <p className="text-sm text-soft">
        {countOf(was.rounds, 'round')} made {countOf(was.queens, 'queen')} last season. Nobody said then what
        was wanted by when, so there is nothing to hold another plan against.
      </p>
    );
  const work = async () => {
    if (!question) return;
    setAsking(true);
    setFailed(undefined);
    try {
      setFound({ of: key, answer: await solveSeason(question) });
    } catch (error) {
      setFailed(whyUnsolved(error));
    } finally {
      setAsking(false);
    }
  };
  const rows: readonly (readonly [string, number, number | undefined])[] = [
    ['Rounds', was.rounds, answer?.rounds.length],
    ['Cells given', was.cells, answer?.rounds.reduce((sum, { cells }) => sum + cells, 0)],
    ['Queens in time', was.inTime, answer && Math.round(queensOf(answer))],
    ...was.lots.map(
      ({ id, name, queens, had }) =>
        [
          `… of ${queens} for ${name}`,
          had,
          answer && Math.round(answer.lots.find((lot) => lot.name === id)?.queens ?? 0),
        ] as const,
    ),
  ];
  return (
    <>
      <p className="text-sm text-soft">
        With what it had: {countOf(past.rooms, 'room')}, its own rate of takes, and the days that flew.
      </p>
      <table className="mt-1 w-full text-sm">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal">Last season</th>
            <th className="text-right font-normal">as it was</th>
            <th className="pl-2 text-right font-normal">worked so</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, before, now]) => (
            <tr key={name} className="border-t border-hairline">
              <th className="text-left font-normal">{name}</th>
              <td className="text-right">{before}</td>
              <td className="pl-2 text-right font-semibold">{now ?? '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {failed && (
        <p role="alert" className="mt-1 text-danger">
          {failed}
        </p>
      )}
      {!question && (
        <p className="mt-1 text-sm text-soft">
          Worked so, nothing could have been ready by then: its first graft was too late for its last lot.
        </p>
      )}
      <button
        type="button"
        className="button mt-2 min-h-11 w-full max-sm:min-h-12"
        disabled={asking || !question || answer !== undefined}
        onClick={() => void work()}
      >
        {asking ? 'Playing it…' : answer ? 'Played' : 'Play it with these habits'}
      </button>
      <p className="mt-1 text-sm text-soft">
        What was is counted; what would have been is expected in the mean, by a plan that knew the weather.
      </p>
    </>
  );
}
