import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pollSensors, type SensorFeed, sensorReport } from '../src/services/sensors.ts';
import { freshServer } from './bench.test.kit.ts';

let server: Awaited<ReturnType<typeof freshServer>>;
let probe: Server;
let sent = '';
let feed: SensorFeed;
const NOW = new Date('2026-02-01T12:00:00Z');
const later = (minutes: number) => new Date(NOW.getTime() + minutes * 60_000);
const hive = (minutes: number, more: object) =>
  JSON.stringify({ hives: [{ box: 'B7', at: later(minutes).toISOString(), ...more }] });

beforeAll(async () => {
  server = await freshServer();
  probe = createServer((_, response) => response.end(sent)).listen(0, '127.0.0.1');
  await new Promise((resolve) => probe.once('listening', resolve));
  feed = {
    url: `http://127.0.0.1:${(probe.address() as AddressInfo).port}/readings`,
    polledAt: null,
    problem: null,
  };
});
afterAll(async () => {
  probe.close();
  await server.close();
});

async function poll(minutes: number, text: string) {
  sent = text;
  await pollSensors(feed, server.context, later(minutes));
  return sensorReport(server.context, feed, later(minutes));
}

describe('sensors', () => {
  it('are read, judged and kept; the same reading twice is one', async () => {
    await poll(0, hive(0, { temperature_C: 33.1, weight_kg: 27.4 }));
    const report = await poll(1, hive(0, { temperature_C: 33.1, weight_kg: 27.4 }));
    expect(report).toMatchObject({ configured: true, problem: null });
    expect(report.boxes.map(({ box, latest }) => [box, latest.map(({ value }) => value)])).toEqual([
      ['B7', [33.1, 27.4]],
    ]);
  });

  it('that are wrong are set aside with their reason, and the last right ones stand', async () => {
    const report = await poll(10, hive(10, { temperature_C: 'err', weight_kg: 140 }));
    expect(report.boxes[0]?.latest.map(({ value }) => value)).toEqual([33.1, 27.4]);
    expect(report.boxes[0]?.setAside.map(({ flag }) => flag).sort()).toEqual(['jump', 'notANumber']);
  });

  it('that stop, send no JSON, or are away are said so, and nothing is lost', async () => {
    expect((await poll(20, '<html>')).problem).toContain('it sent no JSON');
    const away = { ...feed, url: 'http://127.0.0.1:9/readings' };
    await pollSensors(away, server.context, later(30));
    expect(away.problem).toContain('could not be read');
    const report = await poll(300, '{}');
    expect(report.problem).toBeNull();
    expect(report.boxes[0]?.silentSince).toBe(later(10).toISOString());
    expect(report.boxes[0]?.latest).toHaveLength(2);
  });

  it('answer over HTTP also where none is set up', async () => {
    expect((await server.app.inject('/api/sensors')).json()).toMatchObject({
      configured: false,
      problem: null,
    });
  });
});
