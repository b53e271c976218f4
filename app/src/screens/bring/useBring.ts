import { useEffect, useState } from 'react';
import { bring, Stopped } from '../../workers/bringClient.ts';
import type { BringKind, BringWork } from '../../workers/bringMessages.ts';

export interface BringState<A> {
  made: A | undefined;
  /** Is that made of all that is asked by now? It is not from when more is asked until it is read. */
  current: boolean;
  /** What it is doing; undefined when it rests. */
  going: { step: string; share: number | undefined } | undefined;
  /** Why it could not be done at all. */
  failed: string | undefined;
  stop: () => void;
}

/** What is asked is begun when it rests so long. */
const REST_ms = 150;
const REST = { made: undefined, madeOf: undefined, going: undefined, failed: undefined };

interface Kept<K extends BringKind> extends Omit<BringState<BringWork[K]['answer']>, 'stop' | 'current'> {
  /** What was asked when that was made. */
  madeOf: BringWork[K]['of'] | undefined;
}

/** What is made of `of`, anew whenever it is another; the one before is seen meanwhile. Of nothing, nothing. */
export function useBring<K extends BringKind>(
  kind: K,
  of: BringWork[K]['of'] | undefined,
): BringState<BringWork[K]['answer']> & Pick<Kept<K>, 'madeOf'> {
  const [state, setState] = useState<Kept<K>>(REST);
  const [stop, setStop] = useState<() => void>(() => () => undefined);
  useEffect(() => {
    if (!of) return;
    let gone = false;
    let giveUp: () => void = () => undefined;
    const begin = setTimeout(() => {
      setState((was) => ({ ...was, going: { step: 'Beginning', share: undefined }, failed: undefined }));
      const work = bring(kind, of, (step, share) => {
        if (!gone) setState((was) => ({ ...was, going: { step, share } }));
      });
      giveUp = work.stop;
      setStop(() => work.stop);
      work.result.then(
        (made) => {
          if (!gone) setState({ made, madeOf: of, going: undefined, failed: undefined });
        },
        (error: unknown) => {
          if (gone) return;
          const failed = error instanceof Stopped ? 'Stopped.' : `It could not be done: ${String(error)}`;
          // What was made before is of something else: it must not go onto the rack under this name.
          setState({ ...REST, failed });
        },
      );
    }, REST_ms);
    return () => {
      gone = true;
      clearTimeout(begin);
      giveUp();
    };
  }, [kind, of]);
  const { made, madeOf, going, failed } = state;
  return of ? { made, madeOf, current: madeOf === of, going, failed, stop } : { ...REST, current: false, stop };
}
