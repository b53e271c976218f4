import { Button, Select } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Board } from '@june-tide/core/document';
import { MOST_SIZES, type SizeOfRun, type SizeRun, sizeRunSchema, sizesOf, usualRun } from '@june-tide/core/edit';
import { type BoardRecord, parentOf } from '@june-tide/core/record';
import { ABILITIES, type Ability, ridersFor } from '@june-tide/core/rider';
import { formatLength, formatLitres, formatMass } from '@june-tide/core/units';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { LengthField } from '../../parts/LengthField.tsx';
import { BuiltText, DrawnMeasure, Measure, useLengthStyle } from '../../parts/Measure.tsx';
import { saveFile } from '../../parts/saveFile.ts';
import { Instead } from '../../parts/Instead.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { useDone } from '../../parts/useDone.tsx';
import { useSize } from '../../parts/useSize.ts';
import { ABILITY_WORDS, optionsOf } from '../../parts/words.ts';
import { measuresFor } from '../../store/derived.ts';
import { addBoard, edit, type EditResult, entryOf, removeBoard, useShed } from '../../store/shed.ts';

/** One model through a run of sizes, drawn side by side and written as the chart that hangs on the wall. */
export function Sizes() {
  const { id = '' } = useParams();
  const record = useShed((shed) => entryOf(shed.records, id));
  return (
    <div className="page">
      <TopBar />
      {record ? (
        <Run record={record} />
      ) : (
        <Instead title="This board is not on the rack">
          <Link to="/">Back to the rack</Link>
        </Instead>
      )}
    </div>
  );
}

function Run({ record }: { record: BoardRecord }) {
  const { board } = record;
  const run = useMemo(() => record.sizes ?? usualRun(board), [board, record.sizes]);
  const sizes = useMemo(() => sizesOf(board, run), [board, run]);
  const name = `${board.name} ${record.number}`;
  const boards = sizes.flatMap(({ made }) => (made.ok ? [made.board] : []));
  const put =
    (key: keyof SizeRun, words: string) =>
    (mm: number): EditResult => {
      const read = sizeRunSchema.safeParse({ ...run, [key]: mm });
      const refused = (why: string): EditResult => ({ ok: false, issues: [{ code: 'run', path: key, words: why }] });
      if (!read.success) return refused('that is no size of a board');
      const { from_mm, to_mm, step_mm } = read.data;
      if (to_mm < from_mm) return refused('the longest must be longer than the shortest');
      if ((to_mm - from_mm) / step_mm >= MOST_SIZES) return refused(`that would be more than ${MOST_SIZES} sizes`);
      return edit(record.id, words, (r) => ({ ...r, sizes: read.data }));
    };
  const field = (key: keyof SizeRun, label: string, words: string, feet = false) => (
    <label className="mini">
      {label}
      <LengthField small label={label} value_mm={run[key]} feet={feet} onChange={put(key, words)} />
    </label>
  );
  return (
    <main className="sizes">
      <header className="line-head">
        <h1>Sizes of {name}</h1>
        <Link className="no-print" to={`/bay/${record.id}/outline`}>
          Into the bay
        </Link>
      </header>
      <div className="row-of-tools no-print above-0">
        {field('from_mm', 'Shortest', 'shortest size', true)}
        {field('to_mm', 'Longest', 'longest size', true)}
        {field('step_mm', 'A step is', 'step of the sizes')}
        {field('widthAStep_mm', 'Wider by', 'width a step')}
        {field('thicknessAStep_mm', 'Thicker by', 'thickness a step')}
        <Button size="small" onClick={() => window.print()}>
          Print the chart
        </Button>
        <Button
          size="small"
          onClick={() =>
            void import('@june-tide/core/files/packages').then(({ sizeRunToCsv }) =>
              saveFile(sizeRunToCsv(boards), `${board.name.toLowerCase().replaceAll(' ', '-')}-sizes.csv`, 'text/csv'),
            )
          }
        >
          Chart as CSV
        </Button>
      </div>
      <Standing sizes={sizes} />
      <Chart record={record} sizes={sizes} />
      <p className="quiet">
        Each size is the model at another length: its rocker keeps its radius for the length, its fins go as their usual
        place goes, what is measured 12 in from an end stays there, and it fills as much of its length, width and
        thickness as the model does. Riders by litres a kilo, common practice from memory; a heavier wetsuit, age and
        weak waves ask for more.
      </p>
    </main>
  );
}

/** The run standing side by side at one scale, the model itself in coral. */
function Standing({ sizes }: { sizes: readonly SizeOfRun[] }) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const longest = Math.max(...sizes.map(({ length_mm }) => length_mm));
  const scale = Math.max(0.01, (height - 44) / longest);
  const slot = width / sizes.length;
  return (
    <div className="sizes-wall" ref={box}>
      {height > 60 && (
        <svg width={width} height={height} role="img" aria-label={`${sizes.length} sizes at one scale`}>
          <FoamGradient />
          <line x1={0} x2={width} y1={height - 30} y2={height - 30} stroke="var(--ink)" />
          {sizes.map(({ length_mm, own, made }, i) => (
            <g key={length_mm} transform={`translate(${slot * (i + 0.5)} ${height - 30})`}>
              {made.ok && (
                <BoardPlan board={made.board} scale={scale} stroke={own ? 'var(--coral)' : 'var(--on-board)'} />
              )}
              <g className="on-paper">
                <DrawnMeasure mm={length_mm} feet x={0} y={22} size={17} anchor="middle" held={own} />
              </g>
            </g>
          ))}
        </svg>
      )}
    </div>
  );
}

