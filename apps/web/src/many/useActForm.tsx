import type { Feed, QueenColour, QueenFate } from '@yellow-cell/contract';
import {
  cellsUntil,
  doorsOf,
  fateWords,
  feedWords,
  type ManyAct,
  type ManyRoom,
  nextMark,
  plusDays,
  readWeight,
  showDay,
  showWeight,
  yearColour,
} from '@yellow-cell/core';
import { type ReactNode, useMemo, useState } from 'react';
import { newId } from '../app/ids.ts';
import { useMeasures, useSay } from '../app/units.ts';
import { type Draft, draft } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { inRoom } from '../yard/Form.tsx';
import { useProduct } from '../yard/useProduct.tsx';
import type { YardView } from '../yard/useYard.ts';

interface ActForm {
  /** What is asked once for all rooms. */
  fields: ReactNode;
  /** What is done, as the button and the message say it. */
  words: string;
  problem: string | undefined;
  /** The entries for one room, the nth of those chosen, from 0. */
  drafts: (room: ManyRoom, nth: number) => Draft[];
}

const USUAL_WEEKS = 6;
const USUAL_FEED_KG = 0.5;
const whole = (typed: string, most: number): boolean =>
  /^\d{1,2}$/.test(typed.trim()) && Number(typed) <= most;

