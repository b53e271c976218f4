import type { FinsDocument } from '../document/schema.ts';
import type { Shape } from '../shape/shape.ts';
import { thicknessAt } from '../foil/foil.ts';
import { halfBreadthAt, notchHalfBreadthAt } from '../outline/outline.ts';
import { sectionAt } from '../shape/shape.ts';
import { deckHeightAt, undersideHeightAt } from '../section/heights.ts';
import { EDGE_CLEAR_mm, rolesOf, SETUP_WORDS } from './placement.ts';
import { type FinSpot, finSpots } from './spots.ts';

/** One thing wrong with where a box sits. */
export interface FinTrouble {
  code: 'offBoard' | 'nearRail' | 'inNotch' | 'tooThin' | 'boxesMeet';
  /** Index of the box in the document. */
  box: number;
  /** How much there is and how much there should be, mm. */
  has_mm: number;
  needs_mm: number;
  words: string;
}

/** So much foam a box wants over it: a full-depth box on the stringer, a shallow one at the rail. Common practice, from memory. */
const BOX_DEPTH_mm = { centre: 19, pair: 13 } as const;
const BOXES_CLEAR_mm = 10;

/** Everything about the boxes that the foam would refuse. Wings count: it is the finished plan that must hold the base. */
export function finTroubles(shape: Shape): FinTrouble[] {
  const spots = finSpots(shape).filter((spot) => spot.side >= 0);
  const troubles: FinTrouble[] = [];
  const { boxes } = shape.board.fins;
  for (const spot of spots) {
    const box = boxes.indexOf(spot.box);
    troubles.push(...placeTroubles(shape, spot, box));
  }
  for (let i = 0; i < spots.length; i++) {
    for (let j = i + 1; j < spots.length; j++) {
      const gap = gapBetween(spots[i], spots[j]);
      if (gap < BOXES_CLEAR_mm) {
        troubles.push({
          code: 'boxesMeet',
          box: boxes.indexOf(spots[j].box),
          has_mm: gap,
          needs_mm: BOXES_CLEAR_mm,
          words: 'two boxes run into each other',
        });
      }
    }
  }
  return troubles;
}

function placeTroubles(shape: Shape, spot: FinSpot, box: number): FinTrouble[] {
  const troubles: FinTrouble[] = [];
  let rail = Infinity;
  let notch = Infinity;
  let foam = Infinity;
  for (let k = 0; k <= 8; k++) {
    const x = spot.rear.x_mm + ((spot.front.x_mm - spot.rear.x_mm) * k) / 8;
    const y = Math.abs(spot.rear.y_mm + ((spot.front.y_mm - spot.rear.y_mm) * k) / 8);
    rail = Math.min(rail, halfBreadthAt(shape.outline, x) - y);
    if (shape.outline.end.notch_mm > 0) {
      const inside = y - notchHalfBreadthAt(shape.outline, x);
      notch = Math.min(notch, spot.side === 0 ? x - shape.outline.end.notch_mm : inside);
    }
    foam = Math.min(foam, foamOver(shape, x, y));
  }
  if (rail < 0 || spot.rear.x_mm < 0) {
    troubles.push({
      code: 'offBoard',
      box,
      has_mm: rail,
      needs_mm: EDGE_CLEAR_mm,
      words: 'the box hangs off the board',
    });
  } else if (rail < EDGE_CLEAR_mm) {
    troubles.push({
      code: 'nearRail',
      box,
      has_mm: rail,
      needs_mm: EDGE_CLEAR_mm,
      words: 'the box breaks into the rail',
    });
  }
  if (notch < EDGE_CLEAR_mm) {
    troubles.push({
      code: 'inNotch',
      box,
      has_mm: notch,
      needs_mm: EDGE_CLEAR_mm,
      words: 'the box breaks into the cut of the tail',
    });
  }
  const depth = spot.side === 0 ? BOX_DEPTH_mm.centre : BOX_DEPTH_mm.pair;
  if (foam < depth) {
    troubles.push({
      code: 'tooThin',
      box,
      has_mm: foam,
      needs_mm: depth,
      words: 'there is not enough foam over the box',
    });
  }
  return troubles;
}

/** Boxes a setup does not have, or lacks, in words: a document that says quad and holds a centre box is neither. */
export function setupTroubles({ setup, boxes }: FinsDocument): string[] {
  const named = (roles: readonly string[]) => (roles.length === 0 ? 'none' : [...roles].sort().join(', '));
  const [wanted, held] = [named(rolesOf(setup)), named(boxes.map(({ role }) => role))];
  return wanted === held ? [] : [`fins: a ${SETUP_WORDS[setup]} has boxes ${wanted}; this board has ${held}`];
}

/** Foam from bottom to deck at a place on the plan, mm; the stringer's when the place is off the section. */
function foamOver(shape: Shape, x_mm: number, y_mm: number): number {
  const section = sectionAt(shape, x_mm);
  if (!section) return 0;
  if (y_mm >= section.half_mm) return 0;
  if (y_mm === 0) return thicknessAt(shape.foil, x_mm);
  return deckHeightAt(section, y_mm) - undersideHeightAt(section, y_mm);
}

/** The least distance between the bases of two fins on one side, taken as straight lines. */
function gapBetween(a: FinSpot, b: FinSpot): number {
  let least = Infinity;
  for (let i = 0; i <= 16; i++) {
    const p = along(a, i / 16);
    for (let j = 0; j <= 16; j++) {
      const q = along(b, j / 16);
      least = Math.min(least, Math.hypot(p.x - q.x, p.y - q.y));
    }
  }
  return least;
}

function along(spot: FinSpot, t: number): { x: number; y: number } {
  return {
    x: spot.rear.x_mm + t * (spot.front.x_mm - spot.rear.x_mm),
    y: spot.rear.y_mm + t * (spot.front.y_mm - spot.rear.y_mm),
  };
}

/**
 * Where the toe lines of each pair meet on the stringer, mm from the tail; `fromNose_mm` is negative when that is past the
 * nose. Pairs without toe never meet and are left out.
 */
export function toeLines(shape: Shape): { box: number; meet_mm: number; fromNose_mm: number }[] {
  return finSpots(shape)
    .filter((spot) => spot.side === 1 && spot.box.toe_rad > 1e-6)
    .map((spot) => {
      const meet_mm = spot.middle.x_mm + spot.middle.y_mm / Math.tan(spot.box.toe_rad);
      return { box: shape.board.fins.boxes.indexOf(spot.box), meet_mm, fromNose_mm: shape.board.length_mm - meet_mm };
    });
}
