import { Button, Segmented, Spin } from 'antd';
import type * as z from 'zod';
import {
  bandedSection,
  bandsAt,
  bandTable,
  type bandPlanSchema,
  FIXED_AT,
  type FixedLine,
  DECK_BANDS,
  type RailBands,
  UNDER_BANDS,
} from '@june-tide/core/make';
import { placeWords } from '@june-tide/core/measure';
import { sectionRing } from '@june-tide/core/section';
import { sectionAt } from '@june-tide/core/shape';
import { formatLitres, writeLength } from '@june-tide/core/units';
import { stationOfMark } from '@june-tide/core/document';
import { LengthField } from '../../../parts/LengthField.tsx';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';
import { Cautions } from '../../../parts/Cautions.tsx';
import { edit, type EditResult } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { useBands } from './useBands.ts';
import { usePages } from './usePages.tsx';

type Plan = z.infer<typeof bandPlanSchema>;
const PAGES = { hook: 'At the hook', stations: 'At every station' } as const;
const USUAL_PLAN: Plan = { deck: 3, under: 1 };

/** Flat cuts that come near the rail before it is sanded: how far in, how far down, and what they leave. */
export function BandsBench() {
  const { record } = useBay();
  const plan = record.bands ?? USUAL_PLAN;
  const { bands, failed } = useBands(record.board, plan);
  const choose = (change: Partial<Plan>) => {
    const next = { ...plan, ...change };
    // A line of a band that is cut no more is not held.
    const fixed = next.fixed?.filter(({ side, band }) => band < next[side]);
    return edit(record.id, 'rail bands', (r) => ({ ...r, bands: { ...next, fixed } }));
  };
  const { page, tabs } = usePages('Which cuts', PAGES);
  const left = bands && (
    <b className="serif" data-testid="bands-left">
      {formatLitres(bands.left_L, 2)} left to sand on both rails together.{' '}
    </b>
  );
  return (
    <div role="group" aria-label="Rail bands" className="bands">
      <div className="row-of-tools no-print above-0">
        {tabs}
        <span>On the deck side</span>
        <Segmented
          aria-label="Bands on the deck side"
          size="small"
          value={plan.deck}
          options={[...DECK_BANDS]}
          onChange={(deck) => choose({ deck })}
        />
        <span>under</span>
        <Segmented
          aria-label="Bands under"
          size="small"
          value={plan.under}
          options={[...UNDER_BANDS]}
          onChange={(under) => choose({ under })}
        />
        {page === 'stations' && (
          <Button size="small" onClick={() => window.print()}>
            Print this table
          </Button>
        )}
      </div>
      {failed && (
        <p role="alert" className="trouble">
          The bands could not be worked out. The board is safe; change anything to try again.
        </p>
      )}
      {!bands && !failed && (
        <p className="quiet" role="status">
          <Spin size="small" /> Turning the flat cuts round the rail.
        </p>
      )}
      {bands && (
        <>
          {page === 'hook' && (
            <>
              <div className="cut-at-hook">
                <BandSection bands={bands} />
                <p className="quiet above-0 below-0">
                  {left}
                  The crown first: bands begin where the deck has turned down 8 degrees. Each cut touches the finished
                  rail, never goes into it, its proudest corner as low as can be. Cut from the deck outward, join the
                  marks with a batten, sand.
                </p>
              </div>
              <HeldLines bands={bands} fixed={plan.fixed ?? []} hold={(fixed) => choose({ fixed })} />
            </>
          )}
          <BandTable bands={bands} all={page === 'stations'} />
          {page === 'stations' && (
            <p className="quiet above-4 below-4">
              {left}
              In: from the rail to the inner edge of the cut, held level. Down: on the square side, from where the
              deck’s slope there meets it. Up: on the side, from the bottom.
            </p>
          )}
        </>
      )}
      <Cautions of={['planer', 'foamDust']} />
    </div>
  );
}

