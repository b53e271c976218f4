import { curveOf, isSectionStep, type StepKey } from './useBay.ts';

/** Where everything with a station lies on the plank: one x for plan, tape and profile. CSS pixels. */
export interface PlankScale {
  width: number;
  height: number;
  /** Pixels a mm along the board and across it. */
  k: number;
  x: (station_mm: number) => number;
  station: (x: number) => number;
  /** Is only the near half of the plan drawn, to give the profile room? */
  half: boolean;
  planTop: number;
  /** y of the stringer on the plan. */
  centre: number;
  tapeTop: number;
  /** y of the straightedge the profile lies on. */
  ground: number;
  /** How much taller than true the profile is drawn. */
  stretch: number;
}

export const TAPE_HEIGHT = 30;
const SIDE = 30;
/** The strip of side light over the tape, on the steps that have one. */
export const STRIP_HEIGHT = 18;
const STRIP_ROOM = STRIP_HEIGHT + 12;
/** Over the plan and under it. */
const PLAN_ROOM = 26;

/** The sizes of a board that its place on the plank depends on. */
export interface Extent {
  length_mm: number;
  width_mm: number;
  /** The highest of tips and middle over the straightedge. */
  tallest_mm: number;
}

/** What is drawn round a board, and takes room beyond it. */
export interface Around {
  /** Past either end. */
  ends_mm: number;
  width_mm: number;
  tallest_mm: number;
  /** Under the straightedge the board lies on. */
  under_mm: number;
}

/** Under the tape on the steps that hang something there: room for it on a low plank, and for the straightedge's foot. */
const HUNG_HEIGHT = 80;
const PROFILE_FOOT = 26;

/** How the plank is laid out: for the line or the section a step is about, or as a strip over a bench that has the wall. */
export type PlankFor = StepKey | 'strip';
/** Under the tape of a strip. */
const STRIP_FOOT = 12;

/** How much room there is under the tape. */
function underTape(board: Extent, step: PlankFor, width: number, height: number): number {
  if (step === 'strip') return STRIP_FOOT;
  if (curveOf(step) === 'rocker' || curveOf(step) === 'foil') return Math.max(150, height * 0.44);
  if (step === 'deck') {
    // Half the plan and the profile share what there is, at one scale.
    const room = height - TAPE_HEIGHT - STRIP_ROOM - PLAN_ROOM - PROFILE_FOOT;
    const k = Math.min((width - 2 * SIDE) / board.length_mm, room / (board.width_mm / 2 + board.tallest_mm));
    return board.tallest_mm * k + PROFILE_FOOT;
  }
  return isSectionStep(step) ? HUNG_HEIGHT : Math.max(84, Math.min(118, height * 0.24));
}

/** Lays out the plank where something is drawn round the board: plan and profile share what room there is, at one scale. */
function scaleAround(board: Extent, around: Around, width: number, height: number): PlankScale {
  const { ends_mm, width_mm, tallest_mm, under_mm } = around;
  const [breadth, length] = [Math.max(width_mm, board.width_mm), board.length_mm + 2 * ends_mm];
  const tall_mm = Math.max(tallest_mm, board.tallest_mm) + under_mm;
  const room = height - TAPE_HEIGHT - 2 * PLAN_ROOM;
  const k = Math.max(0.02, Math.min((width - 2 * SIDE) / length, room / (breadth + tall_mm)));
  const tapeTop = height - TAPE_HEIGHT - PLAN_ROOM - tall_mm * k;
  const left = (width - board.length_mm * k) / 2;
  return {
    width,
    height,
    k,
    x: (station_mm) => left + station_mm * k,
    station: (x) => (x - left) / k,
    half: false,
    planTop: 0,
    centre: tapeTop / 2,
    tapeTop,
    ground: height - PLAN_ROOM / 2 - under_mm * k,
    stretch: 1,
  };
}

/** Lays out the plank. The plan has the room, but on the steps that are about the profile or about the section. */
export function plankScale(board: Extent, step: PlankFor, width: number, height: number, around?: Around): PlankScale {
  if (around) return scaleAround(board, around, width, height);
  const curve = step === 'strip' ? undefined : curveOf(step);
  const onProfile = curve === 'rocker' || curve === 'foil';
  const sectioned = step !== 'strip' && isSectionStep(step);
  const half = onProfile || sectioned || step === 'strip';
  const profileHeight = underTape(board, step, width, height);
  const tapeTop = height - TAPE_HEIGHT - profileHeight;
  const planHeight = tapeTop - (curve || sectioned ? STRIP_ROOM : 0);
  const breadth = half ? board.width_mm / 2 : board.width_mm;
  const k = Math.max(0.02, Math.min((width - 2 * SIDE) / board.length_mm, (planHeight - PLAN_ROOM) / breadth));
  const left = (width - board.length_mm * k) / 2;
  const centre = half ? planHeight - 8 : planHeight / 2 + 2;
  const tallest = (board.tallest_mm + 4) * k;
  const stretch = onProfile ? Math.min(4, Math.max(1, Math.floor(((profileHeight - 64) / tallest) * 2) / 2)) : 1;
  return {
    width,
    height,
    k,
    x: (station_mm) => left + station_mm * k,
    station: (x) => (x - left) / k,
    half,
    planTop: 0,
    centre,
    tapeTop,
    ground: height - (onProfile ? 26 : step === 'deck' ? 12 : 18),
    stretch,
  };
}

/** Over a ring on a profile that is the work, for its number. */
const NUMBER_ROOM = 22;

/** Does a board of other sizes lie whole on a plank that was laid out for another? */
export function liesOn(scale: PlankScale, { length_mm, width_mm, tallest_mm }: Extent): boolean {
  const half = (width_mm / 2) * scale.k;
  const over = scale.stretch > 1 ? NUMBER_ROOM : 0;
  return (
    scale.x(0) >= 0 &&
    scale.x(length_mm) <= scale.width &&
    scale.centre - half >= 0 &&
    (scale.half || scale.centre + half <= scale.tapeTop) &&
    scale.ground - tallest_mm * scale.k * scale.stretch >= scale.tapeTop + TAPE_HEIGHT + over
  );
}
