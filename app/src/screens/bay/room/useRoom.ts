import { useEffect, useMemo, useRef } from 'react';
import { finishRead } from '@june-tide/core/make';
import { halfBreadthAt } from '@june-tide/core/outline';
import { sectionRing } from '@june-tide/core/section';
import { sectionAt, type Shape } from '@june-tide/core/shape';
import type { LitMesh } from '@june-tide/core/solid';
import { INCH_mm } from '@june-tide/core/units';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { useShed } from '../../../store/shed.ts';
import { useLiveBay } from '../useBay.ts';
import type { Eye } from './eyes.ts';
import type { OtherSolid, Place } from './scene.ts';
import type { Skin } from './skins.ts';
import { stillOf } from './still.ts';
import { type InScene, useScene } from './useScene.ts';
import { useSolid } from './useSolid.ts';

/** How the other board of the bay is shown in the room. */
export type OtherAs = 'lines' | 'through' | 'beside';

/** How one looks at the board. */
export interface Look {
  eye: Eye;
  skin: Skin;
  /** Stripes are turned so far from across the board. */
  turn_rad: number;
  cut: boolean;
  other: OtherAs;
  marks: readonly Place[];
}

interface InRoom extends InScene {
  /** Corners of triangles in sight; 0 before there are any. */
  corners: number;
  /** Lines of height are so far apart. */
  apart_mm: number;
}

const NO_LINES: readonly Place[][] = [];

/** A room on a canvas, kept to the board on the stand. */
export function useRoom(look: Look): InRoom {
  const shown = useRef(false);
  const inScene = useScene(() => (shown.current = false));
  const { scene, tries } = inScene;
  const { record, shape, hook_mm, over } = useLiveBay();
  const night = useShed((shed) => shed.settings.light === 'night');
  const { kind } = useLengthStyle();
  const apart_mm = kind === 'cm' || kind === 'mm' ? 5 : INCH_mm / 4;
  const solid = useSolid(record.board);
  const otherMesh = useSolid(look.other !== 'lines' && over ? over.board : undefined);

  // What hangs on the shape alone: made once for it, however often the hook moves.
  const still = useMemo(() => stillOf(shape), [shape]);
  const other = useMemo((): OtherSolid | undefined => {
    if (!otherMesh || !over || look.other === 'lines') return undefined;
    const aside_mm = (shape.board.outline.width_mm + over.board.outline.width_mm) / 2 + APART_mm;
    return { board: otherMesh, shift_mm: over.shift_mm, lies: look.other, aside_mm };
  }, [otherMesh, over, look.other, shape]);
  const lines = useMemo(
    () => (over && look.other === 'lines' ? linesOf(over.shape, over.shift_mm) : NO_LINES),
    [over, look.other],
  );

  const finish = useMemo(() => finishRead(record.colours ?? ''), [record.colours]);
  const coloured = finish.tint !== undefined || finish.pinline !== undefined;
  const fromRail = useMemo(() => (solid && coloured ? inFromRail(solid, shape) : undefined), [solid, coloured, shape]);

  const { skin, turn_rad, cut, marks, eye } = look;
  useEffect(() => {
    if (!solid || !scene.current) return;
    const section = sectionAt(shape, hook_mm);
    const lift = shape.rocker.line.valueAt(hook_mm);
    scene.current.show({
      ...still,
      beside_mm: other?.lies === 'beside' ? other.aside_mm : 0,
      board: solid,
      over: lines,
      other,
      section: section ? sectionRing(section).map((p) => [hook_mm, p.y_mm, p.z_mm + lift]) : [],
      hook_mm,
      cut,
      skin,
      turn_rad,
      apart_mm,
      marks,
      night,
      finish,
      fromRail,
    });
    if (!shown.current) {
      shown.current = true;
      scene.current.look(eye);
    }
  }, [
    solid,
    still,
    lines,
    other,
    shape,
    hook_mm,
    cut,
    skin,
    turn_rad,
    apart_mm,
    marks,
    night,
    finish,
    fromRail,
    eye,
    scene,
    tries,
  ]);

  // Where a board lies beside it, or another eye is taken, the eye goes there; the first time above.
  const lies = other?.lies;
  useEffect(() => {
    if (shown.current) scene.current?.look(eye);
  }, [eye, lies, scene]);

  return { ...inScene, corners: solid?.triangles.length ?? 0, apart_mm };
}

/** How far in from the rail each corner of a solid is, mm. */
function inFromRail({ positions }: LitMesh, { outline }: Shape): Float32Array {
  return Float32Array.from(
    { length: positions.length / 3 },
    (_, i) => halfBreadthAt(outline, positions[3 * i]) - Math.abs(positions[3 * i + 1]),
  );
}

/** Between two boards that lie beside one another. */
const APART_mm = 80;

/** Another board as lines: a section every 6 in, both rails, the stringer on the deck. */
function linesOf(shape: Shape, shift_mm: number): Place[][] {
  const L = shape.board.length_mm;
  const lines: Place[][] = [];
  const rails: [Place[], Place[]] = [[], []];
  const count = 90;
  for (let k = 0; k <= count; k++) {
    const x = (L * (1 - Math.cos((Math.PI * k) / count))) / 2;
    const section = sectionAt(shape, x);
    if (!section) continue;
    const z = shape.rocker.line.valueAt(x) + section.apex_mm;
    rails[0].push([x + shift_mm, section.half_mm, z]);
    rails[1].push([x + shift_mm, -section.half_mm, z]);
  }
  lines.push(...rails);
  for (let x = 6 * INCH_mm; x < L; x += 6 * INCH_mm) {
    const section = sectionAt(shape, x);
    if (!section) continue;
    const lift = shape.rocker.line.valueAt(x);
    const ring = sectionRing(section, 24).map((p): Place => [x + shift_mm, p.y_mm, p.z_mm + lift]);
    lines.push([...ring, ring[0]]);
  }
  return lines;
}
