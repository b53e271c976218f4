import { Button, InputNumber } from 'antd';
import type { Word } from '@june-tide/core/document';
import {
  ASSUMPTION_KEYS,
  type AssumptionKey,
  ASSUMPTIONS,
  type Tolerances,
  tolerancesSchema,
  USUAL_ASSUMPTIONS,
  USUAL_WORKSHOP,
} from '@june-tide/core/make';
import { LengthField, rangeOf } from '../../parts/LengthField.tsx';
import { Term } from '../../parts/Term.tsx';
import { useDone } from '../../parts/useDone.tsx';
import { changeWorkshop, type EditResult, useShed } from '../../store/shed.ts';

const TOLERANCE_WORDS: Readonly<Record<keyof Tolerances, string>> = {
  length_mm: 'Length',
  width_mm: 'Half widths',
  thickness_mm: 'Thickness',
  rocker_mm: 'Rocker',
  rail_mm: 'Rail thickness',
  bottom_mm: 'Bottom',
};
/** The word of the trade a figure is about. */
const TERMS: Readonly<Partial<Record<AssumptionKey, Word>>> = {
  hotCoat_gm2: 'hotCoat',
  gloss_gm2: 'gloss',
  lap_mm: 'lap',
  polyesterPot_min: 'potLife',
  epoxyPot_min: 'potLife',
  eps1_kgm3: 'foamWeight',
  eps1_5_kgm3: 'foamWeight',
  eps2_kgm3: 'foamWeight',
  stringer_kgm3: 'stringer',
};
const rounded = (value: number) => Number(value.toPrecision(4));

/** The figures weights and batches hang on, each with its source, and how far a shaped board may be off. */
export function Figures() {
  const { glass } = useShed((shed) => shed.settings.workshop);
  const put = (key: AssumptionKey, value: number) => changeWorkshop({ glass: { ...glass, [key]: value } });
  const { say, holder } = useDone();
  return (
    <div className="shelf-part">
      {holder}
      <section aria-label="Figures of foam, cloth and resin">
        <h2>Foam, cloth and resin</h2>
        <p className="quiet">
          Where weights and batches come from. The usual figure is where to begin; weigh your own, and the data sheet
          comes first.
        </p>
        <table className="marks" aria-label="Figures and their sources">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Here</th>
              <th scope="col" className="num">
                Usual
              </th>
              <th scope="col">Where the usual figure comes from</th>
            </tr>
          </thead>
          <tbody>
            {ASSUMPTION_KEYS.map((key) => {
              const { words, unit, usual, low, high, source } = ASSUMPTIONS[key];
              const of = TERMS[key];
              const own = Math.abs(glass[key] - usual) > 1e-9;
              return (
                <tr key={key} className={own ? 'held' : ''}>
                  <th scope="row">{of ? <Term of={of}>{words}</Term> : words}</th>
                  <td className="one-line">
                    <InputNumber
                      aria-label={words}
                      size="small"
                      min={low}
                      max={high}
                      className="fit-96"
                      value={rounded(glass[key])}
                      onChange={(value) => typeof value === 'number' && put(key, value)}
                    />{' '}
                    <span className="quiet">{unit}</span>
                  </td>
                  <td className="num">{rounded(usual)}</td>
                  <td className="quiet">{own ? 'the shop’s own' : source}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <Button
          size="small"
          onClick={() => {
            changeWorkshop({ glass: USUAL_ASSUMPTIONS });
            say({ words: 'All figures are as usual again.', back: () => changeWorkshop({ glass }) });
          }}
        >
          All as usual
        </Button>
      </section>
      <OwnTolerances />
    </div>
  );
}

function OwnTolerances() {
  const { tolerances } = useShed((shed) => shed.settings.workshop);
  const put =
    (key: keyof Tolerances) =>
    (mm: number): EditResult =>
      changeWorkshop({ tolerances: { ...tolerances, [key]: mm } });
  return (
    <section aria-label="Tolerances">
      <h2>
        <Term of="asBuilt">How far a shaped board may be off</Term>
      </h2>
      <div className="row-of-tools">
        {(Object.keys(TOLERANCE_WORDS) as (keyof Tolerances)[]).map((key) => (
          <label key={key} className="mini">
            {TOLERANCE_WORDS[key]}
            <LengthField
              small
              label={`Tolerance, ${TOLERANCE_WORDS[key].toLowerCase()}`}
              value_mm={tolerances[key]}
              range_mm={rangeOf(tolerancesSchema.shape[key])}
              onChange={put(key)}
            />
          </label>
        ))}
        <Button size="small" onClick={() => changeWorkshop({ tolerances: USUAL_WORKSHOP.tolerances })}>
          As usual
        </Button>
      </div>
      <p className="quiet">
        An eighth anywhere is a significant change on a short board; hand work is good to about 1/32. Common practice,
        no source.
      </p>
    </section>
  );
}
