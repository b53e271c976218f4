// Riders and waves for the tests of judgement. Invented.
import type { Board } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { volume_L } from '../measure/volume.ts';
import { kindOf } from '../rider/kinds.ts';
import { litresFor, ridersFor } from '../rider/litres.ts';
import type { Rider, Waves } from '../rider/rider.ts';
import { Facts } from '../measure/facts.ts';
import type { Build, Case } from '../judge/case.ts';
import { type Schools, USUAL_SCHOOLS } from '../rider/schools.ts';

const waves = (
  size: Waves['size'],
  power: Waves['power'],
  steepness: Waves['steepness'] = 'medium',
  chop: Waves['chop'] = 'some',
): Waves => ({ size, power, steepness, chop, rubber: 'thin' });

export const WAVES = {
  usual: waves('waistToHead', 'medium'),
  weak: waves('kneeToWaist', 'weak', 'soft'),
  steep: waves('overhead', 'powerful', 'steep', 'clean'),
  big: waves('overhead', 'medium'),
  huge: waves('wellOverhead', 'powerful', 'steep'),
  hugeSoft: waves('wellOverhead', 'medium', 'soft'),
  choppy: waves('waistToHead', 'medium', 'medium', 'choppy'),
} as const;

const rider = (mass_kg: number, stance: Rider['stance'], ability: Rider['ability']): Rider => ({
  id: 'r',
  name: 'Rider',
  mass_kg,
  weights: [],
  height_mm: 1780,
  age: 30,
  ability,
  surfsAWeek: 3,
  fitness: 'usual',
  stance,
  waves: WAVES.usual,
  boards: [],
});

export const RIDERS = {
  usual: rider(76, 'neutral', 'advanced'),
  front: rider(76, 'front', 'advanced'),
  back: rider(76, 'back', 'advanced'),
  heavy: rider(104, 'neutral', 'advanced'),
  heavyFront: rider(104, 'front', 'intermediate'),
  light: rider(58, 'neutral', 'expert'),
  novice: rider(70, 'neutral', 'novice'),
} as const;

interface CaseOptions {
  rider?: keyof typeof RIDERS;
  waves?: keyof typeof WAVES;
  last?: Board;
  schools?: Schools;
  /** Gives the rider the weight this board’s litres suit; a novice 60 kg. */
  massFor?: Board;
  /** What the shaper says it is: the kind of this board. */
  kindOf?: Board;
  /** How it is glassed. */
  build?: Build;
  /** The weight the brief asks for. */
  aim_kg?: number;
}

export function caseOf(board: Board, options: CaseOptions): Case {
  const sea = WAVES[options.waves ?? 'usual'];
  let who: Rider = { ...RIDERS[options.rider ?? 'usual'], waves: sea };
  if (options.massFor) {
    const kind = kindOf(new Facts(shapeOf(options.massFor)));
    const { low_kg, high_kg } = ridersFor(volume_L(shapeOf(options.massFor)), kind, who.ability);
    const suited = options.rider === 'novice' ? 60 : (low_kg + high_kg) / 2;
    who = { ...who, mass_kg: suited };
  }
  const kind = kindOf(new Facts(shapeOf(options.kindOf ?? board)), who.mass_kg);
  return {
    facts: new Facts(shapeOf(board), who.height_mm),
    kind,
    rider: who,
    waves: sea,
    schools: options.schools ?? USUAL_SCHOOLS,
    target: litresFor(who, kind),
    aim_kg: options.aim_kg,
    ...(options.build ? { build: options.build } : {}),
    ...(options.last ? { last: { facts: new Facts(shapeOf(options.last)), name: 'the last board' } } : {}),
  };
}
