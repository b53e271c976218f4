import type { Shape } from '../board/shape.ts';
import { hollowsOf } from '../board/troubles.ts';
import { finTroubles } from '../fins/checks.ts';
import { measure } from '../measure/measure.ts';
import { FOIL_BALANCE_mm } from '../tolerances.ts';
import type { LitresTarget } from '../rider/litres.ts';
import { formatLength, formatLitres, type LengthStyle } from '../units/format.ts';

/** Something worth a look before foam is cut. */
export interface CheckNote {
  code: 'litresBelow' | 'litresAbove' | 'foilBias' | 'hollow' | 'finBox';
  /** `note` is information, `look` asks for a decision. */
  level: 'note' | 'look';
  title: string;
  words: string;
}

const ROLE_WORDS = { centre: 'Centre fin', front: 'Front fins', rear: 'Rear fins' } as const;

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
  for (const { curve, from_mm, to_mm } of hollowsOf(shape)) {
    notes.push({
      code: 'hollow',
      level: 'look',
      title: `Hollow in the ${curve}`,
      words: `Between ${formatLength(from_mm, style)} and ${formatLength(to_mm, style)} from the tail the marks ask for a hollow. Lift one off, or move it toward the batten.`,
    });
  }
  for (const trouble of finTroubles(shape)) {
    const role = ROLE_WORDS[shape.board.fins.boxes[trouble.box].role];
    notes.push({
      code: 'finBox',
      level: 'look',
      title: `${role}: ${trouble.words}`,
      words: `There is ${formatLength(trouble.has_mm, style)} where ${formatLength(trouble.needs_mm, style)} is wanted. Move the box, or thicken there.`,
    });
  }
  return notes;
}
