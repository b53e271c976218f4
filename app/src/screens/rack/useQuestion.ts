import { useMemo, useState } from 'react';
import { type Filter, filtersFrom } from '@june-tide/core/record';
import { useShed } from '../../store/shed.ts';

/** What the question asks, as filters; one that was not meant is dropped until the question is another. */
export function useQuestion(question: string): { filters: readonly Filter[]; drop: (filter: Filter) => void } {
  const riders = useShed((shed) => shed.riders);
  const records = useShed((shed) => shed.records);
  const [dropped, setDropped] = useState<{ of: string; keys: readonly string[] }>({ of: '', keys: [] });
  const filters = useMemo(() => {
    if (question.trim() === '') return [];
    const names = Object.values(records).map(({ board }) => board.name);
    const keys = dropped.of === question ? dropped.keys : [];
    return filtersFrom(question, Object.values(riders), names).filter(
      (filter) => !keys.includes(JSON.stringify(filter)),
    );
  }, [question, riders, records, dropped]);
  const drop = (filter: Filter) =>
    setDropped(({ of, keys }) => ({ of: question, keys: [...(of === question ? keys : []), JSON.stringify(filter)] }));
  return { filters, drop };
}
