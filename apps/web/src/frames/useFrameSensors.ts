import { KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { slotSteps } from './slotSteps.ts';

/** A frame is carried once the pointer has moved a little, so that a tap stays a tap; by keys from place to place. */
export const useFrameSensors = () =>
  useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: slotSteps }),
  );
