import { relative } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { interfaceFor, unitFilesFor } from '../scripts/changed.mjs';
import { root } from '../scripts/prepare.mjs';

const reached = (...changed: string[]) => unitFilesFor(changed)?.map((path: string) => relative(root, path));

describe('the unit tests that a change reaches', () => {
  it('are those that import it, also through a door of core, and no others', () => {
    const files = reached('core/src/record/ride.ts')!;
    expect(files).toContain('core/src/record/record.test.ts');
    expect(files).toContain('app/src/store/shed.test.ts');
    expect(files).not.toContain('core/src/curve/nnls.test.ts');
  });

  it('are those that read the file by its name, where it is not code', () => {
    expect(reached('README.md')).toContain('core/src/floors.test.ts');
    expect(reached('docs/measures.md')).toContain('core/src/measure/catalogue.test.ts');
  });

  it('are all where what every test stands on changes, and none where nothing does', () => {
    expect(unitFilesFor(['core/src/units/length.ts', 'jest.config.mjs'])).toBeUndefined();
    expect(unitFilesFor([])).toEqual([]);
  });
});

describe('the interface tests that a change reaches', () => {
  it('are all of npm test where what is built changes', () => {
    for (const path of ['core/src/units/length.ts', 'app/src/App.tsx', 'app/index.html', 'server/src/main.ts'])
      expect(interfaceFor([path])).toEqual([]);
  });

  it('are those that changed themselves, and none for tests, documents or the command line', () => {
    expect(interfaceFor(['e2e/bay.spec.ts', 'docs/testing.md'])).toEqual(['e2e/bay.spec.ts']);
    for (const path of ['core/src/units/length.test.ts', 'docs/testing.md', 'cli/src/run.ts'])
      expect(interfaceFor([path])).toBeUndefined();
  });
});
