import { Button } from 'antd';
import { lazy, memo, Suspense, useMemo, useRef } from 'react';
import type { Board } from '@june-tide/core/document';
import { markRows } from '@june-tide/core/edit';
import { type Foil, thicknessAt } from '@june-tide/core/foil';
import { halfBreadthAt } from '@june-tide/core/outline';
import type { Rocker } from '@june-tide/core/rocker';
import { INCH_mm } from '@june-tide/core/units';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { useSize } from '../../parts/useSize.ts';
import { BandsOnPlan } from './BandsOnPlan.tsx';
import { BlankOnPlank, useRoomForBlank } from './BlankOnPlank.tsx';
import { BottomStrips } from './BottomStrips.tsx';
import { DeckOnPlan } from './DeckOnPlan.tsx';
import { DeckLight } from './DeckLight.tsx';
import { useHeldInDrag } from './drag.ts';
import { FeetOnPlan } from './FeetOnPlan.tsx';
import { FinsOnPlan } from './FinsOnPlan.tsx';
import { LinesOnProfile } from './LinesOnProfile.tsx';
import { Marks } from './Marks.tsx';
import { OverOnPlank } from './OverOnPlank.tsx';
import { planPath } from './planPath.ts';
import { RailsOnPlan } from './RailsOnPlan.tsx';
import { liesOn, type PlankFor, type PlankScale, plankScale } from './scale.ts';
import { ReliefOnPlan } from './ReliefOnPlan.tsx';
import { drawTogether, pinRoom, useSession } from './session.ts';
import { SideLight } from './SideLight.tsx';
import { Tape } from './Tape.tsx';
import { WingsOnPlan } from './WingsOnPlan.tsx';
import { type StepKey, useLiveBay } from './useBay.ts';

/** three.js comes only when the room is opened. */
const Room = lazy(() => import('./room/Room.tsx'));

/** Steps that write on the plan where the width at the hook would stand. */
const WRITTEN_ON: ReadonlySet<StepKey> = new Set<StepKey>(['deck', 'bottom', 'fins']);
/** On these something else hangs under the tape than the profile. */
const HANGING: ReadonlySet<StepKey> = new Set<StepKey>(['rails', 'bottom']);

interface PlankProps {
  inRoom: boolean;
  onRoom: (inRoom: boolean) => void;
  /** The bench has the wall: only half the plan and the tape are drawn. */
  strip: boolean;
}

/** The board lying lengthwise: plan, tape and profile, with the marks of the step on the line they belong to. */
export function Plank({ inRoom, onRoom, strip }: PlankProps) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const pinned = useSession((session) => session.pinned);
  const { record, shape, step, hook_mm, moveHook } = useLiveBay();
  const scale = useScale(record.board, strip ? 'strip' : step, width, height);
  const profiled = !strip && !HANGING.has(step);
  const ready = width > 100 && height > 100;
  const path = useMemo(() => (ready ? planPath(shape.outline, scale) : ''), [ready, shape.outline, scale]);
  const swap = (
    <div className="plank-tools">
      {!inRoom && !strip && <Together />}
      {!inRoom && !strip && !pinned && <SmallRoomSwap />}
      <RoomSwap inRoom={inRoom} onRoom={onRoom} />
    </div>
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
      {ready && <DeckLight scale={scale} path={path} />}
      {ready && (
        <svg width={width} height={height} role="group" aria-label="The board: plan, tape and profile">
          <Plan scale={scale} path={path} />
          <SideLight scale={scale} />
          {profiled && (
            <Profile
              scale={scale}
              rocker={shape.rocker}
              foil={shape.foil}
              length_mm={record.board.length_mm}
              noseLift_mm={record.board.rocker.noseLift_mm}
              tailLift_mm={record.board.rocker.tailLift_mm}
              hook_mm={hook_mm}
              step={step}
            />
          )}
          {profiled && <LinesOnProfile scale={scale} />}
          <OverOnPlank scale={scale} profiled={profiled} />
          <Tape scale={scale} length_mm={record.board.length_mm} hook_mm={hook_mm} moveHook={moveHook} />
          <Marks scale={scale} />
          {step === 'outline' && <WingsOnPlan scale={scale} />}
          {step === 'rails' && <RailsOnPlan scale={scale} />}
          {step === 'make' && !strip && <BandsOnPlan scale={scale} />}
          {step === 'make' && !strip && <BlankOnPlank scale={scale} />}
          {step === 'bottom' && <ReliefOnPlan scale={scale} />}
          {step === 'bottom' && <BottomStrips scale={scale} />}
        </svg>
      )}
    </div>
  );
}

