import { type Day, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import { type BoxSaid, type Clause, NOWHERE } from './clauses.ts';
import { type DayNamed, dayAhead, dayPast, isDay, monthName } from './days.ts';
import type { Fact } from './fact.ts';
import { isWord } from './grammar.ts';
import type { LineContext } from './lineContext.ts';
import type { OutBy } from './phrases/care.ts';
import type { PlaceKnown } from './placeNames.ts';
import { type PlaceMeant, roomsCalled } from './places.ts';
import type { Choice, LineEntry } from './reading.ts';
import { inPlace, oneSpaced, type Span } from './rewrite.ts';
import type { Piece } from './tile.ts';
import type { Token } from './tokens.ts';

interface Spoken extends LineContext {
  line: string;
  note: string | undefined;
  span: (piece: Piece) => Span;
  /** The first thing that the line says. */
  leads: Piece | undefined;
}
const typedOf = (piece: Piece, { line, span }: Spoken): string => {
  const { start, end } = span(piece);
  return line.slice(start, end);
};
interface Asked {
  question: string;
  choices: Choice[];
}
const asked = (question: string, choices: Choice[] = []): Asked => ({ question, choices });
const isAsked = (found: object): found is Asked => 'question' in found;
/** Facts with the note that goes with them. */
interface Told {
  fact: Fact;
  note?: string | undefined;
}

/** The entries that clauses make, or what must be asked before any of them is kept. */
export function entriesOf(clauses: readonly Clause[], spoken: Spoken): LineEntry[] | Asked {
  const leading = clauses[0]?.days.find(({ piece }) => piece === spoken.leads);
  const undated = clauses.filter(({ days }) => days.length === 0);
  if (!leading && undated.length > 0 && undated.length < clauses.length) return askDayForAll(clauses, spoken);
  const entries: LineEntry[] = [];
  for (const [index, clause] of clauses.entries()) {
    const note = index === clauses.length - 1 ? spoken.note : undefined;
    const on = dayOfClause(clause, leading?.named, spoken);
    if (typeof on !== 'string') return on;
    const made = clauseEntries(clause, on, note, spoken);
    if (isAsked(made)) return made;
    entries.push(...made);
  }
  return contradiction(entries) ?? entries;
}

/** “b7 w eggs, m failed yesterday”: the day may be of the last alone. */
function askDayForAll(clauses: readonly Clause[], spoken: Spoken): Asked {
  const day = clauses.flatMap(({ days }) => days)[0];
  if (!day) return asked('On which day?');
  const typed = typedOf(day.piece, spoken);
  const { start, end } = spoken.span(day.piece);
  const without = `${spoken.line.slice(0, start)}${spoken.line.slice(end)}`;
  return asked(`Is “${typed}” the day of all that the line says? Where not, give each room its own day.`, [
    { says: `${typed} for all`, line: oneSpaced(`${typed} ${without}`) },
  ]);
}

function dayOfClause({ days }: Clause, leading: DayNamed | undefined, spoken: Spoken): Day | Asked {
  const [first, second] = days;
  if (first && second && JSON.stringify(first.named) !== JSON.stringify(second.named))
    return asked(
      'Which of the two days was it?',
      [first, second].map(({ piece }) => withoutPiece(piece, spoken)),
    );
  const named = first?.named ?? leading;
  if (!named) return spoken.on;
  if (named.is === 'either') return askWhichDay(named, first?.piece, spoken);
  const day = dayPast(named, spoken.on);
  if (typeof day !== 'string') return asked(day.question);
  if (day > spoken.on) return asked(`${showDay(day)} is still to come: on which day was it?`);
  return isDay(day) ? day : asked(`${day} is no day.`);
}
function withoutPiece(other: Piece, spoken: Spoken): Choice {
  const { line, span } = spoken;
  return { says: `not ${typedOf(other, spoken)}`, line: inPlace(line, span(other), '') };
}
function askWhichDay(
  { days, by }: Extract<DayNamed, { is: 'either' }>,
  piece: Piece | undefined,
  { line, span }: Spoken,
): Asked {
  const says = days.map(({ month, date }) => `${date} ${monthName(month)}`);
  return asked(
    `Is that ${says.join(' or ')}?${by === 'order' ? ' Settings can say once for all how it is meant.' : ''}`,
    piece ? says.map((each) => ({ says: each, line: inPlace(line, span(piece), each) })) : [],
  );
}

function clauseEntries(
  clause: Clause,
  on: Day,
  note: string | undefined,
  spoken: Spoken,
): LineEntry[] | Asked {
  const told = clause.facts.map(
    ({ fact, piece }): Told => ({ fact, note: fact.asTyped ? typedOf(piece, spoken) : undefined }),
  );
  const merged = mergedStrength(told);
  if (isAsked(merged)) return merged;
  const boxes = clause.boxes.length > 0 ? clause.boxes : hereOf(spoken);
  if (boxes.length === 0) return asked('Which box?');
  if (boxes.some(({ box }) => box === NOWHERE)) return asked('Which box?');
  if (merged.length === 0 && note === undefined) return asked('What happened there?');
  const facts = merged.length === 0 ? [{ fact: NOTED }] : merged;
  const entries: LineEntry[] = [];
  for (const said of boxes) {
    const made = boxEntries(said, facts, on, spoken);
    if (isAsked(made)) return made;
    entries.push(...made);
  }
  const [first, ...others] = entries;
  if (!first || note === undefined) return entries;
  return [{ ...first, note: first.note ? `${first.note} ${note}` : note }, ...others];
}
const NOTED: Fact = { kind: 'noted', words: 'note', fields: {}, ofBox: true };

function hereOf({ here, places }: Spoken): BoxSaid[] {
  const box = places.find(({ label }) => label === here?.box);
  return box ? [{ box, rooms: [], all: false, piece: undefined }] : [];
}

/** Seams and frames of brood are one look at how strong they are. */
function mergedStrength(told: readonly Told[]): readonly Told[] | Asked {
  const strengths = told.filter(({ fact }) => fact.kind === 'strengthSeen');
  const [first, second] = strengths;
  if (!first || !second) return told;
  const fields = Object.keys(first.fact.fields);
  if (strengths.length > 2 || Object.keys(second.fact.fields).some((field) => fields.includes(field)))
    return asked(`“${strengths.map(({ fact }) => fact.words).join('” and “')}”: which of them?`);
  const one: Told = {
    fact: {
      ...first.fact,
      words: `${first.fact.words}, ${second.fact.words}`,
      fields: { ...first.fact.fields, ...second.fact.fields },
    },
  };
  return told.flatMap((each) => (each === first ? [one] : each === second ? [] : [each]));
}

function boxEntries(said: BoxSaid, facts: readonly Told[], on: Day, spoken: Spoken): LineEntry[] | Asked {
  const { box } = said;
  const ofRoom = facts.filter(({ fact }) => !fact.ofBox);
  const rooms = roomsOf(said, spoken);
  if (isAsked(rooms)) return rooms;
  if (rooms.length === 0 && ofRoom.length > 0) {
    const at = said.piece ? spoken.span(said.piece).end : 0;
    return asked(
      `Which compartment of ${box.label}?`,
      box.compartments.map((name) => ({
        says: name,
        line: oneSpaced(`${spoken.line.slice(0, at)} ${name} ${spoken.line.slice(at)}`),
      })),
    );
  }
  const entries: LineEntry[] = [];
  for (const { fact, note } of facts) {
    if (fact.ofBox && (said.rooms.length > 0 || said.all) && ofRoom.length === 0 && fact !== NOTED)
      return asked(`That is said of ${box.label} as a whole: leave out the compartment.`);
    const where = fact.ofBox && !(fact === NOTED && said.rooms.length > 0) ? [undefined] : rooms;
    for (const compartment of where) {
      const fields = fieldsOf(fact, box, compartment, on, spoken);
      if (isAsked(fields)) return fields;
      const { note: saidNote, ...rest } = fields.fields as { note?: string };
      const kept = note ?? saidNote;
      entries.push({
        box: box.label,
        ...(compartment === undefined ? {} : { compartment }),
        on,
        kind: fact.kind,
        fields: rest,
        words: fields.words,
        ...(kept === undefined ? {} : { note: kept }),
      });
    }
  }
  return entries;
}

function roomsOf(said: BoxSaid, spoken: Spoken): readonly string[] | Asked {
  const { box, rooms, all } = said;
  if (all && rooms.length > 0)
    return asked(`All of ${box.label}, or ${rooms.map(({ typed }) => typed).join(', ')} alone?`);
  if (all) return box.living ?? box.compartments;
  if (rooms.length === 0) {
    const { here } = spoken;
    if (said.piece === undefined && here?.compartment !== undefined) return [here.compartment];
    return box.compartments.length === 1 ? box.compartments : [];
  }
  const found: string[] = [];
  for (const { typed, piece } of rooms) {
    const called = roomsCalled(typed, box.compartments, isWord);
    const [only] = called;
    if (!only || called.length > 1)
      return asked(
        only ? `Which one of ${box.label}: ${called.join(' or ')}?` : `${box.label} has no “${typed}”.`,
        (only ? called : box.compartments).map((says) => ({
          says,
          line: inPlace(spoken.line, spoken.span(piece), says),
        })),
      );
    if (found.includes(only)) return asked(`${only} of ${box.label} is named twice.`);
    found.push(only);
  }
  return found;
}

/** What depends on the box or the day: another room, a divider by its number, the day by which strips come out. */
function fieldsOf(
  { kind, fields, words }: Fact,
  box: PlaceKnown,
  room: string | undefined,
  on: Day,
  spoken: Spoken,
): { fields: Readonly<Record<string, unknown>>; words: string } | Asked {
  if (kind === 'combined') return combinedInto(fields.into as PlaceMeant, box, room);
  if (kind === 'dividerSet') {
    const wanted = fields.divider ?? (box.dividers === 1 ? 1 : undefined);
    if (box.dividers === 0) return asked(`${box.label} has no divider.`);
    if (wanted === undefined || Number(wanted) < 1 || Number(wanted) > box.dividers)
      return asked(`Which divider of ${box.label}, counted from the left?`);
    return {
      fields: { ...fields, divider: wanted },
      words: `divider ${wanted} ${fields.stands ? 'set' : 'pulled'}`,
    };
  }
  if (kind !== 'stripsPut') return { fields, words };
  const { name, outBy } = fields as { name?: Token; outBy: OutBy };
  const day = outByDay(outBy, on);
  if (typeof day !== 'string') return day;
  const product = name ? spoken.line.slice(name.start, name.end) : 'Strips';
  return { fields: { product, outBy: day }, words: `${product} put in, out by ${showDay(day, on)}` };
}

function outByDay({ named: saidDay, days }: OutBy, on: Day): Day | Asked {
  if (days !== undefined)
    return days > 0 && days <= 366 ? plusDays(on, days) : asked('For how long do they stay in?');
  if (!saidDay) return asked('Out by which day, as the label says?');
  if (saidDay.is === 'either')
    return asked(
      `Is that ${saidDay.days.map(({ month, date }) => `${date} ${monthName(month)}`).join(' or ')}?`,
    );
  const day = dayAhead(saidDay, on);
  if (typeof day !== 'string') return asked(day.question);
  return day > on ? day : asked('Strips come out on a day that is still to come.');
}

function combinedInto(
  { box: toBox, room: toRoom }: PlaceMeant,
  box: PlaceKnown,
  room: string | undefined,
): { fields: Readonly<Record<string, unknown>>; words: string } | Asked {
  const into = toBox ?? box;
  const called =
    toRoom === undefined
      ? into.compartments.length === 1
        ? into.compartments
        : []
      : roomsCalled(toRoom, into.compartments, isWord);
  const [only] = called;
  if (!only || called.length > 1 || (into === box && only === room))
    return asked(`Combine ${room ?? box.label} with which compartment of ${into.label}?`);
  const place = into === box ? only : `${into.label} ${only}`;
  return { fields: { intoBox: into.label, into: only }, words: `combined into ${place}` };
}

/** Kinds that do not go together for one room, and kinds that are said but once. */
const APART: readonly (readonly [string, string])[] = [
  ['failed', 'eggsSeen'],
  ['failed', 'patternScored'],
  ['failed', 'cellGiven'],
  ['failed', 'cellOpened'],
  ['cellGiven', 'cellOpened'],
  ['cellGiven', 'eggsSeen'],
  ['stripsPut', 'stripsOut'],
  ['combined', 'stocked'],
];
const MANY = ['fed', 'troubleSeen', 'noted'];

function contradiction(entries: readonly LineEntry[]): Asked | undefined {
  for (const [index, one] of entries.entries())
    for (const other of entries.slice(index + 1)) {
      if (one.box !== other.box || one.compartment !== other.compartment || one.on !== other.on) continue;
      const title = `${one.box}${one.compartment ? ` ${one.compartment}` : ''}`;
      const same =
        JSON.stringify([one.kind, one.fields, one.note]) ===
        JSON.stringify([other.kind, other.fields, other.note]);
      if (same) return asked(`“${one.words}” is said twice of ${title}.`);
      const noEggs = [one, other].some(({ kind, note }) => kind === 'noted' && note?.startsWith('No eggs'));
      const brood = [one, other].some(({ kind }) => kind === 'eggsSeen');
      const apart =
        (noEggs && brood) ||
        (one.kind === other.kind && !MANY.includes(one.kind)) ||
        (one.kind === 'troubleSeen' &&
          other.kind === 'troubleSeen' &&
          one.fields.trouble === other.fields.trouble) ||
        APART.some((pair) => pair.includes(one.kind) && pair.includes(other.kind) && one.kind !== other.kind);
      if (apart)
        return asked(`“${one.words}” and “${other.words}” of ${title} do not go together: which is it?`);
    }
  return undefined;
}
