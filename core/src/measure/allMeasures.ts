import type { Shape } from '../shape/shape.ts';
import { CATALOGUE, MEASURE_KEYS, type MeasureKey } from './catalogue.ts';
import { Facts } from './facts.ts';

/** Every measure of a shape by its key. Takes a few milliseconds; measure() has the headline alone. */
export function allMeasures(shape: Shape): Record<MeasureKey, number> {
  const facts = new Facts(shape);
  return Object.fromEntries(MEASURE_KEYS.map((key) => [key, CATALOGUE[key].read(facts)])) as Record<MeasureKey, number>;
}
