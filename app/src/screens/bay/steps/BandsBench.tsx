import { Button, Segmented, Spin } from 'antd';
import {
  type BandCounts,
  bandedSection,
  bandsAt,
  bandTable,
  DECK_BANDS,
  type RailBands,
  UNDER_BANDS,
} from '@june-tide/core/make';
import { placeWords } from '@june-tide/core/measure';
import { sectionRing } from '@june-tide/core/section';
import { sectionAt } from '@june-tide/core/shape';
import { formatLitres, writeLength } from '@june-tide/core/units';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';
import { Cautions } from '../../../parts/Cautions.tsx';
import { useBay } from '../useBay.ts';
import { useBands } from './useBands.ts';
import { useMakePart } from './useMakePart.ts';

/** Flat cuts that come near the rail before it is sanded: how far in, how far down, and what they leave. */
export function BandsBench() {
  const { record } = useBay();
  const { counts, count } = useMakePart();
  const { bands, failed } = useBands(record.board, counts);
  const choose = (change: Partial<BandCounts>) => count({ ...counts, ...change });
  return (
    <div role="group" aria-label="Rail bands" className="bands">
      <div className="row-of-tools no-print above-0">
        <span>On the deck side</span>
        <Segmented
          aria-label="Bands on the deck side"
          size="small"
          value={counts.deck}
          options={[...DECK_BANDS]}
          onChange={(deck) => choose({ deck })}
        />
        <span>under</span>
        <Segmented
          aria-label="Bands under"
          size="small"
          value={counts.under}
          options={[...UNDER_BANDS]}
          onChange={(under) => choose({ under })}
        />
        <Button size="small" onClick={() => window.print()}>
          Print this table
        </Button>
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
          <p className="sentence above-6 below-6" data-testid="bands-left">
            {formatLitres(bands.left_L, 2)} left to sand on both rails together.
          </p>
          <BandTable bands={bands} />
          <BandSection bands={bands} />
          <p className="quiet above-4 below-4">
            The crown is shaped first: bands begin where the deck has turned down 8 degrees. Each cut touches the
            finished rail and never goes into it. In: from the rail to the inner edge of the cut, held level. Down: on
            the square side, from where the deck’s slope there meets it. Up: on the side, from the bottom. Cut from the
            deck outward, join the marks with a batten, then sand.
          </p>
        </>
      )}
      <Cautions of={['planer', 'foamDust']} />
    </div>
  );
}

function BandTable({ bands }: { bands: RailBands }) {
  const { shape, record, hook_mm } = useBay();
  const style = useLengthStyle();
  const rows = bandTable(shape, bands).reverse();
  const here = bandsAt(shape, bands, hook_mm);
  const heads = [
    ...Array.from({ length: bands.counts.deck }, (_, k) => ({ side: 'deck' as const, k, way: 'down' })),
    ...Array.from({ length: bands.counts.under }, (_, k) => ({ side: 'under' as const, k, way: 'up' })),
  ];
  return (
    <table className="marks" aria-label="Rail bands at the stations">
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
          <tr key={row.x_mm}>
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
