export { type FinTrouble, finTroubles, setupTroubles, toeLines } from './checks.ts';
export { finArea_mm2, finPlan } from './finShape.ts';
export { placedFins } from './placed.ts';
export { ALSO_SERVES, FIN_TEMPLATES, SETUP_WORDS, withSetup } from './placement.ts';
export { type FinSpot, finSpots } from './spots.ts';
