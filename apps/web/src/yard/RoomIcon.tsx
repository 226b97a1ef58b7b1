import { SharedSign, SignIcon, StatusIcon } from '../drawing/StatusSign.tsx';
import type { CompartmentView } from './useYard.ts';

/** The sign of a room beside text: its status, or that its bees have their queen in another room. */
export const RoomIcon = ({
  room: { status, shares },
  size = 18,
}: {
  room: Pick<CompartmentView, 'status' | 'shares'>;
  size?: number;
}) =>
  shares === undefined ? (
    <StatusIcon status={status} size={size} />
  ) : (
    <SignIcon size={size}>
      <SharedSign />
    </SignIcon>
  );
