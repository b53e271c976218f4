export {
  APEX,
  EDGE_RADIUS_mm,
  isWithin,
  LENGTH_mm,
  DECK_LENGTH_mm,
  MOST_DECK_FEATURES,
  MOST_LAYERS,
  MOST_STATIONS,
  MOST_WINGS,
  TUCK_mm,
} from './limits.ts';
export { boardJsonSchema } from './jsonSchema.ts';
export { merged, sameData, writtenOver } from './kept.ts';
export {
  type Board,
  type BottomLayer,
  type DeckFeature,
  type DeckFeatureKind,
  FAMILIES,
  type Family,
  FIN_SETUPS,
  type FinBox,
  type FinSetup,
  type FinTemplate,
  type Mark,
  LAYER_KINDS,
  type RailStation,
  TAIL_KINDS,
  type TailKind,
  type Wing,
} from './schema.ts';
export { anchorsOf, distanceFrom, stationOfMark } from './station.ts';
export { DECK_FEATURES, FAMILY_WORDS, LAYER_WORDS, NOSE_WORDS, type NoseKind, NOSES, TAIL_WORDS } from './kinds.ts';
export { GLOSSARY, glossaryDocument, type GlossaryEntry, type Word } from './glossary.ts';
