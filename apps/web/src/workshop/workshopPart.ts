import type { Workshop } from '@yellow-cell/contract';

/** What each part of the workshop is given. */
export interface WorkshopPartProps {
  workshop: Workshop;
  /** Tells whether it was kept. */
  onSave: (change: Partial<Workshop>, words: string) => Promise<boolean>;
}
