import * as z from 'zod';
import { useMemo } from 'react';
import { drawingToSvg, halfOutlineDrawing, onPaper, withCheckSquare } from '@june-tide/core/files';
import { checkSquareOf, type PrintedOn } from '@june-tide/core/make';
import { settingsSchema } from '@june-tide/core/record';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { NumberField } from '../../../parts/NumberField.tsx';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { changeSettings, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { OtherTemplates } from './OtherTemplates.tsx';
import type { Printed } from './printed.ts';
import { PaperPreview } from './SheetsPreview.tsx';
import type { MakeButton } from './useMaking.tsx';
import type { PaperButton } from './usePaper.tsx';

const HALF = { kind: 'drawing', which: 'half' } as const;

interface TemplatesPageProps {
  /** The board and its number. */
  called: string;
  printedOn: Printed;
  button: MakeButton;
  paperButton: PaperButton;
}

/** What is laid on foam and drawn round: the half outline first, then any other, with the sheets it comes out on. */
export function TemplatesPage({ called, printedOn, button, paperButton }: TemplatesPageProps) {
  const { shape } = useBay();
  const { printer } = useShed((shed) => shed.settings);
  const style = useLengthStyle();
  const square = checkSquareOf(printedOn);
  const half = useMemo(
    () => onPaper('half', shape, { on: printedOn, style, reading: printer }),
    [shape, printedOn, style, printer],
  );
  return (
    <>
      <ul className="plain-list">
        <li className="choices">
          {paperButton('template', 'Half outline, full size (PDF)', 'template', HALF, {}, true)}
          {button('drawing', 'The same as SVG', () =>
            saveFile(
              drawingToSvg(withCheckSquare(halfOutlineDrawing(shape, style, { name: called }), square)),
              `${fileName(called)}-template.svg`,
              'image/svg+xml',
            ),
          )}
          {paperButton('papers', 'All papers of this board (zip)', 'papers', { kind: 'all' })}
          <PaperPreview paper={half} on={printedOn} reading={printer} words="Half outline" />
        </li>
        <OtherTemplates called={called} printedOn={printedOn} button={button} paperButton={paperButton} />
      </ul>
      <PrinterReading on={printedOn} />
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
      <span>Print at 100 %; before you cut, the {square.words} square measures</span>
      {(['across_mm', 'along_mm'] as const).map((side) => {
        const kept = settingsSchema.shape.printer.shape[side];
        return (
          <label key={side} className="mini">
            {side === 'across_mm' ? 'across' : 'along'}
            <NumberField
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
          </label>
        );
      })}
      {off && <span className="quiet">prints are corrected by it</span>}
    </div>
  );
}
