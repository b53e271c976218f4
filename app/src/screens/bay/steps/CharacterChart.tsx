import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import { useEffect, useRef } from 'react';
import type { TraitComparison } from '@june-tide/core/judge';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);
Chart.defaults.font.family = 'Archivo Variable, sans-serif';

/** The least a full bar stands for. */
const LEAST_SPAN = 0.4;

/** The eight traits as bars to either side: right, ours has more of it; left, the other. No scale: a length, not a figure. */
export default function CharacterChart({ traits, other }: { traits: readonly TraitComparison[]; other: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return;
    const styles = getComputedStyle(document.documentElement);
    // Two boards much alike have short bars: no bar of a small difference fills the chart.
    const longest = Math.max(LEAST_SPAN, ...traits.map(({ difference }) => Math.abs(difference)));
    const ink = styles.getPropertyValue('--ink').trim();
    const chart = new Chart(canvas.current, {
      type: 'bar',
      data: {
        labels: traits.map(({ name }) => name),
        datasets: [
          {
            data: traits.map(({ difference }) => difference),
            backgroundColor: traits.map(({ difference }) =>
              styles.getPropertyValue(difference < 0 ? '--sea' : '--coral').trim(),
            ),
            barThickness: 11,
          },
        ],
      },
      options: {
        indexAxis: 'y',
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        scales: {
          x: {
            min: -longest,
            max: longest,
            ticks: { display: false },
            grid: { color: (c) => (c.tick.value === 0 ? ink : 'transparent') },
          },
          y: { ticks: { color: ink, font: { size: 13 } }, grid: { display: false } },
        },
      },
    });
    return () => chart.destroy();
  }, [traits]);
  return (
    <div className="character">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Character against ${other}: ${traits.map(({ name, words }) => `${name} ${words}`).join('; ')}`}
      />
    </div>
  );
}
