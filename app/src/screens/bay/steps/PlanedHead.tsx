import { INCH_mm } from '@june-tide/core/units';

/** Where foam is measured while a blank is planed: names and stations, from the tail. */
export const planedAt = (length_mm: number) =>
  [
    ['Tail 12', 12 * INCH_mm],
    ['Tail 24', 24 * INCH_mm],
    ['Middle', length_mm / 2],
    ['Nose 24', length_mm - 24 * INCH_mm],
    ['Nose 12', length_mm - 12 * INCH_mm],
  ] as const;

/** The head of a table with a column for each of those places. */
export function PlanedHead({ first, length_mm }: { first: string; length_mm: number }) {
  return (
    <thead>
      <tr>
        <th scope="col">{first}</th>
        {planedAt(length_mm).map(([name]) => (
          <th key={name} scope="col" className="num">
            {name}
          </th>
        ))}
      </tr>
    </thead>
  );
}
