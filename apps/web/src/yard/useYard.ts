import { useSuspenseInfiniteQuery, useSuspenseQuery } from '@tanstack/react-query';
import type { DesignContent, LogEvent, Yard } from '@yellow-cell/contract';
import {
  type BoxModel,
  type BoxState,
  boxFromAbove,
  type Constants,
  chronicle,
  compartmentsOf,
  constantsWith,
  type Day,
  type Drawing,
  deriveBox,
  designOf,
  type Expectation,
  expectationsOf,
  firstExpectation,
  foldChronicle,
  type Known,
  type StandingCompartment,
  subjectsOf,
  type Urgency,
  urgencyOn,
  type Weather,
  type YardState,
} from '@yellow-cell/core';
import { useMemo } from 'react';
import { useAsOf } from '../app/now.ts';
import { useOutbox } from '../app/outbox.ts';
import { sessionQuery, yardLogKey, yardLogPage, yardsQuery } from '../app/queries.ts';

export interface CompartmentView extends StandingCompartment {
  expectations: readonly Expectation[];
  first: Expectation | undefined;
  urgency: Urgency | undefined;
}

export interface BoxView {
  box: BoxState;
  design: DesignContent;
  designName: string;
  drawing: Drawing;
  model: BoxModel;
  compartments: readonly CompartmentView[];
}

export interface YardView {
  yard: Yard;
  on: Day;
  state: YardState;
  designs: Known['designs'];
  /** Boxes that stand in the yard on the day shown, in the order of their labels. */
  boxes: readonly BoxView[];
  weather: Weather;
  constants: Constants;
  more: (() => void) | undefined;
}

/** The yard as of the day shown: its story folded here, with what this device has not sent yet. */
export function useYard(yard: Yard): YardView {
  const { on, today } = useAsOf();
  const { data: session } = useSuspenseQuery(sessionQuery);
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const log = useSuspenseInfiniteQuery({
    queryKey: yardLogKey(yard.id),
    queryFn: ({ pageParam, signal }) => yardLogPage(yard.id, pageParam, signal),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
  });
  const parcels = useOutbox();
  const pages = log.data.pages;

  const known = useMemo((): Known => {
    const designs = new Map(
      pages.flatMap((page) => page.designs.map((design) => [design.id, design] as const)),
    );
    return { designs, yards: new Set(yards.map(({ id }) => id)) };
  }, [pages, yards]);
  const dated = useMemo(() => {
    const events = new Map(pages.flatMap((page) => page.events.map((event) => [event.id, event] as const)));
    for (const entry of parcels.flatMap(({ entries }) => entries)) {
      if (!events.has(entry.id))
        events.set(entry.id, {
          ...entry,
          breeder: '',
          recordedAt: entry.occurredAt,
          subjects: subjectsOf(entry),
        } as LogEvent);
    }
    return chronicle([...events.values()]);
  }, [pages, parcels]);
  const constants = useMemo(() => constantsWith(session.settings.constants[yard.id]), [session, yard.id]);
  const state = useMemo(() => foldChronicle(known, dated, on, constants), [known, dated, on, constants]);
  const weather: Weather = state.weather.get(yard.id) ?? NO_WEATHER;
  const boxes = useMemo(
    () =>
      [...state.boxes.values()]
        .filter(({ place, takenApartOn }) => place?.yard === yard.id && !takenApartOn)
        .sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))
        .flatMap((box) => viewOf(box, state, known, weather, constants, { on, today }) ?? []),
    [state, known, weather, constants, on, today, yard.id],
  );
  const more = log.hasNextPage ? () => void log.fetchNextPage() : undefined;
  return { yard, on, state, designs: known.designs, boxes, weather, constants, more };
}

const NO_WEATHER: Weather = new Map();

function viewOf(
  box: BoxState,
  state: YardState,
  known: Known,
  weather: Weather,
  constants: Constants,
  { on, today }: { on: Day; today: Day },
): BoxView | undefined {
  const design = designOf(known.designs, box);
  if (!design) return undefined;
  const compartments = compartmentsOf(state, known.designs, box).map((compartment): CompartmentView => {
    const { colony, attempt } = compartment;
    const expectations = colony ? expectationsOf(colony, attempt, weather, constants) : [];
    const first = firstExpectation(expectations, on, today);
    return { ...compartment, expectations, first, urgency: first && urgencyOn(first, on, today) };
  });
  return {
    box,
    design,
    designName: known.designs.get(box.design)?.name ?? '',
    ...shapesOf(design),
    compartments,
  };
}

/** Drawings are the same for all boxes of a version, and do not change with the date. */
const shapes = new WeakMap<DesignContent, { model: BoxModel; drawing: Drawing }>();
function shapesOf(design: DesignContent): { model: BoxModel; drawing: Drawing } {
  let found = shapes.get(design);
  if (!found) {
    const model = deriveBox(design);
    found = { model, drawing: boxFromAbove(model) };
    shapes.set(design, found);
  }
  return found;
}
