import type { FailReason, QueenFate } from '@yellow-cell/contract';
import { failWords, fateWords, kinOf, kinWords, statusWords, staysAfterCombining } from '@yellow-cell/core';
import { useState } from 'react';
import { newId } from '../app/ids.ts';
import { draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { LotField } from '../rounds/LotField.tsx';
import { useOpenLots } from '../rounds/useOpenLots.ts';
import { FeedForm, StripsForm } from './CareForms.tsx';
import { Form, type FormProps, inColony, NoForm, ofColony } from './Form.tsx';
import { IntroductionForm, MitesForm, TreatedForm } from './HealthForms.tsx';
import { MoveForm } from './MoveForm.tsx';
import {
  OutingForm,
  QueenGivenForm,
  SearchForm,
  StingForm,
  StrengthForm,
  SuspectForm,
  TroubleForm,
  usualBack,
} from './ObserveForms.tsx';
import { PatternForm } from './PatternForm.tsx';
import { queenName } from './queenName.ts';
import { RoleForm } from './RoleForm.tsx';
import { StockForm } from './StockForm.tsx';
import { useRound } from './useRound.tsx';

const FORMS = {
  stock: StockForm,
  cell: CellForm,
  queen: QueenGivenForm,
  pattern: PatternForm,
  fail: FailForm,
  take: TakeForm,
  combine: CombineForm,
  move: MoveForm,
  feed: FeedForm,
  strips: StripsForm,
  strength: StrengthForm,
  search: SearchForm,
  trouble: TroubleForm,
  outing: OutingForm,
  suspect: SuspectForm,
  sting: StingForm,
  role: RoleForm,
  mites: MitesForm,
  treated: TreatedForm,
  introduction: IntroductionForm,
} as const;
export type FormKind = keyof typeof FORMS;

/** The small form of an action that asks something first. */
export function ActionForm({ kind, ...props }: FormProps & { kind: FormKind }) {
  const Chosen = FORMS[kind];
  return <Chosen {...props} />;
}

function CellForm(props: FormProps) {
  const { view, send, onCancel } = props;
  const { round, field } = useRound(view);
  const give = () =>
    send('cell given', [
      draft('cellGiven', { ...inColony(props), attempt: newId(), ...(round ? { round } : {}) }),
    ]);
  return (
    <Form save="Cell given" onSave={give} onCancel={onCancel}>
      {field}
    </Form>
  );
}

function FailForm(props: FormProps) {
  const { status } = props.compartment;
  const [reason, setReason] = useState<FailReason>(
    status === 'cellGiven'
      ? 'cellNotOpened'
      : status === 'virgin'
        ? 'virginLost'
        : status === 'laying'
          ? 'droneLayer'
          : 'unknown',
  );
  const [note, setNote] = useState('');
  return (
    <Form
      save="Failed"
      onSave={() =>
        props.send(`failed, ${failWords[reason]}`, [draft('failed', { ...ofColony(props), reason }, note)])
      }
      onCancel={props.onCancel}
    >
      <SelectField
        label="Reason"
        value={reason}
        onChange={({ target }) => setReason(target.value as FailReason)}
      >
        {Object.entries(failWords).map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Note"
        value={note}
        maxLength={5_000}
        onChange={({ target }) => setNote(target.value)}
      />
    </Form>
  );
}

function TakeForm(props: FormProps) {
  const { queens } = props.compartment;
  const [to, setTo] = useState<QueenFate>('sold');
  const [beesRemain, setBeesRemain] = useState(true);
  const [queen, setQueen] = useState(queens[0]?.id ?? '');
  const [backBy, setBackBy] = useState(usualBack(props.view.on));
  const aside = to === 'aside';
  const banks = banksIn(props);
  const [bank, setBank] = useState(banks[0]?.colony ?? '');
  const [cage, setCage] = useState('');
  const lots = useOpenLots();
  const [wanted, setWanted] = useState('');
  const lot = to === 'sold' || to === 'colony' ? wanted : '';
  const keeper = to === 'bank' ? banks.find(({ colony }) => colony === bank) : undefined;
  return (
    <Form
      save="Queen taken"
      onSave={() =>
        props.send(`queen taken, ${fateWords[to]}`, [
          draft('queenTaken', {
            ...ofColony(props),
            to,
            beesRemain,
            ...(queen ? { queen } : {}),
            ...(aside ? { backBy } : {}),
            ...(keeper ? { bank: { box: keeper.box, colony: keeper.colony } } : {}),
            ...(keeper && cage.trim() ? { cage: cage.trim() } : {}),
            ...(lot ? { lot } : {}),
          }),
        ])
      }
      onCancel={props.onCancel}
    >
      {queens.length > 1 && (
        <SelectField label="Which queen" value={queen} onChange={({ target }) => setQueen(target.value)}>
          {queens.map((each) => (
            <option key={each.id} value={each.id}>
              {queenName(each)}
            </option>
          ))}
        </SelectField>
      )}
      <SelectField
        label="Where she went"
        value={to}
        onChange={({ target }) => setTo(target.value as QueenFate)}
      >
        {Object.entries(fateWords).map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </SelectField>
      {(to === 'sold' || to === 'colony') && <LotField lots={lots} value={lot} onChange={setWanted} />}
      {aside && (
        <TextField
          label="She goes back by"
          type="date"
          value={backBy}
          onChange={({ target }) => setBackBy(target.value)}
        />
      )}
      {to === 'bank' && (
        <div className="grid grid-cols-2 gap-x-3">
          <SelectField label="Which bank" value={bank} onChange={({ target }) => setBank(target.value)}>
            {banks.map(({ colony, where }) => (
              <option key={colony} value={colony}>
                {where}
              </option>
            ))}
            <option value="">one that is not in this yard</option>
          </SelectField>
          <TextField
            label="Her cage"
            hint="As marked on its bar: A4"
            value={cage}
            maxLength={20}
            onChange={({ target }) => setCage(target.value)}
          />
        </div>
      )}
      <label className="mb-2 flex items-center gap-2">
        <input
          type="checkbox"
          checked={beesRemain}
          onChange={({ target }) => setBeesRemain(target.checked)}
        />
        Her bees stay here for the next cell
      </label>
    </Form>
  );
}

/** The banks of the yard, but for these bees themselves. */
const banksIn = ({ view, compartment }: FormProps) =>
  view.boxes.flatMap(({ box, compartments }) =>
    compartments.flatMap(({ name, role, colony, shares }) =>
      role === 'bank' && colony && !shares && colony.id !== compartment.colony?.id
        ? [{ box: box.id, colony: colony.id, where: `${box.label} ${name}` }]
        : [],
    ),
  );

function CombineForm(props: FormProps) {
  const { view, boxView, compartment, send, onCancel } = props;
  const targets = view.boxes
    .flatMap((each) => each.compartments.map((other) => ({ each, other })))
    .filter(({ other }) => other.colony && !other.shares && other.colony.id !== compartment.colony?.id)
    .sort((a, b) => Number(b.each.box.id === boxView.box.id) - Number(a.each.box.id === boxView.box.id));
  const [into, setInto] = useState(targets[0]?.other.colony?.id ?? '');
  const target = targets.find(({ other }) => other.colony?.id === into);
  const [also, setAlso] = useState('');
  const second = targets.find(({ other }) => other.colony?.id === also && also !== into);
  const { colony } = compartment;
  const other = target?.other.colony;
  const stays = colony && other && staysAfterCombining(colony, other);
  const hers = stays && (stays.id === colony.id ? compartment : target?.other)?.queens[0];
  if (targets.length === 0)
    return <NoForm onCancel={onCancel}>There is no other colony in this yard to combine with.</NoForm>;
  const combine = () =>
    target &&
    send(`combined with ${target.each.box.label} ${target.other.name}`, [
      draft('combined', {
        box: boxView.box.id,
        colony: compartment.colony?.id ?? '',
        intoBox: target.each.box.id,
        into,
        ...(second ? { also: { box: second.each.box.id, colony: also } } : {}),
      }),
    ]);
  return (
    <Form save="Combine" onSave={combine} onCancel={onCancel}>
      <SelectField
        label="With"
        value={into}
        onChange={({ target: { value } }) => setInto(value)}
        hint={
          stays
            ? `${stays.id === colony.id ? 'The queen or cell of these' : 'Their queen or cell'} stays${hers ? `, ${queenName(hers)}` : ''}. Kin: ${other ? kinWords[kinOf(view.state, colony, other)] : 'not known'}. Look again in a week for a wild cell.`
            : 'Neither has a queen or a cell.'
        }
      >
        {targets.map(({ each, other }) => (
          <option key={other.colony?.id} value={other.colony?.id}>
            {each.box.label} {other.name}: {statusWords[other.status]}
          </option>
        ))}
      </SelectField>
      {targets.length > 1 && (
        <SelectField
          label="And with, where they are shared between two"
          value={also}
          onChange={({ target: { value } }) => setAlso(value)}
        >
          <option value="">nobody else</option>
          {targets
            .filter(({ other }) => other.colony?.id !== into)
            .map(({ each, other }) => (
              <option key={other.colony?.id} value={other.colony?.id}>
                {each.box.label} {other.name}: {statusWords[other.status]}
              </option>
            ))}
        </SelectField>
      )}
    </Form>
  );
}
