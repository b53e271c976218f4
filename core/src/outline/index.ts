export { battenAlone, halfBreadthAt, type Outline, outlinePoints, sprungOutline } from './outline.ts';
