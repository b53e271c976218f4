import { Segmented, Select } from 'antd';
import { useMemo, useState } from 'react';
import {
  type DrawingName,
  DRAWINGS,
  drawingToSvg,
  nested,
  onPaper,
  piecesOfDrawing,
  withCheckSquare,
  withEdge,
} from '@june-tide/core/files';
import { checkSquareOf } from '@june-tide/core/make';
import { settingsSchema } from '@june-tide/core/record';
import { placeWords, USUAL_STATIONS } from '@june-tide/core/measure';
import { writeLength } from '@june-tide/core/units';
import { LengthField, rangeOf } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { changeSettings, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { PaperPreview, PiecesPreview } from './SheetsPreview.tsx';
import type { MakeButton } from './useMaking.tsx';
import type { Printed } from './printed.ts';
import type { PaperButton } from './usePaper.tsx';

/** What has no button of its own. */
const OTHERS: readonly DrawingName[] = ['railGauges', 'bands', 'bottomGauges', 'sticks', 'outline', 'fins', 'sections'];

interface OtherTemplatesProps {
  /** The board and its number. */
  called: string;
  printedOn: Printed;
  button: MakeButton;
  paperButton: PaperButton;
}

/** Gauges, bands, sticks and the rest, as paper or as lines: at the usual stations or at those that are chosen; of several pieces, on sheets of ply too. */
export function OtherTemplates({ called, printedOn, button, paperButton }: OtherTemplatesProps) {
  const { record, shape } = useBay();
  const { printer, stock } = useShed((shed) => shed.settings);
  const style = useLengthStyle();
  const [other, setOther] = useState<DrawingName>('railGauges');
  const [chosen, setChosen] = useState<number[]>([]);
  const [lain, setLain] = useState<'paper' | 'stock'>('paper');
  /** Gauges and sections are cut at stations: at those that were chosen, or at all the usual ones. */
  const atStations = other === 'railGauges' || other === 'bottomGauges' || other === 'sections';
  const ofPieces = atStations || other === 'sticks';
  const onStock = ofPieces && lain === 'stock';
  const { bands } = record;
  const choices = useMemo(
    () => ({
      name: called,
      bands,
      ...(atStations && chosen.length > 0 ? { places: chosen.map((i) => USUAL_STATIONS[i]) } : {}),
    }),
    [called, bands, atStations, chosen],
  );
  const { words } = DRAWINGS[other];
  const paper = useMemo(
    () => (onStock ? undefined : onPaper(other, shape, { on: printedOn, style, reading: printer }, choices)),
    [onStock, other, shape, printedOn, style, printer, choices],
  );
  const laid = useMemo(() => {
    if (!onStock) return undefined;
    const sheet = { width_mm: stock.length_mm, height_mm: stock.width_mm };
    return nested(`${called}, ${words}`, piecesOfDrawing(other, shape, style, choices), sheet, stock);
  }, [onStock, called, words, other, shape, style, choices, stock]);
  const drawings = () => (laid ? laid.sheets.map(withEdge) : [DRAWINGS[other].draw(shape, style, choices)]);
  const file = fileName(called, other);
  /** One file, or a zip of one for each sheet. */
  const save = async (texts: readonly string[], end: string, type: string) => {
    if (texts.length === 1) return saveFile(texts[0], `${file}.${end}`, type);
    const { zipOf } = await import('@june-tide/core/files/packages');
    const named = texts.map((text, i): [string, string] => [`${file}-sheet-${i + 1}.${end}`, text]);
    saveFile(zipOf(named), `${file}-${end}.zip`, 'application/zip');
  };
  const none = laid?.sheets.length === 0;

  return (
    <li className="choices">
      <Select<DrawingName>
        aria-label="Another template"
        className="fit-150"
        value={other}
        onChange={setOther}
        options={OTHERS.map((value) => ({
          value,
          label: DRAWINGS[value].words.replace(/^./, (c) => c.toUpperCase()),
        }))}
      />
      {atStations && (
        <Select<number[]>
          aria-label="At these stations"
          mode="multiple"
          maxTagCount={2}
          className="least-150"
          placeholder="Usual stations"
          value={chosen}
          onChange={setChosen}
          options={USUAL_STATIONS.map((place, i) => ({
            value: i,
            label: placeWords(place, (mm) => writeLength(mm, style).text),
          }))}
        />
      )}
      {ofPieces && (
        <Segmented<'paper' | 'stock'>
          aria-label="Cut from"
          size="small"
          value={lain}
          onChange={setLain}
          options={[
            { value: 'paper', label: 'Paper' },
            { value: 'stock', label: 'Ply or card' },
          ]}
        />
      )}
      {!onStock && paperButton('template of it', 'Full size (PDF)', other, { kind: 'drawing', which: other }, choices)}
      {!none &&
        button('drawing of it', 'SVG', () =>
          save(
            drawings().map((drawing) => drawingToSvg(withCheckSquare(drawing, checkSquareOf(printedOn)))),
            'svg',
            'image/svg+xml',
          ),
        )}
      {!none &&
        button('lines of it', 'DXF', async () => {
          const { drawingToDxf } = await import('@june-tide/core/files/packages');
          await save(
            drawings().map((drawing) => drawingToDxf(drawing)),
            'dxf',
            'application/dxf',
          );
        })}
      {onStock && <StockFields />}
      {paper && <PaperPreview paper={paper} on={printedOn} reading={printer} words={words} />}
      {laid && <PiecesPreview sheets={laid.sheets} words={words} said={stockWords(laid)} />}
    </li>
  );
}

/** How many pieces lie on how many sheets, and which are too large for one. */
function stockWords({ sheets, on, tooLarge }: ReturnType<typeof nested>): string {
  const count = on.flat().length;
  const pieces = `${count} ${count === 1 ? 'piece' : 'pieces'}`;
  const lie = sheets.length > 0 ? `${pieces} on ${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'}` : '';
  const left = tooLarge.length > 0 ? `too large for the sheet: ${tooLarge.map(({ title }) => title).join(', ')}` : '';
  return [lie, left].filter(Boolean).join('; ');
}

const STOCK_WORDS = {
  length_mm: 'Sheet, long',
  width_mm: 'Sheet, wide',
  gap_mm: 'Between pieces',
  kerf_mm: 'Kerf',
} as const;
const SIDES = Object.keys(STOCK_WORDS) as (keyof typeof STOCK_WORDS)[];

/** The sheet templates are cut from, and how they lie on it. */
function StockFields() {
  const { stock } = useShed((shed) => shed.settings);
  return SIDES.map((side) => (
    <label key={side} className="labelled">
      {STOCK_WORDS[side]}
      <LengthField
        small
        label={STOCK_WORDS[side]}
        value_mm={stock[side]}
        range_mm={rangeOf(settingsSchema.shape.stock.shape[side])}
        onChange={(next) => changeSettings({ stock: { ...stock, [side]: next } })}
      />
    </label>
  ));
}
