import { useSuspenseQuery } from '@tanstack/react-query';
import type { Yard } from '@yellow-cell/contract';
import {
  countOf,
  fairShare,
  isAsked,
  type ManyAct,
  type ManyRoom,
  manyActs,
  manyRooms,
  statusWords,
  type Warning,
  walkingOrder,
  warningsOf,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useAsOf } from '../app/now.ts';
import { yardsQuery } from '../app/queries.ts';
import { useSay } from '../app/units.ts';
import { type Draft, useLog } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { RoomIcon } from '../yard/RoomIcon.tsx';
import { useYard } from '../yard/useYard.ts';
import { actForms } from './acts/actForms.ts';

/** The same entered for many rooms in one go, with exceptions by one tap, and one undo for all. */
export function ManyScreen() {
  const { yard: wanted } = useParams();
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const [params] = useSearchParams();
  const yard = yards.find(({ id }) => id === wanted);
  if (!yard) return <p className="p-6">There is no such yard.</p>;
  const asked = params.get('act') ?? '';
  const act = Object.hasOwn(manyActs, asked) ? (asked as ManyAct) : undefined;
  return <Many yard={yard} act={act} />;
}

const keyOf = ({ box, room }: ManyRoom): string =>
  `${box.box.id} ${room.position}${room.role === 'bank' ? ` ${room.queens[0]?.id ?? ''}` : ''}`;

function Many({ yard, act }: { yard: Yard; act: ManyAct | undefined }) {
  const view = useYard(yard);
  const { isToday } = useAsOf();
  const [params, setParams] = useSearchParams();
  // Whom it is about stays from one act to the next.
  const only = params.get('only') ?? '';
  const asked = (change: { act?: string; only?: string }) => {
    const next = new URLSearchParams(params);
    for (const [name, value] of Object.entries(change)) next.set(name, value);
    return next;
  };
  const counts = useMemo(() => {
    const asOneWalks = walkingOrder(view.boxes, ({ box }) => box.place);
    return (Object.keys(manyActs) as ManyAct[]).map((each) => ({
      act: each,
      rooms: manyRooms(asOneWalks, each),
    }));
  }, [view.boxes]);
  const rooms = counts.find((each) => each.act === act)?.rooms ?? [];
  return (
    <main className="flex h-full flex-col bg-sheet">
      <div className="flex flex-wrap items-baseline gap-x-4 px-4 pt-3 sm:px-5">
        <h1 className="text-lg">Many at once</h1>
        <Link className="font-semibold underline" to={`/yard/${yard.id}`}>
          {yard.name}
        </Link>
        {view.more && (
          <button type="button" className="min-h-11 underline" onClick={view.more}>
            More boxes
          </button>
        )}
      </div>
      <div className="px-4 sm:hidden">
        <SelectField
          label="What is entered"
          value={act ?? ''}
          onChange={({ target }) => setParams(asked({ act: target.value }), { replace: true })}
        >
          <option value="" disabled>
            Choose…
          </option>
          {counts.map(({ act: each, rooms: fits }) => (
            <option key={each} value={each}>
              {manyActs[each].title}: {countOf(fits.length, 'room')}
            </option>
          ))}
        </SelectField>
      </div>
      <nav aria-label="What is entered" className="flex flex-wrap gap-2 px-5 py-2 max-sm:hidden">
        {counts.map(({ act: each, rooms: fits }) => (
          <Link
            key={each}
            to={`?${asked({ act: each })}`}
            replace
            aria-current={each === act ? 'true' : undefined}
            className={`button min-h-11 ${each === act ? 'bg-glow' : 'font-normal'}`}
          >
            {manyActs[each].title} <span className="text-soft">{fits.length}</span>
          </Link>
        ))}
      </nav>
      {!isToday ? (
        <p className="px-5 py-3">What is entered for many is entered for today. Press T for today.</p>
      ) : act === undefined ? (
        <p className="px-5 py-3 text-soft">
          Choose what is entered. The figure is the number of rooms that it fits as they stand.
        </p>
      ) : rooms.length === 0 ? (
        <p className="px-5 py-3 text-soft">No room of this yard is ready for that.</p>
      ) : (
        <Rooms
          key={act}
          view={view}
          act={act}
          rooms={rooms}
          only={only}
          onOnly={(typed) => setParams(asked({ only: typed }), { replace: true })}
        />
      )}
    </main>
  );
}

