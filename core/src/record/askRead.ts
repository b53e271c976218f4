import { complaintsFor } from '../judge/complaints.ts';
import type { Rider } from '../rider/rider.ts';
import { parseLength } from '../units/length.ts';
import { POUND_kg } from '../units/mass.ts';
import type { Filter } from './ask.ts';

/** A number as a person writes it, with a decimal point or comma. */
const N = String.raw`(\d+(?:[.,]\d+)?)`;
const number = (text: string) => Number(text.replace(',', '.'));
/** A length of a board: feet and inches, or metric. */
const LENGTH = String.raw`(\d+\s*['’′]\s*(?:\d+(?:\s+\d+\/\d+)?)?["”″]?|\d+(?:[.,]\d+)?\s*(?:mm|cm|ft|feet))`;
const TO = String.raw`\s*(?:to|and|-|–)\s*`;
const OVER = String.raw`(?:over|above|more than|heavier than|longer than|at least|from)\s+`;
const UNDER = String.raw`(?:under|below|less than|lighter than|shorter than|at most|up to)\s+`;
const MASS_UNIT = String.raw`\s*(kg|kilos?|lbs?|pounds?)\b`;
const LITRES = String.raw`\s*(?:l|litres?|liters?)\b`;

type Reader = readonly [pattern: RegExp, read: (found: RegExpExecArray) => Filter | undefined];

const mass = (low: string | undefined, high: string | undefined, unit: string): Filter => {
  const kg = (text: string | undefined, none: number) =>
    text === undefined ? none : number(text) * (unit.startsWith('k') ? 1 : POUND_kg);
  return { of: 'mass', low_kg: kg(low, 0), high_kg: kg(high, Infinity) };
};
const length = (low: string | undefined, high: string | undefined): Filter | undefined => {
  const mm = (text: string | undefined, none: number): number => {
    if (text === undefined) return none;
    const read = parseLength(text);
    return read.ok ? read.value : NaN;
  };
  const [low_mm, high_mm] = [mm(low, 0), mm(high, Infinity)];
  return Number.isNaN(low_mm) || Number.isNaN(high_mm) ? undefined : { of: 'length', low_mm, high_mm };
};
const litres = (low: string | undefined, high: string | undefined): Filter => ({
  of: 'litres',
  low_L: low === undefined ? 0 : number(low),
  high_L: high === undefined ? Infinity : number(high),
});
const said = (pattern: string, filter: Filter): Reader => [
  new RegExp(String.raw`\b(?:${pattern})\b`, 'i'),
  () => filter,
];

/** What is understood, in this order: the longer way of saying a thing before the shorter one inside it. */
const READERS: readonly Reader[] = [
  [new RegExp(`${N}${TO}${N}${MASS_UNIT}`, 'i'), ([, low, high, unit]) => mass(low, high, unit)],
  [new RegExp(`${OVER}${N}${MASS_UNIT}`, 'i'), ([, low, unit]) => mass(low, undefined, unit)],
  [new RegExp(`${UNDER}${N}${MASS_UNIT}`, 'i'), ([, high, unit]) => mass(undefined, high, unit)],
  [new RegExp(`${N}${TO}${N}${LITRES}`, 'i'), ([, low, high]) => litres(low, high)],
  [new RegExp(`${OVER}${N}${LITRES}`, 'i'), ([, low]) => litres(low, undefined)],
  [new RegExp(`${UNDER}${N}${LITRES}`, 'i'), ([, high]) => litres(undefined, high)],
  [new RegExp(`${LENGTH}${TO}${LENGTH}`, 'i'), ([, low, high]) => length(low, high)],
  [new RegExp(`${OVER}${LENGTH}`, 'i'), ([, low]) => length(low, undefined)],
  [new RegExp(`${UNDER}${LENGTH}`, 'i'), ([, high]) => length(undefined, high)],
  [/\b(?:in|from|of|since)?\s*(20\d\d)\b/i, ([, year]) => ({ of: 'year', is: Number(year) })],
  said('back[- ]?foot(?:ed)?', { of: 'stance', is: 'back' }),
  said('front[- ]?foot(?:ed)?', { of: 'stance', is: 'front' }),
  said('neutral', { of: 'stance', is: 'neutral' }),
  said('came back well|went well|(?:that )?went better|better than before|came back better|better|good ones', {
    of: 'felt',
    is: 'better',
  }),
  said('came back badly|went badly|(?:that )?went worse|worse than before|worse', { of: 'felt', is: 'worse' }),
  said('(?:came back )?(?:broken|broke|snapped)', { of: 'failure', is: 'broken' }),
  said('(?:came back )?(?:with )?(?:a )?(?:cracked box|box cracked|cracked at the box)', {
    of: 'failure',
    is: 'crackedBox',
  }),
  said('(?:came back )?(?:dented|dents|dings?)', { of: 'failure', is: 'dented' }),
  said('(?:came back )?(?:delaminated|delaminations?|delams?)', { of: 'failure', is: 'delaminated' }),
  said('(?:came back )?(?:creased|creases)', { of: 'failure', is: 'creased' }),
  said('(?:came back )?(?:leaking|leaks?|taking water|took water)', { of: 'failure', is: 'leaking' }),
  said('came back|failed|failures?|repairs?', { of: 'failure', is: 'any' }),
  said('twin and trailer|twin trailer', { of: 'setup', is: 'twinTrailer' }),
  said('twin keels?|keels?', { of: 'setup', is: 'keels' }),
  said('twin[- ]?fins?', { of: 'setup', is: 'twin' }),
  said('single[- ]?fins?|singles', { of: 'setup', is: 'single' }),
  said('thrusters?|three fins', { of: 'setup', is: 'thruster' }),
  said('five[- ]?box(?:es)?|five fins', { of: 'setup', is: 'fiveBox' }),
  said('quads?|four fins', { of: 'setup', is: 'quad' }),
  [/(?:^|\s)2\s*\+\s*1(?=\s|,|$)/, () => ({ of: 'setup', is: 'twoPlusOne' })],
  said('short[- ]?boards?', { of: 'family', is: 'shortboard' }),
  said('fish(?:es)?', { of: 'family', is: 'fish' }),
  said('twins?', { of: 'family', is: 'twin' }),
  said('mid[- ]?lengths?', { of: 'family', is: 'midLength' }),
  said('long[- ]?boards?', { of: 'family', is: 'longboard' }),
  said('guns?', { of: 'family', is: 'gun' }),
  said('well overhead', { of: 'size', is: 'wellOverhead' }),
  said('overhead', { of: 'size', is: 'overhead' }),
  said('waist to head|head high', { of: 'size', is: 'waistToHead' }),
  said('knee to waist|small waves', { of: 'size', is: 'kneeToWaist' }),
  said('steep(?: faces| waves)?|hollow', { of: 'steepness', is: 'steep' }),
  said('soft (?:faces|waves)', { of: 'steepness', is: 'soft' }),
  said('weak(?: waves)?', { of: 'power', is: 'weak' }),
  said('powerful(?: waves)?', { of: 'power', is: 'powerful' }),
  said('off[- ]?shore', { of: 'wind', is: 'offshore' }),
  said('on[- ]?shore', { of: 'wind', is: 'onshore' }),
  said('cross[- ]?shore', { of: 'wind', is: 'cross' }),
  said('novices?|beginners?|learners?', { of: 'ability', is: 'novice' }),
  said('intermediates?', { of: 'ability', is: 'intermediate' }),
  said('experts?', { of: 'ability', is: 'expert' }),
  said('winners?|magic', { of: 'state', is: 'winner' }),
  said('models? of the shop|shop models?', { of: 'state', is: 'model' }),
  said('on the line', { of: 'state', is: 'onLine' }),
  said('out of the door|handed over|finished', { of: 'state', is: 'out' }),
  said('ridden', { of: 'state', is: 'ridden' }),
  said('measured', { of: 'state', is: 'measured' }),
];

