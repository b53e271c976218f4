import { DECK_FEATURES, DECK_LENGTH_mm, type DeckFeature, type Mark, stationOfMark } from '@june-tide/core/document';
import { movedTo, placeAt, withCrown, withDeckFeature } from '@june-tide/core/edit';
import { halfBreadthAt } from '@june-tide/core/outline';
import { DrawnMeasure, useLengthStyle } from '../../parts/Measure.tsx';
import { editBoard } from '../../store/shed.ts';
import { Handle, type HandleAxis } from './Handle.tsx';
import type { PlankScale } from './scale.ts';
import { stationName } from './stationName.ts';
import { useLiveBay } from './useBay.ts';

/** A crown of a millimetre is pulled by so many pixels on the plank. */
const CROWN_PULL = 6;

/** Where the deck's features lie, each by its name between its ends, and the fall of the crown at its stations. */
export function DeckOnPlan({ scale }: { scale: PlankScale }) {
  const { shape, record } = useLiveBay();
  const { board } = record;
  const half = (x: number) => halfBreadthAt(shape.outline, Math.min(Math.max(x, 0), board.length_mm)) * scale.k;
  return (
    <g data-testid="deck-on-plan">
      {board.deck.features.map((feature, i) => {
        const [from, to] = reachOf(feature, board.length_mm, shape.anchors);
        const level = feature.kind === 'flat' ? feature.width : feature.kind === 'step' ? undefined : 1;
        const inset = feature.kind === 'step' ? feature.inset_mm * scale.k : 0;
        const count = 40;
        const stations = Array.from({ length: count + 1 }, (_, k) => from + ((to - from) * k) / count);
        const rim = (x: number) => Math.max(0, level === undefined ? half(x) - inset : half(x) * level);
        const upper = stations.map((x) => `${scale.x(x).toFixed(1)} ${(scale.centre - rim(x)).toFixed(1)}`);
        const lower = [`${scale.x(to).toFixed(1)} ${scale.centre}`, `${scale.x(from).toFixed(1)} ${scale.centre}`];
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
                d={`M${upper[0]}L${lower[1]}M${upper[count]}L${lower[0]}`}
                stroke="var(--coral)"
                strokeDasharray="6 4"
                strokeWidth={1.4}
              />
            )}
            <text
              x={scale.x((from + to) / 2)}
              y={scale.centre - 10 - 20 * (i % 3)}
              pointerEvents="none"
              textAnchor="middle"
              fontSize={15}
              fontStyle="italic"
              fontFamily="var(--serif)"
              className="drawn mark-word"
            >
              {DECK_FEATURES[feature.kind].words}
            </text>
            <FeatureHandles index={i} feature={feature} scale={scale} />
          </g>
        );
      })}
      {board.deck.crown.map((mark, i) => (
        <CrownMark key={i} index={i} mark={mark} scale={scale} />
      ))}
    </g>
  );
}

interface FeatureHandlesProps {
  index: number;
  feature: DeckFeature;
  scale: PlankScale;
}

