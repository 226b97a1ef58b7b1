import { useSuspenseQuery } from '@tanstack/react-query';
import type { QueenStory, Relative } from '@yellow-cell/contract';
import {
  constantsWith,
  countOf,
  dayOf,
  daysBetween,
  fateWords,
  motherDoubt,
  showDay,
} from '@yellow-cell/core';
import { Link, useParams } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { queenQuery, sessionQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { eventLine, type Names } from './eventLine.ts';
import { QueenForm } from './QueenForm.tsx';
import { QueenMark } from './QueenMark.tsx';
import { queenName } from './queenName.ts';

/** One queen: what is known of her and what is not, where she is, her family, her story. */
export function QueenScreen() {
  const say = useSay();
  const { queen: id = '' } = useParams();
  const { data: story } = useSuspenseQuery(queenQuery(id));
  const { queen, box, attempt, round, sisters, daughters, events } = story;
  const { on } = useAsOf();
  const names: Names = {
    boxes: new Map(box ? [[box.id, { label: box.label }]] : []) as unknown as Names['boxes'],
    rounds: new Map(round ? [[round.id, round]] : []),
  };
  const { data: session } = useSuspenseQuery(sessionQuery);
  const matedIn = attempt?.into?.yard ?? box?.yard ?? '';
  const constants = constantsWith(session.settings.constants[matedIn]);
  const doubt = attempt && motherDoubt(attempt, round ?? undefined, constants);
  const seen = queen.sightings.at(-1);
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <div className="mx-auto grid max-w-4xl gap-x-8 lg:grid-cols-2">
        <div>
          <h1 className="flex items-center gap-2 text-xl">
            <QueenMark queen={queen} /> {queenName(queen)}
          </h1>
          <p className="text-soft">{whereIs(story)}</p>
          <dl className="mt-3">
            <Fact name="Mother">
              {queen.mother === undefined ? (
                UNKNOWN
              ) : 'name' in queen.mother ? (
                queen.mother.name
              ) : (
                <Link className="underline" to={`/queen/${queen.mother.queen}`}>
                  her record
                </Link>
              )}
            </Fact>
            <Fact name="Round">
              {round ? `${round.number}, grafted ${say(showDay(round.graftedOn, on))}` : UNKNOWN}
            </Fact>
            <Fact name="Born">
              {queen.bornOn ? say(showDay(queen.bornOn)) : (queen.birthYear ?? UNKNOWN)}
            </Fact>
            <Fact name="Mark">
              {queen.mark?.colour
                ? `${queen.mark.colour}${queen.mark.number ? `, no. ${queen.mark.number}` : ''}, since ${say(showDay(queen.mark.on, on))}`
                : 'none recorded'}
              {queen.mark?.clipped ? ', clipped' : ''}
            </Fact>
            <Fact name="Mated at">{queen.matedAt ?? UNKNOWN}</Fact>
            <Fact name="Laying since">
              {attempt?.layingOn ? say(showDay(attempt.layingOn, on)) : UNKNOWN}
            </Fact>
            <Fact name="Pattern">
              {attempt && attempt.patterns.length > 0
                ? attempt.patterns.map(({ pattern_pct }) => `${pattern_pct} %`).join(', ')
                : 'not scored'}
            </Fact>
            <Fact name="Last seen">
              {seen
                ? `${say(showDay(seen.on, on))}, ${countOf(daysBetween(seen.on, on), 'day')} ago`
                : 'never recorded; her eggs may speak for her'}
            </Fact>
          </dl>
          {doubt && <p className="mt-1 text-danger">Mother uncertain. {doubt}</p>}
          {!queen.gone && box && <QueenForm box={box.id} colony={queen.colony} queen={queen} />}
        </div>
        <div>
          <Family title="Sisters" queens={sisters} />
          <Family title="Daughters" queens={daughters} />
          <h2 className="eyebrow">Her story</h2>
          {events.length === 0 && <p className="text-soft">Nothing names her yet but her own record.</p>}
          <ol>
            {[...events].reverse().map((event) => (
              <li key={event.id} className="row-line">
                <span>
                  {say(eventLine(event, names))}
                  {event.note && <span className="block text-sm text-soft">“{event.note}”</span>}
                </span>
                <span className="shrink-0 text-sm text-soft">
                  {say(showDay(dayOf(event.occurredAt, event.zone), on))}
                </span>
              </li>
            ))}
          </ol>
        </div>
      </div>
    </main>
  );
}

const UNKNOWN = 'unknown';

function whereIs({ queen, box }: QueenStory) {
  if (queen.gone)
    return queen.gone.to === 'lost'
      ? `Lost ${showDay(queen.gone.on)}.`
      : `Taken out ${showDay(queen.gone.on)}: ${fateWords[queen.gone.to]}${queen.gone.backBy ? `, to go back by ${showDay(queen.gone.backBy)}` : ''}.`;
  if (!box) return 'Where she is is not known.';
  return (
    <>
      In{' '}
      <Link className="font-semibold underline" to={box.yard ? `/yard/${box.yard}?box=${box.id}` : '/yard'}>
        {box.label}
      </Link>{' '}
      since {showDay(queen.since)}
      {queen.caged ? ', caged' : ''}.
    </>
  );
}

function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="row-line">
      <dt>{name}</dt>
      <dd className="text-right">{children}</dd>
    </div>
  );
}

/** Those that live, then by what became of them. */
function groupsOf(queens: readonly Relative[]): [string, Relative[]][] {
  const groups = new Map<string, Relative[]>();
  for (const each of queens) {
    const { gone } = each.queen;
    const what = !gone ? 'living' : gone.to === 'lost' ? 'lost' : fateWords[gone.to];
    groups.set(what, [...(groups.get(what) ?? []), each]);
  }
  return [...groups].sort(([a], [b]) => Number(b === 'living') - Number(a === 'living'));
}

function Family({ title, queens }: { title: string; queens: readonly Relative[] }) {
  if (queens.length === 0) return null;
  return (
    <>
      <h2 className="eyebrow">
        {title} <span className="font-normal text-soft">{queens.length}</span>
      </h2>
      <div className="max-h-72 overflow-y-auto">
        {groupsOf(queens).map(([what, group]) => (
          <div key={what}>
            <h3 className="mt-1 text-sm text-soft">
              {what} {group.length}
            </h3>
            <ul>
              {group.map(({ queen, place, is, pattern_pct }) => (
                <li key={queen.id} className="row-line">
                  <Link className="flex items-center gap-2 underline" to={`/queen/${queen.id}`}>
                    <QueenMark queen={queen} /> {place ?? queenName(queen)}
                  </Link>
                  <span className="text-sm text-soft">
                    {[
                      place && (queen.name ?? queen.mark?.number) ? queenName(queen) : '',
                      is ?? '',
                      pattern_pct === null ? '' : `${pattern_pct} %`,
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </>
  );
}
