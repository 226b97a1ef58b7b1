import type { EventKind, LogEvent } from '@yellow-cell/contract';
import { kindVersionOf, subjectFields } from '@yellow-cell/contract/subjects';

type Payload = Readonly<Record<string, unknown>>;

const ROLES_ONCE: Readonly<Record<string, string>> = { holding: 'donor', showing: 'shown' };

/** How the payload of a kind is raised from each version to the next, from the first on. A landed one is never edited. */
export const upcasts: Readonly<Partial<Record<EventKind, readonly ((payload: Payload) => Payload)[]>>> = {
  grafted: [
    // Accepted cells were told with the graft; they are counted a day or two later, by an entry of their own.
    ({ accepted, ...graft }) => ({ ...graft, countedAtOnce: accepted }),
  ],
  roleSet: [
    // Roles were of boxes; two of them had other names.
    ({ role, ...set }) => ({ ...set, role: ROLES_ONCE[role as string] ?? role }),
  ],
  // Seams were always counted; since then frames of brood may be counted alone.
  strengthSeen: [(strength) => strength],
};

/** What any version wrote, whether or not this program knows its kind. */
interface Written {
  kind: string;
  kindVersion: number;
  payload: unknown;
}

/** False for kinds, and versions of them, that only a newer program knows: they are kept, and tell nothing here. */
export const isKnown = ({ kind, kindVersion }: Pick<Written, 'kind' | 'kindVersion'>): boolean =>
  Object.hasOwn(subjectFields, kind) && kindVersion <= kindVersionOf(kind);

/** An entry as today's program writes it. The stored bytes stay as they are. */
export function raised<E extends Written>(entry: E): E {
  if (!isKnown(entry)) return entry;
  const steps = (upcasts[entry.kind as EventKind] ?? []).slice(entry.kindVersion - 1);
  if (steps.length === 0) return entry;
  const payload = steps.reduce((each, raise) => raise(each), entry.payload as Payload);
  return { ...entry, kindVersion: kindVersionOf(entry.kind), payload };
}

/** What is said of an entry that only a newer program can tell. */
export const unknownSentence = ({ kind, kindVersion }: Pick<LogEvent, 'kind' | 'kindVersion'>): string =>
  `This entry (${kind}, version ${kindVersion}) was made by a newer version of the program. It is kept as it is, and told once that version runs here.`;
