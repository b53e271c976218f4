import { withFinBox } from '@june-tide/core/edit';
import { atWing, type FinSpot } from '@june-tide/core/fins';
import { editBoard } from '../../store/shed.ts';
import { Handle } from './Handle.tsx';
import { useLiveBay } from './useBay.ts';

interface FinHandleProps {
  spot: FinSpot;
  /** Pixels of a station, and of a distance off the stringer. */
  x: (x_mm: number) => number;
  y: (y_mm: number) => number;
  /** Pixels a mm. */
  k: number;
  width: number;
}

const ROLE_WORDS = { centre: 'Centre fin', front: 'Front fin', rear: 'Rear fin' } as const;
const LEAST_mm = 3;

/** The base of one fin, to be dragged along the board and in from the rail; its twin on the other side follows. */
export function FinHandle({ spot, x, y, k, width }: FinHandleProps) {
  const { record } = useLiveBay();
  const index = record.board.fins.boxes.indexOf(spot.box);
  const name = ROLE_WORDS[spot.box.role];
  const { trailingEdge_mm, inset_mm, role } = spot.box;
  const set = (change: { trailingEdge_mm?: number; inset_mm?: number }, key: string) =>
    editBoard(record.id, `${name.toLowerCase()} moved`, (b) => withFinBox(b, index, change), key);
  const ends = {
    x1: x(spot.rear.x_mm),
    y1: y(spot.rear.y_mm),
    x2: x(spot.front.x_mm),
    y2: y(spot.front.y_mm),
    strokeLinecap: 'round' as const,
  };
  return (
    <Handle
      label={spot.side >= 0 ? `${name} on the tail` : `${name}, the other side`}
      now={Math.round(trailingEdge_mm)}
      low={0}
      high={1500}
      tabbed={spot.side >= 0}
      along={{
        value_mm: trailingEdge_mm,
        pixels: k,
        low_mm: LEAST_mm,
        // Near a wing it stands at the wing.
        set: (value, key) =>
          set(
            { trailingEdge_mm: key.startsWith('drag') ? atWing(record.board, spot.box, value).trailing_mm : value },
            key,
          ),
      }}
      across={
        role === 'centre'
          ? undefined
          : {
              value_mm: inset_mm,
              pixels: spot.side < 0 ? -k : k,
              low_mm: LEAST_mm,
              set: (value, key) => set({ inset_mm: value }, key),
            }
      }
      group={{ 'data-fin': `${role}${spot.side}`, style: { cursor: 'move' } }}
    >
      <line {...ends} stroke="transparent" strokeWidth={Math.max(22, width)} />
      <line {...ends} className="fin-base" stroke="var(--on-board)" strokeWidth={width} />
    </Handle>
  );
}
