import { type Replaced, replacedBetween, withReplaced } from '../edit/changes.ts';
import type { BoardRecord } from './record.ts';

/** A state of a record with the name of the step that left it. */
export interface StepState {
  name: string;
  state: BoardRecord;
}

/** The states around a record's present one, as they lie in a store: each by what makes it of the one nearer to the present. */
export interface KeptSteps {
  id: string;
  /** `updatedAt` of the present state they belong to: with any other they are worth nothing. */
  at: string;
  /** The oldest first. */
  past: { name: string; replaced: Replaced[] }[];
  /** The nearest first. */
  future: { name: string; replaced: Replaced[] }[];
}

/**
 * What makes one state of another, worked out once: a run of two hundred steps grows by one. The other is not held: a state that somebody
 * keeps, such as the board as it was opened, would hold every one that came after it.
 */
const known = new WeakMap<BoardRecord, { from: WeakRef<BoardRecord>; replaced: Replaced[] }>();

function replacedFor(from: BoardRecord, to: BoardRecord): Replaced[] {
  const found = known.get(to);
  if (found?.from.deref() === from) return found.replaced;
  const replaced = replacedBetween(from, to);
  known.set(to, { from: new WeakRef(from), replaced });
  return replaced;
}

/** Steps packed about the present state. */
export function stepsPacked(present: BoardRecord, past: readonly StepState[], future: readonly StepState[]): KeptSteps {
  let near = present;
  const packed = ({ name, state }: StepState) => {
    const replaced = replacedFor(near, state);
    near = state;
    return { name, replaced };
  };
  const back = past.toReversed().map(packed).reverse();
  near = present;
  return { id: present.id, at: present.updatedAt, past: back, future: future.map(packed) };
}

/** Steps as they were, about the same present state. @throws TypeError for what is no steps. */
export function stepsUnpacked(present: BoardRecord, kept: KeptSteps): { past: StepState[]; future: StepState[] } {
  let near = present;
  const whole = ({ name, replaced }: KeptSteps['past'][number]): StepState => {
    near = withReplaced(near, replaced);
    return { name, state: near };
  };
  const past = kept.past.toReversed().map(whole).reverse();
  near = present;
  return { past, future: kept.future.map(whole) };
}
