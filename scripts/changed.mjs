// What a change reaches: for `npm test -- --changed`.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { importersOf, isTest } from './imports.mjs';
import { root } from './prepare.mjs';

const lines = (command, args) => {
  const { status, stdout, stderr } = spawnSync(command, args, { cwd: root, encoding: 'utf8', maxBuffer: 1 << 28 });
  if (status !== 0) throw new Error(`${command} ${args.join(' ')}: ${stderr}`);
  return stdout.split('\n').filter((line) => line !== '');
};

/** Files that differ from a commit, those git does not know yet too; paths from the root. */
export function changedSince(commit = 'HEAD') {
  return [
    ...new Set([
      ...lines('git', ['diff', '--name-only', commit]),
      ...lines('git', ['ls-files', '--others', '--exclude-standard']),
    ]),
  ].sort();
}

const isCode = (path) => /\.(ts|tsx)$/.test(path) && /^(core|app|cli|server)\/src\//.test(path);
/** What every test stands on: with it, all are asked. */
const isGround = (path) =>
  /^(jest\.config\.mjs|package(-lock)?\.json|testing\/|core\/package\.json|app\/src\/testing\/)/.test(path);

/** The unit tests that a change reaches through imports, or that read a file of it by name; undefined for all. */
export function unitFilesFor(changed) {
  if (changed.some(isGround)) return undefined;
  const importers = importersOf();
  const reached = new Set();
  const reach = (file) => {
    if (reached.has(file)) return;
    reached.add(file);
    (importers.get(file) ?? []).forEach(reach);
  };
  for (const path of changed.filter((name) => isCode(name) && existsSync(join(root, name)))) reach(join(root, path));
  const read = changed.filter((path) => !isCode(path)).map((path) => basename(path));
  const readers = lines('git', ['ls-files', '*.test.ts', '*.test.tsx']).filter((path) => {
    const text = existsSync(join(root, path)) ? readFileSync(join(root, path), 'utf8') : '';
    return read.some((name) => text.includes(name));
  });
  return [...new Set([...[...reached].filter(isTest), ...readers.map((path) => join(root, path))])];
}

/**
 * The interface tests that a change reaches: all that `npm test` has where what is built changes, else the changed ones; undefined
 * for none.
 */
export function interfaceFor(changed) {
  const isBuilt = (path) => isCode(path) && !/\.test\.tsx?$|\/testing\//.test(path) && !path.startsWith('cli/');
  if (changed.some((path) => isBuilt(path) || isGround(path) || /^(e2e\/(shed|playwright)|app\/)/.test(path)))
    return [];
  const specs = changed.filter((path) => path.endsWith('.spec.ts') && existsSync(join(root, path)));
  return specs.length > 0 ? specs : undefined;
}
