// Which source files import which: for what a change reaches, and for the tests near a fault.
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { root } from './prepare.mjs';

/** The files below a folder of the project, or the one file that is named. */
export const filesIn = (folder) =>
  statSync(join(root, folder)).isFile()
    ? [join(root, folder)]
    : readdirSync(join(root, folder), { recursive: true }).map((name) => join(root, folder, String(name)));

const doors = JSON.parse(readFileSync(join(root, 'core/package.json'), 'utf8')).exports;

/** The file that an import names; undefined for a package. */
function imported(file, name) {
  if (name.startsWith('.')) return join(dirname(file), name);
  const door = /^@june-tide\/core(\/.*)$/.exec(name);
  return door ? join(root, 'core', doors[`.${door[1]}`]) : undefined;
}

/** Of every source file of core, app, cli and server, and of the tests of the tests: the files that import it. */
export function importersOf() {
  const files = ['core/src', 'app/src', 'cli/src', 'server/src', 'testing']
    .flatMap(filesIn)
    .filter((file) => /\.(tsx?|mjs)$/.test(file));
  const importers = new Map(files.map((file) => [file, []]));
  for (const file of files)
    for (const [, name] of readFileSync(file, 'utf8').matchAll(/(?:from|import) ?\(?'([^']+)'/g))
      importers.get(imported(file, name))?.push(file);
  return importers;
}

export const isTest = (file) => /\.test\.tsx?$/.test(file);
