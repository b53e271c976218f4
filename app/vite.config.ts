import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import react from '@vitejs/plugin-react';
import { buildSync } from 'esbuild';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { antdStyles } from './antdCss.ts';

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

/** A hash of what reading a record hangs on: what one app could read, another with the same can. Most updates leave it as it is. */
function readingHash(): string {
  const core = join(import.meta.dirname, '../core/src');
  const { outputFiles } = buildSync({
    entryPoints: [join(core, 'record/record.ts')],
    bundle: true,
    write: false,
    minify: true,
    format: 'esm',
    packages: 'external',
  });
  const hash = createHash('sha256').update(outputFiles[0].contents);
  return hash
    .update(readFileSync(join(core, 'shape/issues.ts')))
    .digest('hex')
    .slice(0, 16);
}

/** Everything is kept in the browser with the first visit: the app opens and works with no server. A newer one waits until it is asked for. */
const offline = VitePWA({
  registerType: 'prompt',
  injectRegister: null,
  manifest: {
    name: 'June Tide',
    short_name: 'June Tide',
    description: 'Design surfboards by marks, tape and light',
    display: 'standalone',
    start_url: '/',
    background_color: '#efe9dc',
    theme_color: '#efe9dc',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
    ],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,png,woff,woff2,ttf}'],
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//, /\.[^/]*$/],
    maximumFileSizeToCacheInBytes: 8_000_000,
    cleanupOutdatedCaches: true,
    sourcemap: false,
  },
});

/**
 * The library of the interface writes styles into the page: with the page's own mark, and as text, so that the page needs to trust no other
 * style and no text as elements. Ends the build where a newer library is written otherwise.
 */
const ownStyles: Plugin = {
  name: 'own-styles',
  enforce: 'pre',
  transform(code, id) {
    if (!/(rc-component.util.es.Dom.dynamicCSS|ant-design.icons.es.cssUtils)\.js$/.test(id)) return undefined;
    const nonce = /if \(csp\?\.nonce\) \{\s*styleNode\.nonce = csp\??\.nonce;\s*\}/;
    if (!nonce.test(code) || !code.includes('.innerHTML = css')) this.error(`${id} writes its styles in another way`);
    const mark = `styleNode.nonce = csp?.nonce ?? document.querySelector('meta[property="csp-nonce"]')?.nonce ?? '';`;
    return { code: code.replace(nonce, mark).replaceAll('.innerHTML = css', '.textContent = css'), map: null };
  },
};

export default defineConfig({
  plugins: [antdStyles(), ownStyles, react(), offline],
  // The server puts a mark of its own here, anew for each answer.
  html: { cspNonce: '__NONCE__' },
  // The same library for browsers of today, not for those of 2015.
  resolve: { alias: { dexie: 'dexie/dist/modern/dexie.min.mjs' } },
  define: { __CORE__: JSON.stringify(coreHash()), __READING__: JSON.stringify(readingHash()) },
  root: import.meta.dirname,
  worker: { format: 'es' },
  build: {
    outDir: 'dist',
    target: 'es2023',
    chunkSizeWarningLimit: 1000,
    rollupOptions: {
      // The interface library's own packages do nothing but by what they export; they do not all say so.
      treeshake: { moduleSideEffects: [{ test: /node_modules.@(rc-component|ant-design)./, sideEffects: false }] },
      output: {
        manualChunks(id) {
          if (/node_modules\/(react|react-dom|react-router|scheduler)\//.test(id)) return 'react';
          return undefined;
        },
      },
    },
  },
});
