import { Button, InputNumber, message } from 'antd';
import { useMemo } from 'react';
import {
  asBuilt,
  type Measured,
  measuredAgainst,
  measuringSheet,
  type Readings,
  readingTrouble,
  SHEET_GROUP_WORDS,
  SHEET_GROUPS,
  type SheetGroup,
  type SheetLine,
  toleranceOf,
} from '@june-tide/core/make';
import type { Board } from '@june-tide/core/document';
import { cutVersion, workingDiffers } from '@june-tide/core/record';
import { LengthField } from '../../../parts/LengthField.tsx';
import { Measure } from '../../../parts/Measure.tsx';
import { measuresFor, shapeFor } from '../../../store/derived.ts';
import { addBoard, edit, type EditResult, useShed } from '../../../store/shed.ts';
import { today } from '../../../store/today.ts';
import { useBay } from '../useBay.ts';
import { usePages } from './usePages.tsx';

/** What is read with which tool, in the order one walks round the board. */
const TOOLS = {
  tape: ['length', 'width'],
  callipers: ['thickness'],
  straightedge: ['rocker', 'crown'],
  rail: ['rail', 'card'],
  bottom: ['bottom'],
} as const satisfies Readonly<Record<string, readonly SheetGroup[]>>;
type Tool = keyof typeof TOOLS;
const isOf = (tool: Tool, group: SheetGroup) => TOOLS[tool].some((one) => one === group);

/** A tool, and how many lines read with it are out of tolerance. */
function named(words: string, tool: Tool, off: readonly Measured[]): string {
  const out = off.filter(({ line }) => isOf(tool, line.group)).length;
  return out > 0 ? `${words}, ${out} out` : words;
}

type Side = 'value_mm' | 'left_mm' | 'right_mm';
const OVER_ID = 'as-built';
const NO_READINGS: Readings = {};

/** What was measured on the shaped board, in the order one walks round it, against the design; and the board it makes. */
export function ShapedBench() {
  const { record, shape: now } = useBay();
  // What was made is compared with what was cut, whatever the design has become since.
  const cut = cutVersion(record);
  const shape = cut ? shapeFor(cut.board) : now;
  const { tolerances } = useShed((shed) => shed.settings.workshop);
  const sheet = useMemo(() => measuringSheet(shape), [shape]);
  const readings = record.shaped?.readings ?? NO_READINGS;
  const found = useMemo(() => measuredAgainst(sheet, readings, tolerances), [sheet, readings, tolerances]);
  const off = found.filter((entry) => outOf(entry).length > 0);
  const out = off.length;
  const { page, tabs } = usePages('Measured with', {
    tape: named('Tape', 'tape', off),
    callipers: named('Callipers', 'callipers', off),
    straightedge: named('Straightedge', 'straightedge', off),
    rail: named('Rails', 'rail', off),
    bottom: named('Bottom', 'bottom', off),
  });

  const read = (line: SheetLine, side: Side, mm: number | undefined): EditResult => {
    const trouble = mm === undefined ? undefined : readingTrouble(line, mm);
    if (trouble) return { ok: false, issues: [{ code: 'reading', path: line.id, words: trouble }] };
    const { [side]: _was, ...rest } = readings[line.id] ?? {};
    const kept = mm === undefined ? rest : { ...rest, [side]: mm };
    const { [line.id]: _line, ...others } = readings;
    const next: Readings = Object.keys(kept).length > 0 ? { ...others, [line.id]: kept } : others;
    // A board fitted to other readings is no longer the one that was made.
    return edit(record.id, `${line.name.toLowerCase()} measured`, ({ shaped, ...rest2 }) => {
      const mass = shaped?.mass_kg === undefined ? {} : { mass_kg: shaped.mass_kg };
      return { ...rest2, shaped: { on: today(), readings: next, ...mass } };
    });
  };

  return (
    <div role="group" aria-label="Shaped board" className="shaped">
      <p className="serif above-0 below-6" data-testid="measured">
        {found.length === 0
          ? 'Nothing measured yet. Type what you read; what differs is said at once.'
          : `${found.length} of ${sheet.length} measured, ${out === 0 ? 'all within what hands can do' : `${out} out of tolerance`}.`}
      </p>
      {cut && workingDiffers({ ...record, from: cut.id }) && (
        <p className="quiet above-0 below-2" data-testid="compared-with">
          Compared with version {cut.no}, which the blank was cut to; the design has changed since.
        </p>
      )}
      <AsBuilt readings={readings} design={shape.board} />
      <div className="row-of-tools">
        {tabs}
        <span className="quiet">tolerances are the shop’s own: Shelf, Figures</span>
      </div>
      <table className="marks" aria-label="Measuring sheet">
        <caption className="print-only">
          {record.board.name} {record.number}, measuring sheet
        </caption>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" className="num">
              Design
            </th>
            <th scope="col">Read</th>
            <th scope="col">Off by</th>
          </tr>
        </thead>
        {SHEET_GROUPS.map((group) => (
          // On paper all of them stand.
          <tbody key={group} className={isOf(page, group) ? '' : 'off-page'}>
            <tr className="group">
              <th scope="rowgroup" colSpan={4}>
                {SHEET_GROUP_WORDS[group]}
                <span className="quiet within">
                  within <Measure mm={toleranceOf(group, tolerances)} />
                  {sheet.some((line) => line.group === group && line.sided) && ', left against right the same'}
                </span>
              </th>
            </tr>
            {sheet
              .filter((line) => line.group === group)
              .map((line) => (
                <SheetRow
                  key={line.id}
                  line={line}
                  readings={readings}
                  measured={found.find((entry) => entry.line.id === line.id)}
                  read={read}
                />
              ))}
          </tbody>
        ))}
      </table>
    </div>
  );
}