function Rooms({
  view,
  act,
  rooms,
  only,
  onOnly,
}: {
  view: ReturnType<typeof useYard>;
  act: ManyAct;
  rooms: readonly ManyRoom[];
  only: string;
  onOnly: (only: string) => void;
}) {
  const say = useSay();
  const log = useLog();
  const useForm = actForms[act];
  const form = useForm(view);
  const { ready: asked, drafts: draftsOf, most, apart } = form;
  const one = manyActs[act].eachQueen ? 'queen' : 'room';
  /** What was chosen by hand, against what is proposed. */
  const [byHand, setByHand] = useState<Readonly<Record<string, boolean>>>({});
  const [reason, setReason] = useState('');
  const [refused, setRefused] = useState<string>();
  const shown = useMemo(
    () =>
      rooms.filter(({ box, room }) =>
        isAsked(only, box.box.label, `${room.name} ${statusWords[room.status]}`),
      ),
    [rooms, only],
  );
  const acts = useMemo(
    () =>
      shown
        .map((each) => {
          const drafts = asked ? draftsOf(each, 0) : [];
          return { each, drafts, warnings: drafts.flatMap((one) => warningsOf(view, one)) };
        })
        .filter(({ drafts }) => !asked || drafts.length > 0),
    [shown, asked, draftsOf, view],
  );
  const proposed = useMemo(() => {
    const fit = acts.filter(({ each, warnings }) => each.due && !manyActs[act].seen && warnings.length === 0);
    return new Set(
      fairShare(
        fit.map(({ each }) => each),
        most?.rooms ?? fit.length,
        apart,
      ),
    );
  }, [acts, act, most?.rooms, apart]);
  const isChosen = ({ each }: (typeof acts)[number]): boolean => byHand[keyOf(each)] ?? proposed.has(each);
  const chosen = acts.filter(isChosen);
  const warned = chosen.filter(({ warnings }) => warnings.length > 0);
  const set = (chosen: (each: ManyRoom) => boolean) =>
    setByHand({ ...byHand, ...Object.fromEntries(acts.map(({ each }) => [keyOf(each), chosen(each)])) });
  /** As many as there is enough for. */
  const share = most && most.rooms > 0 && most.rooms < acts.length ? most.rooms : undefined;
  const chooseShare = (count: number) => {
    const share = new Set(
      fairShare(
        acts.map(({ each }) => each),
        count,
        apart,
      ),
    );
    set((each) => share.has(each));
  };
  const tooMany = most !== undefined && chosen.length > most.rooms ? most.sentence : undefined;
  const wantsReason = warned.length > 0 || tooMany !== undefined;
  const ready = asked && chosen.length > 0 && (!wantsReason || reason.trim() !== '');
  const enter = async () => {
    if (!ready) return;
    const drafts = chosen.flatMap(({ each, warnings }, nth) =>
      draftsOf(each, nth).map(
        (one): Draft =>
          tooMany !== undefined || warnings.length > 0 ? { ...one, note: reason.trim() } : one,
      ),
    );
    const delivery = await log(`${form.words}: ${countOf(chosen.length, one)}`, drafts);
    setRefused(delivery.state === 'refused' ? delivery.problems[0]?.sentence : undefined);
    if (delivery.state !== 'refused') {
      // What was chosen for the next go while this one was on its way stays chosen.
      const entered = new Set(chosen.map(({ each }) => keyOf(each)));
      setByHand((now) => Object.fromEntries(Object.entries(now).filter(([key]) => !entered.has(key))));
      setReason('');
    }
  };
  return (
    <>
      <div className="min-h-0 flex-1 overflow-y-auto px-4 sm:px-5">
        <div className="mx-auto max-w-4xl">
          {form.fields}
          <div className="flex items-end gap-2">
            <div className="min-w-0 flex-1 sm:max-w-56">
              <TextField
                label="Only"
                placeholder="B1-B12, west"
                value={only}
                onChange={({ target }) => onOnly(target.value)}
              />
            </div>
            {share !== undefined && (
              <button type="button" className="button mb-2.5 min-h-12" onClick={() => chooseShare(share)}>
                {share} of {acts.length}
              </button>
            )}
            <button type="button" className="button mb-2.5 min-h-12" onClick={() => set(() => true)}>
              All {acts.length}
            </button>
            <button
              type="button"
              className="button mb-2.5 min-h-12 font-normal"
              onClick={() => set(() => false)}
            >
              None
            </button>
          </div>
          <ul className="grid gap-x-4 sm:grid-cols-2">
            {acts.map((one) => (
              <RoomRow
                key={keyOf(one.each)}
                each={one.each}
                warnings={one.warnings}
                says={form.says?.(one.each)}
                chosen={isChosen(one)}
                onChoose={(on) => setByHand({ ...byHand, [keyOf(one.each)]: on })}
              />
            ))}
          </ul>
          {shown.length === 0 && <p className="py-3 text-soft">Nothing fits that.</p>}
        </div>
      </div>
      <div className="border-t border-hairline bg-slip px-4 py-2 sm:px-5">
        <div className="mx-auto max-w-4xl">
          {refused && (
            <p role="alert" className="mb-1 font-medium text-danger">
              {say(refused)}
            </p>
          )}
          {tooMany && (
            <p role="alert" className="mb-1 font-medium text-danger">
              {tooMany}
            </p>
          )}
          {wantsReason && (
            <TextField
              label={`Why it is done all the same in ${countOf(tooMany ? chosen.length : warned.length, 'room')}`}
              value={reason}
              maxLength={300}
              onChange={({ target }) => setReason(target.value)}
            />
          )}
          <button
            type="button"
            className="button button-main min-h-12 w-full"
            disabled={!ready}
            onClick={() => void enter()}
          >
            {chosen.length === 0
              ? `${manyActs[act].title}: no ${one} chosen`
              : `${say(form.words)}: ${countOf(chosen.length, one)}`}
          </button>
        </div>
      </div>
    </>
  );
}

function RoomRow({
  each: { box, room, due },
  warnings,
  says,
  chosen,
  onChoose,
}: {
  each: ManyRoom;
  says: string | undefined;
  warnings: readonly Warning[];
  chosen: boolean;
  onChoose: (chosen: boolean) => void;
}) {
  const say = useSay();
  return (
    <li className="border-b border-hairline">
      <label className={`flex min-h-12 items-center gap-3 py-1 ${chosen ? 'bg-glow' : ''}`}>
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-[var(--ink)]"
          checked={chosen}
          onChange={({ target }) => onChoose(target.checked)}
        />
        <RoomIcon room={room} />
        <span className="min-w-0 flex-1">
          <strong>
            {box.box.label} {room.name}
          </strong>{' '}
          <span className="text-soft">
            {room.role === 'bank' ? 'bank' : statusWords[room.status]}
            {due ? ', due' : ''}
          </span>
          {says && <span className="block text-sm text-soft">{says}</span>}
          {warnings.map(({ sentence }) => (
            <span key={sentence} className="block text-sm text-danger">
              {say(sentence)}
            </span>
          ))}
        </span>
      </label>
    </li>
  );
}
