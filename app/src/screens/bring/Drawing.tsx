import { Button, Select } from 'antd';
import { useMemo, useState } from 'react';
import {
  DRAWING_UNITS,
  type DrawingUnit,
  type DrawnPart,
  LINE_USES,
  type LineUse,
  partsOf,
  readDrawing,
  type Uses,
} from '@june-tide/core/bring';
import type { TailKind } from '@june-tide/core/document';
import { DRAWINGS, drawingToSvg } from '@june-tide/core/files';
import { modelNamed } from '@june-tide/core/models';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { PickFile } from '../../parts/PickFile.tsx';
import { TailSelect } from '../../parts/TailSelect.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { shapeFor } from '../../store/derived.ts';
import { Doors } from './Doors.tsx';
import { Found } from './Found.tsx';
import { LineThumb } from './LineThumb.tsx';
import { Made } from './Made.tsx';
import { Misfits, misfitsSay } from './misfits.tsx';
import { OtherEnd } from './OtherEnd.tsx';
import { Uneven } from './Uneven.tsx';
import { useBring } from './useBring.ts';
import { UsualArea } from './UsualArea.tsx';

const USE_WORDS: Readonly<Record<LineUse, string>> = {
  outline: 'Outline, both rails',
  half: 'Half an outline',
  profile: 'Profile: bottom and deck',
  bottom: 'Bottom line alone',
  none: 'Leave out',
};

interface Opened {
  file: string;
  parts: readonly DrawnPart[];
  /** What the file says its unit is, mm. */
  told_mm: number | undefined;
}

/** More lines than this are not the board's. */
const MOST_SHOWN = 8;

/** A board that is drawn already: SVG or DXF, its outline, its profile. */
export function Drawing() {
  const style = useLengthStyle();
  const [opened, setOpened] = useState<Opened>();
  const [refused, setRefused] = useState<string>();
  const [unit, setUnit] = useState<DrawingUnit>();
  const [uses, setUses] = useState<Uses>({});
  const [turned, setTurned] = useState(false);
  const [tail, setTail] = useState<TailKind>();
  const open = (text: string, file: string) => {
    const read = readDrawing(text);
    if (!read.ok) return setRefused(read.reason);
    setRefused(undefined);
    setUses({});
    setUnit(undefined);
    setOpened({ file, parts: partsOf(read.strokes).slice(0, MOST_SHOWN), told_mm: read.unit_mm });
  };
  const unit_mm = unit ? DRAWING_UNITS[unit] : (opened?.told_mm ?? (opened && likelyUnit(opened.parts)));
  const asked = useMemo(() => {
    if (!opened || unit_mm === undefined) return undefined;
    const name = opened.file.replace(/\.[^.]*$/, '').slice(0, 80) || 'Drawn board';
    return { parts: opened.parts, choices: { name, unit_mm, uses, turned, tail } };
  }, [opened, unit_mm, uses, turned, tail]);
  const state = useBring('drawing', asked);
  const { made } = state;
  return (
    <div className="page">
      <TopBar />
      <main className="measured">
        <section aria-label="The drawing">
          <Doors />
          <h1>Bring in a drawing</h1>
          <p className="quiet above-0 below-2">
            SVG or DXF, at true size: an outline, half of one, a profile with bottom and deck. Its lines are read,
            nothing else of the file.
          </p>
          <div className="row-of-tools">
            <PickFile
              type="primary"
              label="A drawing, SVG or DXF"
              accept=".svg,.dxf,image/svg+xml"
              pick={(file) =>
                void file.text().then(
                  (text) => open(text, file.name),
                  () => setRefused('The file cannot be read from its place.'),
                )
              }
            >
              Open a drawing
            </PickFile>
            <Button
              onClick={() => {
                const board = modelNamed('Kettle');
                if (board) open(drawingToSvg(DRAWINGS.outline.draw(shapeFor(board), style)), 'Kettle, as drawn.svg');
              }}
            >
              Try it with a drawing of ours
            </Button>
          </div>
          {refused !== undefined && (
            <p role="alert" className="trouble">
              {refused}
            </p>
          )}
          {opened && (
            <DrawnFields
              opened={opened}
              unit={unit}
              unit_mm={unit_mm}
              uses={uses}
              turned={turned}
              tail={tail}
              onUnit={setUnit}
              onUses={setUses}
              onTurned={setTurned}
              onTail={setTail}
            />
          )}
        </section>
        <Found found={made?.ok ? made : undefined} />
        <Made
          state={state}
          notes={made?.ok && opened ? `Drawn: ${opened.file}. ${misfitsSay(made.misfits, style)}` : ''}
        >
          {made?.ok && (
            <>
              <Misfits misfits={made.misfits} />
              {made.misfits.some(({ of }) => of === 'outline') && <UsualArea board={made.board} />}
              <p className="quiet">
                {made.misfits.some(({ of }) => of === 'rocker')
                  ? 'No drawing tells rails, contours or fins: they are as on the model that comes nearest.'
                  : 'Rocker, foil, rails, contours and fins are as on the model that comes nearest: bring in a profile as well, or draw them on in the bay.'}
              </p>
              <Uneven plan={made.plan} />
            </>
          )}
        </Made>
      </main>
    </div>
  );
}

