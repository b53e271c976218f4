import type { Shape } from '../board/shape.ts';
import { hollowStretches } from '../curve/spring.ts';
import { measure } from '../measure/measure.ts';
import { FOIL_BALANCE_mm } from '../tolerances.ts';
import type { LitresTarget } from '../rider/litres.ts';
import { formatLength, formatLitres, type LengthStyle } from '../units/format.ts';

/** Something worth a look before foam is cut. */
export interface CheckNote {
  code: 'litresBelow' | 'litresAbove' | 'foilBias' | 'hollow' | 'thinOverFins';
  /** `note` is information, `look` asks for a decision. */
  level: 'note' | 'look';
  title: string;
  words: string;
}

/** Foam over a fin box: thinner is weak. Our own figure: 3/4 in, about the depth of common boxes and a little more. */
const FOAM_OVER_BOX_mm = 19;

/** What the numbers say before foam is cut: litres, balance of the foil, hollows, foam over the fins. */
export function checkNotes(shape: Shape, target: LitresTarget | undefined, style: LengthStyle): CheckNote[] {
  const m = measure(shape);
  const notes: CheckNote[] = [];
  if (target && m.volume_L < target.low_L) {
    notes.push({
      code: 'litresBelow',
      level: 'look',
      title: `${formatLitres(target.low_L - m.volume_L)} under the range`,
      words: `${formatLitres(m.volume_L)} where this rider’s range starts at ${formatLitres(target.low_L)}. It will sit low and catch late; thickness is the quickest lever.`,
    });
  }
  if (target && m.volume_L > target.high_L) {
    notes.push({
      code: 'litresAbove',
      level: 'look',
      title: `${formatLitres(m.volume_L - target.high_L)} over the range`,
      words: `${formatLitres(m.volume_L)} where this rider’s range ends at ${formatLitres(target.high_L)}. It may feel corky; take thickness or fullness out of the rail.`,
    });
  }
  const bias = m.noseThickness12_mm - m.tailThickness12_mm;
  if (Math.abs(bias) > FOIL_BALANCE_mm) {
    const fuller = bias > 0 ? 'nose' : 'tail';
    notes.push({
      code: 'foilBias',
      level: 'note',
      title: `Foil fuller in the ${fuller}`,
      words: `At 12 in the ${fuller} is ${formatLength(Math.abs(bias), style)} thicker. A balanced foil stays within 0.05 in; meant, it puts foam under the ${bias > 0 ? 'chest and front foot' : 'back foot'}.`,
    });
  }
  const curves = [
    ['outline', hollowStretches(shape.outline.base, 'in')],
    ['rocker', hollowStretches(shape.rocker.line, 'up')],
    ['foil', hollowStretches(shape.foil.line, 'in')],
  ] as const;
  for (const [name, stretches] of curves) {
    for (const [from, to] of stretches) {
      notes.push({
        code: 'hollow',
        level: 'look',
        title: `Hollow in the ${name}`,
        words: `Between ${formatLength(from, style)} and ${formatLength(to, style)} from the tail the marks ask for a hollow. Lift one off, or move it toward the batten.`,
      });
    }
  }
  for (const box of shape.board.fins.boxes) {
    const there = shape.foil.line.valueAt(box.trailingEdge_mm);
    if (there >= FOAM_OVER_BOX_mm) continue;
    notes.push({
      code: 'thinOverFins',
      level: 'look',
      title: 'Thin over a fin box',
      words: `${formatLength(there, style)} of foam at ${formatLength(box.trailingEdge_mm, style)} from the tail; most boxes want ${formatLength(FOAM_OVER_BOX_mm, style)}.`,
    });
  }
  return notes;
}
