import { infiniteQueryOptions, type Query, QueryClient, queryOptions } from '@tanstack/react-query';
import type {
  Around,
  Design,
  DesignSummary,
  Found,
  KeptWorkshop,
  LogEvent,
  PastSeason,
  QueenStory,
  RearingSeason,
  SensorReport,
  Session,
  Standing,
  TakeReport,
  TakesBy,
  UnsettledPage,
  Yard,
  YardLog,
  YearRibbon,
} from '@yellow-cell/contract';
import { ApiError, getJson } from './api.ts';

const RETRY_MS = 1_500;

export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // The server is often on this very machine or in this very shed: the browser's idea of being online says nothing of it.
      networkMode: 'always',
      staleTime: 15_000,
      // What was last seen is kept for days, to be shown without a network.
      gcTime: 7 * 86_400_000,
      retry: (_, error) => error instanceof ApiError && error.passing,
      retryDelay: RETRY_MS,
    },
    mutations: { networkMode: 'always' },
  },
});

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: ({ signal }) => getJson<Session>('/session', signal),
  staleTime: 60_000,
});

export const yardsQuery = queryOptions({
  queryKey: ['yards'],
  queryFn: ({ signal }) => getJson<Yard[]>('/yards', signal),
});

export const workshopQuery = queryOptions({
  queryKey: ['workshop'],
  queryFn: ({ signal }) => getJson<KeptWorkshop>('/workshop', signal),
  staleTime: 60_000,
});

export const designsQuery = queryOptions({
  queryKey: ['designs'],
  queryFn: ({ signal }) => getJson<DesignSummary[]>('/designs', signal),
});

export const designQuery = (id: string) =>
  queryOptions({
    queryKey: ['designs', id],
    queryFn: ({ signal }) => getJson<Design>(`/designs/${id}`, signal),
  });

const ASK_SENSORS_MS = 60_000;
export const sensorsQuery = queryOptions({
  queryKey: ['sensors'],
  queryFn: ({ signal }) => getJson<SensorReport>('/sensors', signal),
  refetchInterval: ASK_SENSORS_MS,
});

/** A page of a yard's boxes as they stand; the next is asked for with its key. */
export const standingPage = (yard: string, after: string | null, signal: AbortSignal) =>
  getJson<Standing>(
    `/yards/${yard}/standing?limit=${PAGE}${after ? `&after=${encodeURIComponent(after)}` : ''}`,
    signal,
  );
export const aroundQuery = (yard: string) =>
  queryOptions({
    queryKey: ['around', yard],
    queryFn: ({ signal }) => getJson<Around>(`/yards/${yard}/around`, signal),
  });

export const standingKey = (yard: string) => ['standing', yard] as const;

/** All pages of them, as they come. */
export const standingQuery = (yard: string) => ({
  queryKey: standingKey(yard),
  queryFn: ({ pageParam, signal }: { pageParam: string | null; signal: AbortSignal }) =>
    standingPage(yard, pageParam, signal),
  initialPageParam: null as string | null,
  getNextPageParam: ({ next }: Standing) => next,
});

/** The boxes of a yard with work due, as they stand. */
export const dueQuery = (yard: string, on: string) =>
  queryOptions({
    queryKey: ['due', yard, on],
    queryFn: ({ signal }) => getJson<Standing>(`/yards/${yard}/due?on=${on}`, signal),
  });

export const boxStandingQuery = (box: string) =>
  queryOptions({
    queryKey: ['standing', 'box', box],
    queryFn: ({ signal }) => getJson<Standing>(`/boxes/${box}`, signal),
  });

export const boxLogQuery = (box: string) =>
  queryOptions({
    queryKey: ['boxLog', box],
    queryFn: ({ signal }) => getJson<YardLog>(`/boxes/${box}/log`, signal),
  });

export const seasonQuery = (yard: string) =>
  queryOptions({
    queryKey: ['season', yard],
    queryFn: ({ signal }) => getJson<LogEvent[]>(`/yards/${yard}/season`, signal),
  });

/** What waits for a person, newest first, page by page. */
export const toSettleQuery = infiniteQueryOptions({
  queryKey: ['toSettle'],
  initialPageParam: null as string | null,
  queryFn: ({ pageParam, signal }) =>
    getJson<UnsettledPage>(`/to-settle${pageParam ? `?after=${encodeURIComponent(pageParam)}` : ''}`, signal),
  getNextPageParam: ({ next }) => next,
});

/** What waits of one box. */
export const boxToSettleQuery = (box: string) =>
  queryOptions({
    queryKey: ['toSettle', box],
    queryFn: ({ signal }) => getJson<UnsettledPage>(`/to-settle?box=${box}&limit=50`, signal),
  });

export const queenQuery = (id: string) =>
  queryOptions({
    queryKey: ['queens', id],
    queryFn: ({ signal }) => getJson<QueenStory>(`/queens/${id}`, signal),
  });

const PAGE = 50;

/** One page of a yard's story; the next is asked for with its key. */
export const yardLogPage = (yard: string, after: string | null, signal: AbortSignal) =>
  getJson<YardLog>(
    `/yards/${yard}/log?limit=${PAGE}${after ? `&after=${encodeURIComponent(after)}` : ''}`,
    signal,
  );

export const yardLogKey = (yard: string) => ['yardLog', yard] as const;

export const yearQuery = (year: string, yard: string) =>
  queryOptions({
    queryKey: ['years', year, yard],
    queryFn: ({ signal }) => getJson<YearRibbon>(`/years/${year}?yard=${yard}`, signal),
  });

export const takesQuery = (by: TakesBy, on: string, from?: string) =>
  queryOptions({
    queryKey: ['takes', by, on, from],
    queryFn: ({ signal }) =>
      getJson<TakeReport>(`/takes?by=${by}&on=${on}${from ? `&from=${from}` : ''}`, signal),
  });

export const rearingQuery = (on: string) =>
  queryOptions({
    queryKey: ['rearing', on],
    queryFn: ({ signal }) => getJson<RearingSeason>(`/rearing?on=${on}`, signal),
  });

/** A season that is over, both days included: it changes only by what is corrected in it. */
export const pastSeasonQuery = (from: string, to: string) =>
  queryOptions({
    queryKey: ['pastSeason', from, to],
    queryFn: ({ signal }) => getJson<PastSeason>(`/rearing/past?from=${from}&to=${to}`, signal),
  });

export const searchQuery = (find: string, limit = 5) =>
  queryOptions({
    queryKey: ['search', find, limit],
    queryFn: ({ signal }) =>
      getJson<Found[]>(`/search?find=${encodeURIComponent(find)}&limit=${limit}`, signal),
    enabled: find !== '',
  });

const FROM_LOG = [
  'standing',
  'around',
  'due',
  'boxLog',
  'yardLog',
  'season',
  'toSettle',
  'queens',
  'years',
  'takes',
  'rearing',
  'yards',
  'search',
  'designs',
];
const isFromLog = ({ queryKey }: Query): boolean => FROM_LOG.includes(String(queryKey[0]));

/** After an entry: everything that is read from the log may have changed. */
export async function refreshAfterEntry(): Promise<void> {
  // What a screen waits for before it stands is not asked for anew: it may come without the entry, and counts as fresh.
  const begun = queries
    .getQueryCache()
    .findAll({ type: 'inactive', fetchStatus: 'fetching', predicate: isFromLog });
  await Promise.all([
    queries.invalidateQueries({ predicate: isFromLog }),
    ...begun.map(async ({ promise, queryKey }) => {
      await promise?.catch(() => undefined);
      await queries.invalidateQueries({ queryKey, exact: true });
    }),
  ]);
}
