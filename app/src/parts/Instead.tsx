import type { ReactNode } from 'react';

interface InsteadProps {
  title: string;
  /** Why, and what of theirs is safe. */
  why?: string;
  /** The way on. */
  children: ReactNode;
}

/** What stands where a screen would: what is not there, why, and the way on. */
export function Instead({ title, why, children }: InsteadProps) {
  return (
    <section className="instead" role="status">
      <h1>{title}</h1>
      {why && <p>{why}</p>}
      <div className="row-of-tools">{children}</div>
    </section>
  );
}
