import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.ts';

/** A package of others that reaches users: in the page, in the server, or beside it. */
interface Shipped {
  name: string;
  version: string;
  license: string;
  text: string;
}

/** Licences that ask for their notice and no more. Anything else is looked at by a person before it is shipped. */
const PERMISSIVE =
  /^\(?(MIT|ISC|0BSD|BSD-[23]-Clause|Apache-2\.0|BlueOak-1\.0\.0|Unlicense|CC0-1\.0|OFL-1\.1|Zlib)( (OR|AND) .*)?\)?$/;
/** Named in words in their own manifests, and read by a person: all ask for their notice alone. */
const READ: Readonly<Record<string, string>> = {
  'dejavu-fonts-ttf': 'Bitstream Vera and public domain',
  'png-js': 'MIT',
  suncalc: 'BSD-2-Clause',
};
/** Tools whose own code becomes part of what is built. */
const BUILT_IN = /^(workbox-|tailwindcss$)/;

export function shippedPackages(): Shipped[] {
  const lock = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8')) as {
    packages: Record<string, { dev?: boolean; link?: boolean }>;
  };
  const found = new Map<string, Shipped>();
  for (const [path, { dev, link }] of Object.entries(lock.packages)) {
    const name = path.split('node_modules/').at(-1) ?? '';
    if (!path.includes('node_modules/') || link || (dev && !BUILT_IN.test(name))) continue;
    const dir = join(root, path);
    if (!existsSync(join(dir, 'package.json'))) continue; // for another machine
    const said = JSON.parse(readFileSync(join(dir, 'package.json'), 'utf8'));
    found.set(`${name}@${said.version}`, {
      name,
      version: said.version,
      license: licenseOf(name, said),
      text: textIn(dir),
    });
  }
  return [...found.values()].sort((a, b) => (a.name < b.name ? -1 : 1));
}

function licenseOf(name: string, said: { license?: unknown; licenses?: { type: string }[] }): string {
  return (
    READ[name] ?? (typeof said.license === 'string' ? said.license : (said.licenses?.[0]?.type ?? 'not said'))
  );
}

function textIn(dir: string): string {
  const files = readdirSync(dir).filter((file) => /^(licen[sc]e|copying|notice)/i.test(file));
  return files.map((file) => readFileSync(join(dir, file), 'utf8').trim()).join('\n\n');
}

export const notPermissive = (shipped: readonly Shipped[]): Shipped[] =>
  shipped.filter(({ name, license }) => !(name in READ) && !PERMISSIVE.test(license));

/** The notices of all that is shipped, as one text. */
export function noticesText(shipped: readonly Shipped[]): string {
  const head = `Yellow Cell is built with the work of others. Their notices, of ${shipped.length} packages:\n`;
  const each = shipped.map(
    ({ name, version, license, text }) =>
      `${'─'.repeat(78)}\n${name} ${version}   ${license}\n\n${text || `Published under ${license}; the package brings no text of its own.`}\n`,
  );
  return [head, ...each].join('\n');
}
