import { CalendarDate } from '@yellow-cell/contract';
import { z } from 'zod';

/** Everything the process is told from outside, checked once at start and frozen. */
const Environment = z.object({
  DATABASE_URL: z.string().min(1, 'DATABASE_URL names the PostgreSQL to use.'),
  HOST: z.string().default('127.0.0.1'),
  PORT: z.coerce.number().int().min(0).max(65_535).default(8173),
  /** Folder of the built web application; without it only the API is served. */
  YC_WEB: z.string().optional(),
  YC_EMPTY: z.enum(['0', '1']).default('0'),
  /** Pins the day that counts as today, for tests, benchmarks and pictures. */
  YC_TODAY: CalendarDate.optional(),
  /** Where readings of scales and probes are asked for (docs/formats.md). */
  YC_SENSORS: z.url({ protocol: /^https?$/ }).optional(),
  /** Addresses under which a proxy serves the program, apart by blanks. */
  YC_ORIGINS: z.string().default(''),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('info'),
});

export interface Config {
  databaseUrl: string;
  host: string;
  port: number;
  webDir?: string;
  empty: boolean;
  today?: string;
  sensors?: string;
  origins: readonly string[];
  logLevel: string;
}

export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const parsed = Environment.safeParse(environment);
  if (!parsed.success) {
    const said = parsed.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).join('\n');
    throw new Error(`The server's settings are not right.\n${said}`);
  }
  const { DATABASE_URL, HOST, PORT, YC_WEB, YC_EMPTY, YC_TODAY, YC_SENSORS, YC_ORIGINS, LOG_LEVEL } =
    parsed.data;
  return Object.freeze({
    databaseUrl: DATABASE_URL,
    host: HOST,
    port: PORT,
    empty: YC_EMPTY === '1',
    logLevel: LOG_LEVEL,
    origins: YC_ORIGINS.split(/\s+/).filter(Boolean),
    ...(YC_WEB ? { webDir: YC_WEB } : {}),
    ...(YC_TODAY ? { today: YC_TODAY } : {}),
    ...(YC_SENSORS ? { sensors: YC_SENSORS } : {}),
  });
}