interface DrawnFieldsProps {
  opened: Opened;
  unit: DrawingUnit | undefined;
  unit_mm: number | undefined;
  uses: Uses;
  turned: boolean;
  tail: TailKind | undefined;
  onUnit: (unit: DrawingUnit | undefined) => void;
  onUses: (uses: Uses) => void;
  onTurned: (turned: boolean) => void;
  onTail: (tail: TailKind | undefined) => void;
}

/** What each line of a drawing is, its unit, which end is which. */
function DrawnFields({
  opened,
  unit,
  unit_mm,
  uses,
  turned,
  tail,
  onUnit,
  onUses,
  onTurned,
  onTail,
}: DrawnFieldsProps) {
  return (
    <>
      <h3>{opened.file}</h3>
      <ul className="drawn-parts" aria-label="Lines of the drawing">
        {opened.parts.map((part, k) => (
          <li key={k}>
            <LineThumb part={part} />
            <Select<LineUse>
              aria-label={`What line ${k + 1} is`}
              value={uses[k] ?? part.looks}
              options={LINE_USES.map((value) => ({ value, label: USE_WORDS[value] }))}
              onChange={(use) => onUses({ ...uses, [k]: use })}
            />
          </li>
        ))}
      </ul>
      <div className="stack-12">
        <label className="row-of-tools">
          <span>A unit of the drawing is</span>
          <Select<DrawingUnit | 'told'>
            aria-label="Unit of the drawing"
            value={unit ?? (opened.told_mm === undefined ? nameOfUnit(unit_mm) : 'told')}
            options={[
              ...(opened.told_mm === undefined ? [] : [{ value: 'told' as const, label: 'as the file says' }]),
              ...(Object.keys(DRAWING_UNITS) as DrawingUnit[]).map((value) => ({ value, label: value })),
            ]}
            onChange={(value) => onUnit(value === 'told' ? undefined : value)}
          />
        </label>
        {opened.told_mm === undefined && (
          <p className="quiet above-0">The file does not say its unit: this is the one by which it is a board.</p>
        )}
        <OtherEnd of="tail" turned={turned} onTurned={onTurned} />
        <TailSelect className="fit-all" placeholder="Its tail: the one that fits best" value={tail} onChange={onTail} />
      </div>
    </>
  );
}

/** The unit by which the longest line is as long as a board: the first of the usual ones. */
function likelyUnit(parts: readonly DrawnPart[]): number {
  const long = Math.max(0, ...parts.map(({ box }) => Math.max(box.right - box.left, box.high - box.low)));
  const usual: DrawingUnit[] = ['mm', 'in', 'cm', 'm', 'pt', 'px', 'ft'];
  const found = usual.find((unit) => long * DRAWING_UNITS[unit] > 1300 && long * DRAWING_UNITS[unit] < 3700);
  return DRAWING_UNITS[found ?? 'mm'];
}

const nameOfUnit = (unit_mm: number | undefined): DrawingUnit =>
  (Object.keys(DRAWING_UNITS) as DrawingUnit[]).find((unit) => DRAWING_UNITS[unit] === unit_mm) ?? 'mm';
