import { z } from 'zod';

/** How a breeder reads and types measures. Inside the program everything is metric, and a day is a calendar date. */
export const Measures = z.strictObject({
  length: z.enum(['mm', 'inch']),
  weight: z.enum(['kg', 'lb']),
  /** Pints and quarts are asked about where litres are wanted. */
  volume: z.enum(['l', 'usQuart', 'imperialQuart']),
  temperature: z.enum(['C', 'F']),
  weekStart: z.enum(['monday', 'sunday']),
  /** 28 May, May 28 or 05-28; until it is said, 28 May is shown and 5/6 is asked about. */
  dates: z.enum(['unsaid', 'dayMonth', 'monthDay', 'iso']),
});
export type Measures = z.infer<typeof Measures>;
export type Units = Measures['length'];
