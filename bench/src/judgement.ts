import { type Case, compareTraits, judged, writerOf } from '@june-tide/core/judge';
import { Facts } from '@june-tide/core/measure';
import { measure } from '@june-tide/core/measure';
import { modelNamed } from '@june-tide/core/models';
import { litresFor, type Rider, USUAL_SCHOOLS } from '@june-tide/core/rider';
import { shapeOf } from '@june-tide/core/shape';
import { medianOf } from './timing.ts';
import type { Timed } from './table.ts';

/** A full judgement of a board nobody has looked at yet: facts, every rule, words; and the character against another. */
export function judgement(): Timed[] {
  const board = modelNamed('Penny Step');
  const other = modelNamed('Slack Water');
  if (!board || !other) throw new Error('bench: a model is missing');
  const [shape, lastShape] = [shapeOf(board), shapeOf(other)];
  const rider: Rider = {
    id: 'r',
    name: 'Maren',
    mass_kg: 76,
    weights: [],
    height_mm: 1780,
    age: 34,
    ability: 'advanced',
    surfsAWeek: 3,
    fitness: 'usual',
    stance: 'front',
    waves: { size: 'overhead', power: 'powerful', steepness: 'steep', chop: 'choppy', rubber: 'thin' },
    boards: [],
  };
  const writer = writerOf({ kind: 'fraction', denominator: 16 });
  const fresh = (): Case => ({
    facts: new Facts(shape, rider.height_mm),
    kind: 'smallWave',
    rider,
    waves: rider.waves,
    last: { facts: new Facts(lastShape, rider.height_mm), name: 'Slack Water 104' },
    target: litresFor(rider, 'smallWave'),
    schools: USUAL_SCHOOLS,
  });
  return [
    { what: 'headline measures', ms: medianOf(() => measure(shape)) },
    { what: 'judgement, nothing known before', ms: medianOf(() => judged(fresh(), writer)) },
    { what: 'character against another board', ms: medianOf(() => compareTraits(fresh().facts, new Facts(lastShape))) },
  ];
}
