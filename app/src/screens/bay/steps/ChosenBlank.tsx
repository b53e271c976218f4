import { Button } from 'antd';
import { type Blank, blankLines, type Margin, marginAt, type RankedBlank, shortfallWords } from '@june-tide/core/make';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';
import { useDone } from '../../../parts/useDone.tsx';
import { changeShelf, cutBlank, undo } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { planedAt, PlanedHead } from './PlanedHead.tsx';

/** What foam of the blank lies outside the board. */
export function ChosenBlank({ ranked: { blank, fit } }: { ranked: RankedBlank }) {
  const { shape } = useBay();
  const style = useLengthStyle();
  const lines = blankLines(blank);
  const L = shape.board.length_mm;
  const { shift_mm } = fit.placement;
  const margins = planedAt(L).map(([name, x]): [string, Margin] => [name, marginAt(shape, lines, fit.placement, x)]);
  return (
    <>
      <Cut blank={blank} />
      {!fit.fits && (
        <p role="status" className="trouble">
          {blank.name} does not hold it: {fit.shortfall && shortfallWords(fit.shortfall, style)}.
        </p>
      )}
      <p className="quiet above-2 below-2">
        Ends: <Measure mm={shift_mm} /> at the tail, <Measure mm={blank.length_mm - L - shift_mm} /> at the nose.
      </p>
      <table className="marks" aria-label="Margins">
        <PlanedHead first="Foam outside" length_mm={L} />
        <tbody>
          {(
            [
              ['Deck', 'deck_mm'],
              ['Bottom', 'bottom_mm'],
              ['Each rail', 'width_mm'],
            ] as const
          ).map(([name, key]) => (
            <tr key={key}>
              <th scope="row">{name}</th>
              {margins.map(([place, margin]) => (
                <td key={place} className={margin[key] < 0 ? 'num short' : 'num'}>
                  <Measure mm={margin[key]} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** The blank leaves the shelf when it is cut, and is no longer counted there. */
function Cut({ blank }: { blank: Blank }) {
  const { record } = useBay();
  const { say, holder } = useDone();
  const cut = () => {
    cutBlank(record.id);
    const less = changeShelf({ put: [{ ...blank, stock: Math.max(0, blank.stock - 1) }] });
    const back = () => {
      undo(record.id);
      if (less.ok) less.back();
    };
    say({ words: `One ${blank.name} less on the shelf.`, back });
  };
  return (
    <div className="row-of-tools no-print">
      {holder}
      {record.blankCut ? (
        <span className="quiet">It is cut from {blank.name}, and off the shelf.</span>
      ) : (
        <Button size="small" onClick={cut}>
          It is cut: one less on the shelf
        </Button>
      )}
      {!record.blankCut && blank.stock === 0 && <span className="trouble">None of it in stock.</span>}
    </div>
  );
}
