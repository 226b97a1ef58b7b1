import { type InBox, roomName } from '@yellow-cell/core';
import { Link } from 'react-router';
import { useSay } from '../app/units.ts';
import { RoomIcon } from '../yard/RoomIcon.tsx';
import { useWinterAddress } from './useWinterAddress.ts';

/** What a colony of winter is called, leading to its room in the yard, and what it is in a few words. */
export function ColonyHead({ yard, line, words }: { yard: string; line: InBox; words: readonly string[] }) {
  const say = useSay();
  const address = useWinterAddress();
  return (
    <h2 className="mt-1 flex flex-wrap items-baseline gap-x-3 text-lg">
      <Link
        className="inline-flex items-center gap-2 underline max-lg:min-h-12"
        to={address.room(yard, line)}
      >
        <RoomIcon room={line.room} size={16} /> {roomName(line)}
      </Link>
      <span className="text-base font-normal text-soft">{say(words.filter(Boolean).join(' · '))}</span>
    </h2>
  );
}
