import { useMemo } from 'react';
import { Link } from 'react-router';
import { measureOf } from '@june-tide/core/measure';
import { driftFrom, WINNER_MASS_kg, winnerOf } from '@june-tide/core/record';
import { formatMass } from '@june-tide/core/units';
import { MeasuredValue } from '../../../../parts/MeasuredValue.tsx';
import { useShed } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';

/** So many differences are named. */
const MOST_NAMED = 4;

/** A copy of a winner: as the winner still, or where it is not any more. */
export function AsTheWinner() {
  const { record } = useBay();
  const records = useShed((shed) => shed.records);
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const winner = useMemo(() => winnerOf(record, records), [record, records]);
  const drift = useMemo(() => (winner ? driftFrom(winner.version.board, record.board) : []), [winner, record.board]);
  if (!winner) return null;
  const { record: of, version } = winner;
  const [was, is] = [version.frozen?.mass_kg, record.shaped?.mass_kg];
  const heavier = was !== undefined && is !== undefined && Math.abs(is - was) > WINNER_MASS_kg;
  const name = (
    <Link to={`/bay/${of.id}/ride`}>
      {of.board.name} {of.number}
    </Link>
  );
  const more = drift.length - MOST_NAMED;
  return (
    <p className="above-0 below-4" data-testid="as-the-winner">
      {drift.length === 0 && !heavier ? (
        <b className="felt better">As the winner</b>
      ) : (
        <b className="felt worse">Not as the winner any more</b>
      )}
      , {name} version {version.no}
      {drift.length > 0 && ': '}
      {drift.slice(0, MOST_NAMED).map(({ key, from, to }, i) => (
        <span key={key}>
          {i > 0 && '; '}
          {measureOf(key).words} <MeasuredValue of={key} value={to} /> for <MeasuredValue of={key} value={from} />
        </span>
      ))}
      {more > 0 && `; and ${more} more`}
      {heavier &&
        `${drift.length > 0 ? '; ' : ': '}it weighs ${formatMass(is, massUnit, 2)} for ${formatMass(was, massUnit, 2)}`}
      .
    </p>
  );
}
