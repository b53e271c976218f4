import { Button, Spin } from 'antd';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import {
  type Allowance,
  blankLines,
  FOAM_WORDS,
  INCH_mm,
  type Margin,
  planingPlan,
  type RankedBlank,
  shortfallWords,
  thicknessAt,
} from '@june-tide/core';
import { LengthField } from '../../../parts/LengthField.tsx';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';
import { ShelfFiles } from '../../../parts/ShelfFiles.tsx';
import { changeWorkshop, edit, type EditResult, useShed } from '../../../store/shed.ts';
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
  const { board } = record;
  const { allowance } = useShed((shed) => shed.settings.workshop);
  const records = useShed((shed) => shed.records);
  /** Boards on the line that are cut from a blank already. */
  const taken = (blankId: string) =>
    Object.values(records).filter(
      (other) => other.id !== record.id && other.blankId === blankId && other.order && !other.order.doneOn,
    ).length;

  useEffect(() => {
    let dropped = false;
    setFailed(false);
    solidClient
      .ask({ kind: 'blanks', board, shelf, allowance })
      .then((answer) => {
        if (!dropped && answer.kind === 'blanks') setRanked(answer.ranked);
      })
      .catch(() => {
        if (!dropped) setFailed(true);
      });
    return () => {
      dropped = true;
    };
  }, [board, shelf, allowance]);

  const fitting = ranked?.filter(({ fit }) => fit.fits).length ?? 0;
  const chosen = ranked?.find(({ blank }) => blank.id === record.blankId);
  return (
    <div className="blank-bench" role="group" aria-label="Blank">
      <Wanted />
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
          <p className="quiet" data-testid="blanks-fit" style={{ margin: '0 0 4px' }}>
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
                  <td className="num">
                    {blank.stock}
                    {taken(blank.id) > 0 && <span className="quiet">, {taken(blank.id)} taken</span>}
                  </td>
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
        <ShelfFiles />
        <Link to="/shelf">The shelf</Link>
      </div>
      <p className="caution">
        Power planer and foam dust: mask and extraction on, eyes and ears covered, both hands on it. A hot wire on EPS
        wants the doors open. Data sheets and local rules come first.
      </p>
    </div>
  );
}

/** The foam wanted outside the board, and the planer's depth: the shop's own. */
function Wanted() {
  const { allowance, planerPass_mm } = useShed((shed) => shed.settings.workshop);
  const refused = (words: string): EditResult => ({ ok: false, issues: [{ code: 'range', path: '', words }] });
  const allowed = (key: keyof Allowance, most: number) => (mm: number) => {
    if (!(mm >= 0 && mm <= most)) return refused('that is no allowance for a blank');
    changeWorkshop({ allowance: { ...allowance, [key]: mm } });
    return { ok: true as const };
  };
  return (
    <div className="row-of-tools" style={{ marginTop: 0 }} role="group" aria-label="Foam wanted outside">
      <span>Outside the board: deck and bottom</span>
      <LengthField
        small
        label="Over deck and bottom"
        value_mm={allowance.surface_mm}
        onChange={allowed('surface_mm', 50)}
      />
      <span>rails</span>
      <LengthField small label="At the rails" value_mm={allowance.width_mm} onChange={allowed('width_mm', 100)} />
      <span>ends</span>
      <LengthField small label="At the ends" value_mm={allowance.ends_mm} onChange={allowed('ends_mm', 200)} />
      <span>planer</span>
      <LengthField
        small
        label="Depth of the planer"
        value_mm={planerPass_mm}
        onChange={(mm) => {
          if (!(mm >= 0.2 && mm <= 12)) return refused('a planer takes between 0.2 and 12 mm');
          changeWorkshop({ planerPass_mm: mm });
          return { ok: true };
        }}
      />
    </div>
  );
}

/** Profiles of blank and board, and the passes from one to the other. */
function Chosen({ ranked: { blank, fit } }: { ranked: RankedBlank }) {
  const { shape } = useBay();
  const style = useLengthStyle();
  const { planerPass_mm } = useShed((shed) => shed.settings.workshop);
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
  // The margins are at even stations along the board: the nearest is within half an inch or so.
  const margins = places.map(([name, x]): [string, Margin] => [
    name,
    fit.margins.reduce((best, margin) => (Math.abs(margin.x_mm - x) < Math.abs(best.x_mm - x) ? margin : best)),
  ]);
  const plan = planingPlan(
    shape,
    lines,
    fit.placement,
    places.map(([, x]) => x),
    planerPass_mm,
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
        Heights drawn twice as tall. Ends: <Measure mm={shift_mm} /> at the tail,{' '}
        <Measure mm={blank.length_mm - L - shift_mm} /> at the nose. Passes of at most <Measure mm={planerPass_mm} />,
        bottom first; callipers at the stringer read after each:
      </p>
      <table className="marks" aria-label="Margins">
        <thead>
          <tr>
            <th scope="col">Foam outside the board</th>
            {margins.map(([name]) => (
              <th key={name} scope="col" className="num">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {(
            [
              ['Deck', 'deck_mm'],
              ['Bottom', 'bottom_mm'],
              ['Each rail', 'width_mm'],
            ] as const
          ).map(([name, key]) => (
            <tr key={key}>
              <th scope="row">{name}</th>
              {margins.map(([place, margin]) => (
                <td key={place} className="num">
                  <Measure mm={margin[key]} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
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
