import { InputNumber, Select } from 'antd';
import { useMemo, useState } from 'react';
import { drawingToSvg, laidOnPaper, stacked, wireBlockDrawing, wireTemplates } from '@june-tide/core/files';
import { type WireBlock, type WirePlan, wirePlan, workshopSchema } from '@june-tide/core/make';
import { writeLength } from '@june-tide/core/units';
import { LengthField, rangeOf } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { NumberField } from '../../../parts/NumberField.tsx';
import { fileName, printFile, saveFile } from '../../../parts/saveFile.ts';
import { shapeFor } from '../../../store/derived.ts';
import { changeWorkshop, useShed } from '../../../store/shed.ts';
import { paperClient } from '../../../workers/workClient.ts';
import { useBay } from '../useBay.ts';
import { Lines, PaperPreview, Preview } from './SheetsPreview.tsx';
import type { Printed } from './printed.ts';
import { useMaking } from './useMaking.tsx';

const BLOCK_WORDS = {
  length_mm: 'Block, long',
  width_mm: 'Block, wide',
  height_mm: 'Block, high',
  apart_mm: 'Between boards',
} as const;
const SIDES = Object.keys(BLOCK_WORDS) as (keyof typeof BLOCK_WORDS)[];
/** Too fine for the shop's own writing of lengths. */
const WIRE_WORDS = { wire_mm: 'Wire', kerf_mm: 'Kerf' } as const;
const FINE = Object.keys(WIRE_WORDS) as (keyof typeof WIRE_WORDS)[];
const MOST_COPIES = 20;

