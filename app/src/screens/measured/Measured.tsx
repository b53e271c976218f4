import { Button, Input, Select } from 'antd';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { readByHand, ROUGH_HANDS } from '@june-tide/core/bring';
import { TAIL_KINDS, TAIL_WORDS, type TailKind } from '@june-tide/core/document';
import {
  furthestOff,
  type Residual,
  TAPE_READINGS,
  TAPE_SHEET,
  type TapeReading,
  tapeTrouble,
} from '@june-tide/core/files/packages';
import { modelNamed } from '@june-tide/core/models';
import { formatLength, formatLitres, parseLength } from '@june-tide/core/units';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { Measure, useLengthStyle } from '../../parts/Measure.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { useSize } from '../../parts/useSize.ts';
import { measuresFor } from '../../store/derived.ts';
import { addBoard } from '../../store/shed.ts';
import { Doors } from '../bring/Doors.tsx';
import { type Readings, useMeasured } from './useMeasured.ts';

const TOOL_WORDS = {
  tape: 'With the tape',
  straightedge: 'Straightedge on the bottom',
  callipers: 'Callipers at the stringer',
} as const;
const TOOLS = Object.keys(TOOL_WORDS) as (keyof typeof TOOL_WORDS)[];

/** A board that exists, brought in by what is read off it: any readings are enough, each one more makes it more like. */
export function Measured() {
  const style = useLengthStyle();
  const navigate = useNavigate();
  const [readings, setReadings] = useState<Readings>({});
  const [name, setName] = useState('');
  const [tail, setTail] = useState<TailKind>();
  const called = name.trim() === '' ? 'Measured board' : name.trim();
  const made = useMeasured(readings, called, tail);
  const residuals = made?.ok ? made.residuals : [];
  const worst = Math.max(0.05, ...residuals.map(({ off_mm }) => Math.abs(off_mm)));
  const count = Object.keys(readings).length;
  const set = (reading: TapeReading, value_mm: number | undefined) => {
    const { [reading]: _was, ...rest } = readings;
    setReadings(value_mm === undefined ? rest : { ...rest, [reading]: value_mm });
  };
  return (
    <div className="page">
      <TopBar />
      <main className="measured">
        <section aria-label="Readings">
          <Doors />
          <h1>Measure a board</h1>
          <p className="quiet above-0 below-2">Fins out, bottom up. Length first; leave out what you cannot reach.</p>
          <Button
            size="small"
            onClick={() => {
              const board = modelNamed('Ebb Lane');
              if (board) setReadings(readByHand(board, ROUGH_HANDS));
            }}
          >
            Try it with made-up readings
          </Button>
          {TOOLS.map((tool) => (
            <div key={tool}>
              <h3>{TOOL_WORDS[tool]}</h3>
              {TAPE_READINGS.filter((reading) => TAPE_SHEET[reading].tool === tool).map((reading) => (
                <Reading
                  key={reading}
                  reading={reading}
                  value_mm={readings[reading]}
                  off_mm={offOf(reading, residuals)}
                  worst_mm={worst}
                  set={(value_mm) => set(reading, value_mm)}
                />
              ))}
            </div>
          ))}
        </section>
        <Standing board={made?.ok ? made.board : undefined} />
        <section aria-label="What it makes">
          <h1>What it makes</h1>
          {made && !made.ok && (
            <p role="status" className={count > 0 ? 'trouble' : 'quiet'}>
              {made.reason}
            </p>
          )}
          {made?.ok && (
            <>
              <p className="sample-size" data-testid="measured-size">
                <Measure mm={made.board.length_mm} feet /> × <Measure mm={made.board.outline.width_mm} /> ×{' '}
                <Measure mm={made.board.foil.thickness_mm} />, {formatLitres(measuresFor(made.board).volume_L)}
              </p>
              <p>
                From {count} {count === 1 ? 'reading' : 'readings'}. {furthestOff(made.residuals, style)}
              </p>
              <p className="quiet">
                What was not read is as on the model that comes nearest. The block, the tips’ own curves, rails and
                contours are drawn on in the bay.
              </p>
            </>
          )}
          <Select<TailKind | null>
            aria-label="Tail of the board"
            className="fit-all below-8"
            allowClear
            placeholder="Its tail, which no tape tells"
            value={tail ?? null}
            options={TAIL_KINDS.map((value) => ({
              value,
              label: TAIL_WORDS[value].replace(/^./, (c) => c.toUpperCase()),
            }))}
            onChange={(kind) => setTail(kind ?? undefined)}
          />
          <Input
            aria-label="Name of the board"
            placeholder="Its name"
            maxLength={80}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <div className="row-of-tools">
            <Button
              type="primary"
              disabled={!made?.ok}
              onClick={() => {
                if (!made?.ok) return;
                const notes = `Measured: ${count} readings. ${furthestOff(made.residuals, style)}`;
                void navigate(`/bay/${addBoard({ ...made.board, notes }, null)}/outline`);
              }}
            >
              Put it on the rack
            </Button>
          </div>
        </section>
      </main>
    </div>
  );
}

