// Jest's runtime for the tests of core, cli and server: Node itself loads their modules, once a worker, in its own context.
// Jest's own runtime loads them anew for every test file, in a context in which geometry runs up to three times as slow.
// It holds because core has no state, no clock and no randomness; the models, which every test file shares, are frozen.
const { register } = require('node:module');
const { join } = require('node:path');
const { pathToFileURL } = require('node:url');
const JestRuntime = require('jest-runtime').default;
const { GLOBALS } = require('./globalsKey.cjs');

/** Freezes a value and all it holds; what is frozen already is passed over, so that a ring ends. */
function deepFreeze(value) {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value) || ArrayBuffer.isView(value)) return value;
  Object.freeze(value);
  Object.values(value).forEach(deepFreeze);
  return value;
}

/** What all modules share, as it was before any test file: every built-in type's own members and its instances'. */
const BUILT_IN = Object.getOwnPropertyNames(globalThis)
  .map((name) => [name, Object.getOwnPropertyDescriptor(globalThis, name).value])
  .filter(([, value]) => typeof value === 'function' && /\[native code\]/.test(String(value)))
  .flatMap(([name, type]) => [
    [name, type],
    [`${name}.prototype`, type.prototype],
  ])
  .filter(([, holder]) => holder !== undefined)
  .map(([name, holder]) => [
    name,
    holder,
    // How an error is written is Jest's own, anew for each file.
    Object.entries(Object.getOwnPropertyDescriptors(holder)).filter(
      ([key, { value }]) => typeof value === 'function' && key !== 'prepareStackTrace',
    ),
  ]);

/** @throws Error when a test file, or a library it loads, wrote over what all others run on. */
function mustBeAsBefore(path) {
  for (const [name, holder, members] of BUILT_IN)
    for (const [key, was] of members) {
      const now = Object.getOwnPropertyDescriptor(holder, key);
      if (now?.value === was.value) continue;
      Object.defineProperty(holder, key, was);
      throw new Error(
        `${path} or what it imports replaces ${name}.${key} for every test file: give it a thread of its own`,
      );
    }
}

let loaders;
function prepare(rootDir) {
  loaders ??= (async () => {
    register('./hooks.mjs', pathToFileURL(__filename));
    const { models } = await import(pathToFileURL(join(rootDir, 'core/src/models/models.ts')).href);
    deepFreeze(models());
  })();
  return loaders;
}

// A worker with nothing left to do: to take down a heap of a gigabyte in good order can take longer than Jest waits before it calls it a
// leak. One that still has something open does not come here.
if (process.send) process.once('beforeExit', () => process.kill(process.pid, 'SIGKILL'));

class NodeRuntime extends JestRuntime {
  async unstable_importModule(path) {
    await prepare(this._config.rootDir);
    const loaded = await import(pathToFileURL(path).href);
    mustBeAsBefore(path);
    return loaded;
  }

  setGlobalsForRuntime(globals) {
    globalThis[GLOBALS] = globals;
    super.setGlobalsForRuntime(globals);
  }
}

module.exports = { __esModule: true, default: NodeRuntime };
