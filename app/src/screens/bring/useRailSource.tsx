import { Button, Input } from 'antd';
import { type ReactNode, useMemo, useState } from 'react';
import {
  DRAWING_UNITS,
  type DrawingUnit,
  type DrawnPart,
  madeUpGauge,
  markedOnPlane,
  onDarkLine,
  partsOf,
  type Point,
  readDrawing,
  readPoints,
  type Stroke,
  USUAL_GAUGE,
} from '@june-tide/core/bring';
import { modelNamed } from '@june-tide/core/models';
import type { Shape } from '@june-tide/core/shape';
import { PickFile } from '../../parts/PickFile.tsx';
import { shapeFor } from '../../store/derived.ts';
import type { PhotoStandProps } from './PhotoStand.tsx';
import { DeckEnd, LEAST_MARKS, RailLines, RailMarks, RailUnit } from './railSourceParts.tsx';
import { readPicture } from './readPicture.ts';
import { useMarkedPicture } from './useMarkedPicture.tsx';
import { withMore } from './withMore.ts';

type Way = 'picture' | 'drawing' | 'points';

interface RailSource {
  /** What was gauged, mm. */
  stroke: Stroke | undefined;
  /** Which way it runs; told by the fit where left out. */
  deckFirst: boolean | undefined;
  /** Why there is nothing, where something was opened. */
  note: string | undefined;
  fields: ReactNode;
  stand: Omit<PhotoStandProps, 'seen'> | undefined;
}

/** A sheet of squared paper, and a hand's ruler. */
const FIRST_SIZES = { width_mm: 200, height_mm: 150, apart_mm: 100 };
/** A mark goes to a dark line no farther off than this share of the picture. */
const REACH = 0.008;
const MOST_LINES = 8;

/** A made-up gauge is of this board, at the place the other's is. */
const OTHER = 'Kettle';

