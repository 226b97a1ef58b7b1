import type { Feed } from '@yellow-cell/contract';
import { countOf, feedUse, feedWords, showDay, storesPerKg } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { draft } from '../app/useLog.ts';
import { Form, type FormProps, inColony } from './Form.tsx';
import { useFeed } from './useFeed.tsx';
import { useReadyFrames } from './useReadyFrames.ts';
import { useStrips } from './useStrips.tsx';

export function FeedForm(props: FormProps) {
  const { boxView, compartment, view } = props;
  const { colony } = compartment;
  const ready = useReadyFrames(boxView.model.compartments[compartment.position]?.frames[0]?.format.id);
  const week_kg = (feed: Feed) =>
    (7 * feedUse(colony ?? {}, compartment, view.constants)) / storesPerKg(feed);
  const { feed, amount_kg, problem, fields } = useFeed({
    usual_kg: colony?.strength ? Number(week_kg('syrup11').toFixed(1)) : USUAL_FEED_KG,
    hint: (given) =>
      `${colony?.strength ? `${countOf(colony.strength.seams, 'seam')} of bees take` : 'Not counted yet, such a colony takes'} about ${week_kg(given).toFixed(1)} kg of it in a week. ${FEED_HINTS[given] ?? ''} ${given === 'storesFrame' ? (ready ?? '') : ''}`,
  });
  return (
    <Form
      save="Fed"
      onSave={() =>
        problem === undefined &&
        props.send(`fed ${amount_kg} kg of ${feedWords[feed]}`, [
          draft('fed', { ...inColony(props), feed, amount_kg }),
        ])
      }
      onCancel={props.onCancel}
    >
      {fields}
    </Form>
  );
}

export const USUAL_FEED_KG = 0.5;

/** What goes wrong with each (handbook 2, feeding ports; 7, frame by frame). */
const FEED_HINTS: Partial<Record<Feed, string>> = {
  syrup11: 'Liquid while days reach 12 °C; a jar in the shade, or it expands and drips.',
  syrup21: 'Liquid while days reach 12 °C; a jar in the shade, or it expands and drips.',
  patty:
    'No larger than they finish in a week; press the lid home after it, or a gap opens over the divider.',
  storesFrame: 'Next to the bees; from a healthy colony only.',
};

export function StripsForm(props: FormProps) {
  const say = useSay();
  const { given, fields } = useStrips(props.view.on);
  return (
    <Form
      save="Put in"
      onSave={() =>
        given &&
        props.send(`${given.product} in, out by ${say(showDay(given.outBy))}`, [
          draft('stripsPut', { ...inColony(props), ...given }),
        ])
      }
      onCancel={props.onCancel}
    >
      {fields}
    </Form>
  );
}
