/** Where the server's idea of now comes from: the demo's own clock, a pinned day, or the machine's. */
export interface Clock {
  /** The instant that counts as now for this breeder. */
  now(): string;
  realNow(): string;
  /** True while `now` is the demo's and not the real one. */
  isDemo: boolean;
}

interface DemoTime {
  /** Where the demo's clock stood when it was loaded, and when that was. */
  anchor: string;
  loadedAt: string;
}

const DAY_MS = 86_400_000;
/** A pinned day is entered in the forenoon, when a breeder would look. */
const PINNED_HOUR = 'T08:00:00Z';

/** The real time, or with `today` that day's morning running on from when this process started. */
export function realClock(today?: string): () => Date {
  if (today === undefined) return () => new Date();
  const shift = Date.parse(`${today}${PINNED_HOUR}`) - Date.now();
  return () => new Date(Date.now() + shift);
}

export function breederClock(real: () => Date, demo?: DemoTime): Clock {
  const shift = demo ? Date.parse(demo.anchor) - Date.parse(demo.loadedAt) : 0;
  return {
    now: () => new Date(real().getTime() + shift).toISOString(),
    realNow: () => real().toISOString(),
    isDemo: Math.abs(shift) >= DAY_MS,
  };
}

/** The demo's season: from 20 April to 20 August the real day serves; else the most recent 31 May does. */
export function demoAnchor(realNow: string): string {
  const monthDay = realNow.slice(5, 10);
  if (monthDay >= '04-20' && monthDay <= '08-20') return realNow;
  const year = Number(realNow.slice(0, 4)) - (monthDay < '05-31' ? 1 : 0);
  return `${year}-05-31${realNow.slice(10)}`;
}
