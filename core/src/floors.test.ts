import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';

const root = join(import.meta.dirname, '..', '..');
const text = (file: string) => readFileSync(join(root, file), 'utf8');
/** A list of names as eslint.config.mjs writes it. */
const listed = (name: string): string[] => {
  const found = new RegExp(`const ${name} = \\[([^\\]]*)\\]`).exec(text('eslint.config.mjs'));
  return [...(found?.[1] ?? '').matchAll(/'(\w+)'/g)].map(([, word]) => word);
};
const FLOORS = listed('FLOORS');

describe('the floors of core', () => {
  it('are its folders, every one, in one order', () => {
    const folders = readdirSync(join(root, 'core', 'src'), { withFileTypes: true })
      .filter((entry) => entry.isDirectory() && entry.name !== 'testing')
      .map(({ name }) => name);
    expect([...FLOORS].sort()).toEqual(folders.sort());
  });

  it('stand in README in the order lint holds', () => {
    const diagram = /Inside `core`[\s\S]*?\n\n((?: {4}.*\n)+)/.exec(text('README.md'))?.[1] ?? '';
    expect(diagram.match(/[a-z]+/g)).toEqual(FLOORS);
  });

  it('have a door each, and no other way in but the two that bring libraries of their own', () => {
    const { exports } = JSON.parse(text('core/package.json')) as { exports: Record<string, string> };
    const doors = FLOORS.map((floor) => [`./${floor}`, `./src/${floor}/index.ts`]);
    expect(exports).toEqual({
      ...Object.fromEntries(doors),
      './files/pdf': './src/files/pdf/index.ts',
      './files/packages': './src/files/packages.ts',
    });
  });
});
