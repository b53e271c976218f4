/** The shed: opened, and changed in its parts. */
export { litresOf } from './checked.ts';
export * from './layouts.ts';
export { dropPhotosOf, keepPhoto, photoAddress } from './photos.ts';
export * from './records.ts';
export * from './riders.ts';
export * from './settings.ts';
export * from './shelf.ts';
export * from './versions.ts';
export * from './spoilt.ts';
export * from './backup.ts';
export * from './mishaps.ts';
export * from './room.ts';
export { type EditResult, entryOf, type ShedState, type SpoiltRow, useShed } from './shedState.ts';
export { loadShed } from './opening.ts';
