import { z } from 'zod';

/** The last file of an archive: what is in it, and by what one knows that nothing of it is damaged (docs/formats.md). */
export const Manifest = z.strictObject({
  yellowCell: z.literal('backup'),
  /** Of 1, the workshop stands in the breeder's settings. */
  formatVersion: z.literal([1, 2]),
  madeAt: z.string(),
  breeder: z.uuid(),
  counts: z.record(z.string(), z.number().int().min(0)),
  files: z.array(
    z.strictObject({
      name: z.string().regex(/^[a-z]+(-\d{6})?\.(ndjson|json)$/),
      lines: z.number().int().min(0),
      bytes: z.number().int().min(0),
      sha256: z.string().regex(/^[0-9a-f]{64}$/),
    }),
  ),
});
export type Manifest = z.infer<typeof Manifest>;
export const MANIFEST = 'manifest.json';
export const FORMAT_VERSION = 2;

/** What is kept of a breeder, in the order in which it is written back. */
export const KINDS = [
  'breeder',
  'workshop',
  'stock',
  'register',
  'designs',
  'versions',
  'yards',
  'events',
  'readings',
] as const;
export type ArchiveKind = (typeof KINDS)[number];
export const kindOf = (name: string): ArchiveKind | undefined =>
  KINDS.find((kind) => name === `${kind}.json` || name.startsWith(`${kind}-`));

/** How far the work is. */
export interface Progress {
  done: number;
  of: number;
}
export type Tell = (progress: Progress) => void;
