import { type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import type { Board } from '@june-tide/core/document';
import { placedFins } from '@june-tide/core/fins';
import { thicknessAt } from '@june-tide/core/foil';
import { lowestAt, stringerLineAt } from '@june-tide/core/measure';
import { sectionRing } from '@june-tide/core/section';
import { sectionAt, type Shape } from '@june-tide/core/shape';
import { type LitMesh, litMesh } from '@june-tide/core/solid';
import { INCH_mm } from '@june-tide/core/units';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { useSize } from '../../../parts/useSize.ts';
import { useShed } from '../../../store/shed.ts';
import { Latest } from '../../../workers/latest.ts';
import { solidClient } from '../../../workers/workClient.ts';
import { useLiveBay } from '../useBay.ts';
import type { Eye } from './eyes.ts';
import { type OtherSolid, type Place, RoomScene } from './scene.ts';
import type { Skin } from './skins.ts';

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

interface InRoom {
  box: RefObject<HTMLDivElement | null>;
  canvas: RefObject<HTMLCanvasElement | null>;
  scene: RefObject<RoomScene | undefined>;
  /** Corners of triangles in sight; 0 before there are any. */
  corners: number;
  /** Lines of height are so far apart. */
  apart_mm: number;
  /** Why there is no room. */
  failure: string | undefined;
  /** Opens it once more, on a canvas of its own; how often that was is its key. */
  again: () => void;
  tries: number;
}

const NO_LINES: readonly Place[][] = [];

/** A room on a canvas, kept to the board on the stand. */
export function useRoom(look: Look): InRoom {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const scene = useRef<RoomScene>(undefined);
  const { width, height } = useSize(box);
  const { record, shape, hook_mm, over } = useLiveBay();
  const night = useShed((shed) => shed.settings.light === 'night');
  const { kind } = useLengthStyle();
  const apart_mm = kind === 'cm' || kind === 'mm' ? 5 : INCH_mm / 4;
  const [failure, setFailure] = useState<string>();
  const [tries, setTries] = useState(0);
  const solid = useSolid(record.board);
  const otherMesh = useSolid(look.other !== 'lines' && over ? over.board : undefined);
  const shown = useRef(false);

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

  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    try {
      scene.current = new RoomScene(element);
    } catch (error) {
      setFailure((error instanceof Error ? error.message : String(error)).replace(/^.*: /, '').replace(/\.$/, ''));
    }
    const lost = () => setFailure('the browser took its graphics away');
    element.addEventListener('webglcontextlost', lost);
    return () => {
      element.removeEventListener('webglcontextlost', lost);
      scene.current?.dispose();
      scene.current = undefined;
      shown.current = false;
    };
  }, [tries]);

  useEffect(() => {
    if (width > 0 && height > 0) scene.current?.resize(width, height);
  }, [width, height, tries]);

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
    });
    if (!shown.current) {
      shown.current = true;
      scene.current.look(eye);
    }
  }, [solid, still, lines, other, shape, hook_mm, cut, skin, turn_rad, apart_mm, marks, night, eye, tries]);

  // Where a board lies beside it, or another eye is taken, the eye goes there; the first time above.
  const lies = other?.lies;
  useEffect(() => {
    if (shown.current) scene.current?.look(eye);
  }, [eye, lies]);

  const again = () => {
    setFailure(undefined);
    setTries(tries + 1);
  };
  return { box, canvas, scene, corners: solid?.triangles.length ?? 0, apart_mm, failure, again, tries };
}

/** Between two boards that lie beside one another. */
const APART_mm = 80;

/** What of a room hangs on the shape alone. */
function stillOf(shape: Shape) {
  const { length_mm, outline } = shape.board;
  const bottom = (x: number) => stringerLineAt(shape, x);
  const deck = (x: number) => bottom(x) + thicknessAt(shape.foil, x);
  const xs = Array.from(
    { length: 121 },
    (_, k) => shape.outline.end.notch_mm + ((length_mm - shape.outline.end.notch_mm) * k) / 120,
  );
  return {
    length_mm,
    width_mm: outline.width_mm,
    top_mm: Math.max(...xs.map(deck)),
    heights_mm: [0.24, 0.72].map((share) => lowestAt(shape, share * length_mm)) as [number, number],
    fins: placedFins(shape).map((fin) => litMesh(fin)),
    stringer: [deck, bottom].map((at) => xs.slice(1, -1).map((x): Place => [x, 0, at(x)])),
  };
}

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

/** The solid of a board from the worker; the last one stays until the next is there. None for none. */
function useSolid(board: Board | undefined): LitMesh | undefined {
  const [mesh, setMesh] = useState<LitMesh>();
  const [latest] = useState(() => new Latest((of: Board) => solidClient.ask('lit', { board: of }), setMesh));
  useEffect(() => {
    if (board) latest.want(board);
  }, [latest, board]);
  return board && mesh;
}
