import type { DueKind, Problem } from '@yellow-cell/contract';
import { whileOpen } from '@yellow-cell/core';
import { useState } from 'react';
import type { Delivery } from '../app/outbox.ts';
import { useSay } from '../app/units.ts';
import { type Draft, draft } from '../app/useLog.ts';
import { ActionForm, type FormKind } from './ActionForms.tsx';
import type { ActionProps, FormProps } from './Form.tsx';
import { useWarned } from './useWarned.tsx';
import type { BoxView, CompartmentView } from './useYard.ts';

/** Beside the expected one, so many likely ones stand in a list. */
const BRIEF = 2;

interface Offer {
  name: string;
  /** Logged at once, or a form first. */
  act: Draft | readonly Draft[] | FormKind;
}

/** The likely next actions for what the compartment is; the expected one large, and one press where nothing need be asked. */
export function Actions({
  view,
  boxView,
  compartment,
  title,
  brief = false,
}: ActionProps & { brief?: boolean }) {
  const say = useSay();
  const [form, setForm] = useState<FormKind>();
  const [more, setMore] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { send, asking } = useWarned(view);
  const refusal = (delivery: Delivery) => {
    setProblems(delivery.state === 'refused' ? delivery.problems : []);
    return delivery.state === 'refused';
  };
  const sendForm: FormProps['send'] = (what, drafts) =>
    send(`${title}: ${what}`, drafts, (delivery) => {
      if (!refusal(delivery)) setForm(undefined);
    });
  const press = ({ name, act }: Offer) =>
    typeof act === 'string' ? setForm(act) : void send(`${title}: ${name}`, [act].flat(), refusal);
  const [main, ...others] = offersFor(boxView, compartment);
  const further = furtherFor(boxView, compartment).filter(
    ({ name }) => ![main, ...others].some((each) => each?.name === name),
  );
  const care = careFor(boxView, compartment);
  const inside = brief ? [] : whileOpen(compartment, view.on, view.constants);
  const props = { view, boxView, compartment, title, send: sendForm, onCancel: () => setForm(undefined) };
  return (
    <div className="mt-3">
      {problems.map(({ sentence }) => (
        <p key={sentence} role="alert" className="mb-2 font-medium text-danger">
          {say(sentence)}
        </p>
      ))}
      {asking}
      {/* What was typed stays while a warning is read. */}
      <div hidden={asking !== undefined}>
        {form === undefined ? (
          <div className={brief && !more ? 'flex flex-wrap gap-2' : 'grid grid-cols-2 gap-2'}>
            {main && (
              <button
                type="button"
                className={`button button-main min-h-12 text-base ${brief && !more ? '' : 'col-span-2'}`}
                onClick={() => press(main)}
              >
                {main.name}
              </button>
            )}
            {(more ? [...others, ...further] : brief ? others.slice(0, BRIEF) : others).map((offer) => (
              <button key={offer.name} type="button" className="button min-h-11" onClick={() => press(offer)}>
                {offer.name}
              </button>
            ))}
            {(compartment.colony || others.length > BRIEF) && !more && (
              <button type="button" className="button min-h-11 font-normal" onClick={() => setMore(true)}>
                More…
              </button>
            )}
          </div>
        ) : (
          <ActionForm kind={form} {...props} />
        )}
        {form === undefined && inside.length > 0 && (
          <>
            <h3 className="eyebrow">While it is open</h3>
            <ul>
              {inside.map(({ kind, sentence }) => {
                const offer = kind === 'pattyOut' ? undefined : care[kind];
                return (
                  <li key={kind} className="row-line items-center">
                    <span>{say(sentence)}</span>
                    {offer && (
                      <button type="button" className="button min-h-11 shrink-0" onClick={() => press(offer)}>
                        {offer.name}
                      </button>
                    )}
                  </li>
                );
              })}
            </ul>
          </>
        )}
      </div>
    </div>
  );
}

/** The likely ones for what it is; what is due of care comes first. */
function offersFor(boxView: BoxView, compartment: CompartmentView): Offer[] {
  const { colony, first, urgency } = compartment;
  const likely = likelyFor(boxView, compartment);
  if (!colony) return likely;
  const due = urgency === 'due' || urgency === 'overdue' ? first?.kind : undefined;
  const wanted = due && careFor(boxView, compartment)[due];
  return wanted ? [wanted, ...likely.filter(({ name }) => name !== wanted.name)] : likely;
}

