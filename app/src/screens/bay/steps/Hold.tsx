import { Button } from 'antd';
import { PushpinFilled, PushpinOutlined } from '@ant-design/icons';
import type { MarkRow } from '@june-tide/core/edit';
import type { MarkGain } from '@june-tide/core/shape';
import { formatLength } from '@june-tide/core/units';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';

/** A mark that moves its line by more than so many times its own change is named. */
const LEVER = 2.002;
/** Does the line go through the mark, or only by it: turned here. */
export function Hold({ row, turn }: { row: MarkRow; turn: () => void }) {
  const soft = row.give_mm !== undefined;
  return (
    <Button
      type="text"
      size="small"
      aria-pressed={!soft}
      aria-label={`${row.label} is ${soft ? 'soft' : 'hard'}`}
      title={
        soft
          ? 'Soft: the line comes as near as a pencil reads. H makes it hard, and the line goes through it'
          : 'Hard: the line goes through it. H makes it soft by what a pencil reads'
      }
      icon={soft ? <PushpinOutlined aria-hidden /> : <PushpinFilled aria-hidden />}
      onClick={turn}
    />
  );
}

/** Where the line runs by a soft mark, and what is said of a mark that is a lever. */
export function LineBy({ row, gain }: { row: MarkRow; gain: MarkGain | undefined }) {
  const style = useLengthStyle();
  if (!gain) return null;
  const off = row.give_mm !== undefined && formatLength(gain.line_mm, style) !== formatLength(row.value_mm, style);
  return (
    <>
      {off && (
        <div className={gain.givenUp ? 'small wrong' : 'small quiet'} data-testid={`line-by-${row.key}`}>
          line <Measure mm={gain.line_mm} />
        </div>
      )}
      {gain.gain > LEVER && (
        <div
          className="small wrong"
          role="status"
          title="The line moves so many times as far as this mark: too near another"
        >
          lever ×{gain.gain.toFixed(1)}
        </div>
      )}
    </>
  );
}
