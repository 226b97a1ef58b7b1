import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          setupFiles: 'tools/chance.ts',
          // Files share what they import, which takes longer to load than most of them to run; none may leave anything behind.
          isolate: false,
          // Limits for what hangs, not measures: a busy machine takes many times as long as an idle one.
          testTimeout: 120_000,
          include: ['packages/**/*.test.ts', 'demo/**/*.test.ts', 'tools/**/*.test.ts'],
        },
      },
      {
        // What a screen keeps (queries, an outbox, what is typed) is each file's own.
        test: {
          name: 'screens',
          setupFiles: 'tools/chance.ts',
          testTimeout: 120_000,
          include: ['apps/*/src/**/*.test.{ts,tsx}'],
        },
      },
      {
        // Against a real PostgreSQL of its own, started for the run.
        test: {
          name: 'store',
          isolate: false,
          include: ['apps/server/test/**/*.test.ts', 'tools/**/*.spec.ts'],
          globalSetup: 'apps/server/test/cluster.ts',
          hookTimeout: 240_000,
          testTimeout: 120_000,
        },
      },
    ],
  },
});
