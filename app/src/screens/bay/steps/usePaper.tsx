import { Segmented } from 'antd';
import { type ReactNode, useState } from 'react';
import type { DrawingChoices, TicketExtras } from '@june-tide/core/files';
import type { Paper } from '@june-tide/core/make';
import { formatLitres } from '@june-tide/core/units';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { fileName, printFile, saveFile } from '../../../parts/saveFile.ts';
import { useShed } from '../../../store/shed.ts';
import { paperClient } from '../../../workers/workClient.ts';
import type { PaperOf } from '../../../workers/workMessages.ts';
import { useBay } from '../useBay.ts';
import { paperInName, type Printed } from './printed.ts';
import { ticketExtras } from './ticketExtras.ts';
import type { MakeButton } from './useMaking.tsx';

/** Which paper it is, without what all of them share. */
type Which =
  { kind: 'drawing'; which: Extract<PaperOf, { kind: 'drawing' }>['which'] } | { kind: 'ticket' | 'wall' | 'all' };

/** A button that makes a paper in the worker, and saves or prints it. `file` is the part of the file's name that says what it is. */
export type PaperButton = (
  what: string,
  words: string,
  file: string,
  which: Which,
  choices?: DrawingChoices,
  primary?: boolean,
) => ReactNode;

/** Where a PDF goes when its button is pressed. */
type Goes = 'save' | 'print';

export interface Papers {
  paperButton: PaperButton;
  /** Whether a PDF is saved or printed. */
  goes: ReactNode;
  /** The paper of what is one page. */
  onePage: Paper;
  extras: TicketExtras;
}

/** Papers of the board in the bay, made beside the page: it goes on meanwhile. With what is put on the two that hang in the shed. */
export function usePaper(called: string, printedOn: Printed, button: MakeButton): Papers {
  const { record, shape, rider, target } = useBay();
  const { printer, workshop, house } = useShed((shed) => shed.settings);
  const shelf = useShed((shed) => shed.shelf);
  const style = useLengthStyle();
  const [to, setTo] = useState<Goes>('save');
  const inches = printedOn === 'Letter' || printedOn === 'Tabloid';
  const onePage = inches ? ('Letter' as const) : ('A4' as const);
  const extras = {
    ...(rider ? { riderName: rider.name } : {}),
    ...(target ? { target: `aim ${formatLitres(target.low_L)} to ${formatLitres(target.high_L)}` } : {}),
    ...ticketExtras(record, shelf, workshop, house),
  };
  const paperButton: PaperButton = (what, words, file, which, choices = { bands: record.bands }, primary = false) =>
    button(
      what,
      words,
      async () => {
        const shared = {
          board: shape.board,
          printing: { on: printedOn, style, reading: printer },
          choices: { ...choices, name: called },
        };
        const bytes = await paperClient.ask(
          'paper',
          which.kind === 'drawing' ? { ...shared, ...which } : { ...shared, ...which, onePage, extras },
        );
        if (which.kind === 'all') {
          saveFile(bytes, `${fileName(called)}-papers-${paperInName(printedOn)}.zip`, 'application/zip');
        } else if (to === 'print') {
          printFile(bytes);
        } else {
          const on = which.kind === 'drawing' ? printedOn : onePage;
          saveFile(bytes, `${fileName(called, file)}-${paperInName(on)}.pdf`, 'application/pdf');
        }
      },
      primary,
    );
  const goes = (
    <Segmented<Goes>
      aria-label="A PDF is"
      size="small"
      value={to}
      onChange={setTo}
      options={[
        { value: 'save', label: 'Save PDF' },
        { value: 'print', label: 'Print it' },
      ]}
    />
  );
  return { paperButton, goes, onePage, extras };
}
