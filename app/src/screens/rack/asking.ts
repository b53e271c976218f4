// What the rack needs once it is asked something, and only then.
export { answering, filtersFrom } from '@june-tide/core/record';
export { Asked } from './Asked.tsx';
