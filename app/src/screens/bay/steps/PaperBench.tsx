import { Button, message, Segmented, Select } from 'antd';
import { useState } from 'react';
import {
  CHECK_SQUARE_mm,
  type DrawingName,
  DRAWINGS,
  drawingToSvg,
  halfOutlineDrawing,
  withCheckSquare,
  writeBoardFile,
} from '@june-tide/core/files';
import { placeWords, USUAL_STATIONS } from '@june-tide/core/measure';
import { type PrintsOn, PRINTS_ON, settingsSchema } from '@june-tide/core/record';
import { formatLitres, writeLength } from '@june-tide/core/units';
import { LengthField, rangeOf } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { NumberField } from '../../../parts/NumberField.tsx';
import { changeSettings, useShed } from '../../../store/shed.ts';
import { solidClient } from '../../../workers/solidClient.ts';
import { saveFile } from '../../../parts/saveFile.ts';
import { Cautions } from '../../../parts/Cautions.tsx';
import { useBay } from '../useBay.ts';
import { ticketExtras } from './ticketExtras.ts';

const PAPER_WORDS: Readonly<Record<PrintsOn, string>> = {
  A4: 'A4',
  Letter: 'US Letter',
  A3: 'A3',
  Tabloid: 'Tabloid',
  roll: 'Roll',
};
/** What has no button of its own above. */
const OTHERS: readonly DrawingName[] = ['railGauges', 'bands', 'bottomGauges', 'sticks', 'outline', 'fins', 'sections'];
const DRAWING_NAMES = ['half', 'rocker', 'sections', 'fins'] as const;
const DRAWING_WORDS = { half: 'Half outline', rocker: 'Rocker', sections: 'Sections', fins: 'Fins' } as const;
const SOLID_TYPES = { stl: 'model/stl', '3mf': 'model/3mf', obj: 'model/obj' } as const;

