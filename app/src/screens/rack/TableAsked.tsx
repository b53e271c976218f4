import { Modal, Select } from 'antd';
import { useDeferredValue, useMemo, useState } from 'react';
import { type Board, LENGTH_mm } from '@june-tide/core/document';
import {
  shownTable,
  TABLE_KEYS,
  TABLE_UNITS,
  type TableChoices,
  type TableFrom,
  type TableKey,
  type TableUnit,
} from '@june-tide/core/files/packages';
import { formatLitres } from '@june-tide/core/units';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { LengthField } from '../../parts/LengthField.tsx';
import { Measure, useLengthStyle } from '../../parts/Measure.tsx';
import { measuresFor } from '../../store/derived.ts';
import { measuredBoard } from './measuredBoard.ts';

const KEY_WORDS: Readonly<Record<TableKey | 'none', string>> = {
  none: 'left out',
  from: 'which end it is from',
  at_mm: 'how far along',
  x_mm: 'how far from the tail',
  width_mm: 'width',
  thickness_mm: 'thickness',
  stringer_mm: 'lift at the stringer',
};
const FROM_WORDS: Readonly<Record<TableFrom, string>> = {
  tail: 'the tail',
  nose: 'the nose',
  centre: 'the centre, with a minus toward the tail',
  wide: 'the wide point',
};
const SEPARATOR_WORDS: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};

const READINGS: readonly (TableKey | 'none')[] = ['none', ...TABLE_KEYS];

interface TableAskedProps {
  text: string;
  fileName: string;
  /** Called with the board to put on the rack, or without one. */
  done: (board?: Board) => void;
}

/** A station table by another hand: what each column was taken for, to be put right before anything is kept, and the board it makes. */
export default function TableAsked({ text, fileName, done }: TableAskedProps) {
  const style = useLengthStyle();
  const shown = useMemo(() => shownTable(text), [text]);
  const [choices, choose] = useState<TableChoices>(shown.ok ? shown.guessed : { columns: [] });
  const { columns, from = 'tail', length_mm } = choices;
  const hasFrom = columns.some(({ key }) => key === 'from');
  const asked = useMemo(
    (): TableChoices => ({
      columns,
      ...(hasFrom ? {} : { from }),
      ...(length_mm === undefined ? {} : { length_mm }),
    }),
    [columns, from, hasFrom, length_mm],
  );
  const looked = useDeferredValue(asked);
  const made = useMemo(() => measuredBoard(text, fileName, style, looked), [text, fileName, style, looked]);
  if (!shown.ok) return null;
  const set = (at: number, key: TableKey | 'none', unit: TableUnit) =>
    choose({
      ...choices,
      columns: columns.map((column, k) =>
        k === at ? { ...(key === 'none' ? {} : { key }), unit } : column.key === key ? { unit: column.unit } : column,
      ),
    });
  return (
    <Modal
      open
      width={760}
      title={`How ${fileName} is read`}
      okText="Put it on the rack"
      okButtonProps={{ disabled: !made.ok }}
      cancelText="Leave it"
      onOk={() => made.ok && done(made.board)}
      onCancel={() => done()}
    >
      <p className="quiet above-0">
        {shown.rows} rows, columns kept apart by {SEPARATOR_WORDS[shown.separator] ?? shown.separator}
        {shown.commas && ', commas for points'}. Nothing is kept until you say so.
      </p>
      <div className="tall-list" tabIndex={0}>
        <table className="marks" aria-label="Columns of the table">
          <thead>
            <tr>
              <th scope="col">Heading</th>
              <th scope="col">First rows</th>
              <th scope="col">Read as</th>
              <th scope="col">In</th>
            </tr>
          </thead>
          <tbody>
            {shown.columns.map(({ heading, says }, k) => {
              const { key = 'none', unit } = columns[k];
              return (
                <tr key={k}>
                  <th scope="row">{heading || `Column ${k + 1}`}</th>
                  <td className="quiet">{says.filter(Boolean).join('; ')}</td>
                  <td>
                    <Select
                      aria-label={`${heading} is`}
                      size="small"
                      className="fit-230"
                      value={key}
                      options={READINGS.map((value) => ({ value, label: KEY_WORDS[value] }))}
                      onChange={(next: TableKey | 'none') => set(k, next, unit)}
                    />
                  </td>
                  <td>
                    {key !== 'none' && key !== 'from' && (
                      <Select
                        aria-label={`${heading} is in`}
                        size="small"
                        value={unit}
                        options={TABLE_UNITS.map((value) => ({ value, label: value }))}
                        onChange={(next: TableUnit) => set(k, key, next)}
                      />
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {!hasFrom && (
        <div className="row-of-tools">
          <span>Stations are counted from</span>
          <Select
            aria-label="Stations are counted from"
            size="small"
            className="fit-230"
            value={from}
            options={(['tail', 'nose', 'centre'] as const).map((value) => ({ value, label: FROM_WORDS[value] }))}
            onChange={(next: TableFrom) => choose({ ...choices, from: next })}
          />
        </div>
      )}
      <div className="row-of-tools">
        <span>Overall length</span>
        <LengthField
          label="Overall length"
          value_mm={length_mm}
          feet
          small
          range_mm={[LENGTH_mm.low, LENGTH_mm.high]}
          onChange={(next) => {
            choose({ ...choices, length_mm: next });
            return { ok: true };
          }}
          onClear={() => {
            const { length_mm: _none, ...rest } = choices;
            choose(rest);
          }}
        />
        <span className="quiet">if it was measured; else as on the board that comes nearest</span>
      </div>
      {made.ok ? <Outcome board={made.board} /> : <p className="trouble">{made.reason}</p>}
    </Modal>
  );
}

/** The longest board stands so high, px. */
const TALL_px = 90;

/** What would stand on the rack. */
function Outcome({ board }: { board: Board }) {
  const m = measuresFor(board);
  return (
    <div className="in-a-row above-8" role="status" aria-label="The board it makes">
      <svg width={40} height={TALL_px} aria-hidden="true">
        <FoamGradient />
        <g transform={`translate(20 ${TALL_px - 2})`}>
          <BoardPlan board={board} scale={(TALL_px - 4) / m.length_mm} />
        </g>
      </svg>
      <div>
        <p className="serif above-0 below-2">
          <Measure mm={m.length_mm} feet /> × <Measure mm={m.width_mm} /> × <Measure mm={m.thickness_mm} />,{' '}
          {formatLitres(m.volume_L)}
        </p>
        <p className="quiet above-0">{board.notes}</p>
      </div>
    </div>
  );
}
