import type { ProblemDetails } from '@yellow-cell/contract';
import { heard } from './connection.ts';

/** A request that did not succeed. Status 0: no answer at all. */
export class ApiError extends Error {
  readonly status: number;
  readonly details: ProblemDetails | undefined;

  constructor(status: number, details: ProblemDetails | undefined) {
    super(details?.detail ?? 'The server does not answer.');
    this.name = 'ApiError';
    this.status = status;
    this.details = details;
  }

  /** True where trying again may help: nobody answered, or the database was away. */
  get passing(): boolean {
    return this.status === 0 || this.status >= 502;
  }
}

export const getJson = <T>(path: string, signal?: AbortSignal): Promise<T> =>
  ask<T>(path, signal ? { signal } : {});

export const sendJson = <T>(method: 'POST' | 'PUT', path: string, body: unknown): Promise<T> =>
  ask<T>(path, { method, body: JSON.stringify(body), headers: { 'content-type': 'application/json' } });

/** Text as it is, for the server to read. */
export const sendText = <T>(path: string, text: string): Promise<T> =>
  ask<T>(path, { method: 'POST', body: text, headers: { 'content-type': 'application/json' } });

async function ask<T>(path: string, init: RequestInit): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(`/api${path}`, init);
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    heard(false);
    throw new ApiError(0, undefined);
  }
  heard(answer.status < 502);
  if (!answer.ok) throw new ApiError(answer.status, await detailsOf(answer));
  return (await answer.json()) as T;
}

async function detailsOf(answer: Response): Promise<ProblemDetails | undefined> {
  try {
    return (await answer.json()) as ProblemDetails;
  } catch {
    return undefined; // a proxy in between answered in its own words
  }
}