/** Paper to cut from, and files. Each is made here in the browser; nothing is sent anywhere. */
export function PaperBench() {
  const { record, shape, rider, target } = useBay();
  const { paper, roll_mm, printer } = useShed((shed) => shed.settings);
  const workshop = useShed((shed) => shed.settings.workshop);
  const shelf = useShed((shed) => shed.shelf);
  const onePage = paper === 'Letter' || paper === 'Tabloid' ? 'Letter' : 'A4';
  const printedOn = paper === 'roll' ? { roll_mm } : paper;
  const [other, setOther] = useState<DrawingName>('railGauges');
  const [chosen, setChosen] = useState<number[]>([]);
  const style = useLengthStyle();
  const [busy, setBusy] = useState<string>();
  const [notice, holder] = message.useMessage();
  const { board } = record;
  const name = `${board.name} ${record.number}`.toLowerCase().replace(/[^a-z0-9]+/g, '-');

  /** Gauges and sections are cut at stations: at those that were chosen, or at all the usual ones. */
  const atStations = other === 'railGauges' || other === 'bottomGauges' || other === 'sections';
  const drawOther = () =>
    atStations && chosen.length > 0
      ? DRAWINGS[other].draw(
          shape,
          style,
          chosen.map((i) => USUAL_STATIONS[i]),
        )
      : DRAWINGS[other].draw(shape, style);

  const make = async (what: string, work: () => Promise<void> | void) => {
    setBusy(what);
    try {
      await work();
    } catch (error) {
      void notice.error(
        `The ${what} could not be made: ${error instanceof Error ? error.message.split('\n')[0] : String(error)}. The board is safe.`,
        10,
      );
    } finally {
      setBusy(undefined);
    }
  };
  const button = (what: string, words: string, work: () => Promise<void> | void, primary = false) => (
    <Button
      key={what}
      type={primary ? 'primary' : 'default'}
      loading={busy === what}
      onClick={() => void make(what, work)}
    >
      {words}
    </Button>
  );

  return (
    <div role="group" aria-label="Paper and files">
      {holder}
      <div className="head">
        <span className="quiet">made here in the browser; nothing is sent anywhere</span>
        <span className="right row-of-tools" style={{ margin: 0 }}>
          <Segmented<PrintsOn>
            aria-label="Paper"
            size="small"
            value={paper}
            options={PRINTS_ON.map((value) => ({ value, label: PAPER_WORDS[value] }))}
            onChange={(value) => changeSettings({ paper: value })}
          />
          {paper === 'roll' && (
            <LengthField
              small
              label="Width of the roll"
              value_mm={roll_mm}
              range_mm={rangeOf(settingsSchema.shape.roll_mm)}
              onChange={(next) => changeSettings({ roll_mm: next })}
            />
          )}
        </span>
      </div>
      <ul className="plain-list">
        <li className="choices">
          {button(
            'template',
            'Half outline, full size (PDF)',
            async () => {
              const { templatePdf } = await import('@june-tide/core/files/pdf');
              const bytes = await templatePdf(shape, printedOn, style, printer, `${board.name} ${record.number}`);
              saveFile(bytes, `${name}-template.pdf`, 'application/pdf');
            },
            true,
          )}
          {button('drawing', 'The same as SVG', () =>
            saveFile(
              drawingToSvg(withCheckSquare(halfOutlineDrawing(shape, style), CHECK_SQUARE_mm)),
              `${name}-template.svg`,
              'image/svg+xml',
            ),
          )}
        </li>
        <li className="choices">
          {button('ticket', 'Ticket, one page (PDF)', async () => {
            const { ticketPdf } = await import('@june-tide/core/files/pdf');
            const extras = {
              ...(rider ? { riderName: rider.name } : {}),
              ...(target ? { target: `aim ${formatLitres(target.low_L)} to ${formatLitres(target.high_L)}` } : {}),
              ...ticketExtras(record, shelf, workshop),
            };
            saveFile(await ticketPdf(shape, onePage, style, extras), `${name}-ticket.pdf`, 'application/pdf');
          })}
          {button('wall sheet', 'Wall sheet, large type (PDF)', async () => {
            const { wallSheetPdf } = await import('@june-tide/core/files/pdf');
            const heading = { name: `${board.name} ${record.number}`, ...(rider ? { riderName: rider.name } : {}) };
            saveFile(await wallSheetPdf(shape, onePage, style, heading), `${name}-wall.pdf`, 'application/pdf');
          })}
          {button('board file', 'Board file (JSON)', () =>
            saveFile(writeBoardFile(board), `${name}.json`, 'application/json'),
          )}
        </li>
        <li className="choices">
          {DRAWING_NAMES.map((key) =>
            button(`${key} drawing`, `${DRAWING_WORDS[key]} (DXF)`, async () => {
              const { drawingToDxf } = await import('@june-tide/core/files/packages');
              const drawing = key === 'half' ? halfOutlineDrawing(shape, style) : DRAWINGS[key].draw(shape, style);
              saveFile(drawingToDxf(drawing), `${name}-${key}.dxf`, 'application/dxf');
            }),
          )}
        </li>
        <li className="choices">
          {(['stl', '3mf', 'obj'] as const).map((to) =>
            button(`solid as ${to}`, `Solid (${to.toUpperCase()})`, async () => {
              saveFile(await solidClient.ask('solid', { board, to }), `${name}.${to}`, SOLID_TYPES[to]);
            }),
          )}
          {button('station table', 'Station table (CSV)', async () => {
            const { stationsToCsv } = await import('@june-tide/core/files/packages');
            saveFile(stationsToCsv(board), `${name}-stations.csv`, 'text/csv');
          })}
        </li>
        <li className="choices">
          <Select<DrawingName>
            aria-label="Another template"
            style={{ width: 230 }}
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
              style={{ minWidth: 170 }}
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
            saveFile(
              drawingToSvg(withCheckSquare(drawOther(), CHECK_SQUARE_mm)),
              `${name}-${other}.svg`,
              'image/svg+xml',
            ),
          )}
          {button('lines of it', 'DXF', async () => {
            const { drawingToDxf } = await import('@june-tide/core/files/packages');
            saveFile(drawingToDxf(drawOther()), `${name}-${other}.dxf`, 'application/dxf');
          })}
        </li>
      </ul>
      <PrinterReading />
      <p className="quiet" style={{ margin: '6px 0' }}>
        Print at 100 %, then measure the {CHECK_SQUARE_mm} mm square on the first page before you cut. The board file
        holds no rider; the ticket carries the first name.
      </p>
      <Cautions of={['planer', 'foamDust']} />
    </div>
  );
}

/** What the check square measured on paper: the next print is corrected by it, both ways. */
function PrinterReading() {
  const { printer } = useShed((shed) => shed.settings);
  const off = printer.across_mm !== CHECK_SQUARE_mm || printer.along_mm !== CHECK_SQUARE_mm;
  return (
    <div className="row-of-tools" role="group" aria-label="Printer correction">
      <span>The square measured</span>
      {(['across_mm', 'along_mm'] as const).map((side) => (
        <NumberField
          key={side}
          label={side === 'across_mm' ? 'Across the sheet' : 'Along the sheet'}
          schema={settingsSchema.shape.printer.shape[side]}
          step={0.1}
          suffix="mm"
          width={96}
          value={printer[side]}
          onChange={(value) => changeSettings({ printer: { ...printer, [side]: value } })}
        />
      ))}
      <span className="quiet">across and along the sheet{off && ': prints are corrected by it'}</span>
    </div>
  );
}
