import { markGains } from '../curve/spring.ts';
import { MOST_GAIN } from '../curve/softMarks.ts';
import { stationOfMark } from '../document/station.ts';
import { OWN_FOIL_MARKS, thicknessAt } from '../foil/foil.ts';
import { halfBreadthAt, OWN_OUTLINE_MARKS } from '../outline/outline.ts';
import { OWN_ROCKER_MARKS } from '../rocker/rocker.ts';
import type { Shape } from './shape.ts';

/** What one mark of the document does to its line. */
export interface MarkGain {
  curve: 'outline' | 'rocker' | 'foil';
  /** Index in the document's list. */
  mark: number;
  x_mm: number;
  /** May the line stay off it? */
  soft: boolean;
  /** The most the line moves anywhere for each mm the mark is changed; 1 is a fair mark. */
  gain: number;
  /** What the line has there, as the mark is written: full width, lift, thickness. mm. */
  line_mm: number;
  /** Is it a soft mark that had to give up some of its hold, so that the line is farther off it than it gives? */
  givenUp: boolean;
}

/** A soft mark is missed by its give and a little; by so many times it, it gave up some of its hold. */
const MISSED = 1.5;

/** The gains of a curve's own marks, in the document's order. */
export function curveGains(shape: Shape, curve: MarkGain['curve']): MarkGain[] {
  const { outline, rocker, foil, board, anchors } = shape;
  const [gains, own] =
    curve === 'outline'
      ? [markGains(outline.batten, outline.base), OWN_OUTLINE_MARKS]
      : curve === 'rocker'
        ? [markGains(rocker.batten, rocker.line), OWN_ROCKER_MARKS]
        : [markGains(foil.batten, foil.line), OWN_FOIL_MARKS];
  return board[curve].marks.map((document, mark): MarkGain => {
    const x_mm = stationOfMark(document, anchors);
    const line_mm = lineAt(shape, curve, x_mm);
    const give_mm = (document.give_mm ?? 0) * (curve === 'outline' ? 2 : 1);
    return {
      curve,
      mark,
      x_mm,
      soft: document.give_mm !== undefined,
      gain: gains[own + mark],
      line_mm,
      givenUp: document.give_mm !== undefined && Math.abs(line_mm - document.value_mm) > MISSED * give_mm,
    };
  });
}

/**
 * Marks that are levers, on all three curves, too near a neighbour to be measures: hard ones that move their line by more than twice
 * their own change, and soft ones that gave up some of their hold so as not to.
 */
export function levers(shape: Shape): MarkGain[] {
  return (['outline', 'rocker', 'foil'] as const)
    .flatMap((curve) => curveGains(shape, curve))
    .filter(({ gain, givenUp }) => givenUp || gain > MOST_GAIN * 1.001);
}

/** What a curve's marks are numbers of, at station x of the finished board: the full width, the lift or the thickness, mm. */
export function lineAt({ outline, rocker, foil }: Shape, curve: MarkGain['curve'], x_mm: number): number {
  switch (curve) {
    case 'outline':
      return 2 * halfBreadthAt(outline, x_mm);
    case 'rocker':
      return rocker.line.valueAt(x_mm);
    case 'foil':
      return thicknessAt(foil, x_mm);
  }
}
