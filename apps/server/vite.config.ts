import { defineConfig } from 'vite';

/** One file for Node, with the workspaces in it and the npm packages beside it. */
export default defineConfig({
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', emptyOutDir: true },
  ssr: { noExternal: [/^@yellow-cell\//] },
});
