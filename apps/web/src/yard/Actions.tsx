import type { Problem } from '@yellow-cell/contract';
import { useState } from 'react';
import { type Draft, draft, useLog } from '../app/useLog.ts';
import { ActionForm, type FormKind } from './ActionForms.tsx';
import type { ActionProps, FormProps } from './Form.tsx';
import type { BoxView, CompartmentView } from './useYard.ts';

interface Offer {
  name: string;
  /** Logged at once, or a form first. */
  act: Draft | FormKind;
}

/** The likely next actions for what the compartment is; the expected one large, and one press where nothing need be asked. */
export function Actions({ view, boxView, compartment, title }: ActionProps) {
  const log = useLog();
  const [form, setForm] = useState<FormKind>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const send: FormProps['send'] = async (what, drafts) => {
    const delivery = await log(`${title}: ${what}`, drafts);
    const refused = delivery.state === 'refused';
    setProblems(refused ? delivery.problems : []);
    return !refused;
  };
  const press = ({ name, act }: Offer) => (typeof act === 'string' ? setForm(act) : void send(name, [act]));
  const sendForm: FormProps['send'] = async (what, drafts) => {
    const taken = await send(what, drafts);
    if (taken) setForm(undefined);
    return taken;
  };
  const [main, ...others] = offersFor(boxView, compartment);
  const props = { view, boxView, compartment, title, send: sendForm, onCancel: () => setForm(undefined) };
  return (
    <div className="mt-3">
      {problems.map(({ sentence }) => (
        <p key={sentence} role="alert" className="mb-2 font-medium text-danger">
          {sentence}
        </p>
      ))}
      {form === undefined ? (
        <div className="grid grid-cols-2 gap-2">
          {main && (
            <button
              type="button"
              className="button button-main col-span-2 min-h-12 text-base"
              onClick={() => press(main)}
            >
              {main.name}
            </button>
          )}
          {others.map((offer) => (
            <button key={offer.name} type="button" className="button min-h-11" onClick={() => press(offer)}>
              {offer.name}
            </button>
          ))}
        </div>
      ) : (
        <ActionForm kind={form} {...props} />
      )}
    </div>
  );
}

/** The likely ones for what it is, and the care that any bees may want. */
function offersFor(boxView: BoxView, compartment: CompartmentView): Offer[] {
  const { colony, first, urgency } = compartment;
  const likely = likelyFor(boxView, compartment);
  if (!colony) return likely;
  const of = { box: boxView.box.id, colony: colony.id };
  const feed: Offer = { name: 'Fed…', act: 'feed' };
  const strips: Offer = colony.strips
    ? { name: 'Strips out', act: draft('stripsOut', of) }
    : { name: 'Strips in…', act: 'strips' };
  const due = urgency === 'due' || urgency === 'overdue' ? first?.kind : undefined;
  if (due === 'stripsOut') return [strips, ...likely, feed];
  if (due === 'refillFeed') return [feed, ...likely, strips];
  return [...likely, feed, strips];
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
