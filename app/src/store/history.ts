/** What can be undone and redone: the states around the present one, each with the name of the step between. */
export interface History<T> {
  past: readonly { name: string; state: T }[];
  future: readonly { name: string; state: T }[];
  /** Steps with the same key are one step: all of a drag (`drag:` and its number), nudges that follow closely. */
  mergeKey: string | undefined;
  mergedAt: number;
}

const MOST_STEPS = 200;
const MERGE_WITHIN_ms = 900;

export function noHistory<T>(): History<T> {
  return { past: [], future: [], mergeKey: undefined, mergedAt: 0 };
}

/** Notes that `before` became something else by the step `name`. */
export function stepped<T>(
  history: History<T>,
  before: T,
  name: string,
  mergeKey: string | undefined,
  now: number,
): History<T> {
  const merges =
    mergeKey !== undefined &&
    history.mergeKey === mergeKey &&
    (mergeKey.startsWith('drag:') || now - history.mergedAt < MERGE_WITHIN_ms) &&
    history.past.length > 0;
  const past = merges
    ? [...history.past.slice(0, -1), { name, state: history.past[history.past.length - 1].state }]
    : [...history.past, { name, state: before }].slice(-MOST_STEPS);
  return { past, future: [], mergeKey, mergedAt: now };
}

/** One step back. @returns undefined when there is none. */
export function undone<T>(history: History<T>, present: T): { history: History<T>; present: T } | undefined {
  const last = history.past.at(-1);
  if (!last) return undefined;
  return {
    present: last.state,
    history: {
      past: history.past.slice(0, -1),
      future: [{ name: last.name, state: present }, ...history.future],
      mergeKey: undefined,
      mergedAt: 0,
    },
  };
}

/** One step forward again. @returns undefined when there is none. */
export function redone<T>(history: History<T>, present: T): { history: History<T>; present: T } | undefined {
  const [next, ...rest] = history.future;
  if (!next) return undefined;
  return {
    present: next.state,
    history: {
      past: [...history.past, { name: next.name, state: present }],
      future: rest,
      mergeKey: undefined,
      mergedAt: 0,
    },
  };
}
