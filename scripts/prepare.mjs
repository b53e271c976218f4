// What start and test share: the Node version, the packages, the build, each done only when needed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const cache = join(root, 'node_modules', '.cache', 'june-tide');

export function say(text) {
  console.log(`\n== ${text}`);
}

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  console.error(
    `June Tide needs Node.js 20.19 or newer; this is ${process.versions.node}. Install a newer one and try again.`,
  );
  process.exit(1);
}

/** Runs a command to its end. Gives whether it succeeded. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.error) console.error(`${command}: ${result.error.message}`);
  return result.status === 0;
}

export function mustRun(command, args, words, options) {
  if (run(command, args, options)) return;
  console.error(`\n${words} did not succeed; the lines above say why.`);
  process.exit(1);
}

function stampOf(name) {
  const file = join(cache, name);
  return existsSync(file) ? readFileSync(file, 'utf8') : '';
}

function setStamp(name, text) {
  mkdirSync(cache, { recursive: true });
  writeFileSync(join(cache, name), text);
}

/** Installs the packages when there are none or the lock file changed. */
export function install() {
  const wanted = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(join(root, 'node_modules')) && stampOf('installed') === wanted) return;
  say('Installing packages (once, about a minute)');
  mustRun('npm', ['ci', '--prefer-offline', '--no-audit', '--no-fund'], 'Installing packages');
  setStamp('installed', wanted);
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.name === 'node_modules' || entry.name === 'dist') return [];
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesBelow(path) : [path];
  });
}

/** Libraries that are no modules, and stay packages beside the bundle. */
const PACKAGES = ['pdf-lib', '@pdf-lib/fontkit', 'qrcode', '@tarikjabiri/dxf', 'esbuild'];
export const jtFile = join(root, 'cli', 'dist', 'jt.mjs');

/** Bundles the command line into a folder: what is loaded late stays a file of its own, so that it starts at once. */
export async function bundleJt(folder) {
  const { build: bundle } = await import('esbuild');
  await bundle({
    entryPoints: [join(root, 'cli/src/jt.ts')],
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    external: PACKAGES,
    logLevel: 'warning',
  });
}

/** Bundles the command line when a source is newer than the last bundle. */
export async function buildJt() {
  const wanted = stampFor(['core', 'cli']);
  if (existsSync(jtFile) && stampOf('jt') === wanted) return;
  rmSync(join(root, 'cli', 'dist'), { recursive: true, force: true });
  await bundleJt(join(root, 'cli', 'dist'));
  setStamp('jt', wanted);
}

/** What the sources in these folders are, in short. */
function stampFor(folders) {
  const hash = createHash('sha256');
  for (const file of folders.flatMap((folder) => filesBelow(join(root, folder))).sort()) {
    const { size, mtimeMs } = statSync(file);
    hash.update(`${file}:${size}:${mtimeMs};`);
  }
  hash.update(readFileSync(join(root, 'package-lock.json')));
  return hash.digest('hex');
}

/** What builds the app and the server, as jobs of together.mjs: none when no source is newer than the last build. */
export function buildSteps({ always = false } = {}) {
  const there = existsSync(join(root, 'app/dist/index.html')) && existsSync(join(root, 'server/dist/main.mjs'));
  if (!always && there && stampOf('built') === sourcesNow()) return [];
  return [
    { script: ['node_modules/vite/bin/vite.js', 'build', 'app', '--logLevel', 'warn'], words: 'Building the app' },
    {
      script: [
        'node_modules/esbuild/bin/esbuild',
        'server/src/main.ts',
        '--bundle',
        '--platform=node',
        '--format=esm',
        '--packages=external',
        '--outfile=server/dist/main.mjs',
        '--log-level=warning',
      ],
      words: 'Building the server',
    },
  ];
}
const sourcesNow = () => stampFor(['core', 'app', 'server']);
/** Says that what stands in the sources now is what was built. */
export const noteBuilt = () => setStamp('built', sourcesNow());

/** Builds the app and the server when a source is newer than the last build. */
export function build(options) {
  const steps = buildSteps(options);
  if (steps.length === 0) return;
  say('Building (half a minute)');
  for (const { script, words } of steps) mustRun(process.execPath, script, words);
  noteBuilt();
}
