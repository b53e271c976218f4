import { DECK_FEATURES, type DeckFeature, stationOfMark } from '@june-tide/core/document';
import { halfBreadthAt } from '@june-tide/core/outline';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

/** Where the deck's features lie, each by its name between its ends, and the fall of the crown at its stations. */
export function DeckOnPlan({ scale }: { scale: PlankScale }) {
  const { shape, record } = useLiveBay();
  const { board } = record;
  const half = (x: number) => halfBreadthAt(shape.outline, Math.min(Math.max(x, 0), board.length_mm)) * scale.k;
  return (
    <g pointerEvents="none" data-testid="deck-on-plan">
      {board.deck.features.map((feature, i) => {
        const [from, to] = reachOf(feature, board.length_mm, shape.anchors);
        const level = feature.kind === 'flat' ? feature.width : feature.kind === 'step' ? undefined : 1;
        const inset = feature.kind === 'step' ? feature.inset_mm * scale.k : 0;
        const count = 40;
        const stations = Array.from({ length: count + 1 }, (_, k) => from + ((to - from) * k) / count);
        const rim = (x: number) => Math.max(0, level === undefined ? half(x) - inset : half(x) * level);
        const upper = stations.map((x) => `${scale.x(x).toFixed(1)} ${(scale.centre - rim(x)).toFixed(1)}`);
        const lower = stations.map((x) => `${scale.x(x).toFixed(1)} ${(scale.centre + rim(x)).toFixed(1)}`).reverse();
        return (
          <g key={i}>
            <path
              d={`M${upper.join('L')}L${lower.join('L')}Z`}
              fill="var(--coral)"
              fillOpacity={0.07}
              stroke={level === 1 ? 'none' : 'var(--coral)'}
              strokeDasharray="6 4"
              strokeWidth={1.4}
            />
            {level === 1 && (
              // Where it reaches to the rails the board's own line is its edge.
              <path
                d={`M${upper[0]}L${lower[count]}M${upper[count]}L${lower[0]}`}
                stroke="var(--coral)"
                strokeDasharray="6 4"
                strokeWidth={1.4}
              />
            )}
            <text
              x={scale.x((from + to) / 2)}
              y={scale.centre - 8 - 20 * (i % 3)}
              textAnchor="middle"
              fontSize={15}
              fontStyle="italic"
              fontFamily="var(--serif)"
              className="drawn mark-word"
            >
              {DECK_FEATURES[feature.kind].words}
            </text>
          </g>
        );
      })}
      {board.deck.crown.map((mark, i) => {
        const x_mm = stationOfMark(mark, shape.anchors);
        const edge = x_mm < 60 ? 'start' : x_mm > board.length_mm - 60 ? 'end' : 'middle';
        return (
          <g key={i}>
            <line
              x1={scale.x(x_mm)}
              x2={scale.x(x_mm)}
              y1={scale.centre}
              y2={scale.centre + half(x_mm)}
              stroke="var(--on-board-quiet)"
              strokeDasharray="3 4"
            />
            <DrawnMeasure
              mm={mark.value_mm}
              x={scale.x(x_mm) + (edge === 'start' ? 8 : edge === 'end' ? -8 : 0)}
              y={scale.centre + 30}
              size={18}
              anchor={edge}
              after="crown"
            />
          </g>
        );
      })}
    </g>
  );
}

/** From where to where along the board a feature reaches, mm from the tail. */
function reachOf(
  feature: DeckFeature,
  length_mm: number,
  anchors: Parameters<typeof stationOfMark>[1],
): readonly [number, number] {
  switch (feature.kind) {
    case 'beak':
      return [length_mm - feature.length_mm, length_mm];
    case 'step':
      return [0, Math.min(length_mm, feature.length_mm + feature.fade_mm)];
    case 'flat':
    case 'dome':
    case 'sDeck': {
      const middle = stationOfMark(feature, anchors);
      return [Math.max(0, middle - feature.length_mm / 2), Math.min(length_mm, middle + feature.length_mm / 2)];
    }
  }
}
