import { type PointerEvent, useMemo, useState } from 'react';
import { LIGHT_LINES, lightAlong, type LightAlong, type LightLineKey } from '@june-tide/core/measure';
import { INCH_mm, type LengthStyle, lengthWords } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { type PlankScale, STRIP_HEIGHT } from './scale.ts';
import { type StepKey, useLiveBay } from './useBay.ts';

/** The lines each step looks at under the light. */
const LINES_OF: Readonly<Partial<Record<StepKey, readonly LightLineKey[]>>> = {
  outline: ['outline'],
  rocker: ['rocker'],
  foil: ['foil'],
  deck: ['deck', 'deckQuarter'],
  rails: ['apex', 'tuck'],
  bottom: ['rail', 'bottomQuarter'],
};

/** Shades to each side of fair: few paths to draw anew while a mark is dragged, too fine to see the steps. */
const LEVELS = 12;
/** Shades of the run of the curve itself, and the bend that is the lightest of them, in bumps. */
const RUN_LEVELS = 8;
const MOST_BEND = 6;
/** Less than this much of a bump is fair: it is neither told nor seen. */
const FAIR = 0.25;

/** The strips of light of the step, one over the other. */
export function SideLight({ scale }: { scale: PlankScale }) {
  const { step } = useLiveBay();
  const lines = LINES_OF[step] ?? [];
  const each = (STRIP_HEIGHT - (lines.length - 1)) / Math.max(1, lines.length);
  return lines.map((line, i) => (
    <Strip
      key={line}
      line={line}
      scale={scale}
      y={scale.tapeTop - STRIP_HEIGHT - 8 + i * (each + 1)}
      height={each}
      named={i === 0 && lines.length > 1 ? 'left' : 'right'}
    />
  ));
}

interface StripProps {
  line: LightLineKey;
  scale: PlankScale;
  y: number;
  height: number;
  /** At which end its name stands: two strips lie too close for both at one. */
  named: 'left' | 'right';
}

/** A line under a low light: its run as a soft tone, flat places dark, proud ones light, and in words where it is pointed at. */
function Strip({ line, scale, y, height, named }: StripProps) {
  const { shape } = useLiveBay();
  const style = useLengthStyle();
  const [at, point] = useState<number>();
  const light = useMemo(() => lightAlong(shape, line), [shape, line]);
  const { from_mm, step_mm, bumps, bends } = light;
  const cell = step_mm * scale.k;
  const x0 = scale.x(from_mm) - cell / 2;
  const width = cell * bumps.length;
  const { words } = LIGHT_LINES[line];
  const cells = (indices: readonly number[]) =>
    indices
      .map(
        (i) => `M${(x0 + i * cell).toFixed(1)} ${y}h${(cell + 0.6).toFixed(1)}v${height}h-${(cell + 0.6).toFixed(1)}z`,
      )
      .join('');
  const onMove = (event: PointerEvent<SVGGElement>) =>
    point(Math.min(bumps.length - 1, Math.max(0, Math.floor((event.nativeEvent.offsetX - x0) / cell))));
  return (
    <g
      role="img"
      aria-label={`Side light along the ${words}: ${worst(light, style)}`}
      onPointerMove={onMove}
      onPointerDown={onMove}
      onPointerLeave={() => point(undefined)}
      data-testid={`light-${line}`}
    >
      <rect x={x0} y={y} width={width} height={height} fill="#b5ae9c" />
      {inLevels(
        bends.map((bend) => Math.min(1, bend / MOST_BEND)),
        RUN_LEVELS,
      ).map((indices, level) => (
        <path key={level} d={cells(indices)} fill="#f3eee0" opacity={0.75 * (level / RUN_LEVELS)} />
      ))}
      {inLevels(
        bumps.map((bump) => Math.max(-1, Math.min(1, bump))),
        LEVELS,
        -1,
      ).map((indices, level) => {
        const tone = (level - LEVELS) / LEVELS;
        return (
          <path
            key={level}
            d={cells(indices)}
            fill={tone < 0 ? '#1f1d19' : '#ffffff'}
            opacity={Math.abs(tone) ** 0.9}
          />
        );
      })}
      <rect x={x0} y={y} width={width} height={height} fill="none" stroke="var(--ink)" strokeWidth={1} />
      <g pointerEvents="none">
        <text
          x={
            at !== undefined
              ? Math.min(x0 + width - 6, Math.max(x0 + 210, x0 + at * cell + 100))
              : named === 'left'
                ? x0 + 6
                : x0 + width - 6
          }
          y={y + height / 2 + 4.5}
          textAnchor={at === undefined && named === 'left' ? 'start' : 'end'}
          fontSize={13}
          fontStyle="italic"
          fontFamily="var(--serif)"
          className="drawn"
        >
          {at === undefined
            ? words
            : `${said(bumps[at], style)}, ${lengthWords(from_mm + at * step_mm, style)} from tail`}
        </text>
      </g>
    </g>
  );
}

/** The cells of each shade: of shares from `least` to 1, in whole levels. */
function inLevels(shares: readonly number[], count: number, least: 0 | -1 = 0): number[][] {
  const levels: number[][] = Array.from({ length: (1 - least) * count + 1 }, () => []);
  shares.forEach((share, i) => levels[Math.round(share * count) - least * count].push(i));
  return levels;
}

/** What the light says at one place: so much over a foot. Bumps are small, and told as finely as the shop's writing goes. */
function said(bump: number, style: LengthStyle): string {
  if (Math.abs(bump) < FAIR) return 'fair';
  const fine: LengthStyle =
    style.kind === 'fraction'
      ? { kind: 'fraction', denominator: 64 }
      : style.kind === 'decimal'
        ? { kind: 'decimal', places: 3 }
        : { kind: 'mm' };
  const height = lengthWords((Math.abs(bump) * INCH_mm) / 32, fine);
  return `${bump > 0 ? 'proud' : 'flat'} by ${height} over ${lengthWords(12 * INCH_mm, style)}`;
}

/** The worst place of a strip, for those who cannot see it. */
function worst({ from_mm, step_mm, bumps }: LightAlong, style: LengthStyle): string {
  const most = bumps.reduce((best, bump, i) => (Math.abs(bump) > Math.abs(bumps[best]) ? i : best), 0);
  if (Math.abs(bumps[most]) < FAIR) return 'fair';
  return `${said(bumps[most], style)}, ${lengthWords(from_mm + most * step_mm, style)} from tail`;
}
