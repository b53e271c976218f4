import { Button, Select } from 'antd';
import { useMemo, useState } from 'react';
import { SCAN_UNITS, type ScanFindings, type ScanUnit } from '@june-tide/core/bring';
import { lengthWords, type LengthStyle } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { PickFile } from '../../parts/PickFile.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { Apart } from './Apart.tsx';
import { Doors } from './Doors.tsx';
import { Made } from './Made.tsx';
import { OtherEnd } from './OtherEnd.tsx';
import { useBring } from './useBring.ts';

const UNIT_WORDS: Readonly<Record<ScanUnit, string>> = {
  mm: 'millimetres',
  cm: 'centimetres',
  m: 'metres',
  in: 'inches',
  ft: 'feet',
};

const NOSE_BY: Readonly<Record<ScanFindings['noseBy'], string>> = {
  fins: 'The tail is where the fins are.',
  lift: 'The nose is the end that is lifted more.',
  guess: 'Both ends are lifted alike: which is the nose is a guess. Turn it if it is wrong.',
};

const INWARD =
  'Its faces look inward: it was mirrored, or written inside out. If it was mirrored, its right rail is the board’s left.';

type From = { file: File } | { madeUp: string };

/** A board that was scanned: points or a mesh, in any pose and unit. */
export function Scan() {
  const style = useLengthStyle();
  const [from, setFrom] = useState<From>();
  const [unit, setUnit] = useState<ScanUnit>();
  const [turned, setTurned] = useState(false);
  const called = from && ('file' in from ? from.file.name : `A made-up scan of ${from.madeUp}`);
  const asked = useMemo(
    () => from && { from, name: called?.replace(/\.[^.]*$/, '').slice(0, 80) || 'Scanned board', unit, turned },
    [from, called, unit, turned],
  );
  const state = useBring('scan', asked);
  const { made } = state;
  const open = (next: From) => {
    setUnit(undefined);
    setTurned(false);
    setFrom(next);
  };
  return (
    <div className="page">
      <TopBar />
      <main className="measured">
        <section aria-label="The scan">
          <Doors />
          <h1>Bring in a scan</h1>
          <p className="quiet above-0 below-2">
            STL, OBJ, PLY, or a text of points. In any pose and unit, with its fins in or out: nose, tail, deck and
            stringer are found, and every number of the board is fitted to the points.
          </p>
          <div className="row-of-tools">
            <PickFile
              type="primary"
              label="A scan"
              accept=".stl,.obj,.ply,.xyz,.txt,.csv"
              pick={(file) => open({ file })}
            >
              Open a scan
            </PickFile>
            <Button onClick={() => open({ madeUp: 'Kettle' })}>Try it with a made-up scan</Button>
          </div>
          {called !== undefined && (
            <>
              <h3>{called}</h3>
              <div className="stack-12">
                <label className="row-of-tools">
                  <span>A unit of the scan is</span>
                  <Select<ScanUnit>
                    aria-label="Unit of the scan"
                    className="fit-150"
                    placeholder="not known yet"
                    value={unit ?? (made?.ok ? made.unit : null)}
                    options={(Object.keys(SCAN_UNITS) as ScanUnit[]).map((value) => ({
                      value,
                      label: UNIT_WORDS[value],
                    }))}
                    onChange={setUnit}
                  />
                </label>
                <OtherEnd of="nose" turned={turned} onTurned={setTurned} />
              </div>
            </>
          )}
          {made?.ok && (
            <>
              <p>
                {made.findings.points.toLocaleString('en')} points
                {made.findings.strays > 0.002
                  ? `, ${(100 * made.findings.strays).toFixed(1)} in a hundred lay about it and are left out`
                  : ''}
                . {made.findings.fins && 'Its fins are left out. '}
                {NOSE_BY[made.findings.noseBy]}
                {made.findings.inward && ` ${INWARD}`}
              </p>
              <h3>Right rail against left</h3>
              <table className="misfits" aria-label="Right rail against left">
                <tbody>
                  {made.findings.sides.map(({ at_mm, right_mm }) => (
                    <tr key={at_mm}>
                      <th scope="row">{lengthWords(at_mm, style)} from the tail</th>
                      <td>{sideWords(right_mm)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          )}
        </section>
        <Apart board={made?.ok ? made.board : undefined} apart={made?.ok ? made.findings.apart : []} />
        <Made state={state} notes={made?.ok ? scanSays(made.findings, called ?? '', style) : ''}>
          {made?.ok && (
            <>
              <p>
                The points lie <b data-testid="scan-off">{made.findings.rms_mm.toFixed(2)} mm</b> off it in the mean; 95
                in a hundred no more than {made.findings.most_mm.toFixed(1)} mm.
              </p>
              <p className="quiet">
                Outline, rocker, foil, crown, rails and contours are from the scan. Fins are as on the model that comes
                nearest.
              </p>
            </>
          )}
        </Made>
      </main>
    </div>
  );
}

const sideWords = (right_mm: number) =>
  Math.abs(right_mm) < 0.3 ? 'alike' : `${Math.abs(right_mm).toFixed(1)} mm ${right_mm > 0 ? 'fuller' : 'less'} right`;

function scanSays({ rms_mm, most_mm, sides, inward }: ScanFindings, file: string, style: LengthStyle): string {
  const uneven = sides.filter(({ right_mm }) => Math.abs(right_mm) >= 0.3);
  const said = uneven.map(({ at_mm, right_mm }) => `${lengthWords(at_mm, style)} from the tail ${sideWords(right_mm)}`);
  return [
    `Scanned: ${file}. The points lie ${rms_mm.toFixed(2)} mm off in the mean, 95 in a hundred within ${most_mm.toFixed(1)} mm.`,
    ...(said.length > 0 ? [`Its rails: ${said.join(', ')}.`] : []),
    ...(inward ? [INWARD] : []),
  ].join(' ');
}
