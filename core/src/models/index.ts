export { modelNamed, models } from './models.ts';
export { RAIL_PRESETS, type RailPresetName, railStation } from './recipe.ts';
