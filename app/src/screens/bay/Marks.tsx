import { type MarkedCurve, type MarkRow, markRows, withMarkAt, withMarkValue } from '@june-tide/core/edit';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { editBoard } from '../../store/shed.ts';
import { Handle, type HandleAxis } from './Handle.tsx';
import type { PlankScale } from './scale.ts';
import { curveOf, useLiveBay } from './useBay.ts';

interface Placed {
  row: MarkRow;
  x: number;
  y: number;
  /** The mirrored one on the lower rail. */
  y2?: number;
  /** Pixels on screen for a mm of the mark's number, along the screen's y. */
  pixels: number;
}

interface Label {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
}

/** From the foot of a number on the plan: the room it and its name take, px. */
const GAP = { over: 18, under: 25 };

/** Marks whose place is pulled along the board; the places of the others are typed, or moved by keys. */
const SLIDES: ReadonlySet<string> = new Set(['wide', 'flat', 'thickest']);

/** The step's marks on their line: drag up and down for the number, sideways for those that slide. */
export function Marks({ scale }: { scale: PlankScale }) {
  const { shape, record, step, held, hold, moveHook } = useLiveBay();
  const curve = curveOf(step);
  if (!curve) return null;
  const { board } = record;
  const up = scale.k * scale.stretch;
  const handles = markRows(board, curve).map((row): Placed => {
    const x = scale.x(row.x_mm);
    if (curve === 'outline') {
      const half = (row.value_mm / 2) * scale.k;
      return { row, x, y: scale.centre - half, y2: scale.centre + half, pixels: scale.k / 2 };
    }
    const ground = scale.ground - shape.rocker.line.valueAt(row.x_mm) * up;
    if (curve === 'rocker') return { row, x, y: ground, pixels: up };
    return { row, x, y: ground - row.value_mm * up, pixels: up };
  });

  const setValue = (row: MarkRow, value_mm: number, mergeKey: string) =>
    editBoard(
      record.id,
      `${row.label.toLowerCase()} on the ${curve}`,
      (b) => withMarkValue(b, curve, row.key, value_mm),
      mergeKey,
    );
  const slide = (row: MarkRow, at_mm: number, mergeKey: string) =>
    editBoard(record.id, `${row.label.toLowerCase()} moved`, (b) => withMarkAt(b, curve, row.key, at_mm), mergeKey);

  const labels = labelled(curve, handles, scale, board.length_mm);
  return (
    <g className={curve === 'outline' ? '' : 'on-paper'}>
      {handles.map((handle, i) => (
        <OneMark
          key={handle.row.key}
          curve={curve}
          placed={handle}
          label={labels[i]}
          half={scale.half}
          held={held === handle.row.key}
          along={{
            value_mm: handle.row.at_mm,
            pixels: handle.row.from === 'nose' ? -scale.k : scale.k,
            keysOnly: !SLIDES.has(handle.row.key),
            set: (at_mm, key) => slide(handle.row, at_mm, key),
          }}
          across={(side) => ({
            value_mm: handle.row.value_mm,
            pixels: side === 0 ? -handle.pixels : handle.pixels,
            set: (value_mm, key) => setValue(handle.row, value_mm, key),
          })}
          onTake={() => {
            hold(handle.row.key);
            moveHook(handle.row.x_mm);
          }}
        />
      ))}
    </g>
  );
}

interface OneMarkProps {
  curve: MarkedCurve;
  placed: Placed;
  label: Label;
  /** Only one half of the plan is drawn. */
  half: boolean;
  held: boolean;
  along: HandleAxis;
  /** On the near rail (0) and on the far one (1). */
  across: (side: 0 | 1) => HandleAxis;
  onTake: () => void;
}

