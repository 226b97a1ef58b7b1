import type { Confidence, Trouble } from '@yellow-cell/contract';
import { confidenceWords, countOf, plusDays, showDay, troubleWords } from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { useAsOf } from '../app/now.ts';
import { useSay } from '../app/units.ts';
import { draft } from '../app/useLog.ts';
import { Check } from '../parts/Check.tsx';
import { SelectField, TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Form, type FormProps, inColony } from './Form.tsx';
import { useHomeBy } from './useHomeBy.tsx';

/** Seams of bees, counted from above: the usual measure of strength. */
export function StrengthForm(props: FormProps) {
  const [typed, setTyped] = useState('');
  const seams = numberIn(typed);
  const problem = seams >= 0 && seams <= 40 ? undefined : 'Seams from 0 to 40; halves are fine.';
  return (
    <Form
      save="Keep"
      onSave={() =>
        problem === undefined &&
        props.send(`${countOf(seams, 'seam')} of bees`, [
          draft('strengthSeen', { ...inColony(props), seams }),
        ])
      }
      onCancel={props.onCancel}
    >
      <div className="mb-2 flex flex-wrap gap-1.5">
        {[1, 1.5, 2, 2.5, 3, 4, 5].map((each) => (
          <button
            key={each}
            type="button"
            className={`button min-h-11 min-w-11 ${seams === each ? 'bg-glow' : ''}`}
            onClick={() => setTyped(String(each))}
          >
            {each}
          </button>
        ))}
      </div>
      <TextField
        label="Seams of bees, from above"
        inputMode="decimal"
        value={typed}
        problem={typed === '' ? undefined : problem}
        onChange={({ target }) => setTyped(target.value)}
      />
    </Form>
  );
}

export function SearchForm(props: FormProps) {
  const [typed, setTyped] = useState('0');
  const [kept, setKept] = useState('0');
  const found = numberIn(typed);
  const left = numberIn(kept);
  const problemOf = (value: number) =>
    Number.isInteger(value) && value >= 0 && value <= 200 ? undefined : 'A whole number from 0.';
  const problem = problemOf(found);
  const words = [
    found > 0 ? `${countOf(found, 'wild cell')} torn down` : '',
    left > 0 ? `${countOf(left, 'wild cell')} left` : '',
  ].filter(Boolean);
  return (
    <Form
      save="Searched"
      onSave={() =>
        problem === undefined &&
        problemOf(left) === undefined &&
        props.send(words.join(', ') || 'searched, no wild cells', [
          draft('wildCellsSearched', { ...inColony(props), found, ...(left > 0 ? { left } : {}) }),
        ])
      }
      onCancel={props.onCancel}
    >
      <TextField
        label="Wild cells found and torn down"
        inputMode="numeric"
        value={typed}
        problem={problem}
        hint="Shake the bees off each frame: cells hide at the edges and under bees."
        onChange={({ target }) => setTyped(target.value)}
      />
      <TextField
        label="Left, to be looked at again"
        inputMode="numeric"
        value={kept}
        problem={problemOf(left)}
        onChange={({ target }) => setKept(target.value)}
      />
    </Form>
  );
}

export function TroubleForm(props: FormProps) {
  const open = props.compartment.colony?.troubles ?? [];
  const [trouble, setTrouble] = useState<Trouble>('wasps');
  const over = open.some((each) => each.trouble === trouble);
  return (
    <Form
      save={over ? 'It is over' : 'Seen'}
      onSave={() =>
        props.send(`${troubleWords[trouble]} ${over ? 'over' : 'seen'}`, [
          draft('troubleSeen', { ...inColony(props), trouble, over }),
        ])
      }
      onCancel={props.onCancel}
    >
      <SelectField
        label="What is seen"
        value={trouble}
        hint="Notifiable brood diseases are reported: ask your inspector or vet, not the program."
        onChange={({ target }) => setTrouble(target.value as Trouble)}
      >
        {Object.entries(troubleWords).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
            {open.some((each) => each.trouble === key) ? ' (seen already)' : ''}
          </option>
        ))}
      </SelectField>
    </Form>
  );
}

/** The latest return of an outing by the clock (handbook 8: home by early evening). */
export function OutingForm(props: FormProps) {
  const { now } = useAsOf();
  const [place, setPlace] = useState('');
  const { yard, on } = props.view;
  const { hour, backBy, problem, field } = useHomeBy(
    { on, now, zone: yard.zone },
    'A cool day, shade, hours and not overnight; glass latched and screwed, door, flaps, tray; permission of the place. Sun behind glass heats a box in minutes.',
  );
  return (
    <Form
      save="They leave"
      onSave={() =>
        place.trim() !== '' &&
        problem === undefined &&
        props.send(`out at “${place.trim()}”, home by ${hour} h`, [
          draft('outingLeft', { ...inColony(props), place: place.trim(), backBy }),
        ])
      }
      onCancel={props.onCancel}
    >
      <TextField
        label="Where"
        required
        maxLength={80}
        value={place}
        onChange={({ target }) => setPlace(target.value)}
      />
      {field}
    </Form>
  );
}

