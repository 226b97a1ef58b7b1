import { defineConfig } from 'vitest/config';

/** The tests of one room, for `npm run mutate`. */
const { tests, project } = JSON.parse(process.env.YC_MUTATE ?? '{"tests":[]}') as {
  tests: string[];
  project?: string;
};

export default defineConfig({
  test: {
    include: tests,
    setupFiles: ['tools/chance.ts'],
    isolate: false,
    testTimeout: 120_000,
    hookTimeout: 240_000,
    ...(project === 'store' ? { globalSetup: 'apps/server/test/cluster.ts' } : {}),
  },
});
