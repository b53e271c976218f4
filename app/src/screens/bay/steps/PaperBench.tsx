import { Segmented } from 'antd';
import { useMemo } from 'react';
import { type PrintsOn, PRINTS_ON, settingsSchema } from '@june-tide/core/record';
import { Cautions } from '../../../parts/Cautions.tsx';
import { LengthField, rangeOf } from '../../../parts/LengthField.tsx';
import { changeSettings, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { LinesAndSolids } from './LinesAndSolids.tsx';
import type { Printed } from './printed.ts';
import { SheetsPage } from './SheetsPage.tsx';
import { TemplatesPage } from './TemplatesPage.tsx';
import { useMaking } from './useMaking.tsx';
import { usePages } from './usePages.tsx';
import { usePaper } from './usePaper.tsx';

const PAPER_WORDS: Readonly<Record<PrintsOn, string>> = {
  A4: 'A4',
  Letter: 'US Letter',
  A3: 'A3',
  Tabloid: 'Tabloid',
  roll: 'Roll',
};
const PAGES = { templates: 'Templates', sheets: 'Ticket and sheets', lines: 'Lines, solids' } as const;

/** Paper to cut from, and files. Each is made here, nothing is sent; the board file is the whole board and holds no rider anywhere. */
export function PaperBench() {
  const { record } = useBay();
  const { paper, roll_mm } = useShed((shed) => shed.settings);
  const printedOn = useMemo((): Printed => (paper === 'roll' ? { roll_mm } : paper), [paper, roll_mm]);
  const { board } = record;
  const called = `${board.name} ${record.number}`;
  const { button, holder } = useMaking();
  const papers = usePaper(called, printedOn, button);
  const shared = { called, printedOn, button, paperButton: papers.paperButton };
  const { page, tabs } = usePages('Which papers', PAGES);
  return (
    <div role="group" aria-label="Paper and files" className="paper">
      {holder}
      <div className="row-of-tools above-0 below-4">
        {tabs}
        {page === 'lines' ? <span className="quiet">made here in the browser; nothing is sent</span> : <PaperChoice />}
        {page !== 'lines' && papers.goes}
      </div>
      {page === 'templates' && <TemplatesPage {...shared} />}
      {page === 'sheets' && <SheetsPage called={called} button={button} papers={papers} />}
      {page === 'lines' && (
        <ul className="plain-list">
          <LinesAndSolids called={called} button={button} />
        </ul>
      )}
      {page !== 'sheets' && <Cautions of={['planer', 'foamDust']} />}
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
