import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import { Select } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { measureOf, type MeasureKey, measureText, titleOf } from '@june-tide/core/measure';
import { type Felt, versionsOf } from '@june-tide/core/record';
import { useLengthStyle } from '../../../../parts/Measure.tsx';
import { factsFor } from '../../../../store/derived.ts';
import { useBay } from '../../useBay.ts';

Chart.register(LineController, LineElement, PointElement, CategoryScale, LinearScale);
Chart.defaults.font.family = 'Archivo Variable, sans-serif';

/** The numbers that are followed from version to version. */
const FOLLOWED = [
  'volume_L',
  'length_mm',
  'width_mm',
  'thickness_mm',
  'noseRocker_mm',
  'tailRocker_mm',
  'noseWidth12_mm',
  'tailWidth12_mm',
  'block_mm',
  'widePointFromCentre_mm',
  'finArea_mm2',
] as const satisfies readonly MeasureKey[];

/** How a version went: by its rides, the worse if any said so. */
const FELT_COLOUR: Readonly<Record<Felt | 'none', string>> = {
  better: '--sea',
  same: '--pencil',
  worse: '--coral',
  none: '--pencil',
};

/** One number over all versions, the ones that went better or worse told by colour. */
export default function OverVersions() {
  const { record } = useBay();
  const style = useLengthStyle();
  const [key, setKey] = useState<(typeof FOLLOWED)[number]>('volume_L');
  const canvas = useRef<HTMLCanvasElement>(null);
  const { rides } = record;
  const versions = versionsOf(record);
  const rows = useMemo(
    () =>
      versions.map(({ id, no, board }) => {
        const felts = rides.filter((ride) => ride.version === id).map(({ felt }) => felt);
        const felt: Felt | 'none' =
          (['worse', 'better', 'same'] as const).find((each) => felts.includes(each)) ?? 'none';
        return { no, felt, value: measureOf(key).read(factsFor(board)) };
      }),
    [versions, rides, key],
  );
  useEffect(() => {
    if (!canvas.current) return;
    const styles = getComputedStyle(document.documentElement);
    const colour = (name: string) => styles.getPropertyValue(name).trim();
    const chart = new Chart(canvas.current, {
      type: 'line',
      data: {
        labels: rows.map(({ no }) => String(no)),
        datasets: [
          {
            data: rows.map(({ value }) => value),
            borderColor: colour('--pencil'),
            borderWidth: 1,
            pointRadius: 6,
            pointBackgroundColor: rows.map(({ felt }) => colour(FELT_COLOUR[felt])),
            pointBorderColor: colour('--ink'),
          },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        scales: {
          x: { ticks: { color: colour('--ink') }, grid: { display: false } },
          y: {
            grace: '20%',
            ticks: {
              color: colour('--ink'),
              maxTicksLimit: 6,
              callback: (value) => measureText(Number(value), measureOf(key).unit, style),
            },
            grid: { color: colour('--rule') },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [rows, key, style]);
  const said = rows
    .map(
      ({ no, value, felt }) =>
        `version ${no} ${measureText(value, measureOf(key).unit, style)}${felt === 'none' ? '' : `, ${felt}`}`,
    )
    .join('; ');
  return (
    <div role="group" aria-label="Over versions">
      <div className="row-of-tools above-0">
        <Select
          aria-label="Number over versions"
          className="fit-230"
          value={key}
          options={FOLLOWED.map((value) => ({ value, label: titleOf(value) }))}
          onChange={setKey}
        />
        <span className="quiet">
          <b className="felt better">●</b> went better <b className="felt worse">●</b> worse
        </span>
      </div>
      <div className="over-versions">
        <canvas ref={canvas} role="img" aria-label={`${titleOf(key)}: ${said}`} />
      </div>
    </div>
  );
}
