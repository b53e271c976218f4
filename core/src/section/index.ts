export { deckHeightAt, undersideHeightAt } from './heights.ts';
export type { Section } from './section.ts';
export { straightedgeAcross } from './straightedge.ts';
export { type HalfCounts, halfSection, sectionRing } from './walk.ts';
export { shoulderOf } from './shoulder.ts';
