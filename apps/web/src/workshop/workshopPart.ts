import type { Workshop } from '@yellow-cell/contract';
import type { WorkshopChange } from './saveWorkshop.ts';

/** What each part of the workshop is given. */
export interface WorkshopPartProps {
  workshop: Workshop;
  /** Tells whether it was kept. */
  onSave: (change: WorkshopChange, words: string) => Promise<boolean>;
}
