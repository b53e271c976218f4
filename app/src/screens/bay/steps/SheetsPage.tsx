import { picturePage, ticketPage, type TicketExtras, wallPage } from '@june-tide/core/files';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { pagePng } from '../../../parts/pagePng.ts';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { useBay } from '../useBay.ts';
import { PagePreview } from './PagePreview.tsx';
import type { MakeButton } from './useMaking.tsx';
import type { Papers } from './usePaper.tsx';

const riderOf = ({ riderName }: TicketExtras) => (riderName ? { riderName } : {});

interface SheetsPageProps {
  /** The board and its number. */
  called: string;
  button: MakeButton;
  papers: Papers;
}

/** The papers that hang in the shed and the picture the rider gets, each as it comes out. */
export function SheetsPage({ called, button, papers: { paperButton, onePage, extras } }: SheetsPageProps) {
  const { record, shape } = useBay();
  const style = useLengthStyle();
  const picture = () => picturePage(shape, style, { name: record.board.name, ...riderOf(extras) });
  return (
    <>
      <div className="choices below-8">
        {paperButton('ticket', 'Ticket, one page (PDF)', 'ticket', { kind: 'ticket' })}
        {paperButton('wall sheet', 'Wall sheet, large type (PDF)', 'wall', { kind: 'wall' })}
        {button('picture', 'Picture for the rider (PNG)', async () =>
          saveFile(await pagePng(picture()), `${fileName(called)}-picture.png`, 'image/png'),
        )}
      </div>
      <div className="pages">
        <PagePreview page={ticketPage(shape, onePage, style, extras)} words={`Ticket, one page of ${onePage}`} />
        <PagePreview
          page={wallPage(shape, onePage, style, { name: called, ...riderOf(extras) })}
          words={`Wall sheet, one page of ${onePage}, on its side`}
        />
        <PagePreview page={picture()} words="Picture for the rider" />
      </div>
      <p className="quiet above-8 below-4">Each carries the rider’s first name and nothing else of them.</p>
    </>
  );
}
