import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildIfChanged } from './build.ts';
import { ensureChromium } from './chromium.ts';
import { ensurePoppler } from './poppler.ts';
import { postgresBinaries } from './postgres/binaries.ts';
import { root } from './root.ts';
import { main } from './said.ts';

interface Count {
  passed: number;
  failed: number;
}
interface Step {
  name: string;
  run: () => Count | Promise<Count>;
}

const bin = (name: string): string => join(root, 'node_modules', '.bin', name);
const reports = mkdtempSync(join(tmpdir(), 'yellow-cell-reports-'));

type Command = readonly [name: string, command: string, ...args: string[]];

/** Commands that pass or fail as a whole, side by side: each keeps one processor busy and the others waiting. */
const checks = (name: string, commands: readonly Command[]): Step => ({
  name,
  run: async () => {
    const passed = await Promise.all(commands.map(passes));
    return { passed: passed.filter(Boolean).length, failed: passed.filter((each) => !each).length };
  },
});

/** Runs a command, and prints at its end what it said. */
const passes = ([name, command, ...args]: Command): Promise<boolean> =>
  new Promise((done) => {
    const said: Buffer[] = [];
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    for (const out of [child.stdout, child.stderr]) out.on('data', (some: Buffer) => said.push(some));
    child.on('error', (error) => said.push(Buffer.from(String(error))));
    child.on('close', (status) => {
      console.log(`${name}: ${status === 0 ? 'passed' : 'FAILED'}\n${Buffer.concat(said)}`);
      done(status === 0);
    });
  });

/** Test files of a project; all of them, or those whose names hold `only`. */
const vitest = (project: string, name = project, only?: string): Step => ({
  name,
  run: () => {
    const report = join(reports, `${name}.json`);
    const { status } = spawnSync(
      bin('vitest'),
      [
        'run',
        ...(only ? [only] : []),
        '--project',
        project,
        // Every core: each file of the store makes a database of its own.
        '--maxWorkers=100%',
        '--reporter=default',
        '--reporter=json',
        `--outputFile.json=${report}`,
      ],
      { cwd: root, stdio: 'inherit' },
    );
    return counted(status, () => {
      const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(report, 'utf8'));
      return { passed: numPassedTests, failed: numFailedTests };
    });
  },
});

const playwright: Step = {
  name: 'end to end',
  run: () => {
    const report = join(reports, 'e2e.json');
    const { status } = spawnSync(bin('playwright'), ['test'], {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, YC_E2E_REPORT: report },
    });
    return counted(status, () => {
      const { expected, unexpected, flaky } = JSON.parse(readFileSync(report, 'utf8')).stats;
      return { passed: expected + flaky, failed: unexpected };
    });
  },
};

/** A runner that failed without saying of which test has failed once all the same. */
function counted(status: number | null, read: () => Count): Count {
  try {
    const count = read();
    return status !== 0 && count.failed === 0 ? { ...count, failed: 1 } : count;
  } catch {
    return { passed: 0, failed: 1 };
  }
}

const steps: readonly Step[] = [
  checks('checks', [
    ['types', bin('tsc'), '-b'],
    ['lint', bin('biome'), 'ci', '--error-on-warnings', '.'],
    ['layers', process.execPath, '--import', 'tsx', 'tools/layers.ts'],
    ['unused', bin('knip')],
  ]),
  vitest('unit'),
  vitest('screens'),
  vitest('store'),
  playwright,
];

/** Run by name alone. */
const long: readonly Step[] = [vitest('store', 'kinds', 'apps/server/test/kinds')];

/** All checks and tests, or those named; the last line counts them. */
await main(async () => {
  const wanted = process.argv.slice(2);
  const chosen =
    wanted.length === 0 ? steps : [...steps, ...long].filter(({ name }) => wanted.includes(name));
  postgresBinaries('');
  ensureChromium();
  ensurePoppler();
  buildIfChanged();
  const total: Count = { passed: 0, failed: 0 };
  for (const { name, run } of chosen) {
    const started = Date.now();
    console.log(`\n── ${name}`);
    const { passed, failed } = await run();
    console.log(
      `── ${name}: ${failed === 0 ? 'passed' : 'FAILED'} in ${((Date.now() - started) / 1000).toFixed(1)} s`,
    );
    total.passed += passed;
    total.failed += failed;
  }
  rmSync(reports, { recursive: true, force: true });
  console.log(`\n${total.passed} passed, ${total.failed} failed`);
  if (total.failed > 0 || total.passed === 0) process.exitCode = 1;
});
