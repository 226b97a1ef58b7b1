import { METRIC } from '@yellow-cell/core';
import 'fake-indexeddb/auto';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { configure, render } from '@testing-library/react';
import {
  type Design,
  Entry,
  type EventKind,
  type LogEvent,
  type Measures,
  type Payload,
  type Session,
  type Unsettled,
  type Yard,
} from '@yellow-cell/contract';
import { kindVersionOf } from '@yellow-cell/contract/subjects';
import {
  asEvent,
  boxViews,
  chronicle,
  constantsWith,
  type Day,
  foldOn,
  instantOf,
  type Known,
  standardDesign,
  stateOfStanding,
} from '@yellow-cell/core';
import { type ReactNode, Suspense, useSyncExternalStore } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import { ShownDay } from '../app/now.ts';
import { MeasuresContext } from '../app/units.ts';
import { ToastProvider } from '../parts/Toast.tsx';
import type { YardView } from './useYard.ts';

/**
 * Screens of the yard with a server that is a list of entries: what they send is read by the contract's schema and told
 * by core's fold, and a live entry that cannot be is refused, as the real one does. The way through the outbox is real.
 */
export const TODAY: Day = '2026-06-10';
// A limit for what hangs: a busy machine takes many times as long as an idle one.
configure({ asyncUtilTimeout: 30_000 });
const ZONE = 'Europe/Vienna';
export const id = (number: number): string => `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`;
export const BOX = id(1);
export const YARD = id(2);
const DESIGN = id(3);

const content = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [3, 3, 3] });
const design: Design = {
  id: DESIGN,
  name: 'Three-way',
  versions: [{ id: id(4), number: 1, content, note: '', savedAt: '', savedBy: '' }],
};
const [body] = content.layers.flatMap((layer) => (layer.kind === 'body' ? [layer] : []));
export const bays: readonly string[] = body?.bays.map((bay) => bay.id) ?? [];
export const boards: readonly string[] = body?.boards.map((board) => board.id) ?? [];
export const slots: readonly string[] =
  body?.bays.flatMap(({ frames }) => frames.map((slot) => slot.id)) ?? [];
const known: Known = { designs: new Map([[DESIGN, design]]), yards: new Set([YARD]) };

const yard: Yard = {
  id: YARD,
  name: 'Meadow',
  latitude_deg: 48,
  longitude_deg: 16,
  zone: ZONE,
  version: 1,
  boxes: 1,
  compartments: 3,
} as Yard;
const session: Session = {
  breeder: { id: id(5), name: 'B' },
  now: instantOf(TODAY, 10, 0, ZONE),
  demoClock: false,
  demoDays: [],
  realNow: instantOf(TODAY, 10, 0, ZONE),
  settings: { person: 'P', measures: METRIC, constants: {}, version: 1 },
};

let count = 0;
export function told<K extends EventKind>(kind: K, on: Day, payload: Payload<K>, hour = 9): LogEvent {
  count += 1;
  return asEvent({
    id: id(1_000 + count),
    kind,
    kindVersion: kindVersionOf(kind),
    occurredAt: instantOf(on, hour, 0, ZONE),
    zone: ZONE,
    person: 'P',
    device: 'before',
    deviceSeq: count,
    payload,
  } as unknown as Entry);
}

export const built: readonly LogEvent[] = [
  told('boxBuilt', '2026-04-01', { box: BOX, label: 'B1', design: DESIGN, version: 1 }),
  told('boxPlaced', '2026-04-02', {
    box: BOX,
    yard: YARD,
    stand: '1',
    east_m: 1,
    north_m: 1,
    bearing_deg: 180,
  }),
];

export function viewOf(events: readonly LogEvent[], on: Day = TODAY): YardView {
  const constants = constantsWith({});
  const state = foldOn(stateOfStanding([], [], YARD, []), known, chronicle(events), on);
  const boxes = boxViews(state, known, YARD, constants, { on, today: on });
  return {
    yard,
    on,
    state,
    designs: known.designs,
    boxes,
    weather: new Map(),
    constants,
    climate: undefined,
    more: undefined,
  };
}

/** A server with a story, to which what is entered is added. */
export function serverWith(events: readonly LogEvent[], unsettled: readonly Unsettled[] = []) {
  const server = { events: [...events], posted: [] as Entry[], refused: [] as string[] };
  const listeners = new Set<() => void>();
  const reply = (status: number, body: unknown) => new Response(JSON.stringify(body), { status });
  const take = (entries: readonly unknown[]): Response => {
    const read = entries.map((entry) => Entry.parse(entry));
    const next = [...server.events, ...read.map(asEvent)];
    const problems = viewOf(next).state.toSettle.filter(({ event }) =>
      read.some((entry) => entry.id === event.id),
    );
    if (problems.length > 0) {
      server.refused.push(...problems.map(({ sentence }) => sentence));
      return reply(422, {
        type: '/problems/invalid',
        detail: '',
        problems: problems.map(({ sentence }) => ({ path: '', sentence })),
      });
    }
    server.posted.push(...read);
    server.events = next;
    for (const listener of listeners) listener();
    return reply(200, { stored: read.map((entry) => entry.id), repeated: [], toSettle: [] });
  };
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    if (url === '/api/events') return take(JSON.parse(String(init?.body)).entries);
    if (url === '/api/session') return reply(200, session);
    if (url === '/api/yards') return reply(200, [yard]);
    if (url === '/api/designs')
      return reply(200, [{ id: DESIGN, name: design.name, latest: design.versions[0] }]);
    if (url.startsWith('/api/to-settle'))
      return reply(200, { items: unsettled, next: null, count: unsettled.length });
    if (url === `/api/boxes/${BOX}/log`)
      return reply(200, { events: server.events, designs: [design], next: null });
    return reply(404, { detail: `Nobody asked for ${url} in this test.` });
  });
  return {
    ...server,
    get posted() {
      return server.posted;
    },
    get refused() {
      return server.refused;
    },
    get events() {
      return server.events;
    },
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
export type Server = ReturnType<typeof serverWith>;

interface SeenProps {
  server: Server;
  on: Day;
  children: (view: YardView) => ReactNode;
}

function Seen({ server, on, children }: SeenProps) {
  const events = useSyncExternalStore(server.subscribe, () => server.events);
  return children(viewOf(events, on));
}

/** The yard on a day, today where none is said, in measures of the reader's. */
export function show(
  server: Server,
  children: (view: YardView) => ReactNode,
  { on = TODAY, measures = METRIC }: { on?: Day; measures?: Measures } = {},
) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(['session'], session);
  client.setQueryData(['yards'], [yard]);
  return render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <MeasuresContext value={measures}>
          <ToastProvider>
            <Suspense fallback="…">
              <ShownDay>
                <Seen server={server} on={on}>
                  {children}
                </Seen>
              </ShownDay>
            </Suspense>
          </ToastProvider>
        </MeasuresContext>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}
