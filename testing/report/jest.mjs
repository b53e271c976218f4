// Jest's reporter in `npm test`: a line a file, and of a file that failed what failed and what it wrote to the console.
import { fileLine } from './lines.mjs';

/** One file's result, as lines.mjs wants it. */
export const unitFile = ({ testFilePath, numPassingTests, numFailingTests, testExecError, perfStats }) => ({
  path: testFilePath,
  passed: numPassingTests,
  // A file that cannot be loaded has no test that failed.
  failed: Math.max(numFailingTests, testExecError ? 1 : 0),
  seconds: (perfStats.end - perfStats.start) / 1000,
});

export default class JestLines {
  onTestResult(_test, result) {
    const file = unitFile(result);
    console.log(fileLine(file));
    if (file.failed === 0) return;
    for (const { message } of result.console ?? []) console.log(message);
    console.log(result.failureMessage);
  }

  onRunComplete(_contexts, { runExecError }) {
    if (runExecError) console.log(runExecError.message);
  }
}
