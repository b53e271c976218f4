import { Button, message, Segmented } from 'antd';
import { useState } from 'react';
import {
  CHECK_SQUARE_mm,
  DRAWINGS,
  drawingToSvg,
  formatLitres,
  halfOutlineDrawing,
  withCheckSquare,
  writeBoardFile,
} from '@june-tide/core';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { changeSettings, useShed } from '../../../store/shed.ts';
import { solidClient } from '../../../workers/solidClient.ts';
import { saveFile } from '../../../parts/saveFile.ts';
import { useBay } from '../useBay.ts';

const DRAWING_NAMES = ['half', 'rocker', 'sections', 'fins'] as const;
const DRAWING_WORDS = { half: 'Half outline', rocker: 'Rocker', sections: 'Sections', fins: 'Fins' } as const;
const SOLID_TYPES = { stl: 'model/stl', '3mf': 'model/3mf', obj: 'model/obj' } as const;

/** Paper to cut from, and files. Each is made here in the browser; nothing is sent anywhere. */
export function PaperBench() {
  const { record, shape, rider, target } = useBay();
  const paper = useShed((shed) => shed.settings.paper);
  const style = useLengthStyle();
  const [busy, setBusy] = useState<string>();
  const [notice, holder] = message.useMessage();
  const { board } = record;
  const name = `${board.name} ${record.number}`.toLowerCase().replace(/[^a-z0-9]+/g, '-');

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
        <span className="right">
          <Segmented
            aria-label="Paper"
            size="small"
            value={paper}
            options={[
              { value: 'A4', label: 'A4' },
              { value: 'Letter', label: 'US Letter' },
            ]}
            onChange={(value) => changeSettings({ paper: value === 'Letter' ? 'Letter' : 'A4' })}
          />
        </span>
      </div>
      <ul className="plain-list">
        <li className="choices">
          {button(
            'template',
            'Half outline, full size (PDF)',
            async () => {
              const { templatePdf } = await import('@june-tide/core/pdf');
              saveFile(await templatePdf(shape, paper, style), `${name}-template.pdf`, 'application/pdf');
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
            const { ticketPdf } = await import('@june-tide/core/pdf');
            const extras = {
              ...(rider ? { riderName: rider.name } : {}),
              ...(target ? { target: `aim ${formatLitres(target.low_L)} to ${formatLitres(target.high_L)}` } : {}),
            };
            saveFile(await ticketPdf(shape, paper, style, extras), `${name}-ticket.pdf`, 'application/pdf');
          })}
          {button('board file', 'Board file (JSON)', () =>
            saveFile(writeBoardFile(board), `${name}.json`, 'application/json'),
          )}
        </li>
        <li className="choices">
          {DRAWING_NAMES.map((key) =>
            button(`${key} drawing`, `${DRAWING_WORDS[key]} (DXF)`, async () => {
              const { drawingToDxf } = await import('@june-tide/core/packages');
              const drawing = key === 'half' ? halfOutlineDrawing(shape, style) : DRAWINGS[key].draw(shape, style);
              saveFile(drawingToDxf(drawing), `${name}-${key}.dxf`, 'application/dxf');
            }),
          )}
        </li>
        <li className="choices">
          {(['stl', '3mf', 'obj'] as const).map((to) =>
            button(`solid as ${to}`, `Solid (${to.toUpperCase()})`, async () => {
              const answer = await solidClient.ask({ kind: 'solid', board, to });
              if (answer.kind === 'solid') saveFile(answer.bytes, `${name}.${to}`, SOLID_TYPES[to]);
            }),
          )}
          {button('station table', 'Station table (CSV)', async () => {
            const { stationsToCsv } = await import('@june-tide/core/packages');
            saveFile(stationsToCsv(board), `${name}-stations.csv`, 'text/csv');
          })}
        </li>
      </ul>
      <p className="quiet" style={{ margin: '6px 0' }}>
        Print at 100 %, then measure the {CHECK_SQUARE_mm} mm square on the first page before you cut. The board file
        holds no rider; the ticket carries the first name.
      </p>
      <p className="caution">
        Foam dust and power planers hurt: mask and extraction on, eyes and ears covered, both hands on the planer.
        Resins and catalysts by their data sheets; local rules come first.
      </p>
    </div>
  );
}
