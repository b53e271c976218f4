import { useRef, useState } from 'react';
import { Segmented } from 'antd';
import { finFaces, type FinSpot, finSpots } from '@june-tide/core/fins';
import { halfBreadthAt, outlinePoints } from '@june-tide/core/outline';
import { deckHeightAt, sectionRing, undersideHeightAt } from '@june-tide/core/section';
import { sectionAt, type Shape } from '@june-tide/core/shape';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { useSize } from '../../parts/useSize.ts';
import { FinHandle } from './FinHandle.tsx';
import { SectionView } from './section/SectionView.tsx';
import { ToeLine } from './ToeLine.tsx';
import { useLiveBay } from './useBay.ts';

const VIEWS = ['tail', 'behind', 'section'] as const;
type View = (typeof VIEWS)[number];
const VIEW_WORDS: Readonly<Record<View, string>> = { tail: 'Tail', behind: 'From behind', section: 'Section' };

/** Beside the fins: the tail at large scale, the fins from behind with their cant, or the section at the hook. */
export function TailView() {
  const [view, setView] = useState<View>('tail');
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const { shape } = useLiveBay();
  const choice = (
    <Segmented<View>
      aria-label="What is shown beside the fins"
      size="small"
      value={view}
      onChange={setView}
      options={VIEWS.map((value) => ({ value, label: VIEW_WORDS[value] }))}
    />
  );
  if (view === 'section') return <SectionView tools={choice} />;
  return (
    <section aria-label={VIEW_WORDS[view]} className="in-a-column">
      <div className="head tools">
        <h2>{view === 'tail' ? 'Tail' : 'From behind'}</h2>
        {choice}
      </div>
      <div ref={box} className="grow">
        {width > 0 && view === 'tail' && <Tail shape={shape} width={width} height={height} />}
        {width > 0 && view === 'behind' && <Behind shape={shape} width={width} height={height} />}
      </div>
    </section>
  );
}

/** A distance with its words takes so much, and without them, px. */
const LABEL = { said: 110, bare: 52 } as const;
/** Two pairs one behind the other have room for their words from this height on; under it the lines alone say what is measured. */
const ROOM_FOR_WORDS = 190;
/** So low it is the table and the plank that have the numbers. */
const ROOM_FOR_NUMBERS = 100;
/** Under the stringer so much is drawn of the other half. */
const BELOW_mm = 26;

/** Half the tail to a little ahead of the foremost fin, as large as fits; the fins can be dragged here too. */
function Tail({ shape, width, height }: { shape: Shape; width: number; height: number }) {
  const spots = finSpots(shape).filter((spot) => spot.side >= 0);
  const least_mm = Math.min(shape.board.length_mm, Math.max(300, ...spots.map((spot) => spot.front.x_mm + 40)));
  const widest = (to: number) =>
    Math.max(...[0.25, 0.5, 0.75, 1].map((share) => halfBreadthAt(shape.outline, share * to)));
  // The distance from the rail stands over it.
  const k = Math.min((width - 16) / least_mm, (height - 34) / (widest(least_mm) + BELOW_mm));
  const shown_mm = Math.min(shape.board.length_mm, (width - 16) / k);
  const x = (mm: number) => 8 + mm * k;
  const y = (mm: number) => height - 6 - (BELOW_mm + mm) * k;
  const points = outlinePoints(shape.outline, 240).filter((p) => p.x_mm <= shown_mm);
  const roomy = height >= ROOM_FOR_NUMBERS;
  const said = height >= ROOM_FOR_WORDS || spots.filter(({ side }) => side === 1).length < 2;
  const upper = points.map((p) => `${x(p.x_mm).toFixed(1)} ${y(p.y_mm).toFixed(1)}`);
  const lower = points.map((p) => `${x(p.x_mm).toFixed(1)} ${y(-p.y_mm).toFixed(1)}`).reverse();
  return (
    <svg width={width} height={height} role="group" aria-label="Half the tail and its fins, large">
      <path d={`M${upper.join('L')}L${lower.join('L')}`} fill="var(--board)" stroke="var(--ink)" strokeWidth={2} />
      <line x1={x(shape.outline.end.notch_mm)} x2={x(shown_mm)} y1={y(0)} y2={y(0)} stroke="#b7a98a" strokeWidth={2} />
      {spots.map((spot, i) => (
        <g key={i}>
          {spot.side === 1 && roomy && <Distances spot={spot} x={x} y={y} said={said} />}
          {spot.side === 0 && roomy && (
            <DrawnMeasure
              mm={spot.box.trailingEdge_mm}
              x={x(spot.front.x_mm) + LABEL.said > width ? x(spot.rear.x_mm) - 8 : x(spot.front.x_mm) + 12}
              y={y(0) - 10}
              size={16}
              anchor={x(spot.front.x_mm) + LABEL.said > width ? 'end' : 'start'}
              after="from tail"
            />
          )}
          <Foil spot={spot} x={x} y={y} />
          {spot.side === 1 && (
            <ToeLine
              spot={spot}
              x={x}
              y={y}
              k={k}
              to_mm={shown_mm - 6 / k}
              ring_mm={Math.max(40, Math.min(220, shown_mm - spot.middle.x_mm - 14 / k))}
            />
          )}
          <FinHandle spot={spot} x={x} y={y} k={k} width={3} />
        </g>
      ))}
    </svg>
  );
}

const FOIL_PIECES = 24;

