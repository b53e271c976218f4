import 'fake-indexeddb/auto';
import { TextDecoder, TextEncoder } from 'node:util';

// What jsdom lacks and the interface asks for. Sizes are a bay's at 1280 by 800.
class SizeObserver implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
Object.assign(globalThis, {
  ResizeObserver: SizeObserver,
  TextDecoder,
  TextEncoder,
  structuredClone: globalThis.structuredClone ?? ((value: unknown) => JSON.parse(JSON.stringify(value)) as unknown),
});
if (typeof window !== 'undefined') {
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
