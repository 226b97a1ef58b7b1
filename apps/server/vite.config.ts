import { defineConfig } from 'vite';

/** For Node, with the workspaces in it and the npm packages beside it. */
export default defineConfig({
  build: {
    ssr: true,
    // The worker of its pool is a file beside the server.
    rollupOptions: { input: { main: 'src/main.ts', worker: 'src/work/worker.ts' } },
    outDir: 'dist',
    target: 'node20',
    emptyOutDir: true,
  },
  ssr: { noExternal: [/^@yellow-cell\//] },
});
