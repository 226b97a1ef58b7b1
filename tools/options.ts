import { isAbsolute, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { defaultDataDir } from './postgres/place.ts';
import { Said } from './said.ts';

export interface StartOptions {
  port: number;
  host: string;
  dataDir: string;
  empty: boolean;
  reset: boolean;
  yes: boolean;
  /** Addresses under which a proxy serves it. */
  origins: readonly string[];
  /** Where readings of scales and probes are asked for. */
  sensors?: string;
}

const USAGE =
  'npm start -- [--port N] [--host ADDRESS] [--data DIR] [--origin URL] [--empty] [--sensors URL] [--reset [--yes]]';

export function startOptions(args: readonly string[]): StartOptions {
  const values = parsed(args);
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Said(`--port ${values.port}: a port is a whole number from 1 to 65535.`);
  return {
    port,
    host: values.host,
    dataDir:
      values.data === undefined
        ? defaultDataDir()
        : isAbsolute(values.data)
          ? values.data
          : resolve(process.env.INIT_CWD ?? process.cwd(), values.data),
    empty: values.empty,
    reset: values.reset,
    yes: values.yes,
    origins: values.origin.map(originOf),
    ...(values.sensors ? { sensors: sensorUrl(values.sensors) } : {}),
  };
}

/** An address as browsers name it: scheme, host and port. */
function originOf(text: string): string {
  if (!/^https?:\/\//.test(text) || !URL.canParse(text))
    throw new Said(
      `--origin ${text}: an address starts with http:// or https://, like https://yard.example.`,
    );
  return new URL(text).origin;
}

function sensorUrl(text: string): string {
  if (!/^https?:\/\//.test(text) || !URL.canParse(text))
    throw new Said(`--sensors ${text}: an address starts with http:// or https://.`);
  return text;
}

function parsed(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      options: {
        port: { type: 'string', default: '8173' },
        host: { type: 'string', default: '127.0.0.1' },
        data: { type: 'string' },
        sensors: { type: 'string' },
        origin: { type: 'string', multiple: true, default: [] },
        empty: { type: 'boolean', default: false },
        reset: { type: 'boolean', default: false },
        yes: { type: 'boolean', default: false },
      },
    }).values;
  } catch (error) {
    throw new Said(`${(error as Error).message}\nUse: ${USAGE}`);
  }
}
