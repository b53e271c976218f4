import { Button, Select } from 'antd';
import { type ReactNode, useMemo, useState } from 'react';
import { hollowStretches } from '@june-tide/core/curve';
import { TAIL_WORDS } from '@june-tide/core/document';
import { type RunAsked, withNose, withStraightRun, withTail } from '@june-tide/core/edit';
import {
  curveLength_mm,
  foilDifferences,
  railLineAt,
  READING_WORDS,
  straightRunOf,
  tipLifts,
  TWELVE_mm,
  withTipLifts,
} from '@june-tide/core/measure';
import { INCH_mm } from '@june-tide/core/units';
import { Term } from '../../../parts/Term.tsx';
import { LengthField } from '../../../parts/LengthField.tsx';
import { Measure } from '../../../parts/Measure.tsx';
import { editBoard, useShed } from '../../../store/shed.ts';
import { turnLine, useSession } from '../session.ts';
import { useBay } from '../useBay.ts';
import { MarksTable } from './MarksTable.tsx';
import { NosePicker, TailPicker } from './EndPictures.tsx';
import { OutlineMore } from './OutlineMore.tsx';
import { TipFields } from './TipFields.tsx';
import { WingsTable } from './WingsTable.tsx';

/** What a step has beside its marks: it stands under the section. */
function More({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="more">
      {children}
    </section>
  );
}

