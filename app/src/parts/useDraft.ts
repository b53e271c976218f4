import { useState } from 'react';
import { draftOf, dropDraft, keepDraft } from '../store/drafts.ts';

/**
 * What is typed into a form and not kept yet: as `useState`, and there again after a reload.
 * @param form which form, of which thing: it is read once for each.
 * @returns what is typed, a setter, and what lets it go once it is kept.
 */
export function useDraft<T>(form: string, otherwise: T): [T, (next: T | ((was: T) => T)) => void, () => void] {
  const [state, setState] = useState(() => ({ form, values: draftOf(form, otherwise) }));
  // Another thing in the same form has a draft of its own.
  const values = state.form === form ? state.values : draftOf(form, otherwise);
  const set = (next: T | ((was: T) => T)) =>
    setState((was) => {
      const before = was.form === form ? was.values : draftOf(form, otherwise);
      const typed = typeof next === 'function' ? (next as (was: T) => T)(before) : next;
      keepDraft(form, typed, otherwise);
      return { form, values: typed };
    });
  const drop = () => {
    dropDraft(form);
    setState({ form, values: otherwise });
  };
  return [values, set, drop];
}
