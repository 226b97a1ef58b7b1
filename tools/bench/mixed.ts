import { randomUUID } from 'node:crypto';
import { familyDesign } from '@yellow-cell/core';
import type { Stage } from '../stage.ts';
import type { Figure } from './figure.ts';
import { administer, type LargeYard } from './largeYard.ts';

const FOR_MS = 20_000;
const MOST_MS = 100;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** How long the server's event loop is held at most while everything is asked of it at once. */
export async function mixedLoadFigure(
  stage: Stage,
  { yard, boxes }: LargeYard,
  longestHeld: () => Promise<number>,
): Promise<Figure> {
  const [bees] = await administer(
    stage,
    `select box_id as box, told->'colonies'->-1->>'id' as colony from box_state
     where told->'colonies'->-1->>'ended' is null order by label_key limit 1`,
  );
  const { box, colony } = bees as { box: string; colony: string };
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
  await longestHeld();
  await pause(1_000);
  const atRest = await longestHeld();
  let over = false;
  const loops = work.map(async (each) => {
    while (!over) {
      await each();
      await pause(20);
    }
  });
  await pause(FOR_MS);
  const most_ms = await longestHeld();
  over = true;
  await Promise.all(loops);
  return {
    what: `event loop held at most, mixed load, ${boxes} boxes`,
    ours: most_ms,
    baseline: MOST_MS,
    unit: 'ms',
    against: `the limit; at rest ${atRest.toFixed(1)} ms`,
    holds: most_ms <= MOST_MS,
    wanted: `under ${MOST_MS} ms`,
  };
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
