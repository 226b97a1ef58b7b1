import { QueryClient, queryOptions } from '@tanstack/react-query';
import type {
  BoxPage,
  Design,
  DesignSummary,
  SensorReport,
  Session,
  TakeReport,
  TakesBy,
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

const PAGE = 100;

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

export const takesQuery = (by: TakesBy, on: string) =>
  queryOptions({
    queryKey: ['takes', by, on],
    queryFn: ({ signal }) => getJson<TakeReport>(`/takes?by=${by}&on=${on}`, signal),
  });

export const findBoxesQuery = (find: string) =>
  queryOptions({
    queryKey: ['boxes', find],
    queryFn: ({ signal }) => getJson<BoxPage>(`/boxes?limit=8&find=${encodeURIComponent(find)}`, signal),
    enabled: find !== '',
  });

/** After an entry: everything that is read from the log may have changed. */
export function refreshAfterEntry(): Promise<void> {
  return queries.invalidateQueries({
    predicate: ({ queryKey }) =>
      ['yardLog', 'years', 'takes', 'yards', 'boxes', 'designs'].includes(String(queryKey[0])),
  });
}
