/** A write that was based on what is no longer so: says what changed since, and what holds now. */
export class Conflict extends Error {
  readonly changed: readonly string[];
  readonly current: unknown;

  constructor(message: string, changed: readonly string[], current: unknown) {
    super(message);
    this.name = 'Conflict';
    this.changed = changed;
    this.current = current;
  }
}

export class NotFound extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'NotFound';
  }
}

/** Fields that differ, one sentence each, for a 409. */
export function fieldChanges<T extends object>(
  before: T,
  after: T,
  names: Partial<Record<keyof T, string>>,
): string[] {
  return (Object.entries(names) as [keyof T, string][]).flatMap(([field, name]) =>
    JSON.stringify(before[field]) === JSON.stringify(after[field])
      ? []
      : [wordsOf(name, before[field], after[field])],
  );
}

/** What is no single word or figure is named alone: nobody reads a list of sheets in a sentence. */
const wordsOf = (name: string, before: unknown, after: unknown): string =>
  [before, after].some((value) => typeof value === 'object' && value !== null)
    ? `${name} changed.`
    : `${name}: ${before} became ${after}.`;
