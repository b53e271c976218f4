import { Button, Select, Switch } from 'antd';
import { DRAWING_UNITS, type DrawingUnit, type DrawnPart } from '@june-tide/core/bring';
import { LineThumb } from './LineThumb.tsx';
import type { useMarkedPicture } from './useMarkedPicture.tsx';

/** Fewer marks along a rail tell no rail. */
export const LEAST_MARKS = 6;

interface RailMarksProps {
  marked: ReturnType<typeof useMarkedPicture>;
  /** Marks along the rail so far. */
  count: number;
  snaps: boolean;
  onSnaps: (snaps: boolean) => void;
  onClear: () => void;
}

/** What is known of the picture, and the marks along the rail on it. */
export function RailMarks({ marked, count, snaps, onSnaps, onClear }: RailMarksProps) {
  return (
    <>
      {marked.fields}
      <p className="quiet above-0 below-2">
        Then press along the rail’s line on the picture, from the deck round to the bottom: {LEAST_MARKS} marks or more.
        Delete takes the one in hand off.
      </p>
      <label className="row-of-tools">
        <Switch size="small" checked={snaps} onChange={onSnaps} aria-label="A mark goes to the dark line near it" />
        <span>A mark goes to the dark line near it</span>
      </label>
      {count > 0 && (
        <Button size="small" onClick={onClear}>
          Take all {count} marks of the rail off
        </Button>
      )}
    </>
  );
}

interface RailLinesProps {
  lines: readonly DrawnPart[];
  line: number;
  onLine: (line: number) => void;
}

/** The lines of a drawing, of which one is the rail. */
export function RailLines({ lines, line, onLine }: RailLinesProps) {
  return (
    <ul className="drawn-parts" aria-label="Lines of the drawing">
      {lines.map((part, k) => (
        <li key={k}>
          <LineThumb part={part} />
          <Button size="small" type={k === line ? 'primary' : 'default'} onClick={() => onLine(k)}>
            {k === line ? 'The rail' : `Take line ${k + 1}`}
          </Button>
        </li>
      ))}
    </ul>
  );
}

export function RailUnit({ unit, onUnit }: { unit: DrawingUnit; onUnit: (unit: DrawingUnit) => void }) {
  return (
    <label className="row-of-tools">
      <span>A unit of it is</span>
      <Select<DrawingUnit>
        aria-label="Unit of the points"
        value={unit}
        options={(Object.keys(DRAWING_UNITS) as DrawingUnit[]).map((value) => ({ value, label: value }))}
        onChange={onUnit}
      />
    </label>
  );
}

interface DeckEndProps {
  /** Told by the fit where left out. */
  deckFirst: boolean | undefined;
  onDeckFirst: (deckFirst: boolean | undefined) => void;
}

/** Which end of the points is the deck’s. */
export function DeckEnd({ deckFirst, onDeckFirst }: DeckEndProps) {
  return (
    <Select<'fits' | 'deck' | 'bottom'>
      aria-label="Which end is the deck’s"
      className="fit-all"
      value={deckFirst === undefined ? 'fits' : deckFirst ? 'deck' : 'bottom'}
      options={[
        { value: 'fits', label: 'The deck’s end: as it fits best' },
        { value: 'deck', label: 'The deck’s end comes first' },
        { value: 'bottom', label: 'The bottom’s end comes first' },
      ]}
      onChange={(next) => onDeckFirst(next === 'fits' ? undefined : next === 'deck')}
    />
  );
}
