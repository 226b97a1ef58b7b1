import type { Entry, NewDesign, NewYard } from '@yellow-cell/contract';

/** An invented breeder's places, boxes and entries, as a user would have sent them. */
export interface Demo {
  yards: NewYard[];
  designs: NewDesign[];
  entries: Entry[];
}
