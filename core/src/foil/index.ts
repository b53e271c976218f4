export { type Foil, thicknessAt } from './foil.ts';
