import { formatLitres, formatMass } from '@june-tide/core/units';
import { curveLength_mm, READING_WORDS, tipLifts } from '@june-tide/core/measure';
import { Measure } from '../../parts/Measure.tsx';
import { measuresFor, shapeFor } from '../../store/derived.ts';
import { entryOf, useShed } from '../../store/shed.ts';
import { latestBoards } from './effect.ts';

/** The board worked on last, as these choices write it. */
export function Sample() {
  const record = useShed((shed) => latestBoards(shed.records)[0]);
  const rider = useShed((shed) => entryOf(shed.riders, record?.riderId ?? ''));
  const { lengthAlong, reading, massUnit } = useShed((shed) => shed.settings);
  if (!record) return null;
  const shape = shapeFor(record.board);
  const m = measuresFor(record.board);
  const lifts = tipLifts(shape, reading);
  return (
    <section className="sample" aria-label="As it is written now" data-testid="sample">
      <p className="quiet">
        {record.board.name} {record.number} as it is written now
        {rider && `, for ${rider.name}, ${formatMass(rider.mass_kg, massUnit)}`}
      </p>
      <p className="sample-size">
        <Measure mm={lengthAlong === 'bottom' ? curveLength_mm(shape) : m.length_mm} feet /> ×{' '}
        <Measure mm={m.width_mm} /> × <Measure mm={m.thickness_mm} />, {formatLitres(m.volume_L)}
      </p>
      <p>
        Nose lift <Measure mm={lifts.noseLift_mm} />, tail lift <Measure mm={lifts.tailLift_mm} />{' '}
        <span className="quiet">{READING_WORDS[reading]}</span>
      </p>
    </section>
  );
}
