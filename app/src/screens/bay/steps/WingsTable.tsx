import { Button, InputNumber } from 'antd';
import type { ReactNode } from 'react';
import { CloseOutlined } from '@ant-design/icons';
import type { Wing } from '@june-tide/core/document';
import { MOST_WINGS } from '@june-tide/core/document';
import { withNewWing, withoutWing, withWing } from '@june-tide/core/edit';
import { LengthField } from '../../../parts/LengthField.tsx';
import { editBoard } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** Wings on the rail, from the front: where, how deep, over what length, how far the edge is raised. */
export function WingsTable({ tools }: { tools?: ReactNode }) {
  const { record, moveHook } = useBay();
  const { wings } = record.board.outline;
  const set = (index: number, what: string, change: Partial<Wing>, nudge: boolean) =>
    editBoard(
      record.id,
      `wing ${index + 1} ${what}`,
      (b) => withWing(b, index, change),
      nudge ? `field:wing${index}${what}` : undefined,
    );
  return (
    <div className="above-8">
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
                <td>
                  <Button
                    type="text"
                    size="small"
                    aria-label={`Take off wing ${i + 1}`}
                    icon={<CloseOutlined aria-hidden />}
                    onClick={() => editBoard(record.id, `wing ${i + 1} off`, (b) => withoutWing(b, i))}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="row-of-tools above-6">
        {wings.length < MOST_WINGS && (
          <Button size="small" onClick={() => editBoard(record.id, 'new wing', withNewWing)}>
            {wings.length === 0 ? 'Add a wing' : 'Add another wing'}
          </Button>
        )}
        {tools}
      </div>
    </div>
  );
}
