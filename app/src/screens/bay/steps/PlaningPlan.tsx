import { blankLines, planingPlan, type RankedBlank } from '@june-tide/core/make';
import { Measure } from '../../../parts/Measure.tsx';
import { useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { planedAt, PlanedHead } from './PlanedHead.tsx';

/** The passes from the blank to the board: what comes off in each, and what the callipers read after it. */
export function PlaningPlan({ ranked: { blank, fit } }: { ranked: RankedBlank }) {
  const { shape } = useBay();
  const { planerPass_mm } = useShed((shed) => shed.settings.workshop);
  if (!fit.fits) return <p className="trouble">{blank.name} does not hold the board: there is nothing to plane.</p>;
  const stations = planedAt(shape.board.length_mm).map(([, x]) => x);
  const plan = planingPlan(shape, blankLines(blank), fit.placement, stations, planerPass_mm);
  return (
    <>
      <p className="above-6 below-2">
        {blank.name}, in passes of at most <Measure mm={planerPass_mm} />, bottom first: off, then what callipers read
        at the stringer.
      </p>
      <table className="marks" aria-label="Planing plan">
        <PlanedHead first="Pass" length_mm={shape.board.length_mm} />
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
