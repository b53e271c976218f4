export {
  formatArea,
  formatLength,
  lengthWords,
  formatLitres,
  formatMass,
  type LengthStyle,
  styleApart,
  writeLength,
  type WrittenLength,
} from './format.ts';
export { type BareUnit, FOOT_mm, INCH_mm, parseLength } from './length.ts';
export { parseMass, POUND_kg } from './mass.ts';
