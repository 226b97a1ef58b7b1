import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { pipeline } from 'node:stream';
import { createGunzip } from 'node:zlib';
import { ProblemsError } from '@yellow-cell/core';
import { extract } from 'tar-stream';
import { countLines, writeLines } from '../../store/archive.ts';
import { asBreeder, type Database, type Store } from '../../store/database.ts';
import { workshopOutOfSettings } from '../../store/workshop.ts';
import { rebuild } from '../rebuild.ts';
import { type ArchiveKind, KINDS, kindOf, MANIFEST, Manifest, type Tell } from './manifest.ts';

/** Larger files are in no archive of ours; what unpacks to more would only fill memory. */
const MOST_FILE_BYTES = 256e6;

/** Something stands already where an archive would be written. */
export class NotEmpty extends Error {
  override readonly name = 'NotEmpty';
}

/**
 * Writes an archive back into an empty place: checked whole before anything is written, and written whole or not at
 * all. Read rows are made from the log.
 */
export async function restore(
  database: Database,
  file: string,
  breeders: readonly string[],
  tell: Tell = () => undefined,
): Promise<void> {
  const { breeder, counts } = await checkArchive(file);
  if (!breeders.includes(breeder)) throw damaged('It is of a breeder whom this program does not know.');
  await refuseWhereSomethingIs(database, breeders);
  const of = Object.values(counts).reduce((sum, count) => sum + count, 0);
  let done = 0;
  await asBreeder(database, breeder, async (store) => {
    for await (const { name, text } of filesIn(file)) {
      const kind = kindOf(name);
      if (!kind) continue;
      const lines = linesIn(text);
      await writeLines(store, kind, lines);
      done += lines.length;
      tell({ done, of });
    }
    await workshopOutOfSettings(store);
    await rebuild(store, breeder);
  });
}

/** Reads the whole archive and holds it to its own manifest. */
export async function checkArchive(file: string): Promise<Manifest> {
  const seen: Manifest['files'] = [];
  const counts: Record<string, number> = Object.fromEntries(KINDS.map((kind) => [kind, 0]));
  let manifest: Manifest | undefined;
  for await (const { name, text } of filesIn(file)) {
    if (manifest) throw damaged('Something follows its end.');
    if (name === MANIFEST) {
      manifest = manifestIn(text);
      continue;
    }
    const kind = kindOf(name);
    if (!kind) throw damaged(`“${name.slice(0, 60)}” does not belong in it.`);
    const lines = linesIn(text);
    for (const line of lines) refuseNoLine(name, kind, line);
    counts[kind] = (counts[kind] ?? 0) + lines.length;
    const sha256 = createHash('sha256').update(text).digest('hex');
    seen.push({ name, lines: lines.length, bytes: Buffer.byteLength(text), sha256 });
  }
  if (!manifest)
    throw damaged('Its end is missing: it was not written to the end, or it is no backup of Yellow Cell.');
  const wrong = manifest.files.find((each, index) => JSON.stringify(each) !== JSON.stringify(seen[index]));
  if (wrong) throw damaged(`“${wrong.name}” is not as it was written.`);
  if (seen.length !== manifest.files.length) throw damaged('It holds more than it says.');
  if (KINDS.some((kind) => counts[kind] !== (manifest?.counts[kind] ?? 0)))
    throw damaged('Its counts do not agree.');
  return manifest;
}

async function* filesIn(file: string): AsyncGenerator<{ name: string; text: string }> {
  const unpacked = extract();
  let broken: Error | undefined;
  pipeline(createReadStream(file), createGunzip(), unpacked as never, (error) => {
    broken = error ?? undefined;
  });
  try {
    for await (const entry of unpacked) {
      const { name, size = 0, type } = entry.header;
      if (type !== 'file' || size > MOST_FILE_BYTES)
        throw damaged(`“${name.slice(0, 60)}” does not belong in it.`);
      const parts: Buffer[] = [];
      for await (const part of entry) parts.push(part as Buffer);
      yield { name, text: Buffer.concat(parts).toString('utf8') };
    }
  } catch (error) {
    if (error instanceof ProblemsError) throw error;
    throw damaged('It cannot be unpacked.');
  }
  if (broken) throw damaged('It cannot be unpacked to its end.');
}

const linesIn = (text: string): string[] => text.split('\n').filter((line) => line !== '');

function manifestIn(text: string): Manifest {
  const parsed = Manifest.safeParse(json(text));
  if (!parsed.success)
    throw damaged(
      'Its manifest is not one that this program can read: it is foreign, or of a newer program.',
    );
  return parsed.data;
}

/** What a line must at least be; what an event says is judged by the fold, as it always is. */
function refuseNoLine(name: string, kind: ArchiveKind, line: string): void {
  const row = json(line) as Record<string, unknown> | undefined;
  const isRow = typeof row === 'object' && row !== null && !Array.isArray(row);
  if (!isRow || 'breeder_id' in row || (kind === 'events' && typeof row.payload !== 'object'))
    throw damaged(`“${name}” holds a line that is none of ours.`);
}

function json(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const damaged = (why: string): ProblemsError =>
  new ProblemsError([
    { path: '', sentence: `This file is damaged, or no backup of Yellow Cell. ${why} Nothing was written.` },
  ]);

async function refuseWhereSomethingIs(database: Database, breeders: readonly string[]): Promise<void> {
  for (const breeder of breeders)
    if (await asBreeder(database, breeder, hasContent))
      throw new NotEmpty(
        'A backup is restored into an empty place, and here is something already. Start the program anew with --empty and another --data, and restore it there.',
      );
}

async function hasContent(store: Store): Promise<boolean> {
  for (const kind of ['designs', 'yards', 'events'] as const)
    if ((await countLines(store, kind)) > 0) return true;
  return false;
}
