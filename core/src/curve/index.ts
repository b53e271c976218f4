export { fairnessTones } from './sideLight.ts';
export { hollowStretches } from './spring.ts';
