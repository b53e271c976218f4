// Playwright's reporter: a line a file when its last test has ended, each failure when it happens, and at the end the sums as JSON.
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileLine } from './lines.mjs';

export default class PlaywrightLines {
  #files = new Map();
  #outputFile;

  /** @param options `outputFile` gets {stats: {passed, failed}, files} of the run. */
  constructor({ outputFile }) {
    this.#outputFile = outputFile;
  }

  onBegin(_config, suite) {
    for (const test of suite.allTests()) this.#fileOf(test).left += 1;
  }

  onTestEnd(test, result) {
    const file = this.#fileOf(test);
    file.seconds += result.duration / 1000;
    file.left -= 1;
    if (result.status === test.expectedStatus) file.passed += 1;
    else {
      file.failed += 1;
      console.log(`FAIL ${test.titlePath().filter(Boolean).join(' › ')}`);
      for (const { message, stack, snippet } of result.errors) console.log([message ?? stack, snippet].join('\n'));
    }
    if (file.left === 0) console.log(fileLine(file));
  }

  onError({ message, stack }) {
    console.log(stack ?? message);
  }

  onEnd() {
    const files = [...this.#files.values()];
    const sum = (key) => files.reduce((all, file) => all + file[key], 0);
    mkdirSync(dirname(this.#outputFile), { recursive: true });
    const stats = { passed: sum('passed'), failed: sum('failed') };
    writeFileSync(this.#outputFile, JSON.stringify({ stats, files }));
  }

  printsToStdio() {
    return true;
  }

  #fileOf(test) {
    const path = test.location.file;
    if (!this.#files.has(path)) this.#files.set(path, { path, left: 0, passed: 0, failed: 0, seconds: 0 });
    return this.#files.get(path);
  }
}
