import type { Board, Family, FinBox, FinSetup, FinsDocument, FinTemplate } from '../document/schema.ts';
import { tailEnd } from '../outline/tails.ts';
import { INCH_mm } from '../units/length.ts';

/** Board left between the base and the rail, or a notch. Common practice, from memory. */
export const EDGE_CLEAR_mm = 12;

const degrees = (angle: number) => (angle * Math.PI) / 180;
const inch = (value: number) => value * INCH_mm;

/** Our own fin templates. Sizes of our own choosing within the usual ranges. */
export const FIN_TEMPLATES = {
  side: {
    name: 'Side, medium',
    base_mm: inch(4.4),
    depth_mm: inch(4.5),
    rake_rad: degrees(33),
    tip: 0.3,
    foil: 'flat',
  },
  sideSmall: {
    name: 'Side bite',
    base_mm: inch(3.2),
    depth_mm: inch(3.4),
    rake_rad: degrees(33),
    tip: 0.32,
    foil: 'flat',
  },
  centre: {
    name: 'Centre, medium',
    base_mm: inch(4.4),
    depth_mm: inch(4.5),
    rake_rad: degrees(33),
    tip: 0.3,
    foil: 'symmetric',
  },
  quadRear: {
    name: 'Quad rear',
    base_mm: inch(3.8),
    depth_mm: inch(3.9),
    rake_rad: degrees(31),
    tip: 0.32,
    foil: 'eightyTwenty',
  },
  twin: {
    name: 'Twin, upright',
    base_mm: inch(5),
    depth_mm: inch(5.1),
    rake_rad: degrees(28),
    tip: 0.36,
    foil: 'flat',
  },
  trailer: {
    name: 'Trailer',
    base_mm: inch(3.2),
    depth_mm: inch(2.9),
    rake_rad: degrees(30),
    tip: 0.36,
    foil: 'symmetric',
  },
  keel: { name: 'Keel', base_mm: inch(9), depth_mm: inch(5), rake_rad: degrees(30), tip: 0.22, foil: 'flat' },
  pivot: {
    name: 'Pivot',
    base_mm: inch(6.6),
    depth_mm: inch(9.2),
    rake_rad: degrees(14),
    tip: 0.52,
    foil: 'symmetric',
  },
  flex: {
    name: 'Raked single',
    base_mm: inch(6.6),
    depth_mm: inch(8),
    rake_rad: degrees(36),
    tip: 0.26,
    foil: 'symmetric',
  },
} as const satisfies Record<string, FinTemplate>;

/** The setups as the trade says them. */
export const SETUP_WORDS: Readonly<Record<FinSetup, string>> = {
  single: 'single',
  twoPlusOne: '2 + 1',
  twin: 'twin',
  keels: 'twin keels',
  twinTrailer: 'twin and trailer',
  thruster: 'thruster',
  quad: 'quad',
  fiveBox: 'five boxes',
};

/** The tail width at 12 in that usual insets are meant for. */
const USUAL_TAIL_mm = inch(14.5);

/**
 * Where a setup usually goes, as a start. Common practice, from memory: on a 6'0 thruster sides 11 in and centre 3 to
 * 3 1/2 in up to the trailing edge, 1 1/8 to 1 1/4 in from the rail, toe 1/4 in over the base, cant 4 to 8 degrees,
 * and more of each distance on a longer board; twins about 9 in on a 5'8. Keels and twins sit further in: their long bases
 * follow a tail that narrows under them. A tail wider than 14 1/2 in at 12 takes the pairs in by a twentieth of the rest
 * (our own figure), so that the toe lines still meet ahead of the nose.
 */
