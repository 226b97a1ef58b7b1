import type { ProblemDetails } from '@yellow-cell/contract';
import { heard } from './connection.ts';

/** Who may come in, a body that stopped, and too many at once: none of them is about what was sent. */
const NO_JUDGEMENT = [401, 403, 407, 408, 425, 429];

/** A request that did not succeed. Status 0: no answer at all. */
export class ApiError extends Error {
  readonly status: number;
  readonly details: ProblemDetails | undefined;
  /** When the server wants to be asked again, in milliseconds from now. */
  readonly retryAfter_ms: number;

  constructor(status: number, details: ProblemDetails | undefined, retryAfter_ms = 0) {
    super(details?.detail ?? 'The server does not answer.');
    this.name = 'ApiError';
    this.status = status;
    this.details = details;
    this.retryAfter_ms = retryAfter_ms;
  }

  /** True where trying again may help: nobody answered, or the database was away. */
  get passing(): boolean {
    return this.status === 0 || this.status >= 502;
  }

  /** True where this program itself looked at what was sent and did not take it; a proxy's answer says nothing of that. */
  get judged(): boolean {
    return (
      this.details !== undefined &&
      this.status >= 400 &&
      this.status < 500 &&
      !NO_JUDGEMENT.includes(this.status)
    );
  }
}

export const getJson = <T>(path: string, signal?: AbortSignal): Promise<T> =>
  ask<T>(path, signal ? { signal } : {});

export const sendJson = <T>(
  method: 'POST' | 'PUT',
  path: string,
  body: unknown,
  signal?: AbortSignal,
): Promise<T> =>
  ask<T>(path, {
    method,
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json' },
    ...(signal ? { signal } : {}),
  });

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
  const details = answer.ok ? undefined : await detailsOf(answer);
  if (!answer.ok)
    throw new ApiError(answer.status, details, 1_000 * (Number(answer.headers.get('retry-after')) || 0));
  try {
    return (await answer.json()) as T;
  } catch {
    // A page of a proxy, or an answer cut off: nothing is known of what became of the request.
    heard(false);
    throw new ApiError(0, undefined);
  }
}

async function detailsOf(answer: Response): Promise<ProblemDetails | undefined> {
  try {
    const details = (await answer.json()) as Partial<ProblemDetails> | null;
    const isOurs = typeof details?.type === 'string' && typeof details.detail === 'string';
    return isOurs ? (details as ProblemDetails) : undefined;
  } catch {
    return undefined; // a proxy in between answered in its own words
  }
}
