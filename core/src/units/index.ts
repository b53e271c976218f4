export { FOOT_mm, INCH_mm, parseLength, type BareUnit } from './length.ts';
export { parseMass, POUND_kg } from './mass.ts';
export { type Parsed } from './parsed.ts';
export {
  formatArea,
  formatLength,
  formatLitres,
  formatMass,
  styleApart,
  writeLength,
  type LengthStyle,
  type WrittenLength,
} from './format.ts';
