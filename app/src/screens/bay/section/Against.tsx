import { Select } from 'antd';
import { memo } from 'react';
import { type RailStation, stationOfMark } from '@june-tide/core/document';
import { placeAt } from '@june-tide/core/edit';
import { TWELVE_mm } from '@june-tide/core/measure';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { stationName } from '../stationName.ts';
import { useBay } from '../useBay.ts';

interface AgainstProps {
  against: number | undefined;
  hold: (x_mm: number | undefined) => void;
}

type Place = Pick<RailStation, 'from' | 'at_mm'>;

/** Places a section is held against where no rail is set. */
const USUAL: readonly Place[] = [
  { from: 'nose', at_mm: TWELVE_mm },
  { from: 'centre', at_mm: 0 },
  { from: 'tail', at_mm: TWELVE_mm },
];
const ALONE = 'alone';

/** Which other station of this board the section is held against. */
export const Against = memo(function Against({ against, hold }: AgainstProps) {
  const { record, shape } = useBay();
  const style = useLengthStyle();
  const { stations } = record.board.rails;
  const x = (place: Place) => stationOfMark(place, shape.anchors);
  const places = [
    ...stations,
    ...USUAL.filter((place) => placeAt(record.board, stations, x(place)) === undefined),
  ].sort((a, b) => x(b) - x(a));
  return (
    <Select
      aria-label="Held against"
      size="small"
      className="fit-132"
      value={against === undefined ? ALONE : String(against)}
      options={[
        { value: ALONE, label: 'Held alone' },
        ...places.map((place) => ({ value: String(x(place)), label: stationName(place, style) })),
      ]}
      onChange={(value) => hold(value === ALONE ? undefined : Number(value))}
    />
  );
});
