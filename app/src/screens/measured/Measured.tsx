import { Button, Switch } from 'antd';
import { useMemo, useState } from 'react';
import {
  furthestRead,
  lineOf,
  type Read,
  readByHand,
  ROUGH_HANDS,
  type SheetMade,
  type SheetReading,
  type SheetReadings,
  type Tool,
} from '@june-tide/core/bring';
import type { TailKind } from '@june-tide/core/document';
import { modelNamed } from '@june-tide/core/models';
import { formatLitres } from '@june-tide/core/units';
import { TailSelect } from '../../parts/TailSelect.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { Doors } from '../bring/Doors.tsx';
import { useDraft } from '../../parts/useDraft.ts';
import { Made } from '../bring/Made.tsx';
import { useBring } from '../bring/useBring.ts';
import { MeasuredBoard } from './MeasuredBoard.tsx';
import { SheetFields } from './SheetFields.tsx';

/** Sides that differ by less read alike. */
const ALIKE_mm = 1;

/** A board that exists, brought in by what is read off it: any readings are enough, each one more makes it more like. */
export function Measured() {
  const [readings, setReadings, dropReadings] = useDraft<SheetReadings>('measured', {});
  const [sides, setSides] = useDraft('measured:sides', false);
  const [errors_mm, setErrors] = useDraft<Readonly<Partial<Record<Tool, number>>>>('measured:tools', {});
  const [tail, setTail] = useState<TailKind>();
  const asked = useMemo(
    () => ({ readings, choices: { name: 'Measured board', tail, errors_mm, bands: true } }),
    [readings, tail, errors_mm],
  );
  const state = useBring('sheet', asked);
  const made = state.made?.ok ? state.made : undefined;
  // Told of what stands there, which for a moment lacks the reading that was just typed.
  const count = Object.keys(state.madeOf?.readings ?? {}).length;
  const set = (reading: SheetReading, read: Read | undefined) => {
    const { [reading]: _was, ...rest } = readings;
    setReadings(read === undefined ? rest : { ...rest, [reading]: read });
  };
  return (
    <div className="page">
      <TopBar />
      <main className="measured">
        <section aria-label="Readings">
          <Doors />
          <h1>Measure a board</h1>
          <p className="quiet above-0 below-2">Fins out, bottom up. Length first; leave out what you cannot reach.</p>
          <div className="row-of-tools">
            <Button
              size="small"
              onClick={() => {
                const board = modelNamed('Ebb Lane');
                if (board) setReadings(readByHand(board, { ...ROUGH_HANDS, sides }));
              }}
            >
              Try it with made-up readings
            </Button>
            {Object.keys(readings).length > 0 && (
              <Button size="small" type="text" onClick={dropReadings}>
                Clear the sheet
              </Button>
            )}
            <label className="row-of-tools">
              <Switch size="small" checked={sides} onChange={setSides} aria-label="Left and right by themselves" />
              <span>Left and right by themselves</span>
            </label>
          </div>
          {sides && (
            <p className="quiet above-0 below-2">
              Left first, then right; widths from the stringer out to either rail.
            </p>
          )}
          <SheetFields
            readings={readings}
            residuals={made?.residuals ?? []}
            sides={sides}
            errors_mm={errors_mm}
            onReading={set}
            onErrors={setErrors}
          />
        </section>
        <MeasuredBoard board={made?.board} bands={made?.bands} />
        <Made state={state} calm onKept={dropReadings} notes={made ? notesOf(made, count) : ''}>
          {made && <Says made={made} count={count} />}
          <TailSelect
            className="fit-all below-8"
            placeholder="Its tail: a tape does not tell"
            value={tail}
            onChange={setTail}
          />
        </Made>
      </main>
    </div>
  );
}

type MadeOfSheet = Extract<SheetMade, { ok: true }>;

const sideWords = (reading: SheetReading, right_mm: number) =>
  `${lineOf(reading).words}: ${Math.abs(right_mm).toFixed(1)} mm more ${right_mm > 0 ? 'right' : 'left'}`;

const uneven = ({ sides }: MadeOfSheet) => sides.filter(({ right_mm }) => Math.abs(right_mm) >= ALIKE_mm);

function notesOf(made: MadeOfSheet, count: number): string {
  const apart = uneven(made).map(({ reading, right_mm }) => sideWords(reading, right_mm));
  return [
    `Measured: ${count} readings. ${furthestRead(made.residuals)}`,
    ...(apart.length > 0 ? [`Its sides: ${apart.join('; ')}.`] : []),
  ].join(' ');
}

/** How good it is: how far it is off what was read, how many litres that leaves open, how its sides differ. */
function Says({ made, count }: { made: MadeOfSheet; count: number }) {
  const { bands, sides } = made;
  const apart = uneven(made);
  return (
    <>
      {bands && (
        <p data-testid="measured-litres" className="above-0">
          Likely between {formatLitres(bands.litres.low_L)} and {formatLitres(bands.litres.high_L)}.
        </p>
      )}
      <p>
        From {count} {count === 1 ? 'reading' : 'readings'}. {furthestRead(made.residuals)}
      </p>
      {sides.length > 0 && (
        <>
          <h3>Right against left</h3>
          {apart.length === 0 && <p className="above-0">Alike, as far as both were read.</p>}
          <ul className="plain" aria-label="Right against left">
            {apart.map(({ reading, right_mm }) => (
              <li key={reading}>{sideWords(reading, right_mm)}</li>
            ))}
          </ul>
          <p className="quiet">The board is half way between them.</p>
        </>
      )}
      <p className="quiet">
        What was not read is as on the model that comes nearest. The block and the tips’ own curves are drawn on in the
        bay.
      </p>
    </>
  );
}
