import { Button, Segmented, Select } from 'antd';
import { Link } from 'react-router';
import {
  type Cloth,
  CLOTH,
  CLOTHS,
  type Foam,
  FOAM_WORDS,
  type GlassAssumptions,
  glassCautions,
  type GlassSchedule,
  type Laminate,
  lighter,
  scheduleWords,
  USUAL_SCHEDULE,
} from '@june-tide/core/make';
import { Measure } from '../../../parts/Measure.tsx';
import { foamOf, laminatedFor } from '../../../store/derived.ts';
import { edit, useShed } from '../../../store/shed.ts';
import { Cautions } from '../../../parts/Cautions.tsx';
import { useBay } from '../useBay.ts';

const CLOTH_OPTIONS = CLOTHS.map((value) => ({ value, label: CLOTH[value].words }));
/** By mass and by volume, finer where there is little of it. */
const both = (mass_g: number, volume_ml: number) => {
  const round = (value: number) => (value < 40 ? Math.round(value) : Math.round(value / 5) * 5);
  return `${round(mass_g)} g, ${round(volume_ml)} ml`;
};
const kilos = (mass: number) => `${mass.toFixed(2)} kg`;

/** What goes on the foam: cloth, resin and finish; what to cut, what to mix, and what the board will weigh. */
export function GlassBench() {
  const { record } = useBay();
  const shelf = useShed((shed) => shed.shelf);
  const workshop = useShed((shed) => shed.settings.workshop);
  const { foam, stringer_mm, blank } = foamOf(record, shelf);
  const assumed = workshop.glass;
  const schedule = record.glass ?? USUAL_SCHEDULE;
  const change = (what: string, next: GlassSchedule) => edit(record.id, what, (r) => ({ ...r, glass: next }));
  const made = laminatedFor(record, shelf, workshop);
  const wished = record.brief?.targetMass_kg;
  return (
    <div className="glass" role="group" aria-label="Glass and weight">
      <div className="row-of-tools above-0">
        <b className="serif" data-testid="schedule">
          {scheduleWords(schedule)}
        </b>
        <Segmented
          aria-label="Resin"
          size="small"
          value={schedule.resin}
          options={[
            { value: 'polyester', label: 'Polyester' },
            { value: 'epoxy', label: 'Epoxy' },
          ]}
          onChange={(value) => change('resin', { ...schedule, resin: value === 'epoxy' ? 'epoxy' : 'polyester' })}
        />
        <Segmented
          aria-label="Finish"
          size="small"
          value={schedule.finish}
          options={[
            { value: 'sanded', label: 'Sanded' },
            { value: 'gloss', label: 'Gloss' },
          ]}
          onChange={(value) => change('finish', { ...schedule, finish: value === 'gloss' ? 'gloss' : 'sanded' })}
        />
        <span className="quiet">
          on {FOAM_WORDS[foam]}
          {blank ? `, ${blank.name}` : ', until a blank is taken'}
        </span>
      </div>
      <Layers side="deck" label="Deck" schedule={schedule} change={change} />
      <Layers side="bottom" label="Bottom" schedule={schedule} change={change} />
      <div className="row-of-tools above-4">
        <Patch side="deckPatch" label="Deck patch" schedule={schedule} change={change} />
        <Patch side="tailPatch" label="Tail patch" schedule={schedule} change={change} />
      </div>
      {made.ok ? (
        <>
          <p className="sentence above-8 below-8" data-testid="weight">
            About <b>{kilos(made.laminate.mass_kg)}</b> finished, from {kilos(made.laminate.low_kg)} to{' '}
            {kilos(made.laminate.high_kg)}:{' '}
            {made.laminate.parts.map(({ name, mass_kg }) => `${name} ${kilos(mass_kg)}`).join(', ')}.
            {wished !== undefined &&
              (made.laminate.mass_kg > wished
                ? ` ${kilos(made.laminate.mass_kg - wished)} over the ${kilos(wished)} wished.`
                : ` ${kilos(wished - made.laminate.mass_kg)} under the ${kilos(wished)} wished.`)}
          </p>
          {record.shaped?.mass_kg !== undefined && (
            <p className="quiet above-0 below-6">On the scales it came out at {kilos(record.shaped.mass_kg)}.</p>
          )}
          <Lighter foam={foam} stringer_mm={stringer_mm} schedule={schedule} assumed={assumed} />
          <CutAndMix laminate={made.laminate} resin={schedule.resin} assumed={assumed} />
        </>
      ) : (
        <p role="alert" className="trouble">
          Not so: {made.reason}.
        </p>
      )}
      <Cautions of={glassCautions(schedule.resin)} />
    </div>
  );
}

