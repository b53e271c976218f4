import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import dayjs from 'dayjs';
import { useEffect, useRef } from 'react';
import type { BoardRecord, Ride } from '@june-tide/core/record';
import type { Rider } from '@june-tide/core/rider';
import { formatMass, POUND_kg } from '@june-tide/core/units';
import { dateWords } from '../../parts/days.ts';
import { dayOf } from '../../store/today.ts';

Chart.register(LineController, LineElement, PointElement, CategoryScale, LinearScale);
Chart.defaults.font.family = 'Archivo Variable, sans-serif';

interface OverTimeProps {
  weights: Rider['weights'];
  unit: 'kg' | 'lb';
  made: readonly { record: BoardRecord; mass_kg: number }[];
  rides: readonly { record: BoardRecord; ride: Ride }[];
}

const at = (day: string) => dayjs(day).valueOf();

/** Weight over the years, with each board where it was begun and each ride by how it went. */
export default function OverTime({ weights, unit, made, rides }: OverTimeProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return;
    const styles = getComputedStyle(document.documentElement);
    const colour = (name: string) => styles.getPropertyValue(name).trim();
    const mass = (kg: number) => (unit === 'kg' ? kg : kg / POUND_kg);
    const sorted = [...weights].sort((a, b) => a.on.localeCompare(b.on));
    const massAt = (day: string) => sorted.filter(({ on }) => on <= day).at(-1)?.mass_kg ?? sorted[0]?.mass_kg ?? 0;
    const felt = { better: colour('--sea'), worse: colour('--coral'), same: colour('--pencil') };
    const chart = new Chart(canvas.current, {
      type: 'line',
      data: {
        datasets: [
          {
            data: rides.map(({ ride }) => ({ x: at(ride.on), y: mass(ride.mass_kg ?? massAt(ride.on)) })),
            showLine: false,
            pointRadius: 5,
            pointBackgroundColor: rides.map(({ ride }) => felt[ride.felt ?? 'same']),
            pointBorderColor: colour('--ink'),
          },
          {
            data: made.map(({ record, mass_kg }) => ({ x: at(dayOf(record.createdAt)), y: mass(mass_kg) })),
            showLine: false,
            pointRadius: 7,
            pointStyle: 'triangle',
            pointBackgroundColor: colour('--tape'),
            pointBorderColor: colour('--ink'),
          },
          {
            data: sorted.map(({ on, mass_kg }) => ({ x: at(on), y: mass(mass_kg) })),
            borderColor: colour('--pencil'),
            borderWidth: 1.5,
            pointRadius: 2,
            pointBackgroundColor: colour('--pencil'),
          },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        parsing: false,
        events: [],
        scales: {
          x: {
            type: 'linear',
            grace: '4%',
            ticks: {
              color: colour('--ink'),
              maxTicksLimit: 5,
              callback: (value) => dayjs(Number(value)).format('MMM YYYY'),
            },
            grid: { display: false },
          },
          y: { grace: '20%', ticks: { color: colour('--ink'), precision: 0 }, grid: { color: colour('--rule') } },
        },
      },
    });
    return () => chart.destroy();
  }, [weights, unit, made, rides]);
  const said = [
    ...weights.map(({ on, mass_kg }) => `${dateWords(on)} ${formatMass(mass_kg, unit)}`),
    ...made.map(({ record }) => `${record.board.name} ${record.number} begun ${dateWords(dayOf(record.createdAt))}`),
    ...rides.map(
      ({ record, ride }) => `${record.board.name} ridden ${dateWords(ride.on)}${ride.felt ? `, ${ride.felt}` : ''}`,
    ),
  ].join('; ');
  return (
    <>
      <div className="weights">
        <canvas ref={canvas} role="img" aria-label={`Weights, boards and rides: ${said}`} />
      </div>
      <p className="quiet">
        Line: weight. Triangle: a board begun. <b className="felt better">●</b> a ride that went better,{' '}
        <b className="felt worse">●</b> worse.
      </p>
    </>
  );
}