/** What is pulled of a feature: its middle along the board, where it has one, its end, and at either how much there is of it. */
function FeatureHandles({ index, feature, scale }: FeatureHandlesProps) {
  const { shape, record, moveHook } = useLiveBay();
  const { board } = record;
  const { words, size, limits } = DECK_FEATURES[feature.kind];
  const set = (what: string, change: Readonly<Record<string, number>>, key: string) =>
    editBoard(record.id, `${words} ${what}`, (b) => withDeckFeature(b, index, change), key);
  const middle_mm = 'from' in feature ? stationOfMark(feature, shape.anchors) : undefined;
  const [begins, ends] = reachOf(feature, board.length_mm, shape.anchors);
  const end_mm = feature.kind === 'beak' ? begins : feature.kind === 'step' ? feature.length_mm : ends;
  const half = halfBreadthAt(shape.outline, Math.min(middle_mm ?? end_mm, board.length_mm)) * scale.k;
  const y = scale.centre - half / 2;
  const now = (feature as unknown as Readonly<Record<string, number>>)[size];
  const more: HandleAxis =
    feature.kind === 'flat'
      ? {
          value_mm: now,
          pixels: -half,
          keyStep_mm: 0.05,
          grid_mm: 0.05,
          low_mm: limits.low,
          high_mm: limits.high,
          set: (width, key) => set('wider', { width }, key),
        }
      : {
          value_mm: now,
          pixels: CROWN_PULL,
          nudges: 0.5,
          low_mm: limits.low,
          high_mm: limits.high,
          set: (value_mm, key) => set('deeper', { [size]: value_mm }, key),
        };
  // A stretch grows to both sides of its middle; a beak from the nose, a step rail from the tail.
  const share = middle_mm === undefined ? 1 : 2;
  const length: HandleAxis = {
    value_mm: feature.length_mm / share,
    pixels: feature.kind === 'beak' ? -scale.k : scale.k,
    nudges: 4,
    low_mm: DECK_LENGTH_mm.low / share,
    set: (value_mm, key) => set('longer', { length_mm: value_mm * share }, key),
  };
  const ring = (x: number) => (
    <>
      <circle className="grab" cx={x} cy={y} r={16} />
      <circle className="ring" cx={x} cy={y} r={5} />
    </>
  );
  return (
    <>
      {middle_mm !== undefined && 'from' in feature && (
        <Handle
          label={`Middle of the ${words}, on the plank`}
          now={Math.round(middle_mm)}
          low={0}
          high={Math.round(board.length_mm)}
          along={{
            value_mm: middle_mm,
            pixels: scale.k,
            nudges: 4,
            low_mm: 0,
            high_mm: board.length_mm,
            set: (to_mm, key) => {
              set('moved', { at_mm: movedTo(board, feature, to_mm).at_mm }, key);
              moveHook(to_mm);
            },
          }}
          across={more}
          onTake={() => moveHook(middle_mm)}
          group={{ 'data-feature': `${index} middle` }}
        >
          {ring(scale.x(middle_mm))}
        </Handle>
      )}
      <Handle
        label={`End of the ${words}, on the plank`}
        now={Math.round(feature.length_mm)}
        low={DECK_LENGTH_mm.low}
        high={Math.round(board.length_mm)}
        along={length}
        across={middle_mm === undefined ? more : undefined}
        group={{ 'data-feature': `${index} end` }}
      >
        {ring(scale.x(end_mm))}
      </Handle>
    </>
  );
}

interface CrownMarkProps {
  index: number;
  mark: Mark;
  scale: PlankScale;
}

/** How far the deck falls at one station: pulled along the board, and down for more. */
function CrownMark({ index, mark, scale }: CrownMarkProps) {
  const { shape, record, hook_mm, moveHook } = useLiveBay();
  const style = useLengthStyle();
  const { board } = record;
  const name = stationName(mark, style);
  const x_mm = stationOfMark(mark, shape.anchors);
  const half = halfBreadthAt(shape.outline, Math.min(Math.max(x_mm, 0), board.length_mm)) * scale.k;
  const [x, y] = [scale.x(x_mm), scale.centre - half];
  const edge = x_mm < 60 ? 'start' : x_mm > board.length_mm - 60 ? 'end' : 'middle';
  const set = (what: string, change: Partial<Pick<Mark, 'at_mm' | 'value_mm'>>, key: string) =>
    editBoard(record.id, `${what}, ${name}`, (b) => withCrown(b, index, change), key);
  const held = placeAt(board, [mark], hook_mm) === 0;
  return (
    <g>
      <line x1={x} x2={x} y1={scale.centre} y2={y} stroke="var(--on-board-quiet)" strokeDasharray="3 4" />
      <Handle
        label={`Crown ${name}, on the plank`}
        now={Math.round(mark.value_mm)}
        low={0}
        high={60}
        along={{
          value_mm: x_mm,
          pixels: scale.k,
          nudges: 4,
          low_mm: 0,
          high_mm: board.length_mm,
          set: (to_mm, key) => {
            set('crown moved', { at_mm: movedTo(board, mark, to_mm).at_mm }, key);
            moveHook(to_mm);
          },
        }}
        across={{
          value_mm: mark.value_mm,
          pixels: CROWN_PULL,
          nudges: 0.5,
          low_mm: 0,
          set: (value_mm, key) => set('crown', { value_mm }, key),
        }}
        onTake={() => moveHook(x_mm)}
        group={{ className: held ? 'mark held' : 'mark', 'data-crown': index }}
      >
        <circle className="grab" cx={x} cy={y} r={16} />
        <circle className="ring" cx={x} cy={y} r={5} />
        <DrawnMeasure
          mm={mark.value_mm}
          x={x + (edge === 'start' ? 8 : edge === 'end' ? -8 : 0)}
          y={Math.min(y + 34, scale.centre - 8)}
          size={18}
          anchor={edge}
          after="crown"
          held={held}
        />
      </Handle>
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
