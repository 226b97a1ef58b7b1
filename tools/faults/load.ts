import { randomUUID } from 'node:crypto';
import type { Entry } from '@yellow-cell/contract';
import { bayIdsOf, familyDesign } from '@yellow-cell/core';

/** Writers that log without end, each in its own box, and keep count of what was acknowledged. */
export interface Load {
  acknowledged: ReadonlySet<string>;
  sent: ReadonlySet<string>;
  /** Entries that got an answer which is none of this program's. */
  odd: readonly string[];
  boxes: readonly string[];
  stop(): Promise<void>;
}

const PAUSE_MS = 100;
const ZONE = 'Europe/Vienna';
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

export async function beginLoad(url: string, writers: number): Promise<Load> {
  const [acknowledged, sent] = [new Set<string>(), new Set<string>()];
  const odd: string[] = [];
  const boxes = Array.from({ length: writers }, () => randomUUID());
  let stopping = false;
  let seq = 0;

  const post = async (path: string, body: object): Promise<number> => {
    try {
      const answer = await fetch(`${url}/api${path}`, {
        method: 'POST',
        body: JSON.stringify(body),
        headers: { 'content-type': 'application/json' },
        signal: AbortSignal.timeout(20_000),
      });
      const text = await answer.text();
      if (answer.status !== 200 && answer.status !== 503) odd.push(`${answer.status} ${text.slice(0, 300)}`);
      return answer.status;
    } catch {
      return 0; // nobody answered: what became of it is not known
    }
  };
  const until200 = async (path: string, body: object): Promise<void> => {
    while ((await post(path, body)) !== 200) await pause(PAUSE_MS);
  };
  const entry = (kind: Entry['kind'], payload: object, ago_s: number): Entry =>
    ({
      id: randomUUID(),
      kind,
      kindVersion: 1,
      occurredAt: new Date(Date.now() - ago_s * 1_000).toISOString(),
      zone: ZONE,
      person: 'W',
      device: 'faults',
      deviceSeq: ++seq,
      payload,
    }) as unknown as Entry;

  const yard = { id: randomUUID(), name: 'Y', latitude_deg: 48, longitude_deg: 13, zone: ZONE };
  const content = familyDesign('threeWay');
  const design = { id: randomUUID(), name: 'D', version: { id: randomUUID(), content, note: '' } };
  await until200('/yards', yard);
  await until200('/designs', design);

  /** Sent again and again under one id until it is acknowledged, as a device does; now and then once more after that. */
  const log = async (entries: readonly Entry[]): Promise<void> => {
    for (const { id } of entries) sent.add(id);
    while (!stopping && (await post('/events', { entries })) !== 200) await pause(PAUSE_MS);
    if (stopping && (await post('/events', { entries })) !== 200) return;
    for (const { id } of entries) acknowledged.add(id);
    if (seq % 5 === 0) await post('/events', { entries });
  };

  const write = async (box: string, number: number): Promise<void> => {
    const of = { box, colony: randomUUID() };
    const spot = { yard: yard.id, stand: '1', east_m: 1, north_m: 1, bearing_deg: 180 };
    await log([
      entry('boxBuilt', { box, label: `F${number}`, design: design.id, version: 1 }, 90_000),
      entry('boxPlaced', { box, ...spot }, 89_000),
      entry(
        'stocked',
        {
          ...of,
          bays: bayIdsOf(content).slice(0, 1),
          frames: { sealedBrood: 1, stores: 1, drawn: 1 },
          shakes: 1,
          openBrood: false,
        },
        88_000,
      ),
    ]);
    while (!stopping) {
      await log([entry('fed', { ...of, feed: 'syrup11', amount_kg: 0.5 }, 1)]);
      await log([entry('strengthSeen', { ...of, seams: seq % 9 }, 1)]);
    }
  };
  const writing = Promise.all(boxes.map(write));
  return {
    acknowledged,
    sent,
    odd,
    boxes,
    async stop() {
      stopping = true;
      await writing;
    },
  };
}
