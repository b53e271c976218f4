// `@jest/globals` for modules that Node loads. A module is loaded once and Jest makes its globals anew for each test file, so each
// name here passes on to those of the file that runs.
import { GLOBALS } from './globalsKey.cjs';

const passedOn = (name) => {
  const now = () => globalThis[GLOBALS][name];
  return new Proxy(() => undefined, {
    apply: (_target, _self, args) => now()(...args),
    get: (_target, key) => now()[key],
  });
};

export const describe = passedOn('describe');
export const it = passedOn('it');
export const test = passedOn('test');
export const expect = passedOn('expect');
export const beforeAll = passedOn('beforeAll');
export const beforeEach = passedOn('beforeEach');
export const afterAll = passedOn('afterAll');
export const afterEach = passedOn('afterEach');
