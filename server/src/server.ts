import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';

/**
 * Everything the page may load comes from here. Styles the page writes into itself bear its mark; no text is made into a program or into
 * elements (Trusted Types), where the browser knows them.
 */
const policyOf = (nonce: string | undefined): string =>
  [
    ...POLICY,
    `style-src 'self'${nonce === undefined ? '' : ` 'nonce-${nonce}'`}`,
    ...(nonce === undefined ? [] : TRUSTED),
  ].join('; ');
/** For the page alone: what works without a network is brought in by a library that knows nothing of it. */
const TRUSTED = ["require-trusted-types-for 'script'", 'trusted-types default'];
const POLICY = [
  "default-src 'self'",
  "script-src 'self'",
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
];
/** Stands in the page where its mark goes. */
const NONCE = /__NONCE__/g;

/** Names by which this machine is asked for; a page of another name that leads here is not served. */
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]'];

const hostOf = (header: string | undefined) => (header ?? '').replace(/:\d+$/, '').toLowerCase();

/** What went wrong in a word or two, and nothing of where the files lie. */
const plainly: ErrorRequestHandler = (error: { status?: unknown }, _request, response, next) => {
  if (response.headersSent) return next(error);
  const status = typeof error.status === 'number' && error.status >= 400 && error.status < 600 ? error.status : 500;
  response
    .status(status)
    .type('text/plain')
    .send(status === 404 ? 'There is nothing at this address.' : 'That cannot be served.');
};

/**
 * The app's own files, a health route, and the page for every address of a screen.
 * @param names further names the server may be asked by, where it is open to other machines.
 */
export function makeServer(dist: string, names: readonly string[] = []): Express {
  const server = express();
  server.disable('x-powered-by');
  server.use((request, response, next) => {
    // No browser asks without a name; a program that speaks HTTP/1.0 may (RFC 1945).
    if (request.headers.host === undefined && request.httpVersion === '1.0') return next();
    if ([...OWN_NAMES, ...names].includes(hostOf(request.headers.host))) return next();
    response.status(421).type('text/plain').send('This server is not asked by that name.');
  });
  server.use((_request, response, next) => {
    response.set({
      'Content-Security-Policy': policyOf(undefined),
      'X-Content-Type-Options': 'nosniff',
      'Referrer-Policy': 'no-referrer',
      'Cross-Origin-Opener-Policy': 'same-origin',
      'Cross-Origin-Resource-Policy': 'same-origin',
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
  /** The page, its mark in it and in its policy. */
  const page: RequestHandler = (_request, response, next) => {
    readFile(join(dist, 'index.html'), 'utf8').then(
      (html) => {
        const nonce = randomBytes(18).toString('base64');
        response.set({ 'Content-Security-Policy': policyOf(nonce), 'Cache-Control': 'no-cache' });
        response.type('html').send(html.replace(NONCE, nonce));
      },
      () => next({ status: 404 }),
    );
  };
  server.get('/index.html', page);
  // The app that is kept in the browser is asked for anew each time: a newer one must be seen.
  server.use(
    express.static(dist, {
      index: false,
      setHeaders: (response, path) => {
        if (/(sw\.js|\.webmanifest)$/.test(path)) response.set('Cache-Control', 'no-cache');
      },
    }),
  );
  // No screen's address has a dot: what has one is a file that is not there.
  server.get(/^\/(?!assets\/|api\/)[^.]*$/, page);
  server.use((_request, response) => {
    response.status(404).type('text/plain').send('There is nothing at this address.');
  });
  server.use(plainly);
  return server;
}
