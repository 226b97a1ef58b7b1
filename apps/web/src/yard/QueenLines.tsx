import { countOf, daysBetween, showDay } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { QueenMark } from './QueenMark.tsx';
import { queenName } from './queenName.ts';
import type { CompartmentView } from './useYard.ts';

/** The queens that are known to be here, or put aside from here; with none, that she is not known. */
export function QueenLines({ compartment, on }: { compartment: CompartmentView; on: string }) {
  const say = useSay();
  const { queens, away, colony, status, shares } = compartment;
  if (!colony) return null;
  if (shares !== undefined)
    return (
      <>
        <h3 className="eyebrow">Queen</h3>
        <p className="text-soft">
          In {shares}. Only what parts the rooms keeps her there: if she is seen here, enter it here.
        </p>
      </>
    );
  return (
    <>
      <h3 className="eyebrow">
        {queens.length > 1
          ? `Queens: ${queens.length}${compartment.role === 'bank' ? '' : ' at once'}`
          : 'Queen'}
      </h3>
      <ul>
        {queens.map((queen) => {
          const seen = queen.sightings.at(-1);
          return (
            <li key={queen.id} className="row-line items-center">
              <Link
                className="flex min-h-11 items-center gap-2 font-semibold underline"
                to={`/queen/${queen.id}`}
              >
                <QueenMark queen={queen} /> {queenName(queen)}
              </Link>
              <span className="text-sm text-soft">
                {queen.caged
                  ? `${queen.cage ? `cage ${queen.cage}, ` : ''}in since ${say(showDay(queen.since, on))}`
                  : seen
                    ? `seen ${say(showDay(seen.on, on))}`
                    : 'not seen herself'}
              </span>
            </li>
          );
        })}
        {away.map((queen) => (
          <li key={queen.id} className="row-line items-center">
            <Link className="flex min-h-11 items-center gap-2 underline" to={`/queen/${queen.id}`}>
              <QueenMark queen={queen} /> {queenName(queen)}
            </Link>
            <span className="text-sm">
              put aside, back by {queen.gone?.backBy && say(showDay(queen.gone.backBy, on))}
            </span>
          </li>
        ))}
      </ul>
      {queens.length === 0 && away.length === 0 && (
        <p className="text-soft">
          {status === 'stocked' || status === 'failed' ? 'None.' : 'Not known as a person yet.'}
        </p>
      )}
      {colony.notSeenOn && (
        <p className="text-soft">
          Looked for and not seen {countOf(daysBetween(colony.notSeenOn, on), 'day')} ago; not seen is not
          absent.
        </p>
      )}
    </>
  );
}
