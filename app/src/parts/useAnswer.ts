import { useEffect, useState } from 'react';

export interface Answer<A> {
  /** The last answer there is; while another is asked for, the one before. */
  answer: A | undefined;
  failed: boolean;
}

/**
 * What an asking answers. Each new `ask` (keep it with useCallback or useMemo) asks anew; an answer to one before is dropped. Undefined
 * asks nothing.
 */
export function useAnswer<A>(ask: (() => Promise<A>) | undefined): Answer<A> {
  const [state, setState] = useState<Answer<A>>({ answer: undefined, failed: false });
  useEffect(() => {
    if (!ask) return;
    let dropped = false;
    setState((before) => (before.failed ? { ...before, failed: false } : before));
    ask().then(
      (answer) => {
        if (!dropped) setState({ answer, failed: false });
      },
      () => {
        if (!dropped) setState((before) => ({ ...before, failed: true }));
      },
    );
    return () => {
      dropped = true;
    };
  }, [ask]);
  return state;
}