/** Tells where the marks ask for a hollow that the batten could not avoid. */
function Hollows({ stretches }: { stretches: [number, number][] }) {
  return stretches.map(([from, to]) => (
    <p key={from} role="status" className="above-6 below-0 wrong">
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
      <span className="quiet small">deep</span>
    </>
  );
}

export function OutlineBench() {
  const { record, shape } = useBay();
  const { tail, nose } = record.board.outline;
  return (
    <>
      <section aria-label="Outline">
        <div className="head tools">
          <h2>Outline</h2>
          <NosePicker
            value={nose.kind}
            onPick={(kind) => editBoard(record.id, `${kind} nose`, (b) => withNose(b, kind))}
          />
          <TailPicker
            value={tail.kind}
            onPick={(kind) => editBoard(record.id, `${TAIL_WORDS[kind]} tail`, (b) => withTail(b, kind))}
          />
        </div>
        <MarksTable
          curve="outline"
          blockNote={TAIL_WITH_DEPTH.has(tail.kind) ? <TailDepth /> : undefined}
          tools={<OutlineMore />}
        />
      </section>
      <More name="Wings, tips and the whole outline">
        <TipFields />
        {record.outlineLocked && (
          <p className="quiet" role="status">
            The outline is locked: every mark is as settled. Let it go to change one.
          </p>
        )}
        <WingsTable />
        <Hollows stretches={hollowStretches(shape.outline.base, 'in')} />
      </More>
    </>
  );
}

export function RockerBench() {
  const { shape } = useBay();
  return (
    <>
      <section aria-label="Rocker">
        <div className="head">
          <h2>Rocker</h2>
          <span className="quiet long">lifts from the tangent at the flat point</span>
        </div>
        <MarksTable curve="rocker" tools={<DrawnLines />} />
      </section>
      <More name="The rocker as it is read">
        <Reading />
        <Hollows stretches={hollowStretches(shape.rocker.line, 'up')} />
      </More>
    </>
  );
}

/** The lines of the bottom that can be drawn over the profile. */
function DrawnLines() {
  const drawn = useSession((session) => session.drawn);
  return (['rail', 'concave'] as const).map((line) => (
    <Button
      key={line}
      size="small"
      aria-pressed={drawn[line]}
      title={`Draws it over the profile: key ${line === 'rail' ? 'L' : 'C'}`}
      onClick={() => turnLine(line)}
    >
      {line === 'rail' ? 'Rail line' : 'Concave line'}
    </Button>
  ));
}

const OTHER_READINGS = ['middle', 'table'] as const;
const READ_SHORT: Readonly<Record<(typeof OTHER_READINGS)[number], string>> = {
  middle: 'lifts, from mid-length',
  table: 'lifts, on a table',
};

/** The tips as other people read them and where the rail line bends, nose and tail side by side, to be typed that way too. */
function Reading() {
  const { record, shape } = useBay();
  const L = record.board.length_mm;
  const run = useMemo(() => straightRunOf(shape), [shape]);
  return (
    <table className="marks as-read">
      <thead>
        <tr>
          <td />
          <th scope="col" className="num">
            Nose
          </th>
          <th scope="col" className="num">
            Tail
          </th>
        </tr>
      </thead>
      <tbody>
        <LiftsAsRead />
        <tr data-testid="rail-line-says">
          <th scope="row">
            <Term of="railLine" />, 12 in up
          </th>
          <td className="num">
            <Measure mm={railLineAt(shape, L - TWELVE_mm)} />
          </td>
          <td className="num">
            <Measure mm={railLineAt(shape, TWELVE_mm)} />
          </td>
        </tr>
        <tr>
          <th scope="row">bend begins, from end</th>
          <td className="num">
            <RunField
              asked="nose"
              label="Bend of the nose begins, from nose"
              value_mm={L - run.nose_mm}
              range_mm={[0, L - shape.rocker.flat_mm]}
            />
          </td>
          <td className="num">
            <RunField
              asked="tail"
              label="Bend of the tail begins, from tail"
              value_mm={run.tail_mm}
              range_mm={[0, shape.rocker.flat_mm]}
            />
          </td>
        </tr>
        <tr>
          <th scope="row">
            <Term of="straightRun" />
          </th>
          <td className="num">
            <RunField
              asked="length"
              label="Straight run of the rail line"
              value_mm={run.nose_mm - run.tail_mm}
              range_mm={[0, L]}
            />
          </td>
          <td />
        </tr>
        <tr>
          <th scope="row">along the bottom</th>
          <td className="num">
            <Measure mm={curveLength_mm(shape)} feet />
          </td>
          <td />
        </tr>
      </tbody>
    </table>
  );
}

function LiftsAsRead() {
  const { record, shape } = useBay();
  const shop = useShed((shed) => shed.settings.reading);
  const [reading, setReading] = useState<(typeof OTHER_READINGS)[number]>(shop === 'table' ? 'table' : 'middle');
  const lifts = tipLifts(shape, reading);
  const set = (what: 'nose' | 'tail', value_mm: number, nudge: boolean) => {
    const wanted = { ...lifts, [what === 'nose' ? 'noseLift_mm' : 'tailLift_mm']: value_mm };
    const changed = withTipLifts(record.board, reading, wanted);
    if (!changed) {
      return {
        ok: false as const,
        issues: [{ code: 'lift', path: '', words: 'no board with these marks reads like that' }],
      };
    }
    return editBoard(record.id, `${what} lift`, () => changed, nudge ? `reading:${what}` : undefined);
  };
  return (
    <tr>
      <th scope="row">
        <Select
          aria-label="Lifts as read"
          size="small"
          variant="borderless"
          title={READING_WORDS[reading]}
          value={reading}
          options={OTHER_READINGS.map((value) => ({ value, label: READ_SHORT[value] }))}
          onChange={setReading}
        />
      </th>
      <td className="num">
        <LengthField
          small
          label="Nose lift as read"
          value_mm={lifts.noseLift_mm}
          onChange={(mm, nudge) => set('nose', mm, nudge)}
        />
      </td>
      <td className="num">
        <LengthField
          small
          label="Tail lift as read"
          value_mm={lifts.tailLift_mm}
          onChange={(mm, nudge) => set('tail', mm, nudge)}
        />
      </td>
    </tr>
  );
}

interface RunFieldProps {
  asked: RunAsked;
  label: string;
  value_mm: number;
  range_mm: readonly [number, number];
}

/** How long the rail line is straight, or where a bend of it begins, as told from its end: the lifts on the way there follow. */
function RunField({ asked, label, value_mm, range_mm }: RunFieldProps) {
  const { record } = useBay();
  const told = (mm: number) => (asked === 'nose' ? record.board.length_mm - mm : mm);
  return (
    <LengthField
      small
      label={label}
      value_mm={value_mm}
      range_mm={range_mm}
      onChange={(mm, nudge) => {
        const solved = withStraightRun(record.board, asked, told(mm));
        if (solved.ok)
          return editBoard(record.id, 'straight run', () => solved.board, nudge ? `straightRun:${asked}` : undefined);
        const limit = told(solved.reached);
        return { ok: false, issues: [{ code: 'straightRun', path: '', limit, words: solved.reason }] };
      }}
    />
  );
}

/** Nearer than half a sixteenth two thicknesses read the same. */
const SAME_mm = INCH_mm / 32;

export function FoilBench() {
  const { shape } = useBay();
  return (
    <>
      <section aria-label="Foil">
        <div className="head">
          <h2>Foil</h2>
          <span className="quiet long">thickness at the stringer, finished foam</span>
        </div>
        <MarksTable curve="foil" />
      </section>
      <More name="The foil as a whole">
        <p className="quiet above-6 below-0">
          Nose against tail at the same distance from each end:{' '}
          {foilDifferences(shape).map(({ at_mm, difference_mm }, i) => (
            <span key={at_mm}>
              {i > 0 && ', '}
              at <Measure mm={at_mm} />:{' '}
              {Math.abs(difference_mm) < SAME_mm ? 'the same' : <MatchWords mm={difference_mm} />}
            </span>
          ))}
          .
        </p>
        <Hollows stretches={hollowStretches(shape.foil.line, 'in')} />
      </More>
    </>
  );
}

function MatchWords({ mm }: { mm: number }) {
  return (
    <>
      <Measure mm={Math.abs(mm)} /> {mm > 0 ? 'thicker' : 'thinner'}
    </>
  );
}
