import type { TestProject } from 'vitest/node';
import { temporaryCluster } from '../../../tools/postgres/temporary.ts';

declare module 'vitest' {
  interface ProvidedContext {
    adminUrl: string;
    loginUrl: string;
  }
}

/** One PostgreSQL for the whole run; each test file makes a database of its own in it. */
export default async function setup(project: TestProject): Promise<() => void> {
  const cluster = await temporaryCluster();
  project.provide('adminUrl', cluster.adminUrl);
  project.provide('loginUrl', cluster.url);
  return () => cluster.close();
}
