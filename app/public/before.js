// Read before the app: schemas are checked without making programs of text, which this page forbids.
globalThis.__zod_globalConfig = { jitless: true };
// The store's library opens a channel between windows as it is read: a browser that refuses one gets the app without.
try {
  new BroadcastChannel('june-tide-tried').close();
} catch {
  globalThis.BroadcastChannel = undefined;
}
