import {
  usePrefetchQuery,
  useQuery,
  useSuspenseInfiniteQuery,
  useSuspenseQuery,
} from '@tanstack/react-query';
import type { Around, Climate, DesignSummary, Standing, Yard, YardLog } from '@yellow-cell/contract';
import {
  type BoxView,
  type CompartmentView,
  type Constants,
  constantsWith,
  type Day,
  type Known,
  stateOfStanding,
  type Weather,
  type YardState,
} from '@yellow-cell/core';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { isNarrow } from '../app/narrow.ts';
import { useAsOf } from '../app/now.ts';
import { useOutbox } from '../app/outbox.ts';
import {
  aroundQuery,
  boxStandingQuery,
  designsQuery,
  dueQuery,
  sessionQuery,
  standingKey,
  standingPage,
  yardLogKey,
  yardLogPage,
  yardsQuery,
} from '../app/queries.ts';
import type { Parcel } from '../app/shelf.ts';
import { useKeepClocks } from '../playbooks/clocks.ts';
import { useBoxViews } from './useBoxViews.ts';
import { useTeller } from './useTeller.ts';

export type { BoxView, CompartmentView };

export interface YardView {
  yard: Yard;
  on: Day;
  state: YardState;
  designs: Known['designs'];
  /** Boxes that stand in the yard on the day shown, in the order of their labels. */
  boxes: readonly BoxView[];
  weather: Weather;
  constants: Constants;
  /** The yard's own; estimated from the latitude without. */
  climate: Climate | undefined;
  more: (() => void) | undefined;
}

/**
 * So many boxes of a yard come by themselves, page after page; more when they are asked for. A phone's net and a day
 * that is past, of which a page is the whole story of its boxes, get on with fewer.
 */
const BY_THEMSELVES = { few: 300, many: 1_000 };
/** A page that did not come is asked for again after a while: a server in trouble is not asked all the time. */
const ASK_AGAIN_MS = 10_000;
const boxesOn = (page: Page): number => ('of' in page ? page.of : page.boxes).length;

/** The yard as of the day shown: as it stands with what this device has not sent yet, or for a day that is past its story folded here. */
export function useYard(yard: Yard, alsoBox?: string): YardView {
  const { on, today } = useAsOf();
  const past = on < today;
  usePrefetchQuery(aroundQuery(yard.id));
  const pages = useSuspenseInfiniteQuery({
    queryKey: past ? yardLogKey(yard.id) : standingKey(yard.id),
    queryFn: ({ pageParam, signal }): Promise<Page> =>
      past ? yardLogPage(yard.id, pageParam, signal) : standingPage(yard.id, pageParam, signal),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
  });
  const loaded = pages.data.pages.some(
    (page) => 'boxes' in page && page.boxes.some(({ box }) => box.id === alsoBox),
  );
  const extra = useQuery({
    ...boxStandingQuery(alsoBox ?? ''),
    enabled: alsoBox !== undefined && !past && !loaded && pages.hasNextPage,
  });
  // Once its page has come, the box that was asked for alone is no longer kept up to date.
  const all = useMemo(
    () => (extra.data && !loaded ? [...pages.data.pages, extra.data] : pages.data.pages),
    [pages.data.pages, extra.data, loaded],
  );
  const { hasNextPage, isFetchingNextPage, isFetchNextPageError, fetchNextPage } = pages;
  const wanted = !past && !isNarrow() ? BY_THEMSELVES.many : BY_THEMSELVES.few;
  const have = pages.data.pages.reduce((sum, page) => sum + boxesOn(page), 0);
  const comes = hasNextPage && have < wanted;
  const goesOn = comes && !isFetchingNextPage;
  useEffect(() => {
    if (!goesOn) return undefined;
    const timer = setTimeout(() => void fetchNextPage(), isFetchNextPageError ? ASK_AGAIN_MS : 0);
    return () => clearTimeout(timer);
  }, [goesOn, isFetchNextPageError, fetchNextPage]);
  // While a large yard still comes, what has come is drawn between what a person does.
  const inTurn = useDeferredValue(all);
  const view = useView(yard, comes ? inTurn : all, hasNextPage ? () => void fetchNextPage() : undefined);
  useKeepClocks(view);
  return view;
}

/** Only the boxes with work due on the day, most pressing first: all that a large yard's list of the day wants. */
export function useDueYard(view: YardView): YardView {
  const { data } = useQuery({ ...dueQuery(view.yard.id, view.on), enabled: view.more !== undefined });
  const pages = useMemo(() => (data ? [data] : []), [data]);
  const due = useView(view.yard, pages, undefined);
  return view.more && data ? due : view;
}

type Page = Standing | YardLog;

function useView(yard: Yard, pages: readonly Page[], more: (() => void) | undefined): YardView {
  const { on } = useAsOf();
  const { data: session } = useSuspenseQuery(sessionQuery);
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const { data: around } = useSuspenseQuery(aroundQuery(yard.id));
  const { data: summaries = NO_DESIGNS } = useQuery(designsQuery);
  const parcels = useOutbox();
  const known = useMemo((): Known => {
    const logs = pages.flatMap((page) => ('designs' in page ? page.designs : []));
    // A box may just have been built, on this device alone, from a design that no other box here is of.
    const newest = summaries.map(({ id, name, latest }) => ({ id, name, versions: [latest] }));
    const designs = new Map([...newest, ...around.designs, ...logs].map((design) => [design.id, design]));
    return { designs, yards: new Set(yards.map(({ id }) => id)) };
  }, [pages, around, summaries, yards]);
  const constants = useMemo(() => constantsWith(session.settings.constants[yard.id]), [session, yard.id]);
  const teller = useTeller(parcels.length > 0 || logsIn(pages).length > 0);
  const state = useMemo(
    () => stateOf(yard.id, pages, around, parcels, known, on, teller),
    [yard.id, pages, around, parcels, known, on, teller],
  );
  const weather: Weather = state.weather.get(yard.id) ?? NO_WEATHER;
  const boxes = useBoxViews({
    pages,
    state,
    known,
    yard: yard.id,
    around,
    constants,
    toldHere: parcels.length > 0,
  });
  const climate = session.settings.climates?.[yard.id];
  return { yard, on, state, designs: known.designs, boxes, weather, constants, climate, more };
}

function stateOf(
  yard: string,
  pages: readonly Page[],
  around: Around,
  parcels: readonly Parcel[],
  known: Known,
  on: Day,
  teller: ReturnType<typeof useTeller>,
): YardState {
  const logs = logsIn(pages);
  const standing = pages.flatMap((page) => ('boxes' in page ? page.boxes : []));
  const before =
    teller && logs.length > 0
      ? teller.tellPast(known.yards, logs, on)
      : stateOfStanding(standing, around.rounds, yard, around.weather);
  if (!teller || parcels.length === 0) return before;
  const told = new Set([...before.story, ...logs.flatMap(({ events }) => events)].map(({ id }) => id));
  return teller.tellUnsent(before, known, parcels, told, on);
}

const logsIn = (pages: readonly Page[]): YardLog[] => pages.filter((page) => 'events' in page);
const NO_DESIGNS: readonly DesignSummary[] = [];
const NO_WEATHER: Weather = new Map();