/** A mark on its line, on both rails of a plan, and its number. */
function OneMark({ curve, placed, label, half, held, along, across, onTake }: OneMarkProps) {
  const { row, x, y, y2 } = placed;
  return (
    <g>
      {y2 !== undefined && row.key !== 'block' && (
        <g stroke="var(--on-board)" strokeWidth={1} pointerEvents="none">
          {/* The line leaves a gap for its number. */}
          {label.y - GAP.over > y + 16 && <line x1={x} x2={x} y1={y + 8} y2={label.y - GAP.over} />}
          <line x1={x} x2={x} y1={Math.max(y + 8, label.y + GAP.under)} y2={y2 - 8} />
          <path
            d={`${label.y - GAP.over > y + 16 ? `M${x} ${y + 7}l-3.5 9h7z` : ''}M${x} ${y2 - 7}l-3.5 -9h7z`}
            fill="var(--on-board)"
            stroke="none"
          />
        </g>
      )}
      {(y2 === undefined || half ? [y] : [y, y2]).map((at, side) => (
        <Handle
          key={side}
          label={side === 0 ? `${row.label}, mark on the ${curve}` : `${row.label}, the other rail`}
          now={Math.round(row.value_mm)}
          low={0}
          high={1500}
          tabbed={side === 0}
          along={row.movable ? along : undefined}
          across={row.valued ? across(side === 0 ? 0 : 1) : undefined}
          onTake={onTake}
          group={{
            className: `mark${held ? ' held' : ''}`,
            'data-mark': `${curve}.${row.key}${side === 1 ? '.far' : ''}`,
          }}
        >
          <circle className="grab" cx={x} cy={at} r={20} />
          <circle className="ring" cx={x} cy={at} r={held ? 7 : 5} />
          <path
            d={`M${x - 5} ${at}h10M${x} ${at - 5}v10`}
            stroke={held ? 'var(--coral)' : 'var(--on-board)'}
            strokeWidth={1}
            pointerEvents="none"
          />
        </Handle>
      ))}
      <DrawnMeasure
        mm={row.valued ? row.value_mm : row.at_mm}
        x={label.x}
        y={label.y}
        size={20}
        anchor={label.anchor}
        held={held}
        after={curve === 'outline' ? undefined : row.label.toLowerCase()}
      />
      {curve === 'outline' && (
        <text
          x={label.x}
          y={label.y + 19}
          textAnchor={label.anchor}
          fontSize={15}
          fontStyle="italic"
          fontFamily="var(--serif)"
          className={held ? 'drawn mark-word held' : 'drawn mark-word'}
        >
          {row.label.toLowerCase()}
        </text>
      )}
    </g>
  );
}

/** From where to where a number with its word reaches, px: on the profile they stand in one line, on the plan one under the other. */
function reach(curve: MarkedCurve, { x, anchor }: Pick<Label, 'x' | 'anchor'>): [from: number, to: number] {
  const width = curve === 'outline' ? 74 : 112;
  const from = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return [from, from + width];
}

/** Where each number stands: on the board for the plan, over its mark on the profile; neighbours step aside. */
function labelled(curve: MarkedCurve, all: readonly Placed[], scale: PlankScale, length_mm: number): Label[] {
  const placed: Label[] = [];
  for (const { row, x, y } of all) {
    const edge = row.x_mm < 100 ? 'start' : row.x_mm > length_mm - 100 ? 'end' : 'middle';
    const shift = edge === 'start' ? 10 : edge === 'end' ? -10 : 0;
    let at = curve === 'outline' ? scale.centre - 42 : y - (curve === 'rocker' ? 14 : 16);
    if (curve === 'outline' && row.key === 'block') at = scale.centre + 6;
    if (curve === 'rocker') at = Math.min(y + 26, scale.ground + 16) - (row.key === 'flat' ? 0 : 46);
    const [from, to] = reach(curve, { x: x + shift, anchor: edge });
    const meets = (other: Label) => {
      const [low, high] = reach(curve, other);
      return from < high && to > low && Math.abs(other.y - at) < 26;
    };
    while (placed.some(meets)) {
      at += curve === 'outline' ? 46 : -26;
    }
    placed.push({ x: x + shift, y: at, anchor: edge });
  }
  return placed;
}