/** Where a rail's points come from: marks on a picture, a line of a drawing, a list. */
export function useRailSource(shape: Shape, place_mm: number): RailSource {
  const [way, setWay] = useState<Way>();
  const [refused, setRefused] = useState<string>();
  const [deckFirst, setDeckFirst] = useState<boolean>();
  const [unit, setUnit] = useState<DrawingUnit>();
  const [lines, setLines] = useState<readonly DrawnPart[]>([]);
  const [line, setLine] = useState(0);
  const [text, setText] = useState('');
  const [rail, setRail] = useState<readonly Point[]>([]);
  const [snaps, setSnaps] = useState(true);
  const marked = useMarkedPicture(
    FIRST_SIZES,
    'For a picture taken square on: two marks of a ruler laid beside, as far apart as you can.',
  );
  const { picture, known } = marked;
  const open = (next: Way) => {
    setWay(next);
    setRefused(undefined);
    setUnit(undefined);
    setDeckFirst(undefined);
  };
  const openFile = async (file: File) => {
    if (/\.(svg|dxf)$/i.test(file.name)) {
      const read = readDrawing(await file.text());
      if (!read.ok) return setRefused(read.reason);
      open('drawing');
      setLines(partsOf(read.strokes).slice(0, MOST_LINES));
      setLine(0);
      return;
    }
    const read = await readPicture(file);
    if (!read.ok) return setRefused(read.reason);
    open('picture');
    setRail([]);
    marked.begin(read.picture, file.name);
  };
  const typed = useMemo(() => (way === 'points' && text.trim() !== '' ? readPoints(text) : undefined), [way, text]);
  const seen = useMemo(
    () => (way === 'picture' && picture && known && rail.length > 0 ? markedOnPlane(picture, known, rail) : undefined),
    [way, picture, known, rail],
  );
  const raw = useMemo((): Stroke | undefined => {
    if (way === 'picture') {
      return seen?.ok && seen.points.length >= LEAST_MARKS ? { points: seen.points, closed: false } : undefined;
    }
    if (way === 'drawing') return lines[line]?.stroke;
    return typed?.ok ? { points: typed.points, closed: false } : undefined;
  }, [way, seen, lines, line, typed]);
  const unit_mm = way === 'picture' ? 1 : unit ? DRAWING_UNITS[unit] : likelyUnit(raw);
  const stroke = useMemo(
    () => raw && { ...raw, points: raw.points.map(({ x, y }) => ({ x: x * unit_mm, y: y * unit_mm })) },
    [raw, unit_mm],
  );
  const fields = (
    <>
      <div className="row-of-tools">
        <PickFile
          type="primary"
          label="A picture or a drawing of a rail"
          accept="image/png,image/jpeg,image/webp,.heic,.svg,.dxf"
          pick={(file) => void openFile(file).catch(() => setRefused('The file cannot be read from its place.'))}
        >
          Open a picture or a drawing
        </PickFile>
        <Button onClick={() => open('points')}>Type points</Button>
        <Button
          onClick={() => {
            const other = modelNamed(OTHER);
            const from = other && shapeFor(other);
            const gauge =
              from && madeUpGauge(from, (place_mm / shape.board.length_mm) * from.board.length_mm, USUAL_GAUGE);
            if (!gauge) return setRefused('Nothing can be gauged at the very tip: take a place farther in.');
            open('points');
            setUnit('mm');
            setText(gauge.points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('\n'));
          }}
        >
          Try it with a made-up gauge
        </Button>
      </div>
      {refused !== undefined && (
        <p role="alert" className="trouble">
          {refused}
        </p>
      )}
      {way === 'picture' && (
        <RailMarks marked={marked} count={rail.length} snaps={snaps} onSnaps={setSnaps} onClear={() => setRail([])} />
      )}
      {way === 'drawing' && <RailLines lines={lines} line={line} onLine={setLine} />}
      {way === 'points' && (
        <Input.TextArea
          aria-label="Points of the rail"
          placeholder={'Across and up, a point to a line, from the deck round to the bottom:\n0 52\n31.5 49'}
          rows={9}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      )}
      {way !== undefined && way !== 'picture' && <RailUnit unit={unit ?? nameOf(unit_mm)} onUnit={setUnit} />}
      {way !== undefined && <DeckEnd deckFirst={deckFirst} onDeckFirst={setDeckFirst} />}
    </>
  );
  const stand =
    way === 'picture' && picture
      ? withMore(marked, rail, setRail, 'Rail mark', (p) =>
          snaps ? onDarkLine(picture, p, Math.max(4, REACH * picture.width)) : p,
        )
      : undefined;
  const note =
    (typed && !typed.ok ? typed.reason : undefined) ??
    (seen && !seen.ok ? seen.reason : undefined) ??
    (seen?.ok && seen.points.length < LEAST_MARKS
      ? `${rail.length} of at least ${LEAST_MARKS} marks along the rail.`
      : undefined) ??
    (way === 'drawing' && lines.length === 0 ? 'There is no line in the drawing that could be a rail.' : undefined);
  return { stroke, deckFirst, note, fields, stand };
}

/** The first of the usual units by which what was gauged is as large as a rail or a whole section. */
function likelyUnit(stroke: Stroke | undefined): number {
  if (!stroke || stroke.points.length === 0) return 1;
  const xs = stroke.points.map(({ x }) => x);
  const ys = stroke.points.map(({ y }) => y);
  const size = Math.hypot(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  const usual: DrawingUnit[] = ['mm', 'in', 'cm', 'pt', 'px', 'm'];
  const found = usual.find((unit) => size * DRAWING_UNITS[unit] > 25 && size * DRAWING_UNITS[unit] < 700);
  return DRAWING_UNITS[found ?? 'mm'];
}

const nameOf = (unit_mm: number): DrawingUnit =>
  (Object.keys(DRAWING_UNITS) as DrawingUnit[]).find((unit) => DRAWING_UNITS[unit] === unit_mm) ?? 'mm';
