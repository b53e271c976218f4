import * as z from 'zod';
import { Segmented } from 'antd';
import { useMemo } from 'react';
import {
  drawingToSvg,
  halfOutlineDrawing,
  onPaper,
  picturePage,
  ticketPage,
  type TicketExtras,
  wallPage,
  withCheckSquare,
  writeBoardFile,
} from '@june-tide/core/files';
import { checkSquareOf, type PrintedOn } from '@june-tide/core/make';
import { type PrintsOn, PRINTS_ON, settingsSchema } from '@june-tide/core/record';
import { LengthField, rangeOf } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { NumberField } from '../../../parts/NumberField.tsx';
import { changeSettings, useShed } from '../../../store/shed.ts';
import { pagePng } from '../../../parts/pagePng.ts';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { Cautions } from '../../../parts/Cautions.tsx';
import { useBay } from '../useBay.ts';
import { LinesAndSolids } from './LinesAndSolids.tsx';
import { OtherTemplates } from './OtherTemplates.tsx';
import { PagePreview } from './PagePreview.tsx';
import { PaperPreview } from './SheetsPreview.tsx';
import type { Printed } from './printed.ts';
import { useMaking } from './useMaking.tsx';
import { usePaper } from './usePaper.tsx';

const PAPER_WORDS: Readonly<Record<PrintsOn, string>> = {
  A4: 'A4',
  Letter: 'US Letter',
  A3: 'A3',
  Tabloid: 'Tabloid',
  roll: 'Roll',
};
/** Paper to cut from, and files. Each is made here in the browser; nothing is sent anywhere. */
export function PaperBench() {
  const { record, shape } = useBay();
  const { paper, roll_mm, printer } = useShed((shed) => shed.settings);
  const printedOn = useMemo((): Printed => (paper === 'roll' ? { roll_mm } : paper), [paper, roll_mm]);
  const style = useLengthStyle();
  const { board } = record;
  const called = `${board.name} ${record.number}`;
  const name = fileName(called);
  const square = checkSquareOf(printedOn);
  const { button, holder } = useMaking();
  const { paperButton, goes, onePage, extras } = usePaper(called, printedOn, button);
  const half = useMemo(
    () => onPaper('half', shape, { on: printedOn, style, reading: printer }),
    [shape, printedOn, style, printer],
  );
  return (
    <div role="group" aria-label="Paper and files">
      {holder}
      <div className="head">
        <span className="quiet">made here in the browser; nothing is sent anywhere</span>
        <span className="right row-of-tools above-0 below-0">
          <PaperChoice />
          {goes}
        </span>
      </div>
      <ul className="plain-list">
        <li className="choices">
          {paperButton(
            'template',
            'Half outline, full size (PDF)',
            'template',
            { kind: 'drawing', which: 'half' },
            {},
            true,
          )}
          {button('drawing', 'The same as SVG', () =>
            saveFile(
              drawingToSvg(withCheckSquare(halfOutlineDrawing(shape, style, { name: called }), square)),
              `${name}-template.svg`,
              'image/svg+xml',
            ),
          )}
          {paperButton('papers', 'All papers of this board (zip)', 'papers', { kind: 'all' })}
          <PaperPreview paper={half} on={printedOn} reading={printer} words="Half outline" />
        </li>
        <li className="choices">
          {paperButton('ticket', 'Ticket, one page (PDF)', 'ticket', { kind: 'ticket' })}
          {paperButton('wall sheet', 'Wall sheet, large type (PDF)', 'wall', { kind: 'wall' })}
          {button('picture', 'Picture for the rider (PNG)', async () => {
            const page = picturePage(shape, style, { name: board.name, ...riderOf(extras) });
            saveFile(await pagePng(page), `${name}-picture.png`, 'image/png');
          })}
          {button('board file', 'Board file (JSON)', () =>
            saveFile(writeBoardFile(board), `${name}.json`, 'application/json'),
          )}
          <div className="pages">
            <PagePreview page={ticketPage(shape, onePage, style, extras)} words={`Ticket, one page of ${onePage}`} />
            <PagePreview
              page={wallPage(shape, onePage, style, { name: called, ...riderOf(extras) })}
              words={`Wall sheet, one page of ${onePage}, on its side`}
            />
            <PagePreview
              page={picturePage(shape, style, { name: board.name, ...riderOf(extras) })}
              words="Picture for the rider"
            />
          </div>
        </li>
        <LinesAndSolids called={called} button={button} />
        <OtherTemplates called={called} printedOn={printedOn} button={button} paperButton={paperButton} />
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

const riderOf = ({ riderName }: TicketExtras) => (riderName ? { riderName } : {});

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
