import { statSync } from 'node:fs';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** The tests of one room, for `npm run mutate`. */
const { tests, project } = JSON.parse(process.env.YC_MUTATE ?? '{"tests":[]}') as {
  tests: string[];
  project?: string;
};

/** Short files first: most changes are noticed by tests of one figure, and then no long story is told for them. */
class ShortFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const size = ({ moduleId }: TestSpecification) => statSync(moduleId).size;
    return [...files].sort((a, b) => size(a) - size(b));
  }
}

export default defineConfig({
  test: {
    include: tests,
    setupFiles: ['tools/chance.ts'],
    isolate: false,
    sequence: { sequencer: ShortFirst },
    testTimeout: 120_000,
    hookTimeout: 240_000,
    ...(project === 'store' ? { globalSetup: 'apps/server/test/cluster.ts' } : {}),
  },
});