/** How far the board came out off a reading; undefined for what is met by itself or was not read. */
function offOf(reading: TapeReading, residuals: readonly Residual[]): number | undefined {
  const line = TAPE_SHEET[reading];
  const place = reading === 'width' ? { from: 'wide', at_mm: 0 } : 'at' in line ? line.at : undefined;
  const of = reading === 'width' ? 'width_mm' : 'of' in line ? line.of : undefined;
  return residuals.find((r) => r.of === of && r.place.from === place?.from && r.place.at_mm === place.at_mm)?.off_mm;
}

interface ReadingProps {
  reading: TapeReading;
  value_mm: number | undefined;
  off_mm: number | undefined;
  worst_mm: number;
  set: (value_mm: number | undefined) => void;
}

function Reading({ reading, value_mm, off_mm, worst_mm, set }: ReadingProps) {
  const style = useLengthStyle();
  const metric = style.kind === 'mm' || style.kind === 'cm';
  const [wrong, setWrong] = useState<string>();
  const { words } = TAPE_SHEET[reading];
  const take = (text: string) => {
    if (text.trim() === '') {
      setWrong(undefined);
      set(undefined);
      return;
    }
    const read = parseLength(text, metric ? style.kind : 'in');
    const trouble = read.ok ? tapeTrouble(reading, read.value) : read.reason;
    setWrong(trouble);
    if (read.ok && trouble === undefined) set(read.value);
  };
  const written = value_mm === undefined ? '' : formatLength(value_mm, style, { feet: reading === 'length' });
  return (
    <div className="reading">
      <span>{words}</span>
      <Input
        key={written}
        aria-label={words}
        size="small"
        {...(wrong === undefined ? {} : { status: 'error' as const, title: wrong })}
        defaultValue={written}
        onBlur={(event) => {
          if (event.target.value !== written) take(event.target.value);
        }}
        onPressEnter={(event) => take(event.currentTarget.value)}
      />
      <span className={off_mm !== undefined && Math.abs(off_mm) >= worst_mm ? 'off worst' : 'off'}>
        {off_mm !== undefined && `${off_mm >= 0 ? '+' : '−'}${Math.abs(off_mm).toFixed(1)} mm`}
      </span>
      {wrong !== undefined && (
        <span role="alert" className="trouble">
          {wrong}
        </span>
      )}
    </div>
  );
}

/** The board as it is so far, as large as there is room. */
function Standing({ board }: { board: Parameters<typeof BoardPlan>[0]['board'] | undefined }) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const scale = board ? Math.min((height - 24) / board.length_mm, (width - 24) / board.outline.width_mm) : 0;
  return (
    <div ref={box}>
      {board && height > 60 && (
        <svg width={width} height={height - 6} role="img" aria-label="The board as it was read">
          <FoamGradient />
          <g transform={`translate(${width / 2} ${height - 12})`}>
            <BoardPlan board={board} scale={scale} />
          </g>
        </svg>
      )}
    </div>
  );
}
