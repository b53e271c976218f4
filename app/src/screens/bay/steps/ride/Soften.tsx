import { Button } from 'antd';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { softenedFor } from '@june-tide/core/judge';
import { measureOf, measureText } from '@june-tide/core/measure';
import { formatLitres } from '@june-tide/core/units';
import { MeasuredValue } from '../../../../parts/MeasuredValue.tsx';
import { useLengthStyle } from '../../../../parts/Measure.tsx';
import { addSoftened } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';

const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

/** The board for ordinary riders, drawn from this one in one step, each number shown before it is made. */
export function Soften() {
  const { record, judgedAs, over, layOver } = useBay();
  const { kind } = judgedAs;
  const style = useLengthStyle();
  const navigate = useNavigate();
  const { board } = record;
  const soft = useMemo(() => softenedFor(board, kind), [board, kind]);
  const shown = over?.choice.id === 'softened';
  if (soft.told.length === 0)
    return <p className="quiet">It is a board for ordinary riders already: nothing in it asks for an expert.</p>;
  return (
    <div role="group" aria-label="For ordinary riders">
      <p className="above-0">
        For somebody of 75 kg who rides along the face: less nose lift, a balanced foil, a narrower block, litres by
        rule. Common practice.
      </p>
      <table className="marks">
        <thead>
          <tr>
            <th scope="col">Number</th>
            <th scope="col" className="num">
              Now
            </th>
            <th scope="col" className="num">
              Softened
            </th>
          </tr>
        </thead>
        <tbody>
          {soft.told.map(({ key, from, to }) => (
            <tr key={key}>
              <th scope="row">{capital(measureOf(key).words)}</th>
              <td className="num">
                <MeasuredValue of={key} value={from} />
              </td>
              <td className="num">
                <MeasuredValue of={key} value={to} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {soft.litres && (
        <p className="quiet">
          {formatLitres(soft.litres.target_L)} asked for. {soft.litres.sentence}
        </p>
      )}
      <div className="row-of-tools">
        <Button
          aria-pressed={shown}
          onClick={() =>
            layOver(
              shown
                ? undefined
                : { id: 'softened', align: 'tail', push: 1, earlier: { board: soft.board, name: 'softened' } },
            )
          }
        >
          {shown ? 'Take it off' : 'Lay it over'}
        </Button>
        <Button
          type="primary"
          onClick={() => {
            const words = soft.told.map(
              ({ key, from, to }) =>
                `${measureOf(key).words} ${measureText(from, measureOf(key).unit, style)} to ${measureText(to, measureOf(key).unit, style)}`,
            );
            const notes = `Softened from ${board.name} ${record.number} for ordinary riders: ${words.join('; ')}.`;
            const id = addSoftened(record.id, soft.board, notes);
            if (id !== undefined) void navigate(`/bay/${id}/outline`);
          }}
        >
          Make it a board of its own
        </Button>
      </div>
    </div>
  );
}
