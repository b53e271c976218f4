import { once } from 'node:events';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { type AddressInfo, connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { makeServer } from './server.ts';

let dist: string;
beforeAll(() => {
  dist = mkdtempSync(join(tmpdir(), 'jt-dist-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(
    join(dist, 'index.html'),
    '<!doctype html><meta property="csp-nonce" nonce="__NONCE__"><title>June Tide</title>',
  );
  writeFileSync(join(dist, 'assets', 'a.js'), 'export {}');
});

describe('the server', () => {
  it('answers its health route', async () => {
    const answer = await request(makeServer(dist)).get('/api/health').expect(200);
    expect(answer.body).toEqual({ status: 'ok', app: 'June Tide', built: true });
  });

  it.each(['/', '/bay/some-id/outline', '/start'])('gives the page at %s', async (path) => {
    const answer = await request(makeServer(dist)).get(path).expect(200);
    expect(answer.text).toContain('June Tide');
    expect(answer.headers['cache-control']).toBe('no-cache');
  });

  it('answers 404, and not the page, for a missing asset or address of the api', async () => {
    const asset = await request(makeServer(dist)).get('/assets/missing.js').expect(404);
    expect(asset.text).not.toContain('<title>June Tide');
    await request(makeServer(dist)).get('/api/nothing').expect(404);
  });

  it.each([
    '/assets/missing.js',
    '/assets/..%2f..%2fetc%2fpasswd',
    '/assets/%00',
    '/sw.js',
    '/.env',
    '/x/../.git/config',
  ])('says of %s no more than that it is not there: no page, no path, no stack', async (path) => {
    const answer = await request(makeServer(dist)).get(path);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    expect(answer.text).not.toContain('<title>June Tide');
    expect(answer.text).not.toMatch(/\/(tmp|work|home|node_modules)|\bat .*:\d+/);
  });

  it('is not asked by a foreign name, unless it was told that name', async () => {
    await request(makeServer(dist)).get('/').set('Host', 'shapes.example').expect(421);
    await request(makeServer(dist)).get('/').set('Host', 'localhost:4180').expect(200);
    await request(makeServer(dist, ['bench.shed']))
      .get('/')
      .set('Host', 'bench.shed:4180')
      .expect(200);
  });

  it('answers a program of HTTP/1.0, which asks by no name, and lets no other page have what it says', async () => {
    const server = makeServer(dist).listen(0, '127.0.0.1');
    await once(server, 'listening');
    const socket = connect((server.address() as AddressInfo).port, '127.0.0.1');
    socket.write('GET / HTTP/1.0\r\n\r\n');
    const chunks: Buffer[] = [];
    for await (const chunk of socket) chunks.push(chunk as Buffer);
    server.close();
    const answer = Buffer.concat(chunks).toString();
    expect(answer).toMatch(/^HTTP\/1\.1 200 /);
    expect(answer).toMatch(/cross-origin-resource-policy: same-origin/i);
  });

  it('serves assets to be kept, and nothing outside its folder', async () => {
    const asset = await request(makeServer(dist)).get('/assets/a.js').expect(200);
    expect(asset.headers['cache-control']).toContain('immutable');
    await request(makeServer(dist)).get('/assets/..%2f..%2fetc%2fpasswd').expect(403);
  });

  it('marks the page and its policy alike, anew for each answer, and trusts nothing unmarked', async () => {
    const marks: string[] = [];
    for (const path of ['/', '/index.html', '/bay/x/outline']) {
      const { headers, text } = await request(makeServer(dist)).get(path).expect(200);
      const policy = String(headers['content-security-policy']);
      const [, mark] = /nonce="([\w+/]{24})"/.exec(text) ?? [];
      expect(policy).toContain(`style-src 'self' 'nonce-${mark}'`);
      expect(policy).toContain("require-trusted-types-for 'script'");
      expect(policy).not.toContain('unsafe');
      marks.push(mark);
    }
    expect(new Set(marks).size).toBe(3);
    const asset = await request(makeServer(dist)).get('/assets/a.js');
    expect(String(asset.headers['content-security-policy'])).toMatch(/style-src 'self'$/);
  });

  it('says that there is nothing where the app was not built', async () => {
    const none = mkdtempSync(join(tmpdir(), 'jt-none-'));
    const { text } = await request(makeServer(none)).get('/').expect(404);
    expect(text).toBe('There is nothing at this address.');
  });

  it('allows scripts from itself alone, no inline ones, no frames, and hides what it is', async () => {
    const { headers } = await request(makeServer(dist)).get('/');
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("script-src 'self';");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });
});
