import { type Caution, cautionWords } from '@june-tide/core/make';

/** What can hurt at this work and what to wear, short, at the step; nothing where nothing can. */
export function Cautions({ of }: { of: readonly Caution[] }) {
  return of.length === 0 ? null : <p className="caution">{cautionWords(of)}</p>;
}
