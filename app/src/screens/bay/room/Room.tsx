import { Button, Select, Switch } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Board } from '@june-tide/core/document';
import { placedFins } from '@june-tide/core/fins';
import { thicknessAt } from '@june-tide/core/foil';
import { lowestAt, stringerLineAt } from '@june-tide/core/measure';
import { sectionRing } from '@june-tide/core/section';
import { sectionAt, type Shape } from '@june-tide/core/shape';
import { type LitMesh, litMesh } from '@june-tide/core/solid';
import { INCH_mm } from '@june-tide/core/units';
import { pngOf, PICTURE_SCALE } from '../../../parts/pagePng.ts';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { useSize } from '../../../parts/useSize.ts';
import { useShed } from '../../../store/shed.ts';
import { Latest } from '../../../workers/latest.ts';
import { solidClient } from '../../../workers/workClient.ts';
import { Silhouettes } from './Silhouettes.tsx';
import { useMaking } from '../steps/useMaking.tsx';
import { useLiveBay } from '../useBay.ts';
import { type Eye, EYES } from './eyes.ts';
import { RoomScene } from './scene.ts';

const EYE_NAMES = Object.keys(EYES) as Eye[];

/** The board in the round, under low side lights, the eye where a shaper puts it. */
export default function Room() {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const scene = useRef<RoomScene>(undefined);
  const { width, height } = useSize(box);
  const { record, shape, hook_mm, over } = useLiveBay();
  const night = useShed((shed) => shed.settings.light === 'night');
  const [eye, setEye] = useState<Eye>('quarter');
  const [stripes, setStripes] = useState(false);
  const [cut, setCut] = useState(false);
  const [failure, setFailure] = useState<string>();
  const { button, holder } = useMaking();
  const solid = useSolid();
  const shown = useRef(false);

  // What hangs on the shape alone: made once for it, however often the hook moves.
  const still = useMemo(() => stillOf(shape), [shape]);
  const others = useMemo(() => (over ? linesOf(over.shape, over.shift_mm) : []), [over]);

  useEffect(() => {
    if (!canvas.current) return;
    try {
      scene.current = new RoomScene(canvas.current);
    } catch (error) {
      setFailure((error instanceof Error ? error.message : String(error)).replace(/^.*: /, '').replace(/\.$/, ''));
    }
    return () => {
      scene.current?.dispose();
      scene.current = undefined;
    };
  }, []);

  useEffect(() => {
    if (width > 0 && height > 0) scene.current?.resize(width, height);
  }, [width, height]);

  useEffect(() => {
    if (!solid || !scene.current) return;
    const section = sectionAt(shape, hook_mm);
    const lift = shape.rocker.line.valueAt(hook_mm);
    scene.current.show({
      ...still,
      board: solid,
      over: others,
      section: section ? sectionRing(section).map((p) => [hook_mm, p.y_mm, p.z_mm + lift]) : [],
      hook_mm,
      cut,
      stripes,
      night,
    });
    if (!shown.current) {
      shown.current = true;
      scene.current.look(eye);
    }
  }, [solid, still, others, shape, hook_mm, cut, stripes, night, eye]);

  return (
    <div className="room" ref={box}>
      {holder}
      <canvas
        ref={canvas}
        data-testid="room"
        data-corners={solid ? solid.triangles.length : 0}
        tabIndex={0}
        aria-label="The board in the round. Drag to turn, wheel to come nearer."
        className={failure === undefined ? 'solid' : 'solid gone'}
      />
      {failure !== undefined && <Silhouettes reason={failure} />}
      {failure === undefined && (
        <div className="room-tools" role="group" aria-label="Eye and light">
          <Select<Eye>
            aria-label="Where the eye is"
            size="small"
            className="fit-176"
            value={eye}
            options={EYE_NAMES.map((value) => ({ value, label: EYES[value] }))}
            onChange={(next) => {
              setEye(next);
              scene.current?.look(next);
            }}
          />
          <Button size="small" onClick={() => scene.current?.look(eye)}>
            Back to this eye
          </Button>
          {button('picture', 'Picture (PNG)', async () => {
            if (!scene.current) return;
            const bytes = await pngOf(scene.current.picture(PICTURE_SCALE));
            saveFile(bytes, `${fileName(record.board.name, String(record.number))}-room.png`, 'image/png');
          })}
          <label>
            <Switch size="small" checked={stripes} onChange={setStripes} aria-label="Stripes of light" /> stripes
          </label>
          <label>
            <Switch size="small" checked={cut} onChange={setCut} aria-label="Cut at the hook" /> cut at the hook
          </label>
        </div>
      )}
    </div>
  );
}

type Point = [number, number, number];

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
    stringer: [deck, bottom].map((at) => xs.slice(1, -1).map((x): Point => [x, 0, at(x)])),
  };
}

/** Another board as lines: a section every 6 in, both rails, the stringer on the deck. */
function linesOf(shape: Shape, shift_mm: number): Point[][] {
  const L = shape.board.length_mm;
  const lines: Point[][] = [];
  const rails: [Point[], Point[]] = [[], []];
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
    const ring = sectionRing(section, 24).map((p): Point => [x + shift_mm, p.y_mm, p.z_mm + lift]);
    lines.push([...ring, ring[0]]);
  }
  return lines;
}

/** The solid of our board from the worker; the last one stays until the next is there. */
function useSolid(): LitMesh | undefined {
  const { board } = useLiveBay().record;
  const [mesh, setMesh] = useState<LitMesh>();
  const [latest] = useState(() => new Latest((of: Board) => solidClient.ask('lit', { board: of }), setMesh));
  useEffect(() => latest.want(board), [latest, board]);
  return mesh;
}
