export {
  atWing,
  finSpread_mm,
  leadingEdge_mm,
  toeFor_rad,
  trailingFor_mm,
  withFinsShifted,
  withFinSpread,
} from './cluster.ts';
export { type FinTrouble, finTroubles, setupTroubles, toeLines } from './checks.ts';
export { finFaces } from './finFoil.ts';
export { finArea_mm2, finPlan } from './finShape.ts';
export { placedFins } from './placed.ts';
export { ALSO_SERVES, FIN_TEMPLATES, SETUP_WORDS, withSetup } from './placement.ts';
export { type FinSpot, finSpots } from './spots.ts';
