import { useSuspenseQuery } from '@tanstack/react-query';
import type { Round, Yard } from '@yellow-cell/contract';
import { playbooks, roomName } from '@yellow-cell/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { yardsQuery } from '../app/queries.ts';
import { SelectField } from '../parts/Field.tsx';
import { BEGIN, isLikely, OF_CELLS } from '../playbooks/likely.ts';
import { useYard } from '../yard/useYard.ts';

/** The rooms in which cells of a round can be started or finished, each leading to its steps. */
export function StartIn({ round }: { round: Round }) {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [chosen, setChosen] = useState(yards[0]?.id ?? '');
  const yard = yards.find(({ id }) => id === chosen);
  if (!yard) return <p className="text-soft">There is no yard yet.</p>;
  return (
    <div className="rounded-lg border border-hairline p-3">
      {yards.length > 1 && (
        <SelectField label="Yard" value={chosen} onChange={({ target }) => setChosen(target.value)}>
          {yards.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      )}
      <Places key={yard.id} yard={yard} round={round} />
    </div>
  );
}

function Places({ yard, round }: { yard: Yard; round: Round }) {
  const { boxes } = useYard(yard);
  const places = boxes.flatMap((box) =>
    box.compartments
      .filter(({ shares }) => shares === undefined)
      .flatMap((room) =>
        OF_CELLS.filter((name) => isLikely(name, box, room)).map((name) => ({ box, room, name })),
      ),
  );
  if (places.length === 0)
    return (
      <p className="text-soft">
        No room here serves as a starter or finisher. Open a box, say what it serves as, and begin there.
      </p>
    );
  return (
    <ul>
      {places.map(({ box, room, name }) => {
        const search = new URLSearchParams({
          box: box.box.id,
          bay: room.bays[0] ?? '',
          [BEGIN.playbook]: name,
          [BEGIN.round]: round.id,
        });
        return (
          <li key={`${box.box.id} ${room.position} ${name}`} className="border-b border-hairline">
            <Link
              className="flex min-h-12 items-center gap-2 hover:bg-glow"
              to={`/yard/${yard.id}?${search}`}
            >
              <strong className="underline">{roomName({ box, room })}</strong> {playbooks[name].title}
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
