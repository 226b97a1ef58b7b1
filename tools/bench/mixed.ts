import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { familyDesign } from '@yellow-cell/core';
import { root } from '../root.ts';
import { setStage } from '../stage.ts';
import type { Figure } from './figure.ts';
import { fillLargeYard } from './largeYard.ts';

const FOR_MS = 20_000;
const MOST_MS = 100;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** How long the server's event loop is held at most while everything is asked of it at once, in a yard of 2,000 boxes. */
export async function mixedLoadFigure(): Promise<Figure> {
  const dir = mkdtempSync(join(tmpdir(), 'yellow-cell-loop-'));
  const file = join(dir, 'delay.json');
  const probe = pathToFileURL(join(root, 'tools', 'bench', 'loopDelay.mjs')).href;
  const stage = await setStage({ env: { NODE_OPTIONS: `--import ${probe}`, YC_LOOP_FILE: file } });
  try {
    const { yard, box, colony } = await fillLargeYard(stage);
    const delay = async (): Promise<{ most_ms: number }> => {
      rmSync(file, { force: true });
      process.kill(stage.pid(), 'SIGUSR2');
      for (;;) {
        await pause(50);
        try {
          return JSON.parse(readFileSync(file, 'utf8'));
        } catch {
          // Not written yet.
        }
      }
    };
    const ask = async (path: string, body?: object, method = body ? 'POST' : 'GET') => {
      const answer = await fetch(`${stage.url}/api${path}`, {
        method,
        headers: { 'content-type': 'application/json', 'accept-encoding': 'br' },
        ...(body ? { body: JSON.stringify(body) } : {}),
      });
      await answer.arrayBuffer();
      return answer.status;
    };
    const work = mixOf(ask, { yard, box, colony, url: stage.url });
    for (const each of work) await each();
    await delay();
    await pause(1_000);
    const { most_ms: atRest } = await delay();
    let over = false;
    const loops = work.map(async (each) => {
      while (!over) {
        await each();
        await pause(20);
      }
    });
    await pause(FOR_MS);
    const { most_ms } = await delay();
    over = true;
    await Promise.all(loops);
    return {
      what: 'event loop held at most, mixed load',
      ours: most_ms,
      baseline: MOST_MS,
      unit: 'ms',
      against: `the limit; at rest ${atRest.toFixed(1)} ms`,
      holds: most_ms <= MOST_MS,
      wanted: `under ${MOST_MS} ms`,
    };
  } finally {
    await stage.close();
    rmSync(dir, { recursive: true, force: true });
  }
}

type Ask = (path: string, body?: object, method?: string) => Promise<number>;

/** What people and pages ask for side by side: lists, entries, figures that change, sheets, checks, papers. */
function mixOf(
  ask: Ask,
  at: { yard: string; box: string; colony: string; url: string },
): (() => Promise<unknown>)[] {
  const { yard, box, colony } = at;
  const design = familyDesign('threeWay');
  const parts = Array.from({ length: 40 }, (_, index) => ({
    name: `p${index}`,
    width_mm: 100 + ((index * 97) % 500),
    height_mm: 80 + ((index * 61) % 300),
    count: 5,
    turn: true,
  }));
  let seq = 0;
  const entry = () => ({
    id: randomUUID(),
    kind: 'fed',
    kindVersion: 1,
    occurredAt: new Date(Date.parse('2026-05-31T06:00:00Z') + ++seq * 1_000).toISOString(),
    zone: 'Europe/Vienna',
    person: 'B',
    device: 'mixed',
    deviceSeq: seq,
    payload: { box, colony, feed: 'syrup11', amount_kg: 0.5 },
  });
  const settings = async () => {
    const session = await (await fetch(`${at.url}/api/session`)).json();
    const eggsFrom_d = session.settings.constants[yard]?.eggsFrom_d === 11 ? 12 : 11;
    await ask(
      '/settings',
      { ...session.settings, constants: { ...session.settings.constants, [yard]: { eggsFrom_d } } },
      'PUT',
    );
  };
  return [
    () => ask(`/yards/${yard}/standing?limit=50`),
    () => ask(`/yards/${yard}/due?on=2026-05-31`),
    () => ask(`/yards/${yard}/boxes?limit=200`),
    () => ask('/events', { entries: [entry()] }),
    () => ask('/events', { entries: Array.from({ length: 50 }, entry) }),
    settings,
    () => ask('/compute/check', { design }),
    () => ask('/compute/nest', { sheet: { width_mm: 2440, height_mm: 1220 }, kerf_mm: 3, parts }),
    () => ask('/compute/export', { design, format: 'pdf', boxes: 10 }),
    () => ask('/designs/read', { yellowCell: 'design', name: 'x', content: design }),
    () => ask(`/yards/${yard}/paper.pdf?what=cards&box=${box}`),
    () => ask('/search?find=b'),
  ];
}
