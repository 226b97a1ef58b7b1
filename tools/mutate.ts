import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { Stryker } from '@stryker-mutator/core';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { seededRandom } from '@yellow-cell/core';
import { createInjector } from 'typed-inject';
import { root } from './root.ts';
import { main, Said } from './said.ts';

/**
 * `npm run mutate -- ROOM --count 300 --seed 1`: small changes to the code of a room, drawn by lot, and how many of them
 * its tests notice. Those that nobody noticed are named, to be looked at by a person. `--near` asks the room's own tests
 * alone, which takes a minute or two.
 */
interface Room {
  dir: string;
  /** Tests, the room's own first; those that follow are only asked for what these have missed, for they take minutes. */
  tests: string[][];
  project?: string;
}
const core = (room: string, ...near: readonly string[]): Room => ({
  dir: `packages/core/src/${room}`,
  tests: [
    [room, ...near].map((each) => `packages/core/src/${each}/**/*.test.ts`),
    ['packages/core/src/**/*.test.ts'],
  ],
});
const ROOMS: Readonly<Record<string, Room>> = {
  air: core('air'),
  // A box is what its checks are told of.
  box: core('box', 'check'),
  check: core('check'),
  layout: core('layout'),
  mating: core('mating'),
  nest: core('nest'),
  quick: {
    dir: 'packages/core/src/quick',
    tests: [['packages/core/src/quick/**/*.test.ts', 'tools/quickLine.test.ts']],
  },
  reach: core('reach'),
  warmth: core('warmth'),
  population: core('population'),
  winter: core('winter'),
  yard: core('yard'),
  services: { dir: 'apps/server/src/services', tests: [['apps/server/test/**/*.test.ts']], project: 'store' },
};

/** Words of sentences are no behaviour, and a whole body left out is noticed by whoever calls it. */
const EXCLUDED = ['StringLiteral', 'BlockStatement'];

interface Change {
  file: string;
  name: string;
  replacement: string;
  at: { line: number; column: number };
  end: { line: number; column: number };
}

await main(async () => {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      count: { type: 'string', default: '300' },
      seed: { type: 'string', default: '1' },
      near: { type: 'boolean', default: false },
    },
  });
  const [name = ''] = positionals;
  const room = Object.hasOwn(ROOMS, name) ? ROOMS[name] : undefined;
  if (!room) throw new Said(`Use: npm run mutate -- ROOM, one of ${Object.keys(ROOMS).join(', ')}.`);
  const all = await changesIn(room.dir);
  const chosen = drawn(all, Number(values.count), Number(values.seed));
  const results = [];
  let open = chosen;
  for (const tests of values.near ? room.tests.slice(0, 1) : room.tests) {
    const tried = await triedBy(open, tests, room.project);
    const missed = tried.filter(({ fate }) => fate === 'missed').map(({ change }) => change);
    results.push(...tried.filter(({ fate }) => fate === 'found'));
    open = missed;
    if (!missed.length) break;
  }
  for (const { file, at, name: kind, replacement } of open)
    console.log(`${file}:${at.line + 1} ${kind} → ${replacement.replaceAll(/\s+/g, ' ').slice(0, 90)}`);
  const tried = results.length + open.length;
  console.log(
    `${name}: ${results.length} of ${tried} changes found (${((100 * results.length) / Math.max(1, tried)).toFixed(0)} %), drawn from ${all.length}`,
  );
});

interface Tried {
  change: Change;
  /** `void`: a change that cannot be tried (a table read once, when its file is loaded). */
  fate: 'found' | 'missed' | 'void';
}

/** What some tests notice of changes. */
async function triedBy(
  changes: readonly Change[],
  tests: readonly string[],
  project: string | undefined,
): Promise<Tried[]> {
  process.env.YC_MUTATE = JSON.stringify({ tests, project });
  const results = await new Stryker({
    mutate: changes.map(rangeOf),
    mutator: { plugins: null, excludedMutations: EXCLUDED },
    testRunner: 'vitest',
    vitest: { configFile: 'tools/mutate.vitest.ts', related: false },
    plugins: ['@stryker-mutator/vitest-runner'],
    tsconfigFile: 'none',
    checkers: [],
    reporters: [],
    coverageAnalysis: 'perTest',
    // A table that is read once, when its file is loaded, cannot be changed between tests: its own tests read it whole.
    ignoreStatic: true,
    concurrency: 2,
    timeoutMS: 15_000,
    dryRunTimeoutMinutes: 20,
    disableTypeChecks: false,
    allowConsoleColors: false,
    ignorePatterns: ['**/dist', 'docs', 'e2e', '**/.tsbuild'],
    tempDirName: '.mutate',
    cleanTempDir: 'always',
  } as ConstructorParameters<typeof Stryker>[0]).runMutationTest();
  const status = new Map(
    results.map(({ fileName, mutatorName, replacement, location, status }) => [
      keyOf({
        file: relative(root, fileName),
        name: mutatorName,
        replacement: replacement ?? '',
        at: fromZero(location.start),
        end: fromZero(location.end),
      }),
      status,
    ]),
  );
  return changes.map((change) => ({ change, fate: fateOf(status.get(keyOf(change))) }));
}

function fateOf(status: string | undefined): Tried['fate'] {
  if (status === 'Killed' || status === 'Timeout') return 'found';
  return status === 'Survived' || status === 'NoCoverage' ? 'missed' : 'void';
}

/** Every change that the mutators know in the code of a folder. */
async function changesIn(dir: string): Promise<Change[]> {
  const files = readdirSync(join(root, dir), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.includes('.test.'))
    .sort();
  const quiet = () => undefined;
  const logger = {
    trace: quiet,
    debug: quiet,
    info: quiet,
    warn: quiet,
    error: quiet,
    fatal: quiet,
    isDebugEnabled: () => false,
  };
  const instrumenter = createInjector()
    .provideValue('getLogger', () => logger)
    .provideValue('logger', logger)
    .injectFunction(createInstrumenter as never) as ReturnType<typeof createInstrumenter>;
  const sources = files.map((file) => {
    const name = join(root, dir, file);
    return { name, content: readFileSync(name, 'utf8'), mutate: true };
  });
  const { mutants } = await instrumenter.instrument(sources, {
    plugins: null,
    excludedMutations: EXCLUDED,
    ignorers: [],
  } as never);
  return mutants.map((mutant): Change => {
    const { fileName, mutatorName, replacement, location } = mutant;
    return {
      file: relative(root, fileName),
      name: mutatorName,
      replacement: replacement ?? '',
      at: location.start,
      end: location.end,
    };
  });
}

function drawn(all: readonly Change[], count: number, seed: number): Change[] {
  const random = seededRandom(seed);
  return all
    .map((change) => ({ change, by: random() }))
    .sort((a, b) => a.by - b.by)
    .slice(0, count)
    .map(({ change }) => change);
}

/** Lines and columns are counted from 0 where a change is found; in a range lines are from 1, and in a result both. */
function rangeOf({ file, at, end }: Change): string {
  return `${file}:${at.line + 1}:${at.column}-${end.line + 1}:${end.column}`;
}
function fromZero({ line, column }: Change['at']): Change['at'] {
  return { line: line - 1, column: column - 1 };
}

function keyOf({ file, name, replacement, at, end }: Change): string {
  return [file, name, replacement, at.line, at.column, end.line, end.column].join(' ');
}
