import { fairnessTones } from '@june-tide/core/curve';
import { type PlankScale, STRIP_HEIGHT } from './scale.ts';
import { curveOf, useLiveBay } from './useBay.ts';

const SAMPLES = 96;
/** Shades to each side of fair: few paths to draw anew while a mark is dragged, too fine to see the steps. */
const LEVELS = 12;

/** The cells of each shade, darkest first. */
function inLevels(tones: ArrayLike<number>): number[][] {
  const levels: number[][] = Array.from({ length: 2 * LEVELS + 1 }, () => []);
  for (let i = 0; i < tones.length; i++) levels[Math.round(tones[i] * LEVELS) + LEVELS].push(i);
  return levels;
}

/** A strip lit by the fairness of the step's curve: even is fair, a dark band is flat, a light one proud. */
export function SideLight({ scale }: { scale: PlankScale }) {
  const { shape, step, record } = useLiveBay();
  const curve = curveOf(step);
  if (!curve) return null;
  const line = curve === 'outline' ? shape.outline.base : shape[curve].line;
  const L = record.board.length_mm;
  const from = 0.03 * L;
  const run = 0.94 * L;
  const tones = fairnessTones(
    Array.from({ length: SAMPLES }, (_, i) => line.curvatureAt(from + (run * (i + 0.5)) / SAMPLES)),
  );
  const y = scale.tapeTop - STRIP_HEIGHT - 8;
  const cell = (run * scale.k) / SAMPLES;
  return (
    <g role="img" aria-label={`Side light along the ${curve}: even is fair`}>
      <rect x={scale.x(from)} y={y} width={run * scale.k} height={STRIP_HEIGHT} fill="#d8d2c2" />
      {inLevels(tones).map((cells, level) => {
        const tone = (level - LEVELS) / LEVELS;
        return (
          <path
            key={level}
            d={cells
              .map(
                (i) =>
                  `M${(scale.x(from) + i * cell).toFixed(1)} ${y}h${(cell + 0.6).toFixed(1)}v${STRIP_HEIGHT}h-${(cell + 0.6).toFixed(1)}z`,
              )
              .join('')}
            fill={tone < 0 ? '#2c2a25' : '#ffffff'}
            opacity={Math.abs(tone) ** 0.8}
          />
        );
      })}
      <rect
        x={scale.x(from)}
        y={y}
        width={run * scale.k}
        height={STRIP_HEIGHT}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1}
      />
      <text
        x={scale.x(from + run) - 6}
        y={y + 13.5}
        textAnchor="end"
        fontSize={13}
        fontStyle="italic"
        fontFamily="var(--serif)"
        fill="#24282b"
      >
        side light along the {curve === 'outline' ? 'rail' : curve}: even is fair
      </text>
    </g>
  );
}
