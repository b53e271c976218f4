import { BUMP_CURVATURE_mm1, bumpsAlong } from '../curve/sideLight.ts';
import { deckHeightAt, undersideHeightAt } from '../section/heights.ts';
import type { Section } from '../section/section.ts';
import { sectionAt, type Shape } from '../shape/shape.ts';

/** A line along the board that is looked at under a low light. */
interface LightLine {
  words: string;
  /** Whether it is a batten itself, or read through the sections. */
  from: 'batten' | 'sections';
  /** Signed curvature at x, 1/mm: positive where foam that is proud adds to it. */
  curvature: (shape: Shape, x_mm: number) => number;
}

/** Half of the stretch the bend of a line through sections is taken over, mm. */
const REACH_mm = 9;

/** A line read from the sections: `way` is 1 where proud foam bends it up, −1 where down. */
function through(words: string, way: 1 | -1, at: (section: Section, shape: Shape, x_mm: number) => number): LightLine {
  const height = (shape: Shape, x_mm: number) => {
    const section = sectionAt(shape, x_mm);
    return section ? at(section, shape, x_mm) : NaN;
  };
  return {
    words,
    from: 'sections',
    curvature: (shape, x_mm) => {
      const [a, b, c] = [-REACH_mm, 0, REACH_mm].map((off) => height(shape, x_mm + off));
      return (way * (a - 2 * b + c)) / REACH_mm ** 2;
    },
  };
}

const stringer = (shape: Shape, x_mm: number) => shape.rocker.line.valueAt(x_mm);

/** The lines there is a strip of light for. */
export const LIGHT_LINES = {
  outline: { words: 'rail in plan', from: 'batten', curvature: (shape, x) => -shape.outline.base.curvatureAt(x) },
  rocker: { words: 'rocker', from: 'batten', curvature: (shape, x) => shape.rocker.line.curvatureAt(x) },
  foil: { words: 'foil', from: 'batten', curvature: (shape, x) => -shape.foil.line.curvatureAt(x) },
  deck: through('deck at the stringer', -1, (section, shape, x) => stringer(shape, x) + section.input.thickness_mm),
  deckQuarter: through(
    'deck, half way out',
    -1,
    (section, shape, x) => stringer(shape, x) + deckHeightAt(section, section.half_mm / 2),
  ),
  apex: through('apex, from the side', -1, (section, shape, x) => stringer(shape, x) + section.apex_mm),
  tuck: through('tuck line in plan', -1, (section) => section.edgeY_mm),
  rail: through('rail line', 1, (section, shape, x) => stringer(shape, x) + section.edgeZ_mm),
  bottomQuarter: through(
    'bottom, half way out',
    1,
    (section, shape, x) => stringer(shape, x) + undersideHeightAt(section, section.half_mm / 2),
  ),
} as const satisfies Readonly<Record<string, LightLine>>;
export type LightLineKey = keyof typeof LIGHT_LINES;

/** What the light shows along one line. */
export interface LightAlong {
  /** The first station, and from one to the next. */
  from_mm: number;
  step_mm: number;
  /** How far it is proud (over 0) or flat at each, in bumps of 1/32 in over 12 in. */
  bumps: number[];
  /** How much it bends at each, in the same unit: the run of the curve itself. */
  bends: number[];
}

const SAMPLES = 96;
/** The strip stops so near a tip, as a share of the length; of a line through the sections, which close there, sooner. */
const OFF_TIP = { batten: 0.03, sections: 0.07 };
/** It stops sooner where a line turns round a tip: where it bends by more than this many bumps. */
const ROUND_TIP = 5;
/** But it always has the middle so far to each end, as a share of the length. */
const MIDDLE = 0.3;
const SEEK_mm = 5;

/** A strip of light along one line of the board, at 96 even stations between where it leaves the one tip and turns into the other. */
export function lightAlong(shape: Shape, key: LightLineKey): LightAlong {
  const { curvature } = LIGHT_LINES[key];
  const { length_mm } = shape.board;
  const turns = (x_mm: number) => {
    const here = curvature(shape, x_mm);
    return !Number.isFinite(here) || Math.abs(here) > ROUND_TIP * BUMP_CURVATURE_mm1;
  };
  let from_mm = OFF_TIP[LIGHT_LINES[key].from] * length_mm;
  let to_mm = length_mm - from_mm;
  while (from_mm < MIDDLE * length_mm && turns(from_mm)) from_mm += SEEK_mm;
  while (to_mm > (1 - MIDDLE) * length_mm && turns(to_mm)) to_mm -= SEEK_mm;
  const step_mm = (to_mm - from_mm) / (SAMPLES - 1);
  const curvatures = Array.from({ length: SAMPLES }, (_, i) => {
    const here = curvature(shape, from_mm + i * step_mm);
    return Number.isFinite(here) ? here : 0;
  });
  return {
    from_mm,
    step_mm,
    bumps: bumpsAlong(curvatures, step_mm),
    bends: curvatures.map((value) => Math.abs(value) / BUMP_CURVATURE_mm1),
  };
}
