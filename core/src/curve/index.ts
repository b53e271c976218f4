export { bumpsAlong } from './sideLight.ts';
export { hollowStretches } from './spring.ts';
