import { createServer } from 'node:http';
import { parseArgs } from 'node:util';
import { seededRandom } from '@yellow-cell/core';
import { main, Said } from './said.ts';

/**
 * A weather station and probes in boxes, invented: plausible readings every ten minutes as JSON (docs/formats.md),
 * with noise, gaps, and now and then one that is wrong, so that the program can be seen to set it aside.
 */
const STEP_MS = 10 * 60_000;
const DAY_MS = 24 * 3_600_000;
const BOXES = ['B1', 'B2', 'B3', 'B7', 'B8', 'B9', 'S1'];
const WRONG = 0.03;
const MISSING = 0.05;

/** Weights at noon that the scales kept while nobody asked, back to an instant; at most 120 days. */
function keptSince(since: Date, now: Date): object[] {
  const first = Math.max(since.getTime(), now.getTime() - 120 * DAY_MS);
  const days = Math.max(0, Math.floor((now.getTime() - first) / DAY_MS));
  return Array.from(
    { length: days },
    (_, index) => new Date(now.getTime() - (days - index) * DAY_MS),
  ).flatMap((day) =>
    BOXES.map((box, index) => ({
      box,
      at: `${day.toISOString().slice(0, 10)}T12:00:00.000Z`,
      weight_kg: weightOf(index, day),
    })),
  );
}

/** A box is heaviest at the start of June and loses some 40 to 70 g a day, as a colony in winter does. */
const FROM_JUNE = 214;
function weightOf(index: number, day: Date): number {
  const noise = seededRandom(Math.floor(day.getTime() / STEP_MS) * 17 + index)() * 0.06;
  const inYear = (day.getTime() / DAY_MS) % 365;
  return round(38 + index * 1.3 - ((inYear + FROM_JUNE) % 365) * (0.04 + index * 0.005) + noise, 2);
}

function feedAt(now: Date, since: Date): object {
  const tick = Math.floor(now.getTime() / STEP_MS);
  const at = new Date(tick * STEP_MS).toISOString();
  const hour = now.getUTCHours() + now.getUTCMinutes() / 60;
  const outside = 14 - 7 * Math.cos(((hour - 3) / 24) * 2 * Math.PI);
  const station = {
    at,
    temperature_C: round(outside),
    humidity_pct: round(75 - 2 * (outside - 14)),
    wind_ms: 2.1,
    rain_mm: 0,
  };
  const hives = BOXES.flatMap((box, index) => {
    const random = seededRandom(tick * 31 + index * 7_919);
    if (random() < MISSING) return [];
    const wrong = random() < WRONG;
    return [
      {
        box,
        at,
        temperature_C: wrong ? 'err' : round(33.5 + random() + (index % 3) * 0.4),
        humidity_pct: round(58 + 6 * random()),
        weight_kg: wrong ? 240 : weightOf(index, now),
      },
    ];
  });
  return { station, hives: [...keptSince(since, now), ...hives, incubatorAt(at, tick)] };
}

/** It holds what cells want, but for an hour in each dozen, when its door was left ajar. */
function incubatorAt(at: string, tick: number): object {
  const random = seededRandom(tick * 131);
  const ajar = Math.floor(tick / 6) % 12 === 11;
  return {
    box: 'Incubator',
    at,
    temperature_C: round((ajar ? 33.2 : 34.3) + 0.4 * random()),
    humidity_pct: round((ajar ? 44 : 57) + 6 * random()),
  };
}

const round = (value: number, digits = 1): number => Number(value.toFixed(digits));

await main(async () => {
  const { values } = parseArgs({ options: { port: { type: 'string', default: '8290' } } });
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Said(`--port ${values.port}: a port is a whole number from 1 to 65535.`);
  const server = createServer((request, response) => {
    const { pathname, searchParams } = new URL(request.url ?? '/', 'http://localhost');
    const found = pathname === '/readings';
    const since = new Date(searchParams.get('since') ?? Date.now());
    response.writeHead(found ? 200 : 404, { 'content-type': 'application/json' });
    response.end(
      JSON.stringify(
        found
          ? feedAt(new Date(), Number.isNaN(since.getTime()) ? new Date() : since)
          : { problem: 'Ask for /readings.' },
      ),
    );
  });
  server.listen(port, '127.0.0.1', () =>
    console.log(
      `Simulated readings are at http://127.0.0.1:${port}/readings   (Ctrl-C stops them)\nnpm start -- --sensors http://127.0.0.1:${port}/readings`,
    ),
  );
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => server.close(() => process.exit(0)));
});
