import { findPart } from '@yellow-cell/core';
import { BoardFields } from './parts/BoardFields.tsx';
import { EntranceFields, VentFields } from './parts/OpeningFields.tsx';
import type { PartFieldsProps } from './parts/PartFrame.tsx';
import { HoleFields, SheetFields } from './parts/SheetFields.tsx';
import { SlotFields, SpaceFields } from './parts/SpaceFields.tsx';
import { FloorFields, RoofFields } from './StackFields.tsx';

/** The figures of the part that is chosen, to type. */
export function PartFields(props: PartFieldsProps) {
  const { desk, id, model } = props;
  const { content } = desk.draft;
  if (id === 'floor') return <FloorFields desk={desk} />;
  if (id === 'roof') return <RoofFields desk={desk} />;
  const part = findPart(content, id);
  if (part && 'groove' in part) return <BoardFields {...props} board={part} />;
  if (part && 'state' in part) return <EntranceFields {...props} entrance={part} />;
  if (part && 'mesh' in part && 'side' in part) return <VentFields {...props} vent={part} />;
  if (part && 'closedBy' in part) return <HoleFields {...props} hole={part} />;
  if (part && 'holds' in part) return <SlotFields {...props} slot={part} />;
  if (part && 'kind' in part && part.kind === 'sheet') return <SheetFields {...props} sheet={part} />;
  const space = model.spaces.find((each) => each.id === id || each.bays.some((bay) => bay.id === id));
  if (space?.bays.length) return <SpaceFields {...props} space={space} />;
  return null;
}
