import { type InBox, roomName } from '@yellow-cell/core';
import { Link } from 'react-router';
import { RoomIcon } from '../yard/RoomIcon.tsx';
import { useWinterAddress } from './useWinterAddress.ts';

/** The head of a colony's row in a list of winter: the whole row opens it. */
export function RoomHead({ yard, line, chosen }: { yard: string; line: InBox; chosen: boolean }) {
  const address = useWinterAddress();
  return (
    <th scope="row" className="py-0.5 text-left">
      <Link
        className="inline-flex min-h-12 items-center gap-1.5 pl-2 font-semibold underline after:absolute after:inset-0 lg:min-h-8"
        aria-current={chosen ? 'true' : undefined}
        to={address.winter(yard, line)}
      >
        <RoomIcon room={line.room} size={15} /> {roomName(line)}
      </Link>
    </th>
  );
}

/** A row of such a list; the chosen one is marked. */
export const rowStyle = (chosen: boolean): string =>
  `relative border-b border-hairline ${chosen ? 'bg-glow shadow-[inset_4px_0_0_var(--yellow)]' : ''}`;
