import { saidBack } from './oneLine.ts';
import { type Parsed, parsedAs, refused } from './parsed.ts';

/** Exactly, by definition: NIST SP 811 (2008), appendix B.8, "pound (avoirdupois) (lb) to kilogram 4.535 923 7 E-01". */
export const POUND_kg = 0.45359237;

/** Nobody writes a weight in more letters. */
const MOST_TYPED = 100;

/** The mass, in kg, of "230 lb", "104kg" or "16 st 5"; a bare number is read in `bare`. From 0 to 1000 kg. */
export function parseMass(text: string, bare: 'kg' | 'lb' = 'kg'): Parsed {
  if (text.length > MOST_TYPED) return refused('notAMass', `${saidBack(text)} is far too long for a weight.`);
  const body = text
    .trim()
    .toLowerCase()
    .replace(/(\d),(\d)/g, '$1.$2');
  const stone = /^(\d+)\s*st(?:one)?\s*(?:(\d+\.?\d*)\s*(?:lbs?)?)?$/.exec(body);
  if (stone) return inRange((Number(stone[1]) * 14 + Number(stone[2] ?? 0)) * POUND_kg);
  const found = /^(\d+\.?\d*|\.\d+)\s*(kg|kilos?|lbs?|pounds?|g)?$/.exec(body);
  if (!found) return refused('notAMass', `${saidBack(text)} is not a weight. Try 76 kg or 168 lb.`);
  const unit = found[2] ?? bare;
  const factor = unit.startsWith('k') ? 1 : unit === 'g' ? 0.001 : POUND_kg;
  return inRange(Number(found[1]) * factor);
}

function inRange(mass_kg: number): Parsed {
  if (!(mass_kg <= 1000)) return refused('tooHeavy', 'That is more than 1000 kg; check the unit.');
  return parsedAs(mass_kg);
}