function Chart({ record, sizes }: { record: BoardRecord; sizes: readonly SizeOfRun[] }) {
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const [ability, setAbility] = useState<Ability>('advanced');
  const { say, holder } = useDone();
  const take = (board: Board) => {
    const id = addBoard(board, null, [parentOf(record, 'size', record.from)]);
    say({ words: `${board.name} of that size stands on the rack.`, back: removeBoardOf(id) });
  };
  return (
    <div className="scrolls">
      {holder}
      <label className="row-of-tools no-print above-0">
        Riders who
        <Select<Ability>
          aria-label="Riders who"
          className="fit-230"
          size="small"
          value={ability}
          options={optionsOf(ABILITY_WORDS).filter(({ value }) => ABILITIES.includes(value))}
          onChange={setAbility}
        />
      </label>
      <table className="marks" aria-label="Size chart">
        <thead>
          <tr>
            <th scope="col">Length</th>
            {['Width', 'Thick', 'Nose 12', 'Tail 12', 'Litres'].map((head) => (
              <th key={head} scope="col" className="num">
                {head}
              </th>
            ))}
            <th scope="col" className="num">
              <span className="print-only">Riders, {ABILITY_WORDS[ability].toLowerCase()}</span>
              <span className="no-print">Riders</span>
            </th>
            <th scope="col" className="also">
              What else changes
            </th>
            <th scope="col" className="no-print">
              <span className="visually-hidden">Take it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sizes.map(({ length_mm, own, made }) => (
            <tr key={length_mm} className={own ? 'held' : ''}>
              <th scope="row">
                <Measure mm={length_mm} feet />
              </th>
              {made.ok ? (
                <Numbers board={made.board} ability={ability} massUnit={massUnit} />
              ) : (
                <td colSpan={6} className="trouble">
                  No board: {made.issues[0]?.words}.
                </td>
              )}
              <td className="also">{made.ok && !own && <Changed from={record.board} to={made.board} />}</td>
              <td className="no-print">
                {made.ok && !own && (
                  <Button size="small" onClick={() => take(made.board)}>
                    Put it on the rack
                  </Button>
                )}
                {own && <span className="quiet">{record.board.name} itself</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What a size changes beside what the chart has a column for. */
function Changed({ from, to }: { from: Board; to: Board }) {
  const style = useLengthStyle();
  const lifts = [to.rocker.noseLift_mm, to.rocker.tailLift_mm].map((mm) => formatLength(mm, style)).join(' and ');
  const fins = to.fins.boxes.flatMap((box, i) => {
    const by = box.trailingEdge_mm - from.fins.boxes[i].trailingEdge_mm;
    return Math.abs(by) < LEAST_mm ? [] : [`${box.role} fins ${formatLength(box.trailingEdge_mm, style)} up`];
  });
  return (
    <div className="small quiet" data-testid="size-changes">
      <BuiltText text={[`lifts ${lifts}`, ...fins].join(', ')} />
    </div>
  );
}

/** Less than a 64th is no change a hand makes. */
const LEAST_mm = 0.4;

const removeBoardOf = (id: string) => () => void removeBoard(id);

function Numbers({ board, ability, massUnit }: { board: Board; ability: Ability; massUnit: 'kg' | 'lb' }) {
  const m = measuresFor(board);
  const { low_kg, high_kg } = ridersFor(m.volume_L, board.family, ability);
  return (
    <>
      {[m.width_mm, m.thickness_mm, m.noseWidth12_mm, m.tailWidth12_mm].map((mm, i) => (
        <td key={i} className="num">
          <Measure mm={mm} />
        </td>
      ))}
      <td className="num">{formatLitres(m.volume_L)}</td>
      <td className="num">
        {formatMass(low_kg, massUnit)} to {formatMass(high_kg, massUnit)}
        <InTheShop low_kg={low_kg} high_kg={high_kg} ability={ability} />
      </td>
    </>
  );
}

/** Riders of the shop whose weight the size carries, with how tall they are; never on the printed chart. */
function InTheShop({ low_kg, high_kg, ability }: { low_kg: number; high_kg: number; ability: Ability }) {
  const riders = useShed((shed) => shed.riders);
  const style = useLengthStyle();
  const fit = Object.values(riders).filter(
    (rider) => rider.ability === ability && rider.mass_kg >= low_kg && rider.mass_kg <= high_kg,
  );
  if (fit.length === 0) return null;
  return (
    <div className="small quiet no-print" data-testid="size-riders">
      <BuiltText
        text={fit.map(({ name, height_mm }) => `${name} ${formatLength(height_mm, style, { feet: true })}`).join(', ')}
      />
    </div>
  );
}
