import { BUMP_CURVATURE_mm1, bumpsAlong } from '../curve/sideLight.ts';
import { deckHeightAt, undersideHeightAt } from '../section/heights.ts';
import type { Section } from '../section/section.ts';
import { sectionAt, type Shape } from '../shape/shape.ts';

/** A line along the board that is looked at under a low light. */
interface LightLine {
  words: string;
  /** 1 where proud foam bends the line up, −1 where down. */
  way: 1 | -1;
}

/** A batten: it knows its own curvature. */
interface BattenLine extends LightLine {
  curvature: (shape: Shape, x_mm: number) => number;
}

/** A line read from the sections, whose curvature is taken from neighbours. */
interface SectionLine extends LightLine {
  height: (section: Section, shape: Shape, x_mm: number) => number;
}

const stringer = (shape: Shape, x_mm: number) => shape.rocker.line.valueAt(x_mm);

/** The lines there is a strip of light for. */
export const LIGHT_LINES = {
  outline: { words: 'rail in plan', way: -1, curvature: (shape, x) => shape.outline.base.curvatureAt(x) },
  rocker: { words: 'rocker', way: 1, curvature: (shape, x) => shape.rocker.line.curvatureAt(x) },
  foil: { words: 'foil', way: -1, curvature: (shape, x) => shape.foil.line.curvatureAt(x) },
  deck: {
    words: 'deck at the stringer',
    way: -1,
    height: (section, shape, x) => stringer(shape, x) + section.input.thickness_mm,
  },
  deckQuarter: {
    words: 'deck, half way out',
    way: -1,
    height: (section, shape, x) => stringer(shape, x) + deckHeightAt(section, section.half_mm / 2),
  },
  apex: {
    words: 'apex, from the side',
    way: -1,
    height: (section, shape, x) => stringer(shape, x) + section.apex_mm,
  },
  tuck: { words: 'tuck line in plan', way: -1, height: (section) => section.edgeY_mm },
  rail: { words: 'rail line', way: 1, height: (section, shape, x) => stringer(shape, x) + section.edgeZ_mm },
  bottomQuarter: {
    words: 'bottom, half way out',
    way: 1,
    height: (section, shape, x) => stringer(shape, x) + undersideHeightAt(section, section.half_mm / 2),
  },
} as const satisfies Readonly<Record<string, BattenLine | SectionLine>>;
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

/** Stations of a strip, before its round ends are taken off. */
const STATIONS = 112;
/** The strip stops so near a tip, as a share of the length; of a line through the sections, which close there, sooner. */
const OFF_TIP = { batten: 0.03, sections: 0.07 };
/** It stops sooner where a line turns round a tip: where it bends by more than this many bumps. */
const ROUND_TIP = 5;
/** But it always has the middle, so many of its stations in from each end. */
const MOST_OFF = 40;

/** A strip of light along one line of the board, at even stations between where it leaves the one tip and turns into the other. */
export function lightAlong(shape: Shape, key: LightLineKey): LightAlong {
  const line: BattenLine | SectionLine = LIGHT_LINES[key];
  const { length_mm } = shape.board;
  const from = ('curvature' in line ? OFF_TIP.batten : OFF_TIP.sections) * length_mm;
  const step_mm = (length_mm - 2 * from) / (STATIONS - 1);
  const all = 'curvature' in line ? ofBatten(shape, line, from, step_mm) : ofSections(shape, line, from, step_mm);
  const turns = (i: number) => !Number.isFinite(all[i]) || Math.abs(all[i]) > ROUND_TIP * BUMP_CURVATURE_mm1;
  let first = 0;
  let last = STATIONS - 1;
  while (first < MOST_OFF && turns(first)) first++;
  while (last > STATIONS - 1 - MOST_OFF && turns(last)) last--;
  const curvatures = all.slice(first, last + 1).map((value) => (Number.isFinite(value) ? line.way * value : 0));
  return {
    from_mm: from + first * step_mm,
    step_mm,
    bumps: bumpsAlong(curvatures, step_mm),
    bends: curvatures.map((value) => Math.abs(value) / BUMP_CURVATURE_mm1),
  };
}

function ofBatten(shape: Shape, { curvature }: BattenLine, from_mm: number, step_mm: number): number[] {
  return Array.from({ length: STATIONS }, (_, i) => curvature(shape, from_mm + i * step_mm));
}

/** By differences of the heights at neighbouring stations; NaN where there is no section. */
function ofSections(shape: Shape, { height }: SectionLine, from_mm: number, step_mm: number): number[] {
  const heights = Array.from({ length: STATIONS + 2 }, (_, i) => {
    const x_mm = from_mm + (i - 1) * step_mm;
    const section = sectionAt(shape, x_mm);
    return section ? height(section, shape, x_mm) : NaN;
  });
  return Array.from(
    { length: STATIONS },
    (_, i) => (heights[i] - 2 * heights[i + 1] + heights[i + 2]) / (step_mm * step_mm),
  );
}
