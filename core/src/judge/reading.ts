import { TAIL_WORDS, TAILS } from '../document/kinds.ts';
import type { FinSetup } from '../document/schema.ts';
import { type MeasureKey, measureOf } from '../measure/catalogue.ts';
import { KIND_WORDS } from '../rider/kinds.ts';
import { INCH_mm } from '../units/length.ts';
import type { Case } from './case.ts';
import { usual } from './line.ts';
import type { Writer } from './rule.ts';
import { compareTraits } from './traits.ts';

/**
 * What the board will do, read to the rider: what it is, how it gets in, where it drives from, how it turns and what it gives up, each
 * with the numbers that make it so; and against the board it is judged against, where there is one. Three to six sentences, none of
 * them an opinion of whether it is right.
 */
export function boardReading(c: Case, w: Writer): string[] {
  return [whatItIs(c, w), entry(c, w), drive(c, w), turning(c, w), price(c), againstLast(c)].filter(
    (sentence): sentence is string => sentence !== undefined,
  );
}

/** Where a number lies in its usual range: 0 at the low end, 1 at the high one. */
function place(c: Case, key: MeasureKey): number {
  const { low, high } = usual(c, key);
  if (!Number.isFinite(low) || !(high > low)) return 0.5;
  return (measureOf(key).read(c.facts) - low) / (high - low);
}

const sentence = (words: string) => `${words.replace(/^./, (x) => x.toUpperCase())}.`;
const an = (words: string) => `${/^[aeiou8]/i.test(words) ? 'an' : 'a'} ${words}`;

function whatItIs(c: Case, w: Writer): string {
  const { facts, rider } = c;
  const { m } = facts;
  const bare = (mm: number) => w.mm(mm).replace(/ in$/, '');
  const size = `${w.feet(facts.L)} x ${bare(m.width_mm)} x ${bare(m.thickness_mm)}, ${w.L(m.volume_L)}`;
  const heavy = rider && rider.mass_kg >= HEAVY_kg ? ', made for weight' : '';
  return sentence(`${an(KIND_WORDS[c.kind])} of ${size}${heavy}`);
}
const HEAVY_kg = 95;

function entry(c: Case, w: Writer): string {
  const { m } = c.facts;
  // A low nose, a full one and foam forward each bring it in sooner.
  const early = 0.5 - place(c, 'noseRocker_mm') + (place(c, 'noseWidth12_mm') - 0.5) + place(c, 'foilBias12_mm') - 0.5;
  const how =
    early > 0.6
      ? 'it gets in early'
      : early < -0.6
        ? 'it gets in late and is safe on the drop'
        : 'it gets in when most of its kind do';
  return sentence(`Nose 12 of ${w.mm(m.noseWidth12_mm)} under ${w.mm(m.noseRocker_mm)} of lift: ${how}`);
}

function drive(c: Case, w: Writer): string {
  const { facts, rider } = c;
  const { m } = facts;
  const wide = m.widePointFromCentre_mm;
  const concave = facts.depth(['single', 'narrow', 'triple'], facts.feet.frontFoot_mm);
  const bias = facts.foilBias_mm;
  const front = 2.5 * (place(c, 'widePointFromCentre_mm') - 0.5) + bias / (INCH_mm / 8) + concave / (INCH_mm / 4) - 0.5;
  const from = front > 0.6 ? 'the front foot' : front < -1 ? 'the back foot' : 'between the feet';
  const under =
    concave > INCH_mm / 16
      ? `${w.mm(concave)} of concave under the front foot`
      : facts.roll_mm > INCH_mm / 16
        ? `${w.mm(facts.roll_mm)} of roll`
        : 'a flat bottom between the feet';
  const where =
    Math.abs(wide) < INCH_mm / 8 ? 'at centre' : `${w.mm(Math.abs(wide))} ${wide > 0 ? 'ahead of' : 'behind'} centre`;
  const full =
    rider && rider.mass_kg >= HEAVY_kg && facts.railFullness > 0.6 ? '; full rails push back under the weight' : '';
  return sentence(`wide point ${where}, ${under}: it drives from ${from}${full}`);
}

const ON: Readonly<Record<FinSetup, string>> = {
  single: 'on one fin',
  twoPlusOne: 'on 2 + 1',
  twin: 'on two fins',
  keels: 'on keels',
  twinTrailer: 'on two fins and a trailer',
  thruster: 'on three fins',
  quad: 'on four fins',
  fiveBox: 'on five boxes',
};

function turning(c: Case, w: Writer): string {
  const { facts } = c;
  const { m, board } = facts;
  const [wing] = board.outline.wings;
  const pin = TAILS[board.outline.tail.kind].closes === 'point' || board.outline.tail.kind === 'round';
  const word = TAIL_WORDS[board.outline.tail.kind].toLowerCase();
  const tail = word.endsWith('pin') ? word : `${word} tail`;
  const lift = place(c, 'tailRocker_mm');
  const held = place(c, 'tailWidth12_mm');
  const arcs = lift + (1 - held) > 1.5 ? 'tight arcs' : lift + (1 - held) < 0.6 ? 'long arcs' : 'even arcs';
  const end = pin
    ? 'holds, on the backhand too'
    : board.family === 'longboard'
      ? 'steadies the nose ride'
      : held > 0.8
        ? 'stays up and lets go when pushed'
        : 'releases off the top';
  const winged = wing ? `; the ${wing.raised > 0.4 ? 'raised wing pivots smoothly' : 'wing pivots at once'}` : '';
  return sentence(
    `tail 12 of ${w.mm(m.tailWidth12_mm)}, ${w.mm(m.tailRocker_mm)} of lift, ${ON[board.fins.setup]}: ${arcs}; the ${tail} ${end}${winged}`,
  );
}

/** What each end of a range costs, the trade's own bargain. Common practice. */
const PRICES: readonly (readonly [MeasureKey, low: string, high: string])[] = [
  ['width_mm', 'speed over flat water', 'quickness from rail to rail'],
  ['tailWidth12_mm', 'lift where the wave has none', 'hold when it is fast and steep'],
  ['noseRocker_mm', 'room on a steep drop', 'an early entry'],
  ['tailRocker_mm', 'tight turns', 'speed in a line'],
  ['noseWidth12_mm', 'paddle', 'a nose that keeps out of the way'],
  ['thickness_mm', 'float', 'a rail that sinks easily'],
];

/** What it gives up: the one or two numbers nearest to, or past, an end of their range. */
function price(c: Case): string | undefined {
  const paid = PRICES.map(([key, low, high]) => {
    const at = place(c, key);
    return { off: Math.abs(at - 0.5), words: at < 0.5 ? low : high };
  })
    .filter(({ off }) => off > 0.2)
    .sort((a, b) => b.off - a.off)
    .slice(0, 2)
    .map(({ words }) => words);
  return paid.length > 0
    ? sentence(`next to others of its kind it gives up ${paid.join(', and ')}`)
    : 'It gives up nothing in particular: it is the middle of its kind.';
}

/** The plainest differences from the last board. */
function againstLast({ facts, last }: Case): string | undefined {
  if (!last) return undefined;
  const [first, second] = compareTraits(facts, last.facts)
    .filter(({ words }) => words !== 'the same')
    .sort((a, b) => Math.abs(b.difference) - Math.abs(a.difference));
  if (!first) return `Against ${last.name} it is the same to ride.`;
  const told = ({ difference, name }: typeof first) => `${difference > 0 ? 'more' : 'less'} ${name.toLowerCase()}`;
  return sentence(`against ${last.name}: ${told(first)}${second ? `, ${told(second)}` : ''}`);
}
