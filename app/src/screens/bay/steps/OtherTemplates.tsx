import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { type DrawingName, DRAWINGS, drawingToSvg, withCheckSquare } from '@june-tide/core/files';
import { checkSquareOf } from '@june-tide/core/make';
import { placeWords, USUAL_STATIONS } from '@june-tide/core/measure';
import { writeLength } from '@june-tide/core/units';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { pdfFonts } from '../../../parts/pdfFonts.ts';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { SheetsPreview } from './SheetsPreview.tsx';
import type { MakeButton } from './useMaking.tsx';
import { paperInName, type Printed } from './printed.ts';

/** What has no button of its own. */
const OTHERS: readonly DrawingName[] = ['railGauges', 'bands', 'bottomGauges', 'sticks', 'outline', 'fins', 'sections'];

interface OtherTemplatesProps {
  /** The board and its number. */
  called: string;
  printedOn: Printed;
  button: MakeButton;
}

/** Gauges, bands, sticks and the rest, as paper or as lines: at the usual stations or at those that are chosen. */
export function OtherTemplates({ called, printedOn, button }: OtherTemplatesProps) {
  const { record, shape } = useBay();
  const { printer } = useShed((shed) => shed.settings);
  const style = useLengthStyle();
  const [other, setOther] = useState<DrawingName>('railGauges');
  const [chosen, setChosen] = useState<number[]>([]);
  /** Gauges and sections are cut at stations: at those that were chosen, or at all the usual ones. */
  const atStations = other === 'railGauges' || other === 'bottomGauges' || other === 'sections';
  const { bands } = record;
  const drawing = useMemo(
    () =>
      DRAWINGS[other].draw(shape, style, {
        name: called,
        bands,
        ...(atStations && chosen.length > 0 ? { places: chosen.map((i) => USUAL_STATIONS[i]) } : {}),
      }),
    [shape, style, called, bands, other, atStations, chosen],
  );
  const file = fileName(called, other);

  return (
    <li className="choices">
      <Select<DrawingName>
        aria-label="Another template"
        className="fit-230"
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
          className="least-170"
          placeholder="All the usual stations"
          value={chosen}
          onChange={setChosen}
          options={USUAL_STATIONS.map((place, i) => ({
            value: i,
            label: placeWords(place, (mm) => writeLength(mm, style).text),
          }))}
        />
      )}
      {button('template of it', 'Full size (PDF)', async () => {
        const { drawingPdf } = await import('@june-tide/core/files/pdf');
        const { words } = DRAWINGS[other];
        const heading = {
          name: called,
          drawing: words,
          line: `${words}, full size`,
          hints: ['Lay the sheets with the crosses on one another.'],
        };
        const printing = { on: printedOn, style, reading: printer, fonts: await pdfFonts() };
        const bytes = await drawingPdf(drawing, heading, printing);
        saveFile(bytes, `${file}-${paperInName(printedOn)}.pdf`, 'application/pdf');
      })}
      {button('drawing of it', 'SVG', () =>
        saveFile(drawingToSvg(withCheckSquare(drawing, checkSquareOf(printedOn))), `${file}.svg`, 'image/svg+xml'),
      )}
      {button('lines of it', 'DXF', async () => {
        const { drawingToDxf } = await import('@june-tide/core/files/packages');
        saveFile(drawingToDxf(drawing), `${file}.dxf`, 'application/dxf');
      })}
      <SheetsPreview drawing={drawing} on={printedOn} reading={printer} words={DRAWINGS[other].words} />
    </li>
  );
}
