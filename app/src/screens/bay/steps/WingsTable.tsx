import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import { CloseOutlined } from '@ant-design/icons';
import type { Board, Wing } from '@june-tide/core/document';
import { MOST_WINGS } from '@june-tide/core/document';
import { markRows, wingsTold, withNewWing, withoutWing, withWing } from '@june-tide/core/edit';
import { LengthField } from '../../../parts/LengthField.tsx';
import { Measure } from '../../../parts/Measure.tsx';
import { editBoard, type EditResult, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** Wings on the rail, from the front: where, how deep, over what length, how far the edge is raised. */
export function WingsTable() {
  const { record, moveHook } = useBay();
  const { wings } = record.board.outline;
  const [told, tell] = useState<{ of: Board; to: Board }>();
  const take = (name: string, change: (board: Board) => Board, merge?: string): EditResult => {
    const before = record.board;
    const result = editBoard(record.id, name, change, merge);
    if (result.ok) tell({ of: before, to: useShed.getState().records[record.id].board });
    return result;
  };
  const set = (index: number, what: string, change: Partial<Wing>, nudge: boolean) =>
    take(
      `wing ${index + 1} ${what}`,
      (b) => withWing(b, index, change),
      nudge ? `field:wing${index}${what}` : undefined,
    );
  return (
    <div>
      {wings.length > 0 && (
        <table className="marks">
          <thead>
            <tr>
              <th scope="col">Wing</th>
              <th scope="col" className="num">
                From tail
              </th>
              <th scope="col" className="num">
                In
              </th>
              <th scope="col" className="num">
                Over
              </th>
              <th scope="col" className="num">
                Raised
              </th>
              <th scope="col">
                <span className="visually-hidden">Take off</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {wings.map((wing, i) => (
              <tr key={i} onFocus={() => moveHook(wing.fromTail_mm)}>
                <th scope="row">{i + 1}</th>
                <td className="num">
                  <LengthField
                    small
                    label={`Wing ${i + 1} from tail`}
                    value_mm={wing.fromTail_mm}
                    onChange={(fromTail_mm, nudge) => set(i, 'from tail', { fromTail_mm }, nudge)}
                  />
                </td>
                <td className="num">
                  <LengthField
                    small
                    label={`Wing ${i + 1} depth`}
                    value_mm={wing.depth_mm}
                    onChange={(depth_mm, nudge) => set(i, 'depth', { depth_mm }, nudge)}
                  />
                </td>
                <td className="num">
                  <LengthField
                    small
                    label={`Wing ${i + 1} length`}
                    value_mm={wing.length_mm}
                    onChange={(length_mm, nudge) => set(i, 'length', { length_mm }, nudge)}
                  />
                </td>
                <td className="num">
                  <InputNumber
                    aria-label={`Wing ${i + 1} raised`}
                    size="small"
                    min={0}
                    max={100}
                    step={10}
                    suffix="%"
                    className="fit-76"
                    value={Math.round(wing.raised * 100)}
                    onChange={(raised) => {
                      if (typeof raised === 'number') set(i, 'raised', { raised: raised / 100 }, true);
                    }}
                  />
                </td>
                <td className="tight">
                  <Button
                    type="text"
                    size="small"
                    aria-label={`Take off wing ${i + 1}`}
                    icon={<CloseOutlined aria-hidden />}
                    onClick={() => take(`wing ${i + 1} off`, (b) => withoutWing(b, i))}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="row-of-tools above-6">
        {wings.length < MOST_WINGS && (
          <Button size="small" onClick={() => take('new wing', withNewWing)}>
            {wings.length === 0 ? 'Add a wing' : 'Add another wing'}
          </Button>
        )}
      </div>
      {told?.to === record.board && <Told before={told.of} after={told.to} />}
    </div>
  );
}

/** Which widths the wing could not leave as they were: it takes away what is behind it, and the line ahead stays. */
function Told({ before, after }: { before: Board; after: Board }) {
  const changed = wingsTold(before, after);
  if (changed.length === 0) return null;
  const rows = markRows(after, 'outline');
  return (
    <p className="quiet above-6 below-0" role="status">
      The line ahead of it stays.{' '}
      {changed.map(({ key, from_mm, to_mm }, i) => (
        <span key={key}>
          {i > 0 && ', '}
          {rows.find((row) => row.key === key)?.label ?? 'a mark'} <Measure mm={from_mm} /> is now{' '}
          <Measure mm={to_mm} />
        </span>
      ))}
      .
    </p>
  );
}