/** What of a line is out of tolerance, left against right too. */
function outOf({ value, left, right, sides }: Measured) {
  return [value, left, right, sides].filter((part) => part !== undefined && !part.within);
}

interface SheetRowProps {
  line: SheetLine;
  readings: Readings;
  measured: Measured | undefined;
  read: (line: SheetLine, side: Side, mm: number | undefined) => EditResult;
}

function SheetRow({ line, readings, measured, read }: SheetRowProps) {
  const { record } = useBay();
  const field = (side: Side, words: string) => (
    <LengthField
      key={`${record.id} ${side}`}
      small
      label={`${SHEET_GROUP_WORDS[line.group].split(',')[0]}, ${line.name}${words}`}
      feet={line.group === 'length'}
      value_mm={readings[line.id]?.[side]}
      onChange={(mm) => read(line, side, mm)}
      onClear={() => read(line, side, undefined)}
    />
  );
  return (
    <tr>
      <th scope="row">{line.name}</th>
      <td className="num">
        <Measure mm={line.design_mm} feet={line.group === 'length'} />
      </td>
      <td>
        {line.sided ? (
          <span className="two-sides">
            <span className="quiet">left</span> {field('left_mm', ', left')} <span className="quiet">right</span>{' '}
            {field('right_mm', ', right')}
          </span>
        ) : (
          field('value_mm', '')
        )}
      </td>
      <td data-testid={`off ${line.id}`}>
        {measured?.value && <Off part={measured.value} />}
        {measured?.left && <Off part={measured.left} name="left" />}
        {measured?.right && <Off part={measured.right} name="right" />}
        {measured?.sides && !measured.sides.within && (
          <span className="off out">
            sides differ by <Measure mm={Math.abs(measured.sides.difference_mm)} />
          </span>
        )}
      </td>
    </tr>
  );
}

function Off({ part, name }: { part: { difference_mm: number; within: boolean }; name?: string }) {
  const none = Math.abs(part.difference_mm) < 0.2;
  return (
    <span className={part.within ? 'off' : 'off out'}>
      {name && `${name} `}
      {none ? 'right on' : <Measure mm={part.difference_mm} signed />}
      {!part.within && ', out'}
    </span>
  );
}

/** The board fitted to the readings, beside its design: both are kept. */
function AsBuilt({ readings, design }: { readings: Readings; design: Board }) {
  const { record, over, layOver } = useBay();
  const measures = measuresFor(design);
  const [notice, holder] = message.useMessage();
  const built = record.shaped?.board;
  const any = Object.keys(readings).length > 0;
  const litres = built && measuresFor(built).volume_L;
  const shown = over?.choice.id === OVER_ID;
  const make = () => {
    const made = asBuilt(design, readings);
    if (!made.ok) {
      const [issue] = made.issues;
      void notice.error(`No board has these readings: ${issue.words}. Look at what was typed; nothing is lost.`, 10);
      return;
    }
    edit(record.id, 'as-built board', (r) => (r.shaped ? { ...r, shaped: { ...r.shaped, board: made.board } } : r));
  };
  return (
    <div className="row-of-tools no-print above-0">
      {holder}
      {built && litres !== undefined ? (
        <>
          <span className="serif" data-testid="as-built">
            As built <b>{litres.toFixed(1)} L</b>, {litres < measures.volume_L ? '−' : '+'}
            {Math.abs(litres - measures.volume_L).toFixed(1)} against the design
          </span>
          <Button
            size="small"
            aria-pressed={shown}
            onClick={() =>
              layOver(
                shown
                  ? undefined
                  : { id: OVER_ID, align: 'tail', push: 1, earlier: { board: built, name: 'as built' } },
              )
            }
          >
            {shown ? 'Take it off' : 'Lay it over the design'}
          </Button>
          <Button
            size="small"
            onClick={() => {
              addBoard({ ...built, name: `${record.board.name} as built` }, record.riderId);
              void notice.success('It stands on the rack as a board of its own; the design stays as it was.');
            }}
          >
            Put it on the rack
          </Button>
        </>
      ) : (
        <Button size="small" type="primary" disabled={!any} onClick={make}>
          Make the as-built board
        </Button>
      )}
      <label className="mini">
        On the scales
        <InputNumber
          aria-label="Weight on the scales"
          size="small"
          min={0.5}
          max={30}
          step={0.05}
          suffix="kg"
          className="fit-96"
          value={record.shaped?.mass_kg ?? null}
          onChange={(mass) =>
            edit(record.id, 'weight measured', ({ shaped, ...rest }) => {
              const { mass_kg: _was, ...kept } = shaped ?? { on: today(), readings: {} };
              return { ...rest, shaped: typeof mass === 'number' ? { ...kept, mass_kg: mass } : kept };
            })
          }
        />
      </label>
      <Button size="small" onClick={() => window.print()}>
        Print the sheet
      </Button>
    </div>
  );
}
