import type { Family } from '../document/schema.ts';
import { CATALOGUE, type MeasureKey } from '../measure/catalogue.ts';
import { Facts } from '../measure/facts.ts';
import { models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';

export interface Range {
  low: number;
  high: number;
}

const ranges = new Map<string, Range>();
let familyFacts: Map<Family, Facts[]> | undefined;

/** So much wider than its models a family's usual range is, each way, as a share of the middle. Our own figure. */
const WIDER = 0.06;

/** The usual range of a number in a family: that of our own models of it and a little more each way. */
export function usualRange(family: Family, key: MeasureKey): Range {
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
