import { useMemo } from 'react';
import type { Board } from '@june-tide/core/document';
import { compared, type LeverDifference, measureOf, type MeasureUnit, titleOf } from '@june-tide/core/measure';
import { MeasuredValue } from '../../parts/MeasuredValue.tsx';

/** Smaller differences cannot be read: mm, mm², litres, rad, plain. */
const LEAST: Readonly<Record<MeasureUnit, number>> = { mm: 0.4, mm2: 300, L: 0.05, rad: 0.01, '': 0.002 };
const GROUP_WORDS: Readonly<Record<LeverDifference['group'], string>> = {
  size: 'size',
  outline: 'the outline',
  rocker: 'rocker',
  foil: 'foil',
  deck: 'the deck',
  rails: 'rails',
  bottom: 'the bottom',
  fins: 'fins',
};

interface Named {
  name: string;
  board: Board;
}

/** Every number of both boards that differs, and the levers behind it. */
export function Differences({ from, to }: { from: Named; to: Named }) {
  const { measures, levers } = useMemo(() => compared(from.board, to.board), [from.board, to.board]);
  const changed = measures.filter((m) => Math.abs(m.difference) > LEAST[measureOf(m.key).unit]);
  const groups = [...new Set(levers.map((lever) => lever.group))];
  return (
    <div className="differences">
      {changed.length === 0 ? (
        <p>Every number is the same.</p>
      ) : (
        <div className="tall-list" tabIndex={0}>
          <table className="marks">
            <thead>
              <tr>
                <th scope="col">Measure</th>
                <th scope="col" className="num">
                  {from.name}
                </th>
                <th scope="col" className="num">
                  {to.name}
                </th>
                <th scope="col" className="num">
                  Difference
                </th>
              </tr>
            </thead>
            <tbody>
              {changed.map((m) => (
                <tr key={m.key}>
                  <th scope="row">{titleOf(m.key)}</th>
                  <td className="num">
                    <MeasuredValue of={m.key} value={m.from} />
                  </td>
                  <td className="num">
                    <MeasuredValue of={m.key} value={m.to} />
                  </td>
                  <td className="num">
                    {m.difference > 0 ? '+' : '−'}
                    <MeasuredValue of={m.key} value={Math.abs(m.difference)} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="quiet above-8">
        {levers.length === 0
          ? 'No lever differs.'
          : `${levers.length} ${levers.length === 1 ? 'lever differs' : 'levers differ'}: ${groups
              .map((group) => `${levers.filter((lever) => lever.group === group).length} of ${GROUP_WORDS[group]}`)
              .join(', ')}.`}
      </p>
    </div>
  );
}