/** The foil of a fin at its base, seen from its tip: which face is flat, and how thick it is. */
function Foil({ spot, x, y }: { spot: FinSpot; x: (mm: number) => number; y: (mm: number) => number }) {
  const { front, rear, side, box } = spot;
  const [dx, dy] = [rear.x_mm - front.x_mm, rear.y_mm - front.y_mm];
  const outward = side === 0 ? 1 : side;
  // Across the chord, toward the rail.
  const across = { x: (-dy / box.template.base_mm) * outward, y: (dx / box.template.base_mm) * outward };
  const sign = across.y * outward < 0 ? -1 : 1;
  const at = (share: number, face: 'outer' | 'inner') => {
    const off = sign * finFaces(box.template.foil, share)[face] * box.template.base_mm;
    return `${x(front.x_mm + dx * share + across.x * off).toFixed(1)} ${y(front.y_mm + dy * share + across.y * off).toFixed(1)}`;
  };
  const shares = Array.from({ length: FOIL_PIECES + 1 }, (_, i) => i / FOIL_PIECES);
  const outline = [...shares.map((s) => at(s, 'outer')), ...[...shares].reverse().map((s) => at(s, 'inner'))];
  return (
    <path
      d={`M${outline.join('L')}Z`}
      fill="var(--on-board-quiet)"
      fillOpacity={0.35}
      stroke="var(--on-board)"
      strokeWidth={1}
      pointerEvents="none"
      data-foil={box.template.foil}
    />
  );
}

interface DistancesProps {
  spot: FinSpot;
  x: (mm: number) => number;
  y: (mm: number) => number;
  /** Is each number followed by what it is measured from? */
  said: boolean;
}

/** From the tail to the trailing edge, from the rail to the middle of the base. */
function Distances({ spot, x, y, said }: DistancesProps) {
  const words = (after: string) => (said ? { after, size: 17 } : { size: 15 });
  // Two that stand one behind the other have their lines apart.
  const low = y(spot.rear.y_mm * (spot.box.role === 'rear' ? 0.4 : 0.65));
  const middle = x(spot.middle.x_mm);
  return (
    <g pointerEvents="none" stroke="var(--on-board)">
      <line x1={x(0)} x2={x(spot.rear.x_mm)} y1={low} y2={low} strokeWidth={1} />
      <line x1={x(spot.rear.x_mm)} x2={x(spot.rear.x_mm)} y1={low - 6} y2={low + 6} strokeWidth={1} />
      <line
        x1={middle}
        x2={middle}
        y1={y(spot.middle.y_mm)}
        y2={y(spot.rail_mm)}
        strokeWidth={1}
        strokeDasharray="3 2"
      />
      <g stroke="none">
        <DrawnMeasure
          mm={spot.box.trailingEdge_mm}
          {...(said
            ? { x: Math.max(x(spot.rear.x_mm) - 6, LABEL.said), y: low - 5, anchor: 'end' as const }
            : { x: x(spot.rear.x_mm) + 6, y: low + 5, anchor: 'start' as const })}
          {...words('from tail')}
        />
        <DrawnMeasure
          mm={spot.box.inset_mm}
          x={Math.max(middle - 8, said ? LABEL.said : LABEL.bare)}
          y={y(spot.rail_mm) - 12}
          anchor="end"
          {...words('from rail')}
        />
      </g>
    </g>
  );
}

/** The tail seen from behind, bottom up as it lies on the stand: each fin as its depth at its cant. */
function Behind({ shape, width, height }: { shape: Shape; width: number; height: number }) {
  const spots = finSpots(shape);
  const ahead = Math.max(...spots.map((spot) => spot.middle.x_mm), 200);
  const section = sectionAt(shape, ahead);
  if (!section) return null;
  const deepest = Math.max(60, ...spots.map((spot) => spot.box.template.depth_mm));
  const k = Math.min((width - 30) / (2 * section.half_mm + 60), (height - 40) / (deepest + section.input.thickness_mm));
  const X = (y_mm: number) => width / 2 + y_mm * k;
  const foot = height - 16;
  // Bottom up: the deck lies on the stand.
  const Z = (z_mm: number) => foot - (section.input.thickness_mm - z_mm) * k;
  const ring = sectionRing(section, 32);
  const outline = ring.map((p) => `${X(p.y_mm).toFixed(1)} ${Z(p.z_mm).toFixed(1)}`).join('L');
  return (
    <svg width={width} height={height} role="img" aria-label="The fins from behind, bottom up">
      <path d={`M${outline}Z`} fill="var(--board)" stroke="var(--ink)" strokeWidth={2} />
      {spots.map((spot, i) => {
        const local = sectionAt(shape, spot.middle.x_mm) ?? section;
        const off = Math.abs(spot.middle.y_mm);
        const base = Math.min(undersideHeightAt(local, off), deckHeightAt(local, off));
        const cant = spot.box.cant_rad * spot.side;
        const tipX = X(spot.middle.y_mm) + Math.sin(cant) * spot.box.template.depth_mm * k;
        const tipY = Z(base) - Math.cos(cant) * spot.box.template.depth_mm * k;
        const degrees = Math.round((spot.box.cant_rad * 180) / Math.PI);
        return (
          <g key={i}>
            <line
              x1={X(spot.middle.y_mm)}
              x2={X(spot.middle.y_mm)}
              y1={Z(base)}
              y2={Z(base) - spot.box.template.depth_mm * k}
              stroke="var(--faint)"
              strokeDasharray="4 4"
            />
            <line
              x1={X(spot.middle.y_mm)}
              y1={Z(base)}
              x2={tipX}
              y2={tipY}
              stroke="var(--ink)"
              strokeWidth={5}
              strokeLinecap="round"
            />
            {spot.side >= 0 && (
              <text
                x={tipX + (spot.side === 0 ? 8 : 6)}
                y={tipY + 6}
                fontSize={17}
                fontFamily="var(--serif)"
                fontWeight={600}
                fill="var(--ink)"
              >
                {spot.side === 0 ? 'upright' : degrees === 0 ? 'upright' : `${degrees}°`}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
