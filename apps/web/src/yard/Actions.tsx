import type { Problem } from '@yellow-cell/contract';
import { whileOpen } from '@yellow-cell/core';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Delivery } from '../app/outbox.ts';
import { useSay } from '../app/units.ts';
import { ActionForm, type FormKind } from './ActionForms.tsx';
import { DueLine } from './DueLine.tsx';
import type { ActionProps, FormProps } from './Form.tsx';
import { answerTo, furtherFor, type Offer, offersFor } from './offers.ts';
import { useJustKept } from './useJustKept.ts';
import { useWarned } from './useWarned.tsx';

/** Beside the expected one, so many likely ones stand in a list. */
const BRIEF = 2;

/** The likely next actions for what the compartment is; the expected one large, and one press where nothing need be asked. Below stands all else that is due, each with its own answer. */
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
  const sendForm: FormProps['send'] = async (what, drafts) => {
    await send(`${title}: ${what}`, drafts, (delivery) => {
      if (!refusal(delivery)) setForm(undefined);
    });
  };
  const navigate = useNavigate();
  const { justKept, keep } = useJustKept();
  const press = ({ name, act }: Offer) => {
    if (typeof act === 'string') setForm(act);
    else if ('to' in act) void navigate(act.to.startsWith('/') ? act.to : `/yard/${view.yard.id}/${act.to}`);
    else {
      keep(name);
      void send(`${title}: ${name}`, [act].flat(), (delivery) => {
        if (refusal(delivery)) keep(undefined);
      }).then((became) => {
        // What is asked first is not kept yet.
        if (became === 'asked') keep(undefined);
      });
    }
  };
  const { due } = compartment;
  const [main, ...others] = offersFor(boxView, compartment);
  const further = furtherFor(boxView, compartment).filter(
    ({ name }) => ![main, ...others].some((each) => each?.name === name),
  );
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
            {justKept ? (
              <p
                role="status"
                className={`flex min-h-12 items-center gap-2 px-3 text-base font-semibold ${brief && !more ? '' : 'col-span-2'}`}
              >
                <Check size={18} aria-hidden /> Kept: {justKept}
              </p>
            ) : (
              main && (
                <button
                  type="button"
                  className={`button button-main min-h-12 text-base ${brief && !more ? '' : 'col-span-2'}`}
                  onClick={() => press(main)}
                >
                  {main.name}
                </button>
              )
            )}
            {(more ? [...others, ...further] : brief ? others.slice(0, BRIEF) : others).map((offer) => (
              <button
                key={offer.name}
                type="button"
                className="button min-h-11"
                disabled={justKept !== undefined}
                onClick={() => press(offer)}
              >
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
        {form === undefined &&
          due.slice(1).map((work) => (
            <div key={`${work.kind} ${work.key ?? ''}`} className="mt-2 border-t border-hairline pt-2">
              <DueLine
                boxView={boxView}
                compartment={compartment}
                work={work}
                title={title}
                onAnswer={press}
              />
            </div>
          ))}
        {form === undefined && inside.length > 0 && (
          <>
            <h3 className="eyebrow">While it is open</h3>
            <ul>
              {inside.map(({ kind, work, sentence }) => {
                const offer = work && answerTo(work, boxView, compartment);
                return (
                  <li key={`${kind} ${work?.key ?? ''}`} className="row-line items-center">
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
