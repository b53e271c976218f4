import * as z from 'zod';
import { Segmented } from 'antd';
import { drawingToSvg, halfOutlineDrawing, withCheckSquare, writeBoardFile } from '@june-tide/core/files';
import { checkSquareOf, type PrintedOn } from '@june-tide/core/make';
import { type PrintsOn, PRINTS_ON, settingsSchema } from '@june-tide/core/record';
import { formatLitres } from '@june-tide/core/units';
import { LengthField, rangeOf } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { NumberField } from '../../../parts/NumberField.tsx';
import { changeSettings, useShed } from '../../../store/shed.ts';
import { pdfFonts } from '../../../parts/pdfFonts.ts';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { Cautions } from '../../../parts/Cautions.tsx';
import { useBay } from '../useBay.ts';
import { LinesAndSolids } from './LinesAndSolids.tsx';
import { OtherTemplates } from './OtherTemplates.tsx';
import { SheetsPreview } from './SheetsPreview.tsx';
import { paperInName, type Printed } from './printed.ts';
import { ticketExtras } from './ticketExtras.ts';
import { useMaking } from './useMaking.tsx';

const PAPER_WORDS: Readonly<Record<PrintsOn, string>> = {
  A4: 'A4',
  Letter: 'US Letter',
  A3: 'A3',
  Tabloid: 'Tabloid',
  roll: 'Roll',
};
/** Paper to cut from, and files. Each is made here in the browser; nothing is sent anywhere. */
export function PaperBench() {
  const { record, shape, rider, target } = useBay();
  const { paper, roll_mm, printer } = useShed((shed) => shed.settings);
  const workshop = useShed((shed) => shed.settings.workshop);
  const shelf = useShed((shed) => shed.shelf);
  const onePage: 'A4' | 'Letter' = paper === 'Letter' || paper === 'Tabloid' ? 'Letter' : 'A4';
  const printedOn: Printed = paper === 'roll' ? { roll_mm } : paper;
  const style = useLengthStyle();
  const { board } = record;
  const called = `${board.name} ${record.number}`;
  const name = fileName(called);
  const square = checkSquareOf(printedOn);
  const print = async () => ({ on: printedOn, style, reading: printer, fonts: await pdfFonts() });

  const extras = () => ({
    ...(rider ? { riderName: rider.name } : {}),
    ...(target ? { target: `aim ${formatLitres(target.low_L)} to ${formatLitres(target.high_L)}` } : {}),
    ...ticketExtras(record, shelf, workshop),
  });
  const { button, holder } = useMaking();
  return (
    <div role="group" aria-label="Paper and files">
      {holder}
      <div className="head">
        <span className="quiet">made here in the browser; nothing is sent anywhere</span>
        <span className="right row-of-tools above-0 below-0">
          <PaperChoice />
        </span>
      </div>
      <ul className="plain-list">
        <li className="choices">
          {button(
            'template',
            'Half outline, full size (PDF)',
            async () => {
              const { templatePdf } = await import('@june-tide/core/files/pdf');
              const bytes = await templatePdf(shape, await print(), called);
              saveFile(bytes, `${name}-template-${paperInName(printedOn)}.pdf`, 'application/pdf');
            },
            true,
          )}
          {button('drawing', 'The same as SVG', () =>
            saveFile(
              drawingToSvg(withCheckSquare(halfOutlineDrawing(shape, style, { name: called }), square)),
              `${name}-template.svg`,
              'image/svg+xml',
            ),
          )}
          {button('papers', 'All papers of this board (zip)', async () => {
            const { papersZip } = await import('@june-tide/core/files/pdf');
            const papers = {
              name: called,
              printing: await print(),
              onePage,
              extras: extras(),
              choices: { bands: record.bands },
            };
            saveFile(await papersZip(shape, papers), `${name}-papers-${paperInName(printedOn)}.zip`, 'application/zip');
          })}
          <SheetsPreview
            drawing={halfOutlineDrawing(shape, style)}
            on={printedOn}
            reading={printer}
            words="Half outline"
          />
        </li>
        <li className="choices">
          {button('ticket', 'Ticket, one page (PDF)', async () => {
            const { ticketPdf } = await import('@june-tide/core/files/pdf');
            saveFile(
              await ticketPdf(shape, onePage, style, await pdfFonts(), extras()),
              `${name}-ticket-${paperInName(onePage)}.pdf`,
              'application/pdf',
            );
          })}
          {button('wall sheet', 'Wall sheet, large type (PDF)', async () => {
            const { wallSheetPdf } = await import('@june-tide/core/files/pdf');
            const heading = { name: called, ...(rider ? { riderName: rider.name } : {}) };
            saveFile(
              await wallSheetPdf(shape, onePage, style, await pdfFonts(), heading),
              `${name}-wall-${paperInName(onePage)}.pdf`,
              'application/pdf',
            );
          })}
          {button('board file', 'Board file (JSON)', () =>
            saveFile(writeBoardFile(board), `${name}.json`, 'application/json'),
          )}
        </li>
        <LinesAndSolids called={called} button={button} />
        <OtherTemplates called={called} printedOn={printedOn} button={button} />
      </ul>
      <PrinterReading on={printedOn} />
      <p className="quiet above-6 below-6">
        Print at 100 %, then measure the {square.words} square on the first page before you cut. The board file holds no
        rider; the ticket carries the first name.
      </p>
      <Cautions of={['planer', 'foamDust']} />
    </div>
  );
}

/** The paper the shop's printer has. */
function PaperChoice() {
  const { paper, roll_mm } = useShed((shed) => shed.settings);
  return (
    <>
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
    </>
  );
}

/** What the check square measured on paper: the next print is corrected by it, both ways. */
function PrinterReading({ on }: { on: PrintedOn }) {
  const { printer } = useShed((shed) => shed.settings);
  const square = checkSquareOf(on);
  const inches = square.words.endsWith('in');
  // Kept as what this printer makes of 100 mm; read off whichever square is printed.
  const read = (kept_mm: number) => ((kept_mm / 100) * square.side_mm) / (inches ? 25.4 : 1);
  const places = inches ? 1000 : 100;
  const off = printer.across_mm !== 100 || printer.along_mm !== 100;
  return (
    <div className="row-of-tools" role="group" aria-label="Printer correction">
      <span>The square measured</span>
      {(['across_mm', 'along_mm'] as const).map((side) => {
        const kept = settingsSchema.shape.printer.shape[side];
        return (
          <NumberField
            key={side}
            label={side === 'across_mm' ? 'Across the sheet' : 'Along the sheet'}
            schema={z
              .number()
              .min(read(kept.minValue ?? 0))
              .max(read(kept.maxValue ?? Infinity))}
            step={inches ? 0.005 : 0.1}
            suffix={inches ? 'in' : 'mm'}
            width={96}
            value={Math.round(places * read(printer[side])) / places}
            onChange={(value) => changeSettings({ printer: { ...printer, [side]: value / read(1) } })}
          />
        );
      })}
      <span className="quiet">across and along the sheet{off && ': prints are corrected by it'}</span>
    </div>
  );
}
