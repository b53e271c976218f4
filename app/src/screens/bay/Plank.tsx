import { Button } from 'antd';
import { type KeyboardEvent, lazy, Suspense, useEffect, useRef } from 'react';
import {
  type DeckShade,
  distanceFrom,
  halfBreadthAt,
  INCH_mm,
  type MarkRow,
  markRows,
  outlinePoints,
  thicknessAt,
  withMarkAt,
  withMarkValue,
} from '@june-tide/core';
import { nudgeOf } from '../../parts/LengthField.tsx';
import { DrawnMeasure, useLengthStyle } from '../../parts/Measure.tsx';
import { useSize } from '../../parts/useSize.ts';
import { editBoard } from '../../store/shed.ts';
import { solidClient } from '../../workers/solidClient.ts';
import { BottomStrips } from './BottomStrips.tsx';
import { startDrag } from './drag.ts';
import { FinsOnPlan } from './FinsOnPlan.tsx';
import { OverOnPlank } from './OverOnPlank.tsx';
import { RailsOnPlan } from './RailsOnPlan.tsx';
import { type PlankScale, plankScale } from './scale.ts';
import { SideLight } from './SideLight.tsx';
import { Tape } from './Tape.tsx';
import { curveOf, useBay } from './useBay.ts';

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

function planPath(shape: ReturnType<typeof useBay>['shape'], scale: PlankScale): string {
  const points = outlinePoints(shape.outline, 200);
  const upper = points.map((p) => `${scale.x(p.x_mm).toFixed(2)} ${(scale.centre - p.y_mm * scale.k).toFixed(2)}`);
  if (scale.half) return `M${upper.join('L')}Z`;
  const lower = points
    .map((p) => `${scale.x(p.x_mm).toFixed(2)} ${(scale.centre + p.y_mm * scale.k).toFixed(2)}`)
    .reverse();
  return `M${upper.join('L')}L${lower.join('L')}Z`;
}

const images = new WeakMap<DeckShade, { tone: string; image: HTMLCanvasElement }>();

/** A shade as a picture in the colours of the light in the bay; made once for each. */
function shadeImage(light: DeckShade, styles: CSSStyleDeclaration): HTMLCanvasElement | undefined {
  const dark = styles.getPropertyValue('--shade-dark');
  const strength = Number(styles.getPropertyValue('--shade-strength'));
  const tone = `${dark}/${strength}`;
  const made = images.get(light);
  if (made?.tone === tone) return made.image;
  const image = document.createElement('canvas');
  image.width = light.columns;
  image.height = light.rows;
  const brush = image.getContext('2d');
  if (!brush) return undefined;
  const [r, g, b] = dark.split(',').map(Number);
  const data = brush.createImageData(light.columns, light.rows);
  for (let i = 0; i < light.tone.length; i++) {
    data.data[4 * i] = r;
    data.data[4 * i + 1] = g;
    data.data[4 * i + 2] = b;
    data.data[4 * i + 3] = (255 - light.tone[i]) * strength;
  }
  brush.putImageData(data, 0, 0);
  images.set(light, { tone, image });
  return image;
}

