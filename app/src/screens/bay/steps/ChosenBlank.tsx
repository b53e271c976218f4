import { Button } from 'antd';
import {
  type Blank,
  blankLines,
  type Margin,
  marginAt,
  planingPlan,
  type PlaningStation,
  type RankedBlank,
  shortfallWords,
} from '@june-tide/core/make';
import { INCH_mm } from '@june-tide/core/units';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';
import { useDone } from '../../../parts/useDone.tsx';
import { changeShelf, cutBlank, undo, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** Profiles of blank and board, and the passes from one to the other. */
export function ChosenBlank({ ranked: { blank, fit } }: { ranked: RankedBlank }) {
  const { shape } = useBay();
  const style = useLengthStyle();
  const { planerPass_mm } = useShed((shed) => shed.settings.workshop);
  const lines = blankLines(blank);
  const L = shape.board.length_mm;
  const { shift_mm } = fit.placement;
  const places = [
    ['Tail 12', 12 * INCH_mm],
    ['Tail 24', 24 * INCH_mm],
    ['Middle', L / 2],
    ['Nose 24', L - 24 * INCH_mm],
    ['Nose 12', L - 12 * INCH_mm],
  ] as const;
  const margins = places.map(([name, x]): [string, Margin] => [name, marginAt(shape, lines, fit.placement, x)]);
  const stations = places.map(([, x]) => x);
  const plan = fit.fits ? planingPlan(shape, lines, fit.placement, stations, planerPass_mm) : [];
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
        <thead>
          <tr>
            <th scope="col">Foam outside</th>
            {margins.map(([name]) => (
              <th key={name} scope="col" className="num">
                {name}
              </th>
            ))}
          </tr>
        </thead>
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
      {plan.length > 0 && <PlaningTable plan={plan} places={places} />}
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

/** Each pass: what comes off, and what the callipers read after it. */
function PlaningTable({
  plan,
  places,
}: {
  plan: readonly PlaningStation[];
  places: readonly (readonly [string, number])[];
}) {
  const { planerPass_mm } = useShed((shed) => shed.settings.workshop);
  return (
    <>
      <p className="quiet above-8 below-2">
        Passes of at most <Measure mm={planerPass_mm} />, bottom first: off, then what callipers read at the stringer.
      </p>
      <table className="marks" aria-label="Planing plan">
        <thead>
          <tr>
            <th scope="col">Pass</th>
            {places.map(([name]) => (
              <th key={name} scope="col" className="num">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {plan[0].passes.map((pass, i) => (
            <tr key={i}>
              <th scope="row">
                {i + 1} {pass.side}
              </th>
              {plan.map((station) => (
                <td key={station.x_mm} className="num">
                  <span className="quiet over-number">
                    −<Measure mm={station.passes[i].depth_mm} />
                  </span>{' '}
                  <Measure mm={station.passes[i].thicknessAfter_mm} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
