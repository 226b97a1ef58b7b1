import { type Expectation, rules, showDay, showWindow, urgencyOn, withoutYear } from '@yellow-cell/core';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { SourceLink } from '../parts/SourceLink.tsx';
import { answerTo } from './offers.ts';
import { PutOff } from './PutOff.tsx';
import { UrgencyDot } from './SignKey.tsx';
import type { BoxView, CompartmentView } from './useYard.ts';

interface DueLineProps {
  boxView: BoxView;
  compartment: CompartmentView;
  work: Expectation;
  title: string;
  /** Enters what answers it; left out where the large button does. */
  onAnswer?: ((offer: NonNullable<ReturnType<typeof answerTo>>) => void) | undefined;
}

const sourceOf = ({ kind }: Expectation): string => rules.find((rule) => rule.kind === kind)?.source ?? '';

/** One piece of work: what, why, by when; what answers it, and the way to put it off. */
export function DueLine({ boxView, compartment, work, title, onAnswer }: DueLineProps) {
  const say = useSay();
  const asked = useAsOf();
  const { on, isToday } = asked;
  const urgency = urgencyOn(work, asked);
  const offer = isToday && onAnswer ? answerTo(work, boxView, compartment) : undefined;
  const colony = (compartment.colony ?? compartment.left)?.id;
  return (
    <div className="flex gap-2.5">
      <UrgencyDot urgency={urgency} />
      <div className="-mt-0.5 min-w-0 flex-1">
        <p>
          <strong>{work.title}.</strong> {say(withoutYear(work.reason, on))}{' '}
          <span className="text-soft">
            {urgency === 'overdue' && work.to < on
              ? `Overdue since ${say(showDay(work.to, on))}.`
              : `Expected ${say(showWindow(work.from, work.to, on))}.`}
          </span>
        </p>
        {isToday && (
          <div className="no-print flex flex-wrap items-start gap-x-4">
            {offer && (
              <button type="button" className="button mt-1 min-h-12" onClick={() => onAnswer?.(offer)}>
                {offer.name}
              </button>
            )}
            {colony !== undefined && (
              <PutOff
                box={boxView.box.id}
                colony={colony}
                work={work}
                title={`${title}: ${work.title}`}
                on={on}
              />
            )}
            <span className="inline-flex min-h-11 items-center text-sm text-soft">
              <SourceLink source={sourceOf(work)} />
            </span>
          </div>
        )}
      </div>
    </div>
  );
}
