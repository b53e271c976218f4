import { type ReactNode, useMemo } from 'react';
import { Button } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import {
  type MarkedCurve,
  type MarkRow,
  markRows,
  withLength,
  withMarkAt,
  withMarkValue,
  withNewMark,
  withoutMark,
} from '@june-tide/core/edit';
import { curveGains, lineAt, type MarkGain } from '@june-tide/core/shape';
import { battenAlone } from '@june-tide/core/outline';
import { Term } from '../../../parts/Term.tsx';
import { LengthField } from '../../../parts/LengthField.tsx';
import { Measure } from '../../../parts/Measure.tsx';
import { editBoard, type EditResult } from '../../../store/shed.ts';
import { turnHold } from '../markHold.ts';
import { useBay } from '../useBay.ts';
import { FewerMarks } from './FewerMarks.tsx';
import { Hold, LineBy } from './Hold.tsx';
import { TakePart } from './TakePart.tsx';

const VALUE_WORDS: Readonly<Record<MarkedCurve, string>> = { outline: 'Width', rocker: 'Lift', foil: 'Thick' };
const PLACE_WORDS = { nose: 'from nose', tail: 'from tail', centre: 'ahead', wide: 'ahead of wide' } as const;

interface MarksTableProps {
  curve: MarkedCurve;
  blockNote?: ReactNode;
  /** Stand beside the button that sets a mark. */
  tools?: ReactNode;
}

/** The marks of a curve, nose to tail: type a number, slide a station, lift one off, set one at the hook. */
export function MarksTable({ curve, blockNote, tools }: MarksTableProps) {
  const { record, shape, hook_mm, held, hold, moveHook } = useBay();
  const { board } = record;
  const rows = markRows(board, curve);
  const gains = useMemo(() => curveGains(shape, curve), [shape, curve]);
  const valueAtHook = lineAt(shape, curve, hook_mm);
  const change = (row: MarkRow, value_mm: number, nudge: boolean) =>
    editBoard(
      record.id,
      `${row.label.toLowerCase()} on the ${curve}`,
      (b) => withMarkValue(b, curve, row.key, value_mm),
      nudge ? `field:${curve}.${row.key}` : undefined,
    );
  const move = (row: MarkRow, at_mm: number, nudge: boolean) =>
    editBoard(
      record.id,
      `${row.label.toLowerCase()} moved`,
      (b) => withMarkAt(b, curve, row.key, at_mm),
      nudge ? `place:${curve}.${row.key}` : undefined,
    );
  return (
    <>
      <table className={`marks on-${curve}`}>
        <thead>
          <tr>
            <th scope="col">
              <Term of="mark" />
            </th>
            <th scope="col">
              <Term of="station" />
            </th>
            <th scope="col" className="num">
              {VALUE_WORDS[curve]}
            </th>
            {curve === 'outline' && (
              <th scope="col" className="num batten-alone">
                <Term of="battenAlone" />
              </th>
            )}
            <th scope="col">
              <span className="visually-hidden">Hard or soft, lift off</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {curve === 'outline' && (
            <tr>
              <th scope="row">Length</th>
              <td className="quiet">tip to tip, straight</td>
              <td className="num">
                <LengthField
                  label="Length"
                  feet
                  value_mm={board.length_mm}
                  onChange={(length, nudge) =>
                    editBoard(record.id, 'length', (b) => withLength(b, length), nudge ? 'field:length' : undefined)
                  }
                />
              </td>
              <td className="batten-alone" />
              <td />
            </tr>
          )}
          {rows.map((row) => (
            <MarkLine
              key={row.key}
              curve={curve}
              row={row}
              blockNote={blockNote}
              held={held === row.key}
              gain={gains[Number(row.key)]}
              turn={() => turnHold(record.id, curve, row.key)}
              onFocus={() => moveHook(row.x_mm)}
              onHold={() => hold(row.key)}
              change={(value_mm, nudge) => change(row, value_mm, nudge)}
              move={(at_mm, nudge) => move(row, at_mm, nudge)}
              liftOff={() =>
                editBoard(record.id, `${row.label.toLowerCase()} lifted off`, (b) => withoutMark(b, curve, row.key))
              }
            />
          ))}
        </tbody>
      </table>
      <div className="row-of-tools">
        <Button
          size="small"
          disabled={
            rows.some((row) => Math.abs(row.x_mm - hook_mm) < 25) || hook_mm < 25 || hook_mm > board.length_mm - 25
          }
          onClick={() => editBoard(record.id, 'new mark', (b) => withNewMark(b, curve, hook_mm, valueAtHook))}
        >
          Set a mark at the hook
        </Button>
        <TakePart short />
        <FewerMarks curve={curve} />
        {tools}
      </div>
    </>
  );
}

interface MarkLineProps {
  curve: MarkedCurve;
  row: MarkRow;
  blockNote: ReactNode;
  held: boolean;
  onFocus: () => void;
  onHold: () => void;
  change: (value_mm: number, nudge: boolean) => EditResult;
  move: (at_mm: number, nudge: boolean) => EditResult;
  liftOff: () => void;
  /** What it does to its line; only marks of one's own have one. */
  gain: MarkGain | undefined;
  /** Makes it hard or soft. */
  turn: () => void;
}

/** One mark: where it stands, its number, and what the batten alone would have there. */
function MarkLine({ curve, row, blockNote, held, onFocus, onHold, change, move, liftOff, gain, turn }: MarkLineProps) {
  const { shape } = useBay();
  return (
    <tr
      className={held ? 'held' : ''}
      onFocus={onFocus}
      onKeyDown={(event) => {
        if (!row.liftable || event.key.toLowerCase() !== 'h' || event.ctrlKey || event.metaKey || event.altKey) return;
        event.preventDefault();
        event.stopPropagation();
        turn();
      }}
    >
      <th scope="row">
        {row.label}
        <LineBy row={row} gain={gain} />
      </th>
      <td>
        {row.movable ? (
          <>
            <LengthField
              small
              label={`${row.label} station`}
              value_mm={row.at_mm}
              onChange={(at, nudge) => move(at, nudge)}
              onHold={onHold}
            />{' '}
            <span className="quiet small">{PLACE_WORDS[row.from]}</span>
          </>
        ) : (
          ((row.key === 'block' ? blockNote : undefined) ?? <span className="quiet">at the {row.from}</span>)
        )}
      </td>
      <td className="num">
        {row.valued ? (
          <LengthField
            label={`${row.label} ${VALUE_WORDS[curve].toLowerCase()}`}
            value_mm={row.value_mm}
            onChange={(value, nudge) => change(value, nudge)}
            onHold={onHold}
          />
        ) : (
          <span className="quiet">level</span>
        )}
      </td>
      {curve === 'outline' && (
        <td className="num serif quiet batten-alone">
          {row.liftable && (
            <span className="serif">
              <Measure mm={battenAlone(shape.board.outline, shape.anchors, Number(row.key))} />
            </span>
          )}
        </td>
      )}
      <td className="tight">
        {row.liftable && <Hold row={row} turn={turn} />}
        {row.liftable && (
          <Button
            type="text"
            size="small"
            aria-label={`Lift off ${row.label}`}
            title="Lift it off: the batten springs free here"
            icon={<CloseOutlined aria-hidden />}
            onClick={liftOff}
          />
        )}
      </td>
    </tr>
  );
}