/**
 * The plank's scale, the same object as long as nothing it depends on changes. While a mark is pulled it is held as long as the board
 * lies on it whole: the line stays under the hand, and only what is pulled moves.
 */
function useScale(board: Board, step: PlankFor, width: number, height: number): PlankScale {
  const around = useRoomForBlank();
  const { length_mm, outline, rocker, foil } = board;
  const tallest_mm = Math.max(
    rocker.noseLift_mm + foil.noseTip_mm,
    rocker.tailLift_mm + foil.tailTip_mm,
    foil.thickness_mm,
  );
  const extent = { length_mm, width_mm: outline.width_mm, tallest_mm };
  const fitted = useMemo(
    () => ({
      scale: plankScale({ length_mm, width_mm: outline.width_mm, tallest_mm }, step, width, height, around),
      step,
      around,
    }),
    [length_mm, outline.width_mm, tallest_mm, step, width, height, around],
  );
  return useHeldInDrag(
    fitted,
    (held) =>
      held.step === step &&
      held.around === around &&
      held.scale.width === width &&
      held.scale.height === height &&
      liesOn(held.scale, extent),
  ).scale;
}

const RoomSwap = memo(function RoomSwap({ inRoom, onRoom }: { inRoom: boolean; onRoom: (inRoom: boolean) => void }) {
  return (
    <Button size="small" aria-pressed={inRoom} onClick={() => onRoom(!inRoom)}>
      {inRoom ? 'Back to the drawing' : 'Into the room'}
    </Button>
  );
});

/** The board in the round beside its drawing. */
function SmallRoomSwap() {
  return (
    <Button size="small" title="The board in the round beside the drawing: key P" onClick={() => pinRoom(true)}>
      Small room
    </Button>
  );
}

/** Feet, pad, plug, fins and the bottom's places, drawn together or not. */
function Together() {
  const together = useSession((session) => session.together);
  return (
    <Button
      size="small"
      aria-pressed={together}
      title="Feet, pad, plug, fins, deepest concave and flat point on the plan: key F"
      onClick={() => drawTogether(!together)}
    >
      Feet and fins
    </Button>
  );
}

function Plan({ scale, path }: { scale: PlankScale; path: string }) {
  const { shape, record, step, hook_mm } = useLiveBay();
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
      <path d={path} fill="none" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
      <line
        x1={scale.x(shape.outline.end.notch_mm)}
        x2={scale.x(board.length_mm)}
        y1={scale.centre}
        y2={scale.centre}
        stroke="#b7a98a"
        strokeWidth={2}
      />
      {step === 'fins' && <FinsOnPlan scale={scale} />}
      <FeetOnPlan scale={scale} />
      {step === 'deck' && <DeckOnPlan scale={scale} />}
      {hookHalf > 0 && !nearMark && !scale.half && !WRITTEN_ON.has(step) && (
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

interface ProfileProps {
  scale: PlankScale;
  rocker: Rocker;
  foil: Foil;
  length_mm: number;
  noseLift_mm: number;
  tailLift_mm: number;
  hook_mm: number;
  step: StepKey;
}

/** Bottom and deck lines over the straightedge. On its own steps stretched, and labelled so. */
const Profile = memo(function Profile({
  scale,
  rocker,
  foil,
  length_mm: L,
  noseLift_mm,
  tailLift_mm,
  hook_mm,
  step,
}: ProfileProps) {
  const up = scale.k * scale.stretch;
  const count = 120;
  const stations = Array.from({ length: count + 1 }, (_, i) => (L * (1 - Math.cos((Math.PI * i) / count))) / 2);
  const bottom = stations.map((x) => ({ x: scale.x(x), y: scale.ground - rocker.line.valueAt(x) * up }));
  const deck = stations.map((x, i) => ({ x: scale.x(x), y: bottom[i].y - thicknessAt(foil, x) * up }));
  const path = (points: { x: number; y: number }[]) =>
    points.map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join('L');
  const lift = rocker.line.valueAt(hook_mm);
  const thick = thicknessAt(foil, hook_mm);
  const left = hook_mm < L / 2;
  // On a low plank there is no room to write beside the profile.
  const quiet = step !== 'rocker' && step !== 'foil' && scale.height > 380;
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
          <DrawnMeasure mm={tailLift_mm} x={scale.x(0) + 2} y={scale.tapeTop + 52} size={18} after="tail lift" />
          <DrawnMeasure
            mm={noseLift_mm}
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
});