/** The entry that answers a piece of work, where it is not one of the status's own. */
function careFor(
  { box, model }: BoxView,
  { colony, queens, position }: CompartmentView,
): Partial<Record<DueKind, Offer>> {
  const of = { box: box.id, colony: colony?.id ?? '' };
  const [suspicion] = colony?.suspicions ?? [];
  const search: Offer = { name: 'Searched for wild cells…', act: 'search' };
  const feed: Offer = { name: 'Fed…', act: 'feed' };
  const strength: Offer = { name: 'Count the seams…', act: 'strength' };
  // Wasps and robbers are met at the entrance first (handbook 2, entrances).
  const open =
    model.compartments[position]?.entrances.filter(({ opening }) => opening.state === 'open') ?? [];
  const besieged = colony?.troubles?.some(({ trouble }) => trouble === 'wasps' || trouble === 'robbing');
  const reduceEntrance: Offer | undefined =
    besieged && open.length > 0
      ? {
          name: 'Entrance reduced',
          act: open.map(({ id }) => draft('entranceSet', { box: box.id, entrance: id, state: 'reduced' })),
        }
      : undefined;
  return {
    searchWildCells: search,
    lookAfterCombining: search,
    refillFeed: feed,
    feedShut: feed,
    feedWeak: feed,
    stripsOut: { name: 'Strips out', act: draft('stripsOut', of) },
    treat: { name: 'Strips in…', act: 'strips' },
    scorePattern: { name: 'Score the pattern…', act: 'pattern' },
    coverOn: { name: 'Cover back on', act: draft('coverSet', { ...of, on: true }) },
    outingBack: { name: 'Home again', act: draft('outingReturned', of) },
    queenBack: { name: 'Queen given back…', act: 'queen' },
    seeTrouble: reduceEntrance ?? { name: 'Trouble over, or other…', act: 'trouble' },
    crowded: strength,
    weak: strength,
    checkIntroduction: {
      name: 'Queen seen',
      act: draft('queenSeen', { ...of, seen: true, ...(queens[0] ? { queen: queens[0].id } : {}) }),
    },
    ...(suspicion
      ? {
          settleSuspicion: {
            name: 'Suspicion dropped',
            act: draft('suspicionSettled', { ...of, suspicion: suspicion.id, confirmed: false }),
          },
        }
      : {}),
  };
}

/** All else that may be seen or done with any bees. */
function furtherFor({ box }: BoxView, { colony, queens, status }: CompartmentView): Offer[] {
  if (!colony) return [];
  const of = { box: box.id, colony: colony.id };
  const queen = queens[0] ? { queen: queens[0].id } : {};
  const [suspicion] = colony.suspicions ?? [];
  return [
    { name: 'Seams of bees…', act: 'strength' },
    { name: 'Queen seen', act: draft('queenSeen', { ...of, seen: true, ...queen }) },
    { name: 'Queen not seen', act: draft('queenSeen', { ...of, seen: false }) },
    ...(['stocked', 'failed', 'unknown'].includes(status)
      ? [{ name: 'Queen given…', act: 'queen' } satisfies Offer]
      : []),
    { name: 'Wild cells…', act: 'search' },
    { name: 'Into another box…', act: 'move' },
    { name: 'Fed…', act: 'feed' },
    colony.strips
      ? { name: 'Strips out', act: draft('stripsOut', of) }
      : { name: 'Strips in…', act: 'strips' },
    colony.coverOffOn
      ? { name: 'Cover on', act: draft('coverSet', { ...of, on: true }) }
      : { name: 'Cover off', act: draft('coverSet', { ...of, on: false }) },
    { name: 'Trouble…', act: 'trouble' },
    colony.outing
      ? { name: 'Home again', act: draft('outingReturned', of) }
      : { name: 'Outing…', act: 'outing' },
    ...(suspicion
      ? [
          {
            name: 'Suspicion confirmed',
            act: draft('suspicionSettled', { ...of, suspicion: suspicion.id, confirmed: true }),
          },
        ]
      : []),
    { name: suspicion ? 'Suspicion revised…' : 'Suspicion…', act: 'suspect' },
    { name: 'Sting…', act: 'sting' },
  ];
}

function likelyFor({ box }: BoxView, { status, colony, attempt, urgency, first }: CompartmentView): Offer[] {
  if (!colony) return [{ name: 'Stock it…', act: 'stock' }];
  const of = {
    box: box.id,
    colony: colony.id,
    ...(attempt && status !== 'stocked' ? { attempt: attempt.id } : {}),
  };
  const fail: Offer = { name: 'Failed…', act: 'fail' };
  const cell: Offer = { name: 'Cell given…', act: 'cell' };
  const combine: Offer = { name: 'Combine…', act: 'combine' };
  const eggs: Offer = { name: 'Eggs seen', act: draft('eggsSeen', of) };
  const pattern: Offer = { name: 'Score the pattern…', act: 'pattern' };
  const take: Offer = { name: 'Queen taken…', act: 'take' };
  switch (status) {
    case 'stocked':
      return [cell, { name: 'Add frames…', act: 'stock' }, combine, fail];
    case 'cellGiven': {
      const opened: Offer = {
        name: 'Cell seen opened',
        act: draft('cellOpened', { box: box.id, colony: colony.id, attempt: attempt?.id ?? '' }),
      };
      return [opened, eggs, fail];
    }
    case 'caged':
      return [{ name: 'Eggs seen', act: draft('eggsSeen', of) }, take, fail];
    case 'virgin':
      return first?.kind === 'declareFailed' && urgency !== 'ahead'
        ? [{ ...fail }, eggs, combine]
        : [eggs, fail];
    case 'laying':
      return [pattern, take, fail];
    case 'proven':
    case 'queenright':
      return [take, pattern, combine, fail];
    case 'failed':
      return [cell, combine, { name: 'Add frames…', act: 'stock' }];
    default:
      return [{ name: 'Stock it…', act: 'stock' }];
  }
}
