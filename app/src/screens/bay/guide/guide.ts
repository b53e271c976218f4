import { create } from 'zustand';
import { INCH_mm } from '@june-tide/core/units';
import { TWELVE_mm } from '@june-tide/core/measure';
import { modelNamed } from '@june-tide/core/models';
import type { BoardRecord } from '@june-tide/core/record';
import { addBoard } from '../../../store/shed.ts';
import type { StepKey } from '../useBay.ts';

/** What a hand has done so far, to be looked at. */
interface Done {
  record: BoardRecord;
  hook_mm: number;
  step: StepKey;
}

/** One thing to do by oneself, where, and how it is known to be done. */
export interface Lesson {
  step: StepKey;
  title: string;
  /** In the shop's own units. */
  words: (say: (mm: number) => string) => string;
  done: (now: Done) => boolean;
}

/** The model a first board is begun from, and its name. */
const FROM = 'Slack Water';
const NAME = 'First Board';
const NEW_WIDTH_mm = 19.5 * INCH_mm;
const NEW_LIFT_mm = 5.25 * INCH_mm;
/** A number typed is there within this. */
const TYPED_mm = 0.3;

const begun = () => modelNamed(FROM);

/** A first board, in the order of the work. */
export const LESSONS: readonly Lesson[] = [
  {
    step: 'outline',
    title: 'Read the board',
    words: (say) =>
      `It lies on a tape. Pull the yellow hook, or press N: every number follows it. Bring it to ${say(TWELVE_mm)} from the nose.`,
    done: ({ record, hook_mm }) => Math.abs(hook_mm - (record.board.length_mm - TWELVE_mm)) < 1,
  },
  {
    step: 'outline',
    title: 'Type a number',
    words: (say) =>
      `The table has the width at the wide point. Type ${say(NEW_WIDTH_mm)} there and press Enter. The litres on the ticket follow.`,
    done: ({ record }) => Math.abs(record.board.outline.width_mm - NEW_WIDTH_mm) < TYPED_mm,
  },
  {
    step: 'outline',
    title: 'Pull a mark',
    words: () =>
      'Pull the ring at tail 12 outward, and let go. What you may not like goes back with Ctrl Z; do it again after.',
    done: ({ record }) => JSON.stringify(record.board.outline.marks) !== JSON.stringify(begun()?.outline.marks),
  },
  {
    step: 'rider',
    title: 'Say who it is for',
    words: () =>
      'Choose a rider. The ticket then has a range of litres, and notes speak of that rider and those waves.',
    done: ({ record }) => record.riderId !== null,
  },
  {
    step: 'rocker',
    title: 'Lift the nose',
    words: (say) =>
      `Heights are drawn taller here. Type ${say(NEW_LIFT_mm)} into the nose tip’s lift, or pull its ring.`,
    done: ({ record }) => record.board.rocker.noseLift_mm !== begun()?.rocker.noseLift_mm,
  },
  {
    step: 'rails',
    title: 'Soften a rail',
    words: () => 'The section at the hook is drawn whole. Pull the apex or the tuck, or type under the drawing.',
    done: ({ record }) => JSON.stringify(record.board.rails) !== JSON.stringify(begun()?.rails),
  },
  {
    step: 'check',
    title: 'Let it be looked at',
    words: () =>
      'What a master would say of it, each with its number and why. Keep it with a reason, or change the board.',
    done: ({ step }) => step === 'check',
  },
  {
    step: 'make',
    title: 'Make it',
    words: () =>
      'Blank, rail bands, templates at full size, glass, cost and dates. That is the way of a board: it is yours now.',
    done: ({ step }) => step === 'make',
  },
];

interface Guide {
  /** The board that is guided; none while nobody is. */
  id: string | undefined;
  at: number;
}

export const useGuide = create<Guide>(() => ({ id: undefined, at: 0 }));

/** Puts a first board on the rack and begins with it. @returns where it stands. */
export function beginGuide(): string {
  const board = begun();
  if (!board) throw new Error(`no model is called ${FROM}`);
  const id = addBoard({ ...board, name: NAME }, null);
  useGuide.setState({ id, at: 0 });
  return `/bay/${id}/${LESSONS[0].step}`;
}

export const goToLesson = (at: number): void => useGuide.setState({ at });
/** The board stays on the rack. */
export const endGuide = (): void => useGuide.setState({ id: undefined, at: 0 });