function Lighter({
  foam,
  stringer_mm,
  schedule,
  assumed,
}: {
  foam: Foam;
  stringer_mm: number;
  schedule: GlassSchedule;
  assumed: GlassAssumptions;
}) {
  const { shape } = useBay();
  const found = lighter(shape, foam, stringer_mm, schedule, assumed);
  if (found.length === 0) return null;
  return (
    <p className="quiet above-0 below-6">
      Lighter: {found.map(({ words, saves_kg }) => `${words}, ${kilos(saves_kg)}`).join('; ')}.
    </p>
  );
}

interface ScheduleProps<Side> {
  side: Side;
  label: string;
  schedule: GlassSchedule;
  change: (what: string, next: GlassSchedule) => void;
}

/** The layers of cloth on one side, up to three. */
function Layers({ side, label, schedule, change }: ScheduleProps<'deck' | 'bottom'>) {
  return (
    <div className="row-of-tools above-4">
      <span className="fit-56">{label}</span>
      {schedule[side].map((cloth, i) => (
        <Select<Cloth | 'off'>
          key={i}
          aria-label={`${label}, layer ${i + 1}`}
          size="small"
          className="fit-124"
          value={cloth}
          options={[
            ...CLOTH_OPTIONS,
            ...(schedule[side].length > 1 ? [{ value: 'off' as const, label: 'Leave it out' }] : []),
          ]}
          onChange={(value) =>
            change(`${side} cloth`, {
              ...schedule,
              [side]: schedule[side].flatMap((old, k) => (k !== i ? [old] : value === 'off' ? [] : [value])),
            })
          }
        />
      ))}
      {schedule[side].length < 3 && (
        <Button
          size="small"
          aria-label={`One more layer on the ${side}`}
          onClick={() => change(`${side} cloth`, { ...schedule, [side]: [...schedule[side], 'e4'] })}
        >
          +
        </Button>
      )}
    </div>
  );
}

/** One piece more where feet stand, or where the tail takes knocks. */
function Patch({ side, label, schedule, change }: ScheduleProps<'deckPatch' | 'tailPatch'>) {
  return (
    <label className="mini">
      {label}
      <Select<Cloth | 'none'>
        aria-label={label}
        size="small"
        className="fit-132"
        value={schedule[side] ?? 'none'}
        options={[{ value: 'none', label: 'None' }, ...CLOTH_OPTIONS]}
        onChange={(value) => {
          const { [side]: _was, ...rest } = schedule;
          change(label.toLowerCase(), value === 'none' ? rest : { ...rest, [side]: value });
        }}
      />
    </label>
  );
}

interface CutAndMixProps {
  laminate: Laminate;
  resin: GlassSchedule['resin'];
  assumed: GlassAssumptions;
}

/** What to cut, and what to mix in which batch. */
function CutAndMix({ laminate, resin, assumed }: CutAndMixProps) {
  return (
    <>
      <div className="blank-columns">
        <table className="marks" aria-label="Cloth to cut">
          <thead>
            <tr>
              <th scope="col">Cloth</th>
              <th scope="col">For</th>
              <th scope="col" className="num">
                Cut
              </th>
            </tr>
          </thead>
          <tbody>
            {laminate.cuts.map((cut, i) => (
              <tr key={i}>
                <th scope="row">{CLOTH[cut.cloth].words}</th>
                <td>{cut.for}</td>
                <td className="num">
                  <Measure mm={cut.length_mm} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <table className="marks" aria-label="Resin to mix">
          <thead>
            <tr>
              <th scope="col">Batch</th>
              <th scope="col" className="num">
                Resin
              </th>
              <th scope="col" className="num">
                Hardener
              </th>
            </tr>
          </thead>
          <tbody>
            {laminate.batches.map((batch) => (
              <tr key={batch.name}>
                <th scope="row">{batch.name.replace(/^./, (c) => c.toUpperCase())}</th>
                <td className="num">{both(batch.resin_g, batch.resin_ml)}</td>
                <td className="num">{both(batch.hardener_g, batch.hardener_ml)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet" data-testid="pot-life">
        {laminate.batches[0].ratio.replace(/^./, (c) => c.toUpperCase())}. Pot life about{' '}
        {assumed[resin === 'epoxy' ? 'epoxyPot_min' : 'polyesterPot_min']} min by your figures, less when it is warm or
        deep in the bucket: the data sheet has it. <Link to="/shelf?part=figures">Figures and their sources</Link>
      </p>
    </>
  );
}
