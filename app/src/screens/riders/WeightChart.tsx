import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import { useEffect, useRef } from 'react';
import type { Rider } from '@june-tide/core/rider';
import { formatMass, POUND_kg } from '@june-tide/core/units';
import { dateWords } from '../../parts/days.ts';

Chart.register(LineController, LineElement, PointElement, CategoryScale, LinearScale);
Chart.defaults.font.family = 'Archivo Variable, sans-serif';

/** A rider's weighings, the oldest first. */
export default function WeightChart({ weights, unit }: { weights: Rider['weights']; unit: 'kg' | 'lb' }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return;
    const styles = getComputedStyle(document.documentElement);
    const colour = (name: string) => styles.getPropertyValue(name).trim();
    const values = weights.map(({ mass_kg }) => (unit === 'kg' ? mass_kg : mass_kg / POUND_kg));
    const chart = new Chart(canvas.current, {
      type: 'line',
      data: {
        labels: weights.map(({ on }) => dateWords(on)),
        datasets: [{ data: values, borderColor: colour('--sea'), backgroundColor: colour('--sea'), pointRadius: 4 }],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        scales: {
          x: { ticks: { color: colour('--ink') }, grid: { display: false } },
          y: { grace: '20%', ticks: { color: colour('--ink'), precision: 0 }, grid: { color: colour('--rule') } },
        },
      },
    });
    return () => chart.destroy();
  }, [weights, unit]);
  const said = weights.map(({ on, mass_kg }) => `${dateWords(on)} ${formatMass(mass_kg, unit)}`).join('; ');
  return (
    <div className="weights">
      <canvas ref={canvas} role="img" aria-label={`Weights: ${said}`} />
    </div>
  );
}