/** Words that ask nothing by themselves. */
const SILENT = new Set(
  'a an and are at boards board by for from had has have i in is it like made make me of on or our riders rider show so that the their them to was waves we were what which who whose with what’s whats'.split(
    ' ',
  ),
);

/**
 * A question in a shaper's words as filters: sizes, weights, riders, waves, how it went, what came back. Words that are not understood
 * are looked for in names, notes and what riders said. Never throws.
 * @param riders whoever has a card: a question may name them.
 * @param names of boards: one of them is a name, whatever its words would mean otherwise.
 */
export function filtersFrom(
  question: string,
  riders: readonly Pick<Rider, 'id' | 'name'>[],
  names: readonly string[] = [],
): Filter[] {
  let left = ` ${question.slice(0, MOST_ASKED)} `;
  const out: Filter[] = [];
  for (const name of new Set(names)) {
    const at = left.toLowerCase().indexOf(` ${name.toLowerCase()} `);
    if (at < 0) continue;
    for (const word of name.toLowerCase().split(/\s+/)) out.push({ of: 'word', is: word });
    left = `${left.slice(0, at)} , ${left.slice(at + name.length + 2)}`;
  }
  for (const { id, name } of riders) {
    const at = left
      .toLowerCase()
      .search(new RegExp(String.raw`(?<=\W)${escaped(name.toLowerCase())}(?:['’]s)?(?=\W)`, 'u'));
    if (at < 0) continue;
    out.push({ of: 'rider', is: id, name });
    left = `${left.slice(0, at)},${left.slice(at + name.length).replace(/^['’]s/, '')}`;
  }
  for (const [pattern, read] of READERS) {
    // The same kind of thing may be asked for twice: fish or twins.
    for (let found = pattern.exec(left); found; found = pattern.exec(left)) {
      const filter = read(found);
      if (filter && !out.some((other) => JSON.stringify(other) === JSON.stringify(filter))) out.push(filter);
      left = `${left.slice(0, found.index)},${left.slice(found.index + found[0].length)}`;
    }
  }
  for (const part of left.split(',')) {
    const words = part
      .toLowerCase()
      .split(/[^\p{L}\p{N}/.'’]+/u)
      .filter((word) => word !== '' && !SILENT.has(word));
    // What is left of a sentence may be what riders complain of.
    const heard = words.length > 1 ? complaintsFor(part)[0] : undefined;
    if (heard) out.push({ of: 'complaint', is: heard.id });
    else for (const word of words) out.push({ of: 'word', is: word });
  }
  return out;
}

/** A question is no longer than that. */
const MOST_ASKED = 400;

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