/** The deck under two low lamps, shaded by the worker from the exact sections; the outline in front is always current. */
function DeckLight({ scale }: { scale: PlankScale }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { shape, record } = useBay();
  const shade = useRef<DeckShade>(undefined);
  const asked = useRef({ busy: false, board: record.board, wanted: record.board });
  const path = planPath(shape, scale);

  const paint = () => {
    const element = canvas.current;
    const pen = element?.getContext('2d');
    if (!element || !pen) return;
    const ratio = window.devicePixelRatio || 1;
    element.width = Math.round(scale.width * ratio);
    element.height = Math.round(scale.height * ratio);
    pen.setTransform(ratio, 0, 0, ratio, 0, 0);
    const styles = getComputedStyle(document.documentElement);
    const outline = new Path2D(path);
    // A soft shadow from three thin ones: a blurred one costs a frame on machines without a graphics card.
    pen.fillStyle = 'rgba(40, 34, 20, 0.07)';
    for (const off of [2, 4, 6]) {
      pen.translate(0, off);
      pen.fill(outline);
      pen.translate(0, -off);
    }
    pen.fillStyle = styles.getPropertyValue('--board');
    pen.fill(outline);
    const light = shade.current;
    if (!light) return;
    const image = shadeImage(light, styles);
    if (!image) return;
    pen.save();
    pen.clip(outline);
    const x = scale.x(0);
    const w = record.board.length_mm * scale.k;
    const h = (record.board.outline.width_mm / 2) * scale.k;
    pen.translate(x, scale.centre);
    if (!scale.half) pen.drawImage(image, 0, 0, w, h);
    pen.scale(1, -1);
    pen.globalAlpha = scale.half ? 0.8 : 0.35;
    pen.drawImage(image, 0, 0, w, h);
    pen.restore();
  };

  useEffect(() => {
    paint();
    const state = asked.current;
    state.wanted = record.board;
    const columns = Math.round(Math.min(1400, record.board.length_mm * scale.k));
    const rows = Math.round((record.board.outline.width_mm / 2) * scale.k);
    const ask = () => {
      if (state.busy) return;
      state.busy = true;
      const { wanted } = state;
      state.board = wanted;
      solidClient
        .ask({ kind: 'shade', board: wanted, columns, rows })
        .then((answer) => {
          if (answer.kind === 'shade') shade.current = answer.shade;
          paint();
        })
        // The plan stays unshaded: every number is still right, and the next change asks again.
        .catch(() => undefined)
        .finally(() => {
          state.busy = false;
          if (state.wanted !== state.board) ask();
        });
    };
    ask();
  });
  return <canvas ref={canvas} style={{ width: scale.width, height: scale.height }} aria-hidden="true" />;
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

interface Handle {
  row: MarkRow;
  x: number;
  y: number;
  /** The mirrored one on the lower rail. */
  y2?: number;
  /** Pixels on screen for a mm of the mark's number, along the screen's y. */
  pixels: number;
}

/** The step's marks on their line: drag up and down for the number, sideways for those that slide. */
function Marks({ scale }: { scale: PlankScale }) {
  const { shape, record, step, held, hold, moveHook } = useBay();
  const style = useLengthStyle();
  const curve = curveOf(step);
  if (!curve) return null;
  const { board } = record;
  const up = scale.k * scale.stretch;
  const handles = markRows(board, curve).map((row): Handle => {
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

  const labels = labelled(handles);
  return (
    <g className={curve === 'outline' ? '' : 'on-paper'}>
      {handles.map((handle, i) => {
        const { row, x, y } = handle;
        const isHeld = held === row.key;
        const grid = nudgeOf(style, { shiftKey: false, altKey: false });
        const snap = (value: number) => Math.round(value / grid) * grid;
        const onKey = (event: KeyboardEvent) => {
          const nudge = nudgeOf(style, event);
          const vertical = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
          const along = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
          if (vertical !== 0 && row.valued) setValue(row, row.value_mm + vertical * nudge, `nudge:${row.key}`);
          else if (along !== 0 && row.movable) {
            const sense = row.from === 'nose' ? -1 : 1;
            slide(row, row.at_mm + sense * along * nudge, `slide:${row.key}`);
          } else return;
          event.preventDefault();
          event.stopPropagation();
        };
        const grab = (sign: 1 | -1) => (event: React.PointerEvent<SVGElement>) => {
          hold(row.key);
          moveHook(row.x_mm);
          event.currentTarget.focus();
          startDrag(event, {
            onMove: (dx, dy, key) => {
              const sideways =
                row.movable &&
                Math.abs(dx) > Math.abs(dy) &&
                (row.key === 'wide' || row.key === 'flat' || row.key === 'thickest');
              if (sideways) slide(row, snap(distanceFrom(row.from, row.x_mm + dx / scale.k, shape.anchors)), key);
              else if (row.valued) setValue(row, snap(row.value_mm - (sign * dy) / handle.pixels), key);
            },
          });
        };
        return (
          <g key={row.key}>
            {handle.y2 !== undefined && row.key !== 'block' && (
              <g stroke="var(--on-board)" strokeWidth={1} pointerEvents="none">
                <line x1={x} x2={x} y1={y + 8} y2={handle.y2 - 8} />
                <path
                  d={`M${x} ${y + 7}l-3.5 9h7zM${x} ${handle.y2 - 7}l-3.5 -9h7z`}
                  fill="var(--on-board)"
                  stroke="none"
                />
              </g>
            )}
            {(handle.y2 === undefined || scale.half ? [y] : [y, handle.y2]).map((at, side) => (
              <g
                key={side}
                role="slider"
                tabIndex={side === 0 ? 0 : -1}
                aria-label={side === 0 ? `${row.label}, mark on the ${curve}` : `${row.label}, the other rail`}
                aria-valuenow={Math.round(row.value_mm)}
                aria-valuemin={0}
                aria-valuemax={1500}
                aria-orientation="vertical"
                className={`mark${isHeld ? ' held' : ''}`}
                data-mark={`${curve}.${row.key}${side === 1 ? '.far' : ''}`}
                onPointerDown={grab(side === 0 ? 1 : -1)}
                onFocus={() => hold(row.key)}
                onKeyDown={onKey}
              >
                <circle className="grab" cx={x} cy={at} r={20} />
                <circle className="ring" cx={x} cy={at} r={isHeld ? 7 : 5} />
                <path
                  d={`M${x - 5} ${at}h10M${x} ${at - 5}v10`}
                  stroke={isHeld ? 'var(--coral)' : 'var(--on-board)'}
                  strokeWidth={1}
                  pointerEvents="none"
                />
              </g>
            ))}
            <DrawnMeasure
              mm={row.valued ? row.value_mm : row.at_mm}
              x={labels[i].x}
              y={labels[i].y}
              size={20}
              anchor={labels[i].anchor}
              held={isHeld}
              after={curve === 'outline' ? undefined : row.label.toLowerCase()}
            />
            {curve === 'outline' && (
              <text
                x={labels[i].x}
                y={labels[i].y + 19}
                textAnchor={labels[i].anchor}
                fontSize={15}
                fontStyle="italic"
                fontFamily="var(--serif)"
                className="drawn"
                style={{ fill: isHeld ? '#a52f1b' : 'var(--on-board-quiet)' }}
              >
                {row.label.toLowerCase()}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );

  /** Where each number stands: on the board for the plan, over its mark on the profile; neighbours step aside. */
  function labelled(all: readonly Handle[]): { x: number; y: number; anchor: 'start' | 'middle' | 'end' }[] {
    const placed: { x: number; y: number; anchor: 'start' | 'middle' | 'end' }[] = [];
    for (const { row, x, y } of all) {
      const edge = row.x_mm < 100 ? 'start' : row.x_mm > board.length_mm - 100 ? 'end' : 'middle';
      const shift = edge === 'start' ? 10 : edge === 'end' ? -10 : 0;
      let at = curve === 'outline' ? scale.centre - 42 : y - (curve === 'rocker' ? 14 : 16);
      if (curve === 'outline' && row.key === 'block') at = scale.centre + 6;
      if (curve === 'rocker') at = Math.min(y + 26, scale.ground + 16) - (row.key === 'flat' ? 0 : 46);
      while (placed.some((other) => Math.abs(other.x - (x + shift)) < 74 && Math.abs(other.y - at) < 34)) {
        at += curve === 'outline' ? 46 : -24;
      }
      placed.push({ x: x + shift, y: at, anchor: edge });
    }
    return placed;
  }
}
