import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express } from 'express';

/**
 * Everything the page may load comes from here. Ant Design writes its styles into the page, hence unsafe-inline for
 * styles alone; scripts are files of ours only.
 */
const POLICY = [
  "default-src 'self'",
  "script-src 'self'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self' data:",
  "worker-src 'self' blob:",
  "connect-src 'self'",
  // A PDF made here is shown to the printer in a frame of its own.
  'frame-src blob:',
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

/** The app's own files, a health route, and the page for every other address. */
export function makeServer(dist: string): Express {
  const server = express();
  server.disable('x-powered-by');
  server.use((_request, response, next) => {
    response.set({
      'Content-Security-Policy': POLICY,
      'X-Content-Type-Options': 'nosniff',
      'Referrer-Policy': 'no-referrer',
      'Cross-Origin-Opener-Policy': 'same-origin',
      'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
    });
    next();
  });
  server.get('/api/health', (_request, response) => {
    response.json({ status: 'ok', app: 'June Tide', built: existsSync(join(dist, 'index.html')) });
  });
  server.use('/api', (_request, response) => {
    response.status(404).json({ error: 'There is nothing at this address.' });
  });
  server.use('/assets', express.static(join(dist, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }));
  server.use(express.static(dist, { index: false }));
  server.get(/^\/(?!assets\/|api\/).*/, (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(dist, 'index.html'));
  });
  return server;
}
