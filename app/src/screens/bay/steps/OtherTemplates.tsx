import { Select } from 'antd';
import { useState } from 'react';
import { CHECK_SQUARE_mm, type DrawingName, DRAWINGS, drawingToSvg, withCheckSquare } from '@june-tide/core/files';
import { placeWords, USUAL_STATIONS } from '@june-tide/core/measure';
import { writeLength } from '@june-tide/core/units';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { saveFile } from '../../../parts/saveFile.ts';
import { useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import type { MakeButton } from './useMaking.tsx';
import type { Printed } from './printed.ts';

/** What has no button of its own. */
const OTHERS: readonly DrawingName[] = ['railGauges', 'bands', 'bottomGauges', 'sticks', 'outline', 'fins', 'sections'];

interface OtherTemplatesProps {
  /** Of the files, without an ending. */
  name: string;
  printedOn: Printed;
  button: MakeButton;
}

/** Gauges, bands, sticks and the rest, as paper or as lines: at the usual stations or at those that are chosen. */
export function OtherTemplates({ name, printedOn, button }: OtherTemplatesProps) {
  const { record, shape } = useBay();
  const { board } = record;
  const { printer } = useShed((shed) => shed.settings);
  const style = useLengthStyle();
  const [other, setOther] = useState<DrawingName>('railGauges');
  const [chosen, setChosen] = useState<number[]>([]);
  /** Gauges and sections are cut at stations: at those that were chosen, or at all the usual ones. */
  const atStations = other === 'railGauges' || other === 'bottomGauges' || other === 'sections';
  const drawOther = () =>
    atStations && chosen.length > 0
      ? DRAWINGS[other].draw(
          shape,
          style,
          chosen.map((i) => USUAL_STATIONS[i]),
        )
      : other === 'bands'
        ? DRAWINGS.bands.draw(shape, style, record.bands)
        : DRAWINGS[other].draw(shape, style);

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
        const heading = {
          name: `${board.name} ${record.number}`,
          line: `${DRAWINGS[other].words}, full size`,
          hints: ['Lay the sheets with the crosses on one another.'],
        };
        const bytes = await drawingPdf(drawOther(), heading, printedOn, printer);
        saveFile(bytes, `${name}-${other}.pdf`, 'application/pdf');
      })}
      {button('drawing of it', 'SVG', () =>
        saveFile(drawingToSvg(withCheckSquare(drawOther(), CHECK_SQUARE_mm)), `${name}-${other}.svg`, 'image/svg+xml'),
      )}
      {button('lines of it', 'DXF', async () => {
        const { drawingToDxf } = await import('@june-tide/core/files/packages');
        saveFile(drawingToDxf(drawOther()), `${name}-${other}.dxf`, 'application/dxf');
      })}
    </li>
  );
}
