import { useEffect, useMemo, useState } from 'react';
import type { Filter } from '@june-tide/core/record';
import { useShed } from '../../store/shed.ts';
import type * as asker from './asking.ts';

/** What hears and answers a question. */
type Asking = typeof asker;

interface Question {
  filters: readonly Filter[];
  drop: (filter: Filter) => void;
  /** There once something was asked. */
  asking: Asking | undefined;
}

/** What the question asks, as filters; one that was not meant is dropped until the question is another. */
export function useQuestion(question: string): Question {
  const asked = question.trim() !== '';
  const [asking, setAsking] = useState<Asking>();
  useEffect(() => {
    // Not to be had, nothing is asked: the boards stand as they did.
    if (asked && !asking) void import('./asking.ts').then(setAsking, () => undefined);
  }, [asked, asking]);
  const riders = useShed((shed) => shed.riders);
  const records = useShed((shed) => shed.records);
  const [dropped, setDropped] = useState<{ of: string; keys: readonly string[] }>({ of: '', keys: [] });
  const filters = useMemo(() => {
    if (!asked || !asking) return [];
    const names = Object.values(records).map(({ board }) => board.name);
    const keys = dropped.of === question ? dropped.keys : [];
    return asking
      .filtersFrom(question, Object.values(riders), names)
      .filter((filter) => !keys.includes(JSON.stringify(filter)));
  }, [question, asked, asking, riders, records, dropped]);
  const drop = (filter: Filter) =>
    setDropped(({ of, keys }) => ({ of: question, keys: [...(of === question ? keys : []), JSON.stringify(filter)] }));
  return { filters, drop, asking };
}
