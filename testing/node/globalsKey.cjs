// Where the runtime leaves what Jest gives the test file that runs, for globals.mjs to find.
exports.GLOBALS = Symbol.for('june-tide-test-globals');
