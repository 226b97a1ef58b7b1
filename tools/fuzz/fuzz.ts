import { readFileSync } from 'node:fs';
import { Agent, request as ask } from 'node:http';
import { type Random, seededRandom } from '@yellow-cell/core';
import { garbled, hostile, spoiled } from './hostile.ts';
import { type Right, rightRequest, type World } from './requests.ts';

export interface FuzzReport {
  requests: number;
  /** How many of each status; 0 where the connection was closed without an answer. */
  statuses: Record<string, number>;
  wrong: string[];
  slowest_ms: number;
  memory_MB: { early: number; late: number };
}

interface Sent {
  method: string;
  path: string;
  headers: Record<string, string>;
  body?: string;
}

const AT_ONCE = 12;
const MOST_MS = 2_000;
const MOST_TOLD = 20;
const WARM_UP = 300;
/** Memory is compared once caches are full and workers have started. */
const SETTLED = 0.3;
const MOST_GROWTH = 1.35;
const MOST_MORE_MB = 150;

/** Sends spoiled requests at a running server and looks at every answer. */
export async function fuzz(url: string, pid: number, requests: number, seed: number): Promise<FuzzReport> {
  const world = await worldOf(url);
  const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });
  const random = seededRandom(seed);
  const report: FuzzReport = {
    requests,
    statuses: {},
    wrong: [],
    slowest_ms: 0,
    memory_MB: { early: 0, late: 0 },
  };
  let left = requests;
  const go = async (): Promise<void> => {
    while (left > 0) {
      left -= 1;
      if (left === Math.floor(requests * (1 - SETTLED))) report.memory_MB.early = memoryOf(pid);
      const sent = spoiledRequest(rightRequest(random, world), random);
      const begun = performance.now();
      const { status, text } = await send(url, agent, sent);
      const took = performance.now() - begun;
      report.statuses[status] = (report.statuses[status] ?? 0) + 1;
      // The first requests meet code that was never run before.
      const isWarm = left < requests - WARM_UP;
      const why = wrongWith(status, text, isWarm ? took : 0);
      if (isWarm) report.slowest_ms = Math.max(report.slowest_ms, took);
      if (why && report.wrong.length < MOST_TOLD)
        report.wrong.push(
          `${why}: ${sent.method} ${sent.path} ${JSON.stringify(sent.headers)} ${sent.body?.slice(0, 400) ?? ''} → ${status} ${text.slice(0, 300)}`,
        );
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, go));
  agent.destroy();
  report.memory_MB.late = memoryOf(pid);
  const { early, late } = report.memory_MB;
  if (late > early * MOST_GROWTH && late > early + MOST_MORE_MB)
    report.wrong.push(`Memory grew from ${early} to ${late} MB.`);
  return report;
}

function wrongWith(status: number, text: string, took: number): string | undefined {
  if (status >= 500) return 'broken';
  if (/\n\s+at .*[:(]\d+|node_modules|\.ts:\d+/.test(text)) return 'a stack trace';
  // What a person typed may be called so; a number may not.
  if (/[:[,]\s*(NaN|-?Infinity)\b/.test(text.replace(/"(?:[^"\\]|\\.)*"/g, '""'))) return 'no number';
  if (took > MOST_MS) return `${Math.round(took)} ms`;
  return undefined;
}

function spoiledRequest({ method, path, query, body }: Right, random: Random): Sent {
  const headers: Record<string, string> = {};
  let target = path;
  if (random() < 0.15) target = path.replace(/[^/]+$/, () => encodeURIComponent(safeText(hostile(random))));
  if (random() < 0.01) target = `${target}/%`;
  const asked = Object.entries(query ?? {}).map(([name, value]) => {
    const spoilt = random() < 0.3 ? safeText(hostile(random)) : value;
    return `${name}=${encodeURIComponent(spoilt)}`;
  });
  if (random() < 0.05) asked.push('x=1');
  if (asked.length > 0) target = `${target}?${asked.join('&')}`;
  if (random() < 0.03) headers.range = 'bytes=9-x';
  if (random() < 0.2) headers['accept-encoding'] = 'br';
  if (random() < 0.02) headers.origin = 'https://elsewhere.example';
  if (body === undefined) return { method, path: target, headers };
  headers['content-type'] = random() < 0.97 ? 'application/json' : 'text/plain';
  let spoilt = body;
  for (let times = random() < 0.15 ? 0 : 1 + Math.floor(random() * 3); times > 0; times--)
    spoilt = spoiled(spoilt, random);
  const text = JSON.stringify(spoilt);
  return { method, path: target, headers, body: random() < 0.05 ? garbled(text, random) : text };
}

/** As text that an address can carry; halves of characters cannot even be encoded. */
const safeText = (value: unknown): string =>
  (typeof value === 'string' ? value : JSON.stringify(value))
    .slice(0, 2_000)
    .replace(/\p{Surrogate}/gu, '\ufffd');

function send(
  url: string,
  agent: Agent,
  { method, path, headers, body }: Sent,
): Promise<{ status: number; text: string }> {
  return new Promise((resolve) => {
    const length = body === undefined ? {} : { 'content-length': Buffer.byteLength(body) };
    const sent = ask(`${url}${path}`, { method, agent, headers: { ...headers, ...length } }, (answer) => {
      const parts: Buffer[] = [];
      answer.on('data', (part) => parts.push(part));
      answer.on('end', () => {
        const packed = answer.headers['content-encoding'] !== undefined;
        resolve({ status: answer.statusCode ?? 0, text: packed ? '' : Buffer.concat(parts).toString() });
      });
      answer.on('error', () => resolve({ status: 0, text: '' }));
    });
    sent.on('error', () => resolve({ status: 0, text: '' }));
    sent.end(body);
  });
}

async function worldOf(url: string): Promise<World> {
  const get = async (path: string) => (await fetch(`${url}/api${path}`)).json();
  const [yard] = await get('/yards');
  const { boxes } = await get(`/yards/${yard.id}/standing?limit=50`);
  const full = boxes.find(
    ({ colonies, queens }: { colonies: { ended?: unknown }[]; queens: unknown[] }) =>
      queens.length > 0 && colonies.some(({ ended }) => !ended),
  );
  const living = full.colonies.find(({ ended }: { ended?: unknown }) => !ended);
  return {
    yard: yard.id,
    box: full.box.id,
    colony: living.id,
    queen: full.queens[0].id,
    design: full.box.design,
  };
}

/** Resident memory in MB. */
const memoryOf = (pid: number): number =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1_024);
