import { Select } from 'antd';
import { hollowStretches, TAIL_KINDS, TAIL_WORDS, withNose, withTail } from '@june-tide/core';
import { LengthField } from '../../../parts/LengthField.tsx';
import { Measure } from '../../../parts/Measure.tsx';
import { editBoard } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { MarksTable } from './MarksTable.tsx';
import { WingsTable } from './WingsTable.tsx';

/** Tells where the marks ask for a hollow that the batten could not avoid. */
function Hollows({ stretches }: { stretches: [number, number][] }) {
  return stretches.map(([from, to]) => (
    <p key={from} role="status" style={{ margin: '6px 0 0', color: 'var(--coral-text)' }}>
      The marks ask for a hollow from <Measure mm={from} /> to <Measure mm={to} /> from the tail. Move one toward the
      batten, or lift it off.
    </p>
  ));
}

const TAIL_WITH_DEPTH = new Set(['squash', 'thumb', 'diamond', 'sixCorner', 'swallow', 'halfMoon']);
/** How deep the end of the tail is: a swallow's crotch, a squash's run-in. */
function TailDepth() {
  const { record } = useBay();
  return (
    <>
      <LengthField
        label="Tail depth"
        small
        value_mm={record.board.outline.tail.depth_mm}
        onChange={(depth_mm, nudge) =>
          editBoard(
            record.id,
            'tail depth',
            (b) => ({ ...b, outline: { ...b.outline, tail: { ...b.outline.tail, depth_mm } } }),
            nudge ? 'field:tailDepth' : undefined,
          )
        }
      />{' '}
      <span className="quiet" style={{ fontSize: 13 }}>
        deep
      </span>
    </>
  );
}

export function OutlineBench() {
  const { record, shape } = useBay();
  const { tail, nose } = record.board.outline;
  return (
    <section aria-label="Outline">
      <div className="head tools">
        <h2>Outline</h2>
        <Select
          aria-label="Nose"
          size="small"
          value={nose.kind}
          style={{ width: 112 }}
          options={[
            { value: 'pointed', label: 'Pointed nose' },
            { value: 'round', label: 'Round nose' },
          ]}
          onChange={(kind) => editBoard(record.id, `${kind} nose`, (b) => withNose(b, kind))}
        />
        <Select
          aria-label="Tail"
          size="small"
          value={tail.kind}
          style={{ width: 122 }}
          options={TAIL_KINDS.map((value) => ({
            value,
            label: `${TAIL_WORDS[value].replace(/^./, (c) => c.toUpperCase())} tail`,
          }))}
          onChange={(kind) => editBoard(record.id, `${TAIL_WORDS[kind]} tail`, (b) => withTail(b, kind))}
        />
      </div>
      <MarksTable curve="outline" blockNote={TAIL_WITH_DEPTH.has(tail.kind) ? <TailDepth /> : undefined} />
      <WingsTable />
      <Hollows stretches={hollowStretches(shape.outline.base, 'in')} />
    </section>
  );
}

export function RockerBench() {
  const { shape } = useBay();
  return (
    <section aria-label="Rocker">
      <div className="head">
        <h2>Rocker</h2>
        <span className="quiet">lifts from the tangent at the flat point</span>
      </div>
      <MarksTable curve="rocker" />
      <Hollows stretches={hollowStretches(shape.rocker.line, 'up')} />
    </section>
  );
}

export function FoilBench() {
  const { shape, measures: m } = useBay();
  const bias = m.noseThickness12_mm - m.tailThickness12_mm;
  return (
    <section aria-label="Foil">
      <div className="head">
        <h2>Foil</h2>
        <span className="quiet">thickness at the stringer, finished foam</span>
      </div>
      <MarksTable curve="foil" />
      <p className="quiet" style={{ margin: '6px 0 0' }}>
        At 12 in from each end the nose is{' '}
        {Math.abs(bias) < 0.2 ? (
          'as thick as the tail.'
        ) : (
          <>
            <Measure mm={Math.abs(bias)} /> {bias > 0 ? 'thicker' : 'thinner'} than the tail.
          </>
        )}
      </p>
      <Hollows stretches={hollowStretches(shape.foil.line, 'in')} />
    </section>
  );
}
