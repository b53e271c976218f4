// Read before the app: schemas are checked without making programs of text, which this page forbids.
globalThis.__zod_globalConfig = { jitless: true };
