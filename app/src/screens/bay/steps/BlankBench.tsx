import { Button, message, Spin } from 'antd';
import { useEffect, useRef, useState } from 'react';
import {
  blankLines,
  FOAM_WORDS,
  INCH_mm,
  planingPlan,
  type RankedBlank,
  shortfallWords,
  thicknessAt,
  USUAL_PASS_mm,
} from '@june-tide/core';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';
import { saveFile } from '../../../parts/saveFile.ts';
import { edit, keepShelf, useShed } from '../../../store/shed.ts';
import { solidClient } from '../../../workers/solidClient.ts';
import { useBay } from '../useBay.ts';

const SHOWN = 8;

/** Which blanks of the shelf hold the board, the least foam to take off first; the chosen one with its margins and passes. */
export function BlankBench() {
  const { record } = useBay();
  const shelf = useShed((shed) => shed.shelf);
  const style = useLengthStyle();
  const [ranked, setRanked] = useState<RankedBlank[]>();
  const [failed, setFailed] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const [notice, holder] = message.useMessage();
  const { board } = record;

  useEffect(() => {
    let dropped = false;
    setFailed(false);
    solidClient
      .ask({ kind: 'blanks', board, shelf })
      .then((answer) => {
        if (!dropped && answer.kind === 'blanks') setRanked(answer.ranked);
      })
      .catch(() => {
        if (!dropped) setFailed(true);
      });
    return () => {
      dropped = true;
    };
  }, [board, shelf]);

  const takeShelf = async (file: File | undefined) => {
    if (!file) return;
    const { shelfFromCsv } = await import('@june-tide/core/packages');
    const read = shelfFromCsv(await file.text());
    if (!read.ok) {
      void notice.error(`${file.name}: ${read.reason}. The shelf is as it was.`, 10);
      return;
    }
    const before = shelf;
    keepShelf(read.shelf);
    void notice.success({
      key: 'shelf',
      duration: 8,
      content: (
        <span>
          {read.shelf.length} blanks on the shelf.{' '}
          <Button
            size="small"
            onClick={() => {
              keepShelf(before);
              notice.destroy('shelf');
            }}
          >
            Undo
          </Button>
        </span>
      ),
    });
  };
  const fitting = ranked?.filter(({ fit }) => fit.fits).length ?? 0;
  const chosen = ranked?.find(({ blank }) => blank.id === record.blankId);
  return (
    <div className="blank-bench" role="group" aria-label="Blank">
      {holder}
      {failed && (
        <p role="alert" className="trouble">
          The blanks could not be worked out. The board is safe; change anything to try again.
        </p>
      )}
      {!ranked && !failed && (
        <p className="quiet" role="status">
          <Spin size="small" /> Laying the board in {shelf.length} blanks.
        </p>
      )}
      {ranked && (
        <>
          <p className="quiet" style={{ margin: '0 0 4px' }}>
            {fitting === 0 ? 'None' : fitting} of {ranked.length} blanks hold it, the least foam to take off first.
          </p>
          <table className="marks">
            <thead>
              <tr>
                <th scope="col">Blank</th>
                <th scope="col">Foam</th>
                <th scope="col" className="num">
                  In stock
                </th>
                <th scope="col" className="num">
                  Mean cut
                </th>
                <th scope="col">
                  <span className="visually-hidden">Choose</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {ranked.slice(0, SHOWN).map(({ blank, fit }) => (
                <tr key={blank.id} className={blank.id === record.blankId ? 'held' : ''}>
                  <th scope="row">{blank.name}</th>
                  <td>{FOAM_WORDS[blank.foam]}</td>
                  <td className="num">{blank.stock}</td>
                  <td className="num">
                    {fit.fits ? (
                      <Measure mm={fit.meanCut_mm} />
                    ) : (
                      <span className="quiet">
                        {fit.shortfall && shortfallWords(fit.shortfall, style).split(':')[0]}
                      </span>
                    )}
                  </td>
                  <td>
                    <Button
                      size="small"
                      aria-pressed={blank.id === record.blankId}
                      aria-label={`Take ${blank.name}, ${FOAM_WORDS[blank.foam]}`}
                      onClick={() => edit(record.id, `blank ${blank.name}`, (r) => ({ ...r, blankId: blank.id }))}
                    >
                      {blank.id === record.blankId ? 'Taken' : 'Take'}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {chosen && <Chosen ranked={chosen} />}
      <div className="row-of-tools">
        <Button
          size="small"
          onClick={() =>
            void import('@june-tide/core/packages').then(({ shelfToCsv }) =>
              saveFile(shelfToCsv(shelf), 'shelf.csv', 'text/csv'),
            )
          }
        >
          Shelf as CSV
        </Button>
        <Button size="small" onClick={() => picker.current?.click()}>
          Shelf from CSV
        </Button>
        <input
          ref={picker}
          type="file"
          accept=".csv,text/csv"
          aria-label="Shelf file"
          hidden
          onChange={(event) => {
            void takeShelf(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </div>
      <p className="caution">
        Power planer and foam dust: mask and extraction on, eyes and ears covered, both hands on it. A hot wire on EPS
        wants the doors open. Data sheets and local rules come first.
      </p>
    </div>
  );
}

/** Profiles of blank and board, and the passes from one to the other. */
function Chosen({ ranked: { blank, fit } }: { ranked: RankedBlank }) {
  const { shape } = useBay();
  const style = useLengthStyle();
  const lines = blankLines(blank);
  if (!fit.fits) {
    return (
      <p role="status" className="trouble">
        {blank.name} no longer holds it: {fit.shortfall && shortfallWords(fit.shortfall, style)}.
      </p>
    );
  }
  const L = shape.board.length_mm;
  const { shift_mm, raise_mm, tilt_rad } = fit.placement;
  const places = [
    ['Tail 12', 12 * INCH_mm],
    ['Tail 24', 24 * INCH_mm],
    ['Middle', L / 2],
    ['Nose 24', L - 24 * INCH_mm],
    ['Nose 12', L - 12 * INCH_mm],
  ] as const;
  const plan = planingPlan(
    shape,
    lines,
    fit.placement,
    places.map(([, x]) => x),
  );
  const count = plan[0].passes.length;
  const width = 640;
  const k = (width - 8) / blank.length_mm;
  const up = 2 * k;
  const top = Math.max(lines.deck(0), lines.deck(blank.length_mm), blank.thickness_mm) + 10;
  const path = (z: (x: number) => number, length: number, from: number) =>
    Array.from({ length: 61 }, (_, i) => {
      const x = (length * i) / 60;
      return `${(4 + (x + from) * k).toFixed(1)} ${((top - z(x)) * up).toFixed(1)}`;
    });
  const closed = (bottom: string[], deck: string[]) => `M${bottom.join('L')}L${deck.reverse().join('L')}Z`;
  const tilted = (z: (x: number) => number) => (x: number) => z(x) + raise_mm + tilt_rad * x;
  const rocker = (x: number) => shape.rocker.line.valueAt(x);
  return (
    <>
      <svg
        viewBox={`0 0 ${width} ${((top + 10) * up).toFixed(0)}`}
        width="100%"
        role="img"
        aria-label={`${blank.name} from the side with the board in it, heights drawn twice`}
      >
        <path
          d={closed(path(lines.bottom, blank.length_mm, 0), path(lines.deck, blank.length_mm, 0))}
          fill="var(--sheet)"
          stroke="var(--pencil)"
          strokeWidth={1.2}
        />
        <path
          d={closed(
            path(tilted(rocker), L, shift_mm),
            path(
              tilted((x) => rocker(x) + thicknessAt(shape.foil, x)),
              L,
              shift_mm,
            ),
          )}
          fill="var(--board)"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      </svg>
      <p className="quiet" style={{ margin: '2px 0' }}>
        The tail lies <Measure mm={shift_mm} /> from the blank’s. Heights drawn twice as tall. Passes of at most{' '}
        <Measure mm={USUAL_PASS_mm} />, bottom first; callipers at the stringer read after each:
      </p>
      <table className="marks" aria-label="Planing plan">
        <thead>
          <tr>
            <th scope="col">Pass</th>
            {places.map(([name]) => (
              <th key={name} scope="col" className="num">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: count }, (_, i) => (
            <tr key={i}>
              <th scope="row">
                {i + 1} {plan[0].passes[i].side}
              </th>
              {plan.map((station) => (
                <td key={station.x_mm} className="num">
                  <Measure mm={station.passes[i].thicknessAfter_mm} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
