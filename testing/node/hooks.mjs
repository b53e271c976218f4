// Node's loader hooks of the tests: TypeScript's types are blanked out where they stand, so that every line and column of an error is
// the source's own; `@jest/globals` is globals.mjs; JSON is a module.
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { transformSync } from '@swc/wasm-typescript';

const GLOBALS = new URL('./globals.mjs', import.meta.url).href;

export const resolve = (specifier, context, next) =>
  specifier === '@jest/globals' ? { url: GLOBALS, shortCircuit: true } : next(specifier, context);

export async function load(url, context, next) {
  const source = () => readFile(fileURLToPath(url), 'utf8');
  // The sources name JSON as a bundler takes it, without saying what it is.
  if (url.endsWith('.json') && context.importAttributes.type === undefined)
    return { format: 'module', source: `export default ${await source()}`, shortCircuit: true };
  if (!url.endsWith('.ts')) return next(url, context);
  const { code } = transformSync(await source(), { mode: 'strip-only', module: true });
  return { format: 'module', source: code, shortCircuit: true };
}
