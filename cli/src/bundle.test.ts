// jt as it is shipped: bundled, started as a program of its own.
import { spawn } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { bundleJt } from '../../scripts/prepare.mjs';

let file: string;
beforeAll(async () => {
  // Beside the packages it leaves outside.
  const folder = await mkdtemp(join(fileURLToPath(new URL('..', import.meta.url)), 'dist-test-'));
  await bundleJt(folder);
  file = join(folder, 'jt.mjs');
}, 60_000);
afterAll(() => rm(join(file, '..'), { recursive: true, force: true }));

describe('the bundled jt', () => {
  it('starts, answers, and exits with 1 for what it does not know', async () => {
    const help = await started(['help']);
    expect(help).toMatchObject({ code: 0, err: '' });
    expect(help.out).toContain('--drawing half|outline|rocker|sections|fins|sticks|railGauges|bands|bottomGauges');
    expect(await started(['fly'])).toMatchObject({ code: 1, out: '' });
  }, 30_000);

  it('is not put out when whoever reads it has read enough', async () => {
    const { code, err } = await started(['models', '--json'], 1);
    expect(err).toBe('');
    expect(code).toBe(0);
  }, 30_000);
});

/** Runs it to its end; with `enough`, what it writes is read so many times and then no more. */
function started(args: string[], enough = Infinity): Promise<{ code: number | null; out: string; err: string }> {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [file, ...args]);
    let [out, err, read] = ['', '', 0];
    child.stdout.on('data', (data: Buffer) => {
      out += data.toString();
      if (++read >= enough) child.stdout.destroy();
    });
    child.stderr.on('data', (data: Buffer) => (err += data.toString()));
    child.on('close', (code) => resolve({ code, out, err }));
  });
}
