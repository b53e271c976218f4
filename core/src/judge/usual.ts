import type { Family } from '../document/schema.ts';
import { CATALOGUE, measureOf, type MeasureKey } from '../measure/catalogue.ts';
import { Facts } from '../measure/facts.ts';
import { models } from '../models/models.ts';
import { hasBlock } from '../outline/outline.ts';
import { isRanged, type Kind, kindOf, kindRange, type Range } from '../rider/kinds.ts';
import { shapeOf } from '../shape/shape.ts';

/** What says what is usual for a board: its kind, and who rides it. */
export interface Usual {
  kind: Kind;
  mass_kg?: number | undefined;
  /** The shop's other boards. */
  own?: readonly Facts[] | undefined;
}

/** No number is out of the way. */
const ANY: Range = { low: -Infinity, high: Infinity };

/**
 * The usual range of a number: the trade's for this kind, length and weight, as wide as the shop's own boards of the kind have made it;
 * of numbers the trade has no range of, that of our models of the family and some more each way.
 */
export function usualRange(facts: Facts, key: MeasureKey, { kind, mass_kg, own = [] }: Usual): Range {
  if (!isRanged(key)) return ofModels(facts.board.family, key);
  if (key === 'block_mm' && !hasBlock(facts.board.outline.tail.kind)) return ANY;
  const range = kindRange(kind, key, facts.L, mass_kg);
  return range ? withOwn(range, own, kind, key) : ANY;
}

/** From so many boards of a kind on, the shop's own way of drawing it is usual too, all but its oddest tenth at either end. */
const OWN_FROM = 4;
const ownValues = new WeakMap<readonly Facts[], Map<string, number[]>>();

function withOwn(range: Range, own: readonly Facts[], kind: Kind, key: MeasureKey): Range {
  if (own.length < OWN_FROM) return range;
  const known = ownValues.get(own) ?? new Map<string, number[]>();
  ownValues.set(own, known);
  const name = `${kind} ${key}`;
  let values = known.get(name);
  if (!values) {
    values = own
      .filter((facts) => kindOf(facts) === kind)
      .map((facts) => measureOf(key).read(facts))
      .sort((a, b) => a - b);
    known.set(name, values);
  }
  if (values.length < OWN_FROM) return range;
  const odd = Math.ceil(values.length / 10);
  return { low: Math.min(range.low, values[odd]), high: Math.max(range.high, values[values.length - 1 - odd]) };
}

const ranges = new Map<string, Range>();
let familyFacts: Map<Family, Facts[]> | undefined;

/** So much wider than its models a family's usual range is, each way, as a share of the middle. Our own figure. */
const WIDER = 0.15;

function ofModels(family: Family, key: MeasureKey): Range {
  const name = `${family} ${key}`;
  const known = ranges.get(name);
  if (known) return known;
  if (!familyFacts) {
    familyFacts = new Map();
    for (const board of models()) {
      const list = familyFacts.get(board.family) ?? [];
      list.push(new Facts(shapeOf(board)));
      familyFacts.set(board.family, list);
    }
  }
  const values = (familyFacts.get(family) ?? []).map((facts) => CATALOGUE[key].read(facts));
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const room = WIDER * Math.max(Math.abs(least + most) / 2, 0.5 * (most - least));
  const range = { low: least - room, high: most + room };
  ranges.set(name, range);
  return range;
}
