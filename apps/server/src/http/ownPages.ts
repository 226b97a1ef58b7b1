import { hostname, networkInterfaces } from 'node:os';
import type { FastifyInstance, FastifyRequest } from 'fastify';

/** The request is not from one of this program's own pages, or not for this program. */
export class NotOurs extends Error {}

export interface Place {
  /** The address that is listened on. */
  host: string;
  /** Addresses under which a proxy serves the program, like https://yard.example. */
  origins: readonly string[];
}

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Only the program's own pages may ask its API (a page elsewhere can send requests too, with the reader's own
 * network): the Host must be ours, an Origin the very same place, and no other site the one that sends it. A script,
 * a sensor or a calendar sends neither Origin nor Sec-Fetch-Site, and passes where Host is ours.
 */
export function guardOrigin(app: FastifyInstance, place: Place): void {
  const names = ownNames(place);
  const origins = new Set(place.origins.map((origin) => new URL(origin).origin));
  app.addHook('onRequest', async (request) => {
    if (!request.url.startsWith('/api/')) return;
    const { host = '', origin, 'sec-fetch-site': site } = request.headers;
    if (!names.has(nameIn(host)))
      throw new NotOurs(
        `This program is not known as “${host.slice(0, 80)}”. If that is its address, start it with --origin and that address.`,
      );
    const isOwn = origin === undefined || origins.has(origin) || hostOf(origin) === host;
    if (!isOwn || site === 'cross-site' || site === 'same-site')
      throw new NotOurs('Only the program’s own pages may ask it; this request comes from another site.');
  });
}

/** The address at which whoever asks sees the program. */
export function addressOf(
  { protocol, headers: { host = 'localhost' } }: FastifyRequest,
  { origins }: Place,
): string {
  return origins.find((origin) => hostOf(origin) === host) ?? `${protocol}://${host}`;
}

function ownNames({ host, origins }: Place): ReadonlySet<string> {
  const isLoopback = host === 'localhost' || host === '::1' || host.startsWith('127.');
  const onNetwork = isLoopback
    ? []
    : [
        hostname(),
        `${hostname()}.local`,
        ...Object.values(networkInterfaces()).flatMap((list = []) =>
          list.map(({ address }) => bracketed(address)),
        ),
      ];
  const all = [
    ...LOOPBACK,
    bracketed(host),
    ...onNetwork,
    ...origins.map((origin) => new URL(origin).hostname),
  ];
  return new Set(all.map((name) => name.toLowerCase()));
}

const bracketed = (address: string): string => (address.includes(':') ? `[${address}]` : address);
/** The name in a Host header, without its port. */
const nameIn = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();
const hostOf = (origin: string): string | undefined =>
  URL.canParse(origin) ? new URL(origin).host : undefined;