export function finBoxes(
  setup: FinSetup,
  family: Family,
  length_mm: number,
  tailWidth12_mm = USUAL_TAIL_mm,
): FinsDocument {
  const grow = (length_mm - inch(72)) / inch(72);
  const toeOf = (base_mm: number) => Math.asin(inch(0.25) / base_mm);
  const pair = (role: 'front' | 'rear', at: number, inset: number, cant: number, template: FinTemplate): FinBox => ({
    role,
    trailingEdge_mm: inch(at * (1 + 0.55 * grow)),
    inset_mm: inch(inset) + Math.max(0, (tailWidth12_mm - USUAL_TAIL_mm) / 20),
    toe_rad: toeOf(template.base_mm) * (role === 'front' ? 1 : 0.6),
    cant_rad: degrees(cant),
    template,
  });
  const centre = (at: number, template: FinTemplate): FinBox => ({
    role: 'centre',
    trailingEdge_mm: inch(at * (1 + 0.9 * Math.max(0, grow))),
    inset_mm: 0,
    toe_rad: 0,
    cant_rad: 0,
    template,
  });
  const t = FIN_TEMPLATES;
  const fronts = pair('front', 11, 1.25, 6, t.side);
  const rears = pair('rear', 6, 1.4, 4, t.quadRear);
  const boxes: Record<FinSetup, () => FinBox[]> = {
    single: () => [centre(5, family === 'longboard' ? t.pivot : t.flex)],
    twoPlusOne: () => [pair('front', 12.2, 1.25, 5, t.sideSmall), centre(5, t.flex)],
    twin: () => [pair('front', 9.4, 1.6, 6, t.twin)],
    keels: () => [pair('front', 5.6, 1.95, 3, t.keel)],
    twinTrailer: () => [pair('front', 9.4, 1.6, 6, t.twin), centre(3.4, t.trailer)],
    thruster: () => [fronts, centre(3.3, t.centre)],
    quad: () => [fronts, rears],
    fiveBox: () => [fronts, rears, centre(3.3, t.centre)],
  };
  return { setup, boxes: boxes[setup]() };
}

/** Which setups the boxes of another already hold: five boxes serve as thruster, quad, twin and twin with trailer. */
export const ALSO_SERVES: Readonly<Record<FinSetup, readonly FinSetup[]>> = {
  single: [],
  twoPlusOne: ['single', 'twin'],
  twin: [],
  keels: [],
  twinTrailer: ['twin'],
  thruster: ['twin'],
  quad: ['twin'],
  fiveBox: ['thruster', 'quad', 'twin', 'twinTrailer'],
};

/**
 * Another setup on the same board, keeping what can be kept: boxes of a role both setups have stay where they are, unless
 * the fin there is of another kind (a keel, a side bite). Holds everything else.
 */
export function withSetup(board: Board, setup: FinSetup): Board {
  const tail = board.outline.marks.find((mark) => mark.from === 'tail' && Math.abs(mark.at_mm - inch(12)) < 1);
  const usual = finBoxes(setup, board.family, board.length_mm, tail?.value_mm);
  const kept = usual.boxes.map((box) => {
    const before = board.fins.boxes.find((old) => old.role === box.role);
    return before && alike(before.template, box.template) ? before : box;
  });
  return clearOfCut({ ...board, fins: { setup, boxes: kept } });
}

/** Which boxes a setup has, by their roles. */
export const rolesOf = (setup: FinSetup): FinBox['role'][] =>
  finBoxes(setup, 'shortboard', inch(72)).boxes.map(({ role }) => role);

/** The board with its centre box moved forward just as far as the cut of its tail asks; the same board where it is clear. */
export function clearOfCut(board: Board): Board {
  const { notch_mm } = tailEnd(board.outline.tail);
  if (notch_mm === 0) return board;
  const clear_mm = notch_mm + EDGE_CLEAR_mm;
  const { boxes } = board.fins;
  if (!boxes.some(({ role, trailingEdge_mm }) => role === 'centre' && trailingEdge_mm < clear_mm)) return board;
  const moved = boxes.map((box) =>
    box.role === 'centre' ? { ...box, trailingEdge_mm: Math.max(box.trailingEdge_mm, clear_mm) } : box,
  );
  return { ...board, fins: { ...board.fins, boxes: moved } };
}

/** Can one fin stand in for another? Bases within a quarter, depths within a third. */
function alike(a: FinTemplate, b: FinTemplate): boolean {
  return Math.abs(a.base_mm / b.base_mm - 1) < 0.25 && Math.abs(a.depth_mm / b.depth_mm - 1) < 0.34;
}
