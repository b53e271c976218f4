// Jobs that hang on nothing of each other, as many at a time as the machine has cores. What each says is printed when it ends.
import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { root } from './prepare.mjs';

/**
 * @param jobs Each a script of Node's with its arguments, and the words for it.
 * @returns the words of those that did not succeed.
 */
export async function together(jobs, most = availableParallelism()) {
  const waiting = [...jobs];
  const failed = [];
  const next = async () => {
    for (let job = waiting.shift(); job; job = waiting.shift()) {
      const { ok, said } = await ran(job.script);
      if (said.trim()) console.log(said.trimEnd());
      if (!ok) failed.push(job.words);
    }
  };
  await Promise.all(Array.from({ length: Math.max(1, most) }, next));
  return failed;
}

const ran = (script) =>
  new Promise((done) => {
    const child = spawn(process.execPath, script, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    const hear = (piece) => (said += piece);
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('close', (code) => done({ ok: code === 0, said }));
    child.on('error', (error) => done({ ok: false, said: String(error.message) }));
  });
