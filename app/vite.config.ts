import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** A hash of core's source: what one core found of a board another finds anew. */
function coreHash(): string {
  const core = join(import.meta.dirname, '../core/src');
  const hash = createHash('sha256');
  const files = readdirSync(core, { recursive: true, encoding: 'utf8' }).filter((file) =>
    /(?<!\.test)\.ts$/.test(file),
  );
  for (const file of files.sort()) hash.update(file).update(readFileSync(join(core, file)));
  return hash.digest('hex').slice(0, 16);
}

export default defineConfig({
  plugins: [react()],
  define: { __CORE__: JSON.stringify(coreHash()) },
  root: import.meta.dirname,
  worker: { format: 'es' },
  build: {
    outDir: 'dist',
    target: 'es2023',
    chunkSizeWarningLimit: 1000,
    rollupOptions: {
      output: {
        manualChunks(id) {
          if (/node_modules\/(react|react-dom|react-router|scheduler)\//.test(id)) return 'react';
          return undefined;
        },
      },
    },
  },
});
