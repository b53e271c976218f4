import type { Board } from '../document/schema.ts';
import { FAMILY_WORDS, TAIL_WORDS } from '../document/kinds.ts';
import { SETUP_WORDS } from '../fins/placement.ts';
import { formatLength, type LengthStyle } from '../units/format.ts';
import { MEASURE_KEYS, measureOf } from './catalogue.ts';
import { compared } from './compare.ts';

/** Less than a 64th is no change a hand makes. */
const NO_CHANGE_mm = 0.4;
const NO_CHANGE_L = 0.05;

/**
 * What changed from one board to the next, as a shaper says it: "2 longer", "1/4 wider", "+2.1 L", "round pin for squash".
 * The main numbers only, in the order of the work; empty when none of them differs.
 */
export function changeWords(from: Board, to: Board, style: LengthStyle): string[] {
  const { measures } = compared(from, to);
  const by = new Map(measures.map(({ key, difference }) => [key, difference]));
  const words: string[] = [];
  if (from.family !== to.family) words.push(`${FAMILY_WORDS[to.family]} for ${FAMILY_WORDS[from.family]}`);
  for (const key of MEASURE_KEYS) {
    const { change } = measureOf(key);
    if (!change) continue;
    const [more, less] = change;
    const difference = by.get(key) ?? 0;
    if (Math.abs(difference) < NO_CHANGE_mm) continue;
    words.push(`${formatLength(Math.abs(difference), style)} ${difference > 0 ? more : less}`);
  }
  const [was, now] = [from.outline.tail.kind, to.outline.tail.kind];
  if (was !== now) words.push(`${TAIL_WORDS[now]} for ${TAIL_WORDS[was]}`);
  if (from.fins.setup !== to.fins.setup)
    words.push(`${SETUP_WORDS[to.fins.setup]} for ${SETUP_WORDS[from.fins.setup]}`);
  const litres = by.get('volume_L') ?? 0;
  if (Math.abs(litres) >= NO_CHANGE_L) words.push(`${litres > 0 ? '+' : '−'}${Math.abs(litres).toFixed(1)} L`);
  return words;
}
