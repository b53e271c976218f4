import 'fake-indexeddb/auto';
import { TextDecoder, TextEncoder } from 'node:util';

// What jsdom lacks and the interface asks for. Sizes are a bay's at 1280 by 800.
class SizeObserver implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
/** Plain data, bytes and files, as the browser's own copy has them. */
function cloned(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || value instanceof Blob) return value;
  if (value instanceof Uint8Array) return value.slice();
  if (Array.isArray(value)) return value.map(cloned);
  return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, cloned(part)]));
}
Object.assign(globalThis, {
  ResizeObserver: SizeObserver,
  TextDecoder,
  TextEncoder,
  structuredClone: globalThis.structuredClone ?? cloned,
});
if (typeof window !== 'undefined') {
  Blob.prototype.arrayBuffer ??= function (this: Blob) {
    return new Promise((done) => {
      const reader = new FileReader();
      reader.onload = () => done(reader.result as ArrayBuffer);
      reader.readAsArrayBuffer(this);
    });
  };
  Object.assign(window, {
    matchMedia: (query: string) => ({
      matches: false,
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      addListener: () => undefined,
      removeListener: () => undefined,
      dispatchEvent: () => false,
    }),
  });
  const plain = window.getComputedStyle.bind(window);
  window.getComputedStyle = (element) => plain(element);
}