/** What an act asks once, and enters for each room. */
export function useActForm(view: YardView, act: ManyAct): ActForm {
  const say = useSay();
  const measures = useMeasures();
  const { given, fields: productFields } = useProduct();
  const [product, batch] = [given?.product, given?.batch];
  const [stock, setStock] = useState({ sealedBrood: '1', stores: '1', shakes: '2' });
  const rounds = [...view.state.rounds.values()]
    .filter((each) => !each.planned && cellsUntil(each) >= view.on)
    .sort((a, b) => (a.graftedOn > b.graftedOn ? -1 : 1));
  const ripe = (graftedOn: string) => plusDays(graftedOn, view.constants.cellToRipe_d);
  const [round, setRound] = useState(rounds.find(({ graftedOn }) => ripe(graftedOn) <= view.on)?.id ?? '');
  const [feed, setFeed] = useState<Feed>('syrup11');
  const [amount, setAmount] = useState(showWeight(USUAL_FEED_KG, measures));
  const [outBy, setOutBy] = useState(plusDays(view.on, 7 * USUAL_WEEKS));
  const [pct, setPct] = useState('');
  const year = Number(view.on.slice(0, 4));
  const [colour, setColour] = useState<QueenColour>(yearColour(year));
  const [typedNumber, setNumber] = useState<string>();
  const number = typedNumber ?? String(nextMark(view.state.queens.values(), colour));
  const [to, setTo] = useState<QueenFate>('sold');
  const amount_kg = readWeight(amount, measures.weight);

  const form: Record<ManyAct, Omit<ActForm, 'drafts'>> = {
    stock: {
      words: `Stocked, ${stock.sealedBrood} of brood, ${stock.stores} of stores, ${stock.shakes} shakes`,
      problem:
        whole(stock.sealedBrood, 20) && whole(stock.stores, 20) && whole(stock.shakes, 40)
          ? undefined
          : 'Whole numbers from 0.',
      fields: (
        <>
          <div className="grid max-w-xl grid-cols-3 gap-x-3">
            {(
              [
                ['sealedBrood', 'Sealed brood', 20],
                ['stores', 'Stores and pollen', 20],
                ['shakes', 'Shakes of bees', 40],
              ] as const
            ).map(([name, label, most]) => (
              <TextField
                key={name}
                label={label}
                inputMode="numeric"
                value={stock[name]}
                problem={whole(stock[name], most) ? undefined : 'A whole number.'}
                onChange={({ target }) => setStock({ ...stock, [name]: target.value })}
              />
            ))}
          </div>
          <p className="mb-2 text-sm text-soft">
            The rest of each room is drawn comb. No queen among them, no open brood; shut on vent, cool and
            fed for one to three days. Shaken bees sting: veil and gloves.
          </p>
        </>
      ),
    },
    cell: {
      words: 'Cell given',
      problem: undefined,
      fields: (
        <div className="max-w-xl">
          <SelectField
            label="From round"
            value={round}
            hint="Upright, unjolted, warm; between top bars near brood."
            onChange={({ target }) => setRound(target.value)}
          >
            {rounds.map(({ id, number, donor, graftedOn }) => (
              <option key={id} value={id}>
                Round {number}, {donor}: ripe {say(showDay(ripe(graftedOn), view.on))}
              </option>
            ))}
            <option value="">Not one of these</option>
          </SelectField>
        </div>
      ),
    },
    opened: {
      words: 'Cell seen opened',
      problem: undefined,
      fields: <p className="mb-2 text-soft">Choose those whose cell is open at its tip; the others wait.</p>,
    },
    eggs: {
      words: 'Eggs seen',
      problem: undefined,
      fields: (
        <p className="mb-2 text-soft">
          Choose those with eggs, one at the floor of each cell; the others wait.
        </p>
      ),
    },
    pattern: {
      words: `Pattern ${pct} %`,
      problem: /^\d{1,3}$/.test(pct.trim()) && Number(pct) <= 100 ? undefined : 'A pattern is 0 to 100 %.',
      fields: (
        <div className="max-w-xs">
          <TextField
            label="Pattern of those chosen (%)"
            inputMode="numeric"
            value={pct}
            hint="Choose those that are alike; then the next."
            onChange={({ target }) => setPct(target.value)}
          />
        </div>
      ),
    },
    mark: {
      words: `Marked ${colour}, from ${number}`,
      problem: /^\d{1,9}$/.test(number.trim()) ? undefined : 'A number to begin with.',
      fields: (
        <div className="grid max-w-xl grid-cols-2 gap-x-3">
          <SelectField
            label="Mark"
            value={colour}
            hint={`The colour of ${year} is ${yearColour(year)}.`}
            onChange={({ target }) => setColour(target.value as QueenColour)}
          >
            {(['white', 'yellow', 'red', 'green', 'blue', 'other'] as const).map((each) => (
              <option key={each}>{each}</option>
            ))}
          </SelectField>
          <TextField
            label="First number"
            inputMode="numeric"
            value={number}
            hint="Counted on as one walks past those chosen."
            onChange={({ target }) => setNumber(target.value)}
          />
        </div>
      ),
    },
    taken: {
      words: `Queens taken, ${fateWords[to]}`,
      problem: undefined,
      fields: (
        <div className="max-w-xs">
          <SelectField
            label="Where they went"
            value={to}
            hint="Their bees stay for the next cell."
            onChange={({ target }) => setTo(target.value as QueenFate)}
          >
            {(['sold', 'colony', 'bank', 'culled'] as const).map((each) => (
              <option key={each} value={each}>
                {fateWords[each]}
              </option>
            ))}
          </SelectField>
        </div>
      ),
    },
    feed: {
      words: `Fed ${Number(amount_kg.toFixed(2))} kg of ${feedWords[feed]} each`,
      problem: amount_kg > 0 && amount_kg <= 30 ? undefined : 'Feed is above 0 and at most 30 kg.',
      fields: (
        <div className="grid max-w-xl grid-cols-2 gap-x-3">
          <SelectField label="Feed" value={feed} onChange={({ target }) => setFeed(target.value as Feed)}>
            {Object.entries(feedWords).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </SelectField>
          <TextField
            label={`Each (${measures.weight}, or with its unit)`}
            value={amount}
            problem={amount_kg > 0 && amount_kg <= 30 ? undefined : say('Above 0 and at most 30 kg.')}
            onChange={({ target }) => setAmount(target.value)}
          />
        </div>
      ),
    },
    stripsIn: {
      words: `${product ?? 'Strips'} in, out by ${showDay(outBy, view.on)}`,
      problem: product && outBy > view.on ? undefined : 'A product, and a day after today.',
      fields: (
        <div className="max-w-xl">
          {productFields}
          <TextField
            label="Out by, as its label says"
            type="date"
            value={outBy}
            hint="Only what is authorised where you are, by its label. The program computes no dose."
            onChange={({ target }) => setOutBy(target.value)}
          />
        </div>
      ),
    },
    stripsOut: { words: 'Strips out', problem: undefined, fields: null },
    open: { words: 'Entrance opened', problem: undefined, fields: null },
    shut: {
      words: 'Shut on vent',
      problem: undefined,
      fields: (
        <p className="mb-2 text-soft">
          When all are home. Shut in they want feed, water and air, and are opened after one to three days.
        </p>
      ),
    },
    covers: { words: 'Cover back on', problem: undefined, fields: null },
  };
  const asked = form[act];
  const drafts = useMemo(() => {
    const entries: Record<ManyAct, ActForm['drafts']> = {
      stock: ({ box, room }) => {
        const [sealedBrood, stores] = [Number(stock.sealedBrood), Number(stock.stores)];
        return [
          draft('stocked', {
            box: box.box.id,
            colony: newId(),
            bays: [...room.bays],
            frames: { sealedBrood, stores, drawn: Math.max(0, room.frames - sealedBrood - stores) },
            shakes: Number(stock.shakes),
            openBrood: false,
          }),
        ];
      },
      cell: ({ box, room }) => [
        draft('cellGiven', { ...inRoom(box.box, room), attempt: newId(), ...(round ? { round } : {}) }),
      ],
      opened: ({ box, room }) => [
        draft('cellOpened', { ...inRoom(box.box, room), attempt: room.attempt?.id ?? '' }),
      ],
      eggs: ({ box, room }) => [
        draft('eggsSeen', {
          ...inRoom(box.box, room),
          ...attemptOf(room),
        }),
      ],
      pattern: ({ box, room }) => [
        draft('patternScored', { ...inRoom(box.box, room), ...attemptOf(room), pattern_pct: Number(pct) }),
      ],
      mark: ({ box, room }, nth) => {
        const [queen] = room.queens;
        if (!queen || !room.colony) return [];
        const of = { box: box.box.id, colony: room.colony.id, queen: queen.id };
        return [
          ...(queen.birthYear === undefined && room.attempt
            ? [draft('queenRecorded', { ...of, birthYear: year })]
            : []),
          draft('queenMarked', { ...of, colour, clipped: false, number: String(Number(number) + nth) }),
        ];
      },
      taken: ({ box, room }) => {
        const [queen] = room.queens;
        return [
          draft('queenTaken', {
            ...inRoom(box.box, room),
            ...attemptOf(room),
            to,
            beesRemain: true,
            ...(queen ? { queen: queen.id } : {}),
          }),
        ];
      },
      feed: ({ box, room }) => [draft('fed', { ...inRoom(box.box, room), feed, amount_kg })],
      stripsIn: ({ box, room }) =>
        product
          ? [draft('stripsPut', { ...inRoom(box.box, room), product, ...(batch ? { batch } : {}), outBy })]
          : [],
      stripsOut: ({ box, room: { colony, left } }) =>
        ((colony ?? left)?.strips ?? []).map(({ id }) =>
          draft('stripsOut', { box: box.box.id, colony: (colony ?? left)?.id ?? '', strips: id }),
        ),
      open: ({ box, room }) =>
        doorsOf(room, box, false)
          .slice(0, 1)
          .map((entrance) => draft('entranceSet', { box: box.box.id, entrance, state: 'open' })),
      shut: ({ box, room }) =>
        doorsOf(room, box, true).map((entrance) =>
          draft('entranceSet', { box: box.box.id, entrance, state: 'vent' }),
        ),
      covers: ({ box, room }) => [draft('coverSet', { ...inRoom(box.box, room), on: true })],
    };
    return entries[act];
  }, [act, stock, round, feed, amount_kg, product, batch, outBy, pct, colour, number, year, to]);
  return { ...asked, drafts };
}

const attemptOf = ({ attempt }: ManyRoom['room']) => (attempt ? { attempt: attempt.id } : {});
