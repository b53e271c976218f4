import { InputNumber } from 'antd';
import { memo, type ReactNode } from 'react';
import type { RailStation } from '@june-tide/core/document';
import { placeAt, withRailAt } from '@june-tide/core/edit';
import { sectionAt } from '@june-tide/core/shape';
import { formatLength } from '@june-tide/core/units';
import { Term } from '../../../parts/Term.tsx';
import { LengthField } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { editBoard } from '../../../store/shed.ts';
import { stationName } from '../stationName.ts';
import { useBay } from '../useBay.ts';

/**
 * The numbers of the rail at the hook that its names stand for: of a station as they are set, elsewhere as the blend gives them. They
 * follow when the hand rests.
 */
export const RailNumbers = memo(function RailNumbers() {
  const { record, shape, hook_mm } = useBay();
  const section = sectionAt(shape, hook_mm);
  const style = useLengthStyle();
  const { stations } = record.board.rails;
  const index = placeAt(record.board, stations, hook_mm);
  // A station's own edge: what is drawn may be harder, by the edge along the tail.
  const rail: Omit<RailStation, 'from' | 'at_mm'> | undefined =
    index === undefined ? section?.input.rail : stations[index];
  if (!rail) return null;
  const name = index === undefined ? `${formatLength(hook_mm, style)} from tail` : stationName(stations[index], style);
  const set = (what: string, next: Partial<RailStation>) =>
    editBoard(
      record.id,
      `${what.toLowerCase()}, ${name}`,
      (b) => withRailAt(b, hook_mm, next),
      `rail:${what}${Math.round(hook_mm)}`,
    );
  const percent = (
    what: string,
    words: ReactNode,
    value: number,
    low: number,
    high: number,
    key: keyof RailStation,
  ) => (
    <label className="mini">
      {words}
      <InputNumber
        size="small"
        aria-label={`${what}, ${name}`}
        min={low}
        max={high}
        step={5}
        suffix="%"
        value={Math.round(value * 100)}
        onChange={(next) => {
          if (typeof next === 'number') set(what, { [key]: next / 100 });
        }}
        className="fit-62"
      />
    </label>
  );
  return (
    <div className="in-hand" role="group" aria-label={`Rail in hand, ${name}`}>
      {percent('Apex', <Term of="apex">apex</Term>, rail.apex, 10, 75, 'apex')}
      {percent('Fullness', <Term of="fullness">full</Term>, rail.fullness, 0, 100, 'fullness')}
      {percent('Edge', <Term of="edge">hard</Term>, rail.edge, 0, 100, 'edge')}
      <label className="mini">
        <Term of="edgeRadius">radius</Term>
        <LengthField
          small
          label={`Edge radius, ${name}`}
          value_mm={rail.edgeRadius_mm}
          onChange={(edgeRadius_mm) => set('Edge radius', { edgeRadius_mm })}
        />
      </label>
    </div>
  );
});
