import { Button } from 'antd';
import { lazy, Suspense, useRef } from 'react';
import { halfBreadthAt, INCH_mm, markRows, thicknessAt } from '@june-tide/core';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { useSize } from '../../parts/useSize.ts';
import { BottomStrips } from './BottomStrips.tsx';
import { DeckLight } from './DeckLight.tsx';
import { FinsOnPlan } from './FinsOnPlan.tsx';
import { Marks } from './Marks.tsx';
import { OverOnPlank } from './OverOnPlank.tsx';
import { planPath } from './planPath.ts';
import { RailsOnPlan } from './RailsOnPlan.tsx';
import { type PlankScale, plankScale } from './scale.ts';
import { SideLight } from './SideLight.tsx';
import { Tape } from './Tape.tsx';
import { useBay } from './useBay.ts';

/** three.js comes only when the room is opened. */
const Room = lazy(() => import('./room/Room.tsx'));

/** The board lying lengthwise: plan, tape and profile, with the marks of the step on the line they belong to. */
export function Plank({ inRoom, onRoom }: { inRoom: boolean; onRoom: (inRoom: boolean) => void }) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const { record, step } = useBay();
  const scale = plankScale(record.board, step, width, height);
  const ready = width > 100 && height > 100;
  const swap = (
    <Button size="small" className="to-room" aria-pressed={inRoom} onClick={() => onRoom(!inRoom)}>
      {inRoom ? 'Back to the drawing' : 'Into the room'}
    </Button>
  );
  if (inRoom) {
    return (
      <div className="plank" ref={box}>
        <Suspense fallback={<p className="quiet room-wait">Opening the room.</p>}>
          <Room />
        </Suspense>
        {swap}
      </div>
    );
  }
  return (
    <div className="plank" ref={box}>
      {swap}
      {ready && <DeckLight scale={scale} />}
      {ready && (
        <svg width={width} height={height} role="group" aria-label="The board: plan, tape and profile">
          <Plan scale={scale} />
          <SideLight scale={scale} />
          <Profile scale={scale} />
          <OverOnPlank scale={scale} />
          <Tape scale={scale} />
          <Marks scale={scale} />
          {step === 'bottom' && <BottomStrips scale={scale} />}
        </svg>
      )}
    </div>
  );
}

function Plan({ scale }: { scale: PlankScale }) {
  const { shape, record, step, hook_mm } = useBay();
  const { board } = record;
  const twelves = [12, 24, 36, 48, 60, 72, 84, 96, 108].map((i) => i * INCH_mm).filter((x) => x < board.length_mm);
  const hookHalf = halfBreadthAt(shape.outline, hook_mm);
  const marksHere = step === 'outline' ? markRows(board, 'outline').map((row) => row.x_mm) : [];
  const nearMark = marksHere.some((x) => Math.abs(x - hook_mm) * scale.k < 30);
  return (
    <g>
      {twelves.map((x) => (
        <line
          key={x}
          x1={scale.x(x)}
          x2={scale.x(x)}
          y1={12}
          y2={scale.tapeTop}
          stroke="var(--rule)"
          strokeWidth={1}
          opacity={0.7}
        />
      ))}
      <path d={planPath(shape, scale)} fill="none" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
      <line
        x1={scale.x(shape.outline.end.notch_mm)}
        x2={scale.x(board.length_mm)}
        y1={scale.centre}
        y2={scale.centre}
        stroke="#b7a98a"
        strokeWidth={2}
      />
      {step === 'fins' && <FinsOnPlan scale={scale} />}
      {step === 'rails' && <RailsOnPlan scale={scale} />}
      {hookHalf > 0 && !nearMark && !scale.half && step !== 'bottom' && step !== 'fins' && (
        <DrawnMeasure
          mm={2 * hookHalf}
          x={hook_mm < board.length_mm / 2 ? scale.x(hook_mm) + 10 : scale.x(hook_mm) - 10}
          anchor={hook_mm < board.length_mm / 2 ? 'start' : 'end'}
          y={scale.centre + 34}
          size={20}
          after="wide at the hook"
        />
      )}
    </g>
  );
}

/** Bottom and deck lines over the straightedge. On its own steps stretched, and labelled so. */
function Profile({ scale }: { scale: PlankScale }) {
  const { shape, record, step, hook_mm } = useBay();
  const { board } = record;
  const L = board.length_mm;
  const up = scale.k * scale.stretch;
  const count = 120;
  const stations = Array.from({ length: count + 1 }, (_, i) => (L * (1 - Math.cos((Math.PI * i) / count))) / 2);
  const bottom = stations.map((x) => ({ x: scale.x(x), y: scale.ground - shape.rocker.line.valueAt(x) * up }));
  const deck = stations.map((x, i) => ({ x: scale.x(x), y: bottom[i].y - thicknessAt(shape.foil, x) * up }));
  const path = (points: { x: number; y: number }[]) =>
    points.map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join('L');
  const lift = shape.rocker.line.valueAt(hook_mm);
  const thick = thicknessAt(shape.foil, hook_mm);
  const left = hook_mm < L / 2;
  const quiet = step !== 'rocker' && step !== 'foil';
  return (
    <g className="on-paper">
      <line
        x1={scale.x(0) - 12}
        x2={scale.x(L) + 12}
        y1={scale.ground}
        y2={scale.ground}
        stroke="var(--pencil)"
        strokeWidth={1}
      />
      <path d={`M${path(bottom)}L${path([...deck].reverse())}Z`} fill="var(--board)" stroke="none" />
      <path d={`M${path(bottom)}`} fill="none" stroke="var(--ink)" strokeWidth={step === 'foil' ? 1.4 : 2.2} />
      <path d={`M${path(deck)}`} fill="none" stroke="var(--ink)" strokeWidth={step === 'rocker' ? 1.2 : 2} />
      <line x1={bottom[0].x} x2={deck[0].x} y1={bottom[0].y} y2={deck[0].y} stroke="var(--ink)" strokeWidth={2} />
      {scale.stretch > 1 && (
        <text
          x={scale.x(0)}
          y={scale.height - 8}
          textAnchor="start"
          fontSize={13}
          fontStyle="italic"
          fontFamily="var(--serif)"
          fill="var(--pencil)"
        >
          heights drawn {scale.stretch} times as tall as they are
        </text>
      )}
      {quiet && (
        <>
          <DrawnMeasure
            mm={board.rocker.tailLift_mm}
            x={scale.x(0) + 2}
            y={scale.tapeTop + 52}
            size={18}
            after="tail lift"
          />
          <DrawnMeasure
            mm={board.rocker.noseLift_mm}
            x={scale.x(L) - 4}
            y={scale.ground - 8}
            size={18}
            anchor="end"
            after="nose lift"
          />
        </>
      )}
      {quiet && (
        <>
          <DrawnMeasure
            mm={thick}
            x={left ? scale.x(hook_mm) + 10 : scale.x(hook_mm) - 10}
            y={scale.tapeTop + 52}
            size={18}
            anchor={left ? 'start' : 'end'}
            after="thick at the hook"
          />
          <DrawnMeasure
            mm={lift}
            x={left ? scale.x(hook_mm) + 10 : scale.x(hook_mm) - 10}
            y={scale.tapeTop + 72}
            size={18}
            anchor={left ? 'start' : 'end'}
            after="lift"
          />
        </>
      )}
    </g>
  );
}