/** The cuts at the hook, and at every station where all are wanted; on paper they always are. */
function BandTable({ bands, all }: { bands: RailBands; all: boolean }) {
  const { shape, record, hook_mm } = useBay();
  const style = useLengthStyle();
  const rows = bandTable(shape, bands).reverse();
  const here = bandsAt(shape, bands, hook_mm);
  const heads = [
    ...Array.from({ length: bands.counts.deck }, (_, k) => ({ side: 'deck' as const, k, way: 'down' })),
    ...Array.from({ length: bands.counts.under }, (_, k) => ({ side: 'under' as const, k, way: 'up' })),
  ];
  return (
    <table className="marks" aria-label={all ? 'Rail bands at the stations' : 'Rail bands at the hook'}>
      <caption className="print-only">
        {record.board.name} {record.number}, rail bands
      </caption>
      <thead>
        <tr>
          <th scope="col">Station</th>
          {heads.map(({ side, k, way }) => (
            <th key={`${side} ${k}`} scope="col" className="num">
              {side === 'deck' ? 'Deck' : 'Under'} {k + 1}
              <span className="quiet"> in, {way}</span>
            </th>
          ))}
          <th scope="col" className="num">
            Proud
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.x_mm} className={all ? '' : 'off-page'}>
            <th scope="row">{placeWords(row, (mm) => writeLength(mm, style).text)}</th>
            {heads.map(({ side, k }) => (
              <td key={`${side} ${k}`} className="num">
                <Measure mm={row[side][k].in_mm} />, <Measure mm={row[side][k].side_mm} />
              </td>
            ))}
            <td className="num">
              <Measure mm={row.proud_mm} />
            </td>
          </tr>
        ))}
        {here && (
          <tr className="held no-print">
            <th scope="row">At the hook</th>
            {heads.map(({ side, k }) => (
              <td key={`${side} ${k}`} className="num">
                <Measure mm={here[side][k].in_mm} />, <Measure mm={here[side][k].side_mm} />
              </td>
            ))}
            <td className="num">
              <Measure mm={here.proud_mm} />
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

const PLACE_WORDS: Readonly<Record<keyof FixedLine['in_mm'], string>> = {
  nose12: 'Nose 12',
  middle: 'Centre',
  tail12: 'Tail 12',
};
const PLACES = ['nose12', 'middle', 'tail12'] as const;

interface HeldLinesProps {
  bands: RailBands;
  fixed: readonly FixedLine[];
  hold: (fixed: FixedLine[]) => EditResult;
}

/** The lines the shaper holds, each as far in as is typed at three places; the other cuts are found around them. */
function HeldLines({ bands, fixed, hold }: HeldLinesProps) {
  const { shape } = useBay();
  const style = useLengthStyle();
  const comesOut = (side: FixedLine['side'], band: number, place: keyof FixedLine['in_mm']) =>
    bandsAt(shape, bands, stationOfMark(FIXED_AT[place], shape.anchors))?.[side][band]?.in_mm ?? 0;
  const all = (['deck', 'under'] as const).flatMap((side) =>
    Array.from({ length: bands.counts[side] }, (_, band) => ({ side, band, line: heldAs(fixed, side, band) })),
  );
  const without = (side: FixedLine['side'], band: number) =>
    fixed.filter((one) => one.side !== side || one.band !== band);
  return (
    <div role="group" aria-label="Lines you hold" className="held-lines no-print">
      <span className="quiet">Hold a line where you want it; the other cuts follow:</span>
      {all.map(({ side, band, line }) => {
        const name = `${side} ${band + 1}`;
        const fromNow = (): FixedLine['in_mm'] => ({
          nose12: comesOut(side, band, 'nose12'),
          middle: comesOut(side, band, 'middle'),
          tail12: comesOut(side, band, 'tail12'),
        });
        const others = without(side, band);
        const short =
          line && PLACES.find((place) => Math.abs(comesOut(side, band, place) - line.in_mm[place]) > SHORT_mm);
        return (
          <div key={name} className="held-line">
            <Button
              size="small"
              aria-pressed={line !== undefined}
              onClick={() => hold(line ? others : [...others, { side, band, in_mm: fromNow() }])}
            >
              {line ? `Let ${name} go` : `Hold ${name}`}
            </Button>
            {line &&
              PLACES.map((place) => (
                <label key={place} className="mini">
                  {PLACE_WORDS[place]}
                  <LengthField
                    small
                    label={`${name}, ${PLACE_WORDS[place]}, in from the rail`}
                    value_mm={line.in_mm[place]}
                    range_mm={[1, 300]}
                    onChange={(mm) => hold([...others, { ...line, in_mm: { ...line.in_mm, [place]: mm } }])}
                  />
                </label>
              ))}
            {short && (
              <span className="trouble">
                {PLACE_WORDS[short]} comes out at {writeLength(comesOut(side, band, short), style).text}: the rail
                leaves no more room.
              </span>
            )}
          </div>
        );
      })}
    </div>
  );
}
/** Farther off than this a line is not where it was asked: under 1/16 in is a pencil's width. */
const SHORT_mm = 1.5;

const heldAs = (fixed: readonly FixedLine[], side: FixedLine['side'], band: number) =>
  fixed.find((one) => one.side === side && one.band === band);

/** The rail at the hook with the cuts round it. */
function BandSection({ bands }: { bands: RailBands }) {
  const { shape, hook_mm } = useBay();
  const section = sectionAt(shape, hook_mm);
  if (!section) return null;
  const ring = sectionRing(section, 60).filter((p) => p.y_mm >= 0);
  const cuts = bandedSection(shape, bands, hook_mm);
  const half = section.half_mm;
  const zs = [...ring.map((p) => p.z_mm), ...cuts.map((p) => p.z_mm)];
  const [low, high] = [Math.min(...zs), Math.max(...zs)];
  const k = Math.min(620 / half, 130 / (high - low));
  const at = (y: number, z: number) => `${(4 + y * k).toFixed(1)} ${(6 + (high - z) * k).toFixed(1)}`;
  const rail = `M${ring.map((p) => at(p.y_mm, p.z_mm)).join('L')}`;
  // Closed straight through the board, which is painted over it.
  const banded = `M${cuts.map((p) => at(p.y_mm, p.z_mm)).join('L')}Z`;
  return (
    <svg
      viewBox={`0 0 ${(8 + half * k).toFixed(0)} ${(12 + (high - low) * k).toFixed(0)}`}
      width={8 + half * k}
      className="at-most-all"
      role="img"
      aria-label="The rail at the hook with the flat cuts round it"
    >
      <path d={banded} fill="var(--coral-wash)" stroke="var(--coral)" strokeWidth={1.2} />
      <path d={`${rail}Z`} fill="var(--board)" stroke="var(--ink)" strokeWidth={1.6} />
    </svg>
  );
}