/** This board, as often as wanted, and others of the rack in one block of EPS: how they lie, and the templates a hot wire rides on. */
export function BlockOfEps() {
  const { record, shape } = useBay();
  const records = useShed((shed) => shed.records);
  const { wire, allowance } = useShed((shed) => shed.settings.workshop);
  const { paper, roll_mm, printer } = useShed((shed) => shed.settings);
  const style = useLengthStyle();
  const [copies, setCopies] = useState(1);
  const [others, setOthers] = useState<string[]>([]);
  const { button, holder } = useMaking();
  const called = `${record.board.name} ${record.number}`;
  const plan = useMemo(() => {
    const own = Array.from({ length: copies }, () => ({ name: called, shape }));
    const taken = others.flatMap((id) => {
      const other = records[id];
      return other ? [{ name: `${other.board.name} ${other.number}`, shape: shapeFor(other.board) }] : [];
    });
    return wirePlan([...own, ...taken], wire, allowance);
  }, [called, shape, copies, others, records, wire, allowance]);
  const templates = useMemo(() => wireTemplates(plan, wire, style), [plan, wire, style]);
  const words = 'hot-wire templates';
  const file = fileName(called, 'hot-wire');
  const printedOn = useMemo((): Printed => (paper === 'roll' ? { roll_mm } : paper), [paper, roll_mm]);
  const together = () => stacked(`${called}, ${words}`, templates, 20);
  const laid = useMemo(
    () =>
      laidOnPaper(words, templates, () => stacked(`${called}, ${words}`, templates, 20), {
        on: printedOn,
        reading: printer,
      }),
    [templates, called, printedOn, printer],
  );
  const pdf = () =>
    paperClient.ask('paper', {
      kind: 'laid',
      paper: laid,
      name: called,
      words,
      printing: { on: printedOn, style, reading: printer },
    });
  return (
    <section role="group" aria-label="Block of EPS">
      {holder}
      <div className="row-of-tools on-one-line">
        {SIDES.map((side) => (
          <label key={side} className="labelled">
            {BLOCK_WORDS[side]}
            <LengthField
              small
              label={BLOCK_WORDS[side]}
              value_mm={wire[side]}
              range_mm={rangeOf(workshopSchema.shape.wire.shape[side])}
              onChange={(next) => changeWorkshop({ wire: { ...wire, [side]: next } })}
            />
          </label>
        ))}
        {FINE.map((key) => (
          <label key={key} className="labelled">
            {WIRE_WORDS[key]}
            <NumberField
              label={WIRE_WORDS[key]}
              value={wire[key]}
              schema={workshopSchema.shape.wire.shape[key]}
              step={0.1}
              suffix="mm"
              width={96}
              onChange={(next) => changeWorkshop({ wire: { ...wire, [key]: next } })}
            />
          </label>
        ))}
        <label className="labelled">
          Of this board
          <InputNumber
            aria-label="Of this board"
            min={1}
            max={MOST_COPIES}
            precision={0}
            value={copies}
            onChange={(next) => next && setCopies(next)}
            className="fit-96"
          />
        </label>
        <label className="labelled">
          With it
          <Select<string[]>
            aria-label="Other boards in the block"
            mode="multiple"
            maxTagCount={1}
            className="least-170"
            placeholder="Boards of the rack"
            optionFilterProp="label"
            value={others}
            onChange={setOthers}
            options={Object.values(records)
              .filter(({ id, binnedAt }) => id !== record.id && !binnedAt)
              .map(({ id, board, number }) => ({ value: id, label: `${board.name} ${number}` }))}
          />
        </label>
      </div>
      <div className="blank-columns">
        <InTheBlock plan={plan} block={wire} said={blockWords(plan, (mm) => writeLength(mm, style).text)} />
        {plan.layers.length > 0 && <PaperPreview paper={laid} on={printedOn} reading={printer} words={words} />}
      </div>
      {plan.layers.length > 0 && (
        <div className="choices">
          {button('wire templates', 'Templates (PDF)', async () =>
            saveFile(await pdf(), `${file}.pdf`, 'application/pdf'),
          )}
          {button('print of them', 'Print them', async () => printFile(await pdf()))}
          {button('templates as SVG', 'SVG', () => saveFile(drawingToSvg(together()), `${file}.svg`, 'image/svg+xml'))}
          {button('templates as DXF', 'DXF', async () => {
            const { drawingToDxf } = await import('@june-tide/core/files/packages');
            saveFile(drawingToDxf(together()), `${file}.dxf`, 'application/dxf');
          })}
          <span className="quiet">
            {templates.length} cards: each deck and bottom to be cut twice, one for each side, from the top down; and
            the stringer.
          </span>
        </div>
      )}
    </section>
  );
}

/** The block from the side, every board in it by its name. */
function InTheBlock({ plan, block, said }: { plan: WirePlan; block: WireBlock; said: string }) {
  const drawing = wireBlockDrawing(plan, block);
  const { width_mm, height_mm } = drawing;
  return (
    <Preview words="Block of EPS from the side" said={said} width_mm={width_mm} height_mm={height_mm}>
      <Lines drawing={drawing} />
      {drawing.texts.map(({ x_mm, y_mm, text }, i) => (
        <text
          key={i}
          x={x_mm}
          y={height_mm - y_mm + 12}
          fontSize={44}
          textAnchor="middle"
          fill="currentColor"
          className="drawn"
        >
          {text}
        </text>
      ))}
    </Preview>
  );
}

/** How many lie in it and how high they come; what it does not hold, and by how much. */
function blockWords({ layers, left, used_mm }: WirePlan, length: (mm: number) => string): string {
  const abreast = Math.min(...layers.map((layer) => layer.abreast));
  const beside = abreast > 1 ? `, each cut wide enough for ${abreast} abreast` : '';
  const held =
    layers.length > 0
      ? `${layers.length === 1 ? '1 board' : `${layers.length} boards, one over another`}, ${length(used_mm)} of the height${beside}`
      : '';
  const short = left.map(({ name, of, short_mm }) => `${name}: the block is ${length(short_mm)} short in ${of}`);
  return [held, ...short].filter(Boolean).join('; ');
}
