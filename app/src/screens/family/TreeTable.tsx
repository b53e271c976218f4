import { Link } from 'react-router';
import { formatLength, formatLitres } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { litresOf, useShed } from '../../store/shed.ts';
import { riderNameOf } from '../rack/found.ts';
import { lineWords } from './lineWords.ts';
import type { Laid } from './layout.ts';

/** The same tree as a table: each board, what it comes from, and how it went. */
export function TreeTable({ laid: { placed, lines } }: { laid: Laid }) {
  const style = useLengthStyle();
  const riders = useShed((shed) => shed.riders);
  const nameOf = new Map(placed.map(({ branch }) => [branch.id, branch.name]));
  return (
    <div className="tree">
      <table className="marks" aria-label="The family tree as a table">
        <thead>
          <tr>
            <th scope="col">Board</th>
            <th scope="col">Comes from</th>
            <th scope="col">For</th>
            <th scope="col" className="num">
              Length
            </th>
            <th scope="col" className="num">
              Litres
            </th>
            <th scope="col" className="num">
              Versions
            </th>
            <th scope="col" className="num">
              Rides
            </th>
          </tr>
        </thead>
        <tbody>
          {placed.map(({ branch: { id, name, record }, y }) => (
            <tr key={id}>
              <th scope="row">{record ? <Link to={`/bay/${id}/ride`}>{name}</Link> : `${name}, thrown away`}</th>
              <td>
                {lines
                  .filter(({ line }) => line.child === id)
                  .map(({ line }) => lineWords(line, nameOf.get(line.parent) ?? ''))
                  .join('; ') || (y === 0 ? 'nothing before it' : '')}
              </td>
              <td>{record && riderNameOf(record, riders)}</td>
              <td className="num">{record && formatLength(record.board.length_mm, style, { feet: true })}</td>
              <td className="num">{record && formatLitres(litresOf(record))}</td>
              <td className="num">{record?.versions?.length ?? ''}</td>
              <td className="num">{record && record.rides.length > 0 && record.rides.length}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