/** Something thought and not yet known; where one is open it is revised, and the record keeps both. */
export function SuspectForm(props: FormProps) {
  const [open] = props.compartment.colony?.suspicions ?? [];
  const [what, setWhat] = useState(open?.what ?? '');
  const [confidence, setConfidence] = useState<Confidence>(open?.confidence ?? 'hunch');
  return (
    <Form
      save={open ? 'Revised' : 'Keep it'}
      onSave={() =>
        what.trim() !== '' &&
        props.send(`suspected: ${what.trim()}`, [
          draft('suspected', {
            ...inColony(props),
            suspicion: open?.id ?? newId(),
            what: what.trim(),
            confidence,
          }),
        ])
      }
      onCancel={props.onCancel}
    >
      <TextField
        label="What is suspected"
        required
        maxLength={200}
        value={what}
        hint="For example: small, a drone layer? It is asked again in a week."
        onChange={({ target }) => setWhat(target.value)}
      />
      <SelectField
        label="How sure"
        value={confidence}
        onChange={({ target }) => setConfidence(target.value as Confidence)}
      >
        {Object.entries(confidenceWords).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
    </Form>
  );
}

/** A virgin or a mated queen, from a cage or from another compartment. */
export function QueenGivenForm(props: FormProps) {
  const say = useSay();
  const { view, compartment, send, onCancel } = props;
  const others = view.boxes.flatMap((each) =>
    each.compartments.flatMap(({ name, colony, queens }) =>
      colony && colony.id !== compartment.colony?.id
        ? queens.map((queen) => ({
            queen,
            colony: colony.id,
            box: each.box.id,
            where: `${each.box.label} ${name}`,
          }))
        : [],
    ),
  );
  const away = compartment.away;
  const rounds = [...view.state.rounds.values()].reverse();
  const isBank = compartment.role === 'bank';
  const [cage, setCage] = useState('');
  const [what, setWhat] = useState<'virgin' | 'mated'>(isBank || away.length > 0 ? 'mated' : 'virgin');
  const [from, setFrom] = useState(away[0]?.id ?? '');
  const [round, setRound] = useState('');
  const [mother, setMother] = useState('');
  const [caged, setCaged] = useState(true);
  const found = others.find(({ queen }) => queen.id === from);
  const give = () =>
    send(what === 'virgin' ? 'virgin given' : 'mated queen given', [
      draft('queenGiven', {
        ...inColony(props),
        queen: from || newId(),
        what,
        caged,
        ...(isBank && cage.trim() ? { cage: cage.trim() } : {}),
        ...(found ? { from: { box: found.box, colony: found.colony } } : {}),
        ...(round ? { round } : {}),
        ...(!from && mother.trim() ? { mother: { name: mother.trim() } } : {}),
      }),
    ]);
  return (
    <Form save="Given" onSave={give} onCancel={onCancel}>
      <SelectField label="What" value={what} onChange={({ target }) => setWhat(target.value as typeof what)}>
        <option value="virgin">A virgin</option>
        <option value="mated">A mated queen</option>
      </SelectField>
      <SelectField
        label="From"
        value={from}
        hint="A virgin goes to bees queenless for about a day; in a cage with soft candy, between the frames. Poorer acceptance than cells, but her quality has been seen."
        onChange={({ target }) => setFrom(target.value)}
      >
        <option value="">A cage or an incubator</option>
        {away.map((queen) => (
          <option key={queen.id} value={queen.id}>
            Their own, put aside {queen.gone ? say(showDay(queen.gone.on, view.on)) : ''}
          </option>
        ))}
        {others.map(({ queen, where }) => (
          <option key={queen.id} value={queen.id}>
            {where}
          </option>
        ))}
      </SelectField>
      {!from && (
        <div className="grid grid-cols-2 gap-x-3">
          <SelectField label="Round" value={round} onChange={({ target }) => setRound(target.value)}>
            <option value="">not known</option>
            {rounds.map(({ id, number, donor }) => (
              <option key={id} value={id}>
                {number}, {donor}
              </option>
            ))}
          </SelectField>
          <TextField
            label="Mother, if known"
            value={mother}
            maxLength={60}
            onChange={({ target }) => setMother(target.value)}
          />
        </div>
      )}
      {isBank && (
        <TextField
          label="Her cage"
          hint="As marked on its bar: A4"
          value={cage}
          maxLength={20}
          onChange={({ target }) => setCage(target.value)}
        />
      )}
      <Check tall label="In a cage, with candy" checked={caged} onChange={setCaged} />
    </Form>
  );
}

/** Someone was stung. */
export function StingForm(props: FormProps) {
  const [who, setWho] = useState('');
  const [stings, setStings] = useState('1');
  const [reaction, setReaction] = useState('');
  const count = numberIn(stings);
  return (
    <Form
      save="Keep"
      onSave={() =>
        who.trim() !== '' &&
        Number.isInteger(count) &&
        count >= 0 &&
        props.send(`${who.trim()} stung`, [
          draft('stung', {
            box: props.boxView.box.id,
            who: who.trim(),
            stings: count,
            reaction: reaction.trim(),
          }),
        ])
      }
      onCancel={props.onCancel}
    >
      <p className="mb-2 rounded bg-glow px-2 py-1">
        Swelling away from the sting, wheeze, faintness: call emergency services now. Whoever has reacted
        before keeps away or works under a doctor’s advice.
      </p>
      <TextField
        label="Who"
        required
        maxLength={60}
        value={who}
        onChange={({ target }) => setWho(target.value)}
      />
      <TextField
        label="Stings"
        inputMode="numeric"
        value={stings}
        onChange={({ target }) => setStings(target.value)}
      />
      <TextField
        label="How it went"
        maxLength={200}
        value={reaction}
        onChange={({ target }) => setReaction(target.value)}
      />
    </Form>
  );
}

/** Taken out of her compartment for a while: where she must go back, and by when. */
export const usualBack = (on: string): string => plusDays(on, 2);
