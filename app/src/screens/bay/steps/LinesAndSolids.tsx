import { Segmented, Select } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import { DRAWINGS, halfOutlineDrawing, solidSizeWords, USUAL_CHORD_mm, writeBoardFile } from '@june-tide/core/files';
import type { DxfCurves } from '@june-tide/core/files/packages';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { useAnswer } from '../../../parts/useAnswer.ts';
import { solidClient } from '../../../workers/workClient.ts';
import { SOLID_FORMATS, type SolidFormat } from '../../../workers/workMessages.ts';
import { useBay } from '../useBay.ts';
import { Lines } from './SheetsPreview.tsx';
import type { MakeButton } from './useMaking.tsx';

const DRAWING_NAMES = ['half', 'rocker', 'sections', 'fins'] as const;
const DRAWING_WORDS = { half: 'Half outline', rocker: 'Rocker', sections: 'Sections', fins: 'Fins' } as const;
const SOLID_TYPES: Readonly<Record<SolidFormat, string>> = {
  stl: 'model/stl',
  '3mf': 'model/3mf',
  obj: 'model/obj',
  ply: 'application/octet-stream',
};
/** How far facets may lie off the board. */
const CHORDS_mm = [1, 0.5, USUAL_CHORD_mm, 0.1, 0.05] as const;

interface LinesAndSolidsProps {
  /** The board and its number. */
  called: string;
  button: MakeButton;
}

/** Lines for a plotter or a router, and the solid as facets: how fine, and how large that comes out, before it is made. */
export function LinesAndSolids({ called, button }: LinesAndSolidsProps) {
  const { record, shape } = useBay();
  const { board } = record;
  const style = useLengthStyle();
  const [curves, setCurves] = useState<DxfCurves>('polylines');
  const [chord_mm, setChord] = useState<number>(USUAL_CHORD_mm);
  /** What the last STEP file came out as, of which board. */
  const [step, setStep] = useState<{ of: unknown; words: string }>();
  const name = fileName(called);
  const drawings = useMemo(
    () =>
      DRAWING_NAMES.map((key) => {
        const draw = key === 'half' ? halfOutlineDrawing : DRAWINGS[key].draw;
        return { key, drawing: draw(shape, style, { name: called }) };
      }),
    [shape, style, called],
  );
  return (
    <>
      <li className="choices">
        {drawings.map(({ key, drawing }) => (
          <div key={key} className="line-drawing">
            <svg viewBox={`0 0 ${drawing.width_mm} ${drawing.height_mm}`} aria-hidden="true">
              <Lines drawing={drawing} />
            </svg>
            {button(`${key} drawing`, `${DRAWING_WORDS[key]} (DXF)`, async () => {
              const { drawingToDxf } = await import('@june-tide/core/files/packages');
              saveFile(drawingToDxf(drawing, curves), `${name}-${key}.dxf`, 'application/dxf');
            })}
          </div>
        ))}
        <Segmented<DxfCurves>
          aria-label="Curves in DXF"
          size="small"
          value={curves}
          options={[
            { value: 'polylines', label: 'Polylines' },
            { value: 'splines', label: 'Splines' },
          ]}
          onChange={setCurves}
        />
      </li>
      <li className="choices">
        {SOLID_FORMATS.map((to) =>
          button(`solid as ${to}`, `Solid (${to.toUpperCase()})`, async () => {
            saveFile(await solidClient.ask('solid', { board, to, chord_mm }), `${name}.${to}`, SOLID_TYPES[to]);
          }),
        )}
        {button('solid as step', 'Solid (STEP)', async () => {
          const { text, faces, error_mm } = await solidClient.ask('step', { board });
          saveFile(text, `${name}.step`, 'model/step');
          setStep({ of: board, words: `STEP: ${faces} smooth faces within ${error_mm.toFixed(3)} mm` });
        })}
        {button('station table', 'Station table (CSV)', async () => {
          const { stationsToCsv } = await import('@june-tide/core/files/packages');
          saveFile(stationsToCsv(board), `${name}-stations.csv`, 'text/csv');
        })}
        {button('board file', 'Board file (JSON)', () =>
          saveFile(writeBoardFile(board), `${name}.json`, 'application/json'),
        )}
        <Select<number>
          aria-label="Facets within"
          className="fit-150"
          value={chord_mm}
          onChange={setChord}
          options={CHORDS_mm.map((value) => ({ value, label: `within ${value} mm` }))}
        />
        <Facets chord_mm={chord_mm} />
        {step?.of === board && (
          <span className="quiet" role="status">
            {step.words}
          </span>
        )}
      </li>
    </>
  );
}

/** How many facets that takes and how large the files come out: worked out while nothing is waiting for it. */
function Facets({ chord_mm }: { chord_mm: number }) {
  const { record } = useBay();
  const { board } = record;
  // Without the worker nothing is made either: its buttons say so.
  const { answer } = useAnswer(
    useCallback(
      async () => ({ ...(await solidClient.ask('facets', { board, chord_mm })), of: board, chord_mm }),
      [board, chord_mm],
    ),
  );
  if (answer?.of !== board || answer.chord_mm !== chord_mm) return null;
  const { facets, error_mm } = answer;
  const short = error_mm > chord_mm ? `; the finest there is lies within ${error_mm.toFixed(2)} mm` : '';
  return (
    <span className="quiet" data-testid="facets">
      {facets.toLocaleString('en')} facets: STL {solidSizeWords('stl', facets)}, 3MF about{' '}
      {solidSizeWords('3mf', facets)}
      {short}
    </span>
  );
}
