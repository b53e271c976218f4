import { blankLines, planingPlan, type RankedBlank } from '@june-tide/core/make';
import { INCH_mm } from '@june-tide/core/units';
import { Measure } from '../../../parts/Measure.tsx';
import { useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** Where foam is measured while a blank is planed: names and stations, from the tail. */
export const planedAt = (length_mm: number) =>
  [
    ['Tail 12', 12 * INCH_mm],
    ['Tail 24', 24 * INCH_mm],
    ['Middle', length_mm / 2],
    ['Nose 24', length_mm - 24 * INCH_mm],
    ['Nose 12', length_mm - 12 * INCH_mm],
  ] as const;

/** The passes from the blank to the board: what comes off in each, and what the callipers read after it. */
export function PlaningPlan({ ranked: { blank, fit } }: { ranked: RankedBlank }) {
  const { shape } = useBay();
  const { planerPass_mm } = useShed((shed) => shed.settings.workshop);
  if (!fit.fits) return <p className="trouble">{blank.name} does not hold the board: there is nothing to plane.</p>;
  const places = planedAt(shape.board.length_mm);
  const stations = places.map(([, x]) => x);
  const plan = planingPlan(shape, blankLines(blank), fit.placement, stations, planerPass_mm);
  return (
    <>
      <p className="above-6 below-2">
        {blank.name}, in passes of at most <Measure mm={planerPass_mm} />, bottom first: off, then what callipers read
        at the stringer.
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
                  <span className="quiet">
                    −<Measure mm={station.passes[i].depth_mm} />
                  </span>{' '}
                  <b>
                    <Measure mm={station.passes[i].thicknessAfter_mm} />
                  </b>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
