import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Board } from '@june-tide/core/document';
import { readBoardFile } from '@june-tide/core/files';
import type { LengthStyle } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { PickFile } from '../../parts/PickFile.tsx';
import { addBoard } from '../../store/shed.ts';
import { beginGuide } from '../bay/guide/guide.ts';

const TableAsked = lazy(() => import('./TableAsked.tsx'));

/** The ways a board comes onto the rack: begun from a rider and a model, or read from a file. */
export function RackFoot({ refuse }: { refuse: (words: string) => void }) {
  const navigate = useNavigate();
  const style = useLengthStyle();
  const [asked, ask] = useState<{ text: string; fileName: string }>();
  const keep = async (board: Board) => {
    await navigate(`/bay/${addBoard(board, null)}/outline`);
  };
  const openFile = async (file: File) => {
    const text = await file.text();
    const read = /\.csv$/i.test(file.name) ? await tableOf(text, file.name, style) : readBoardFile(text);
    if (!read.ok) refuse(`${file.name}: ${read.reason} Nothing on the rack was changed.`);
    else if (read.board) await keep(read.board);
    else ask({ text, fileName: file.name });
  };
  return (
    <footer className="rack-foot">
      <h2>Start a board from</h2>
      <Button type="primary" onClick={() => void navigate('/start')}>
        a rider and a model
      </Button>
      <PickFile label="Board file" accept=".json,application/json" pick={(file) => void openFile(file)}>
        a board file
      </PickFile>
      <Button onClick={() => void navigate('/measured')}>a board you bring in</Button>
      <PickFile label="Station table" accept=".csv,text/csv" pick={(file) => void openFile(file)}>
        a station table (CSV)
      </PickFile>
      <Button className="right" onClick={() => void navigate(beginGuide())}>
        a first board, guided
      </Button>
      {asked && (
        <Suspense>
          <TableAsked
            {...asked}
            done={(board) => {
              ask(undefined);
              if (board) void keep(board);
            }}
          />
        </Suspense>
      )}
    </footer>
  );
}

/** The board of a table of ours; a table by another hand is asked about first. */
async function tableOf(
  text: string,
  fileName: string,
  style: LengthStyle,
): Promise<{ ok: true; board?: Board } | { ok: false; reason: string }> {
  const { shownTable } = await import('@june-tide/core/files/packages');
  const shown = shownTable(text);
  if (!shown.ok) return shown;
  if (!shown.isOurs) return { ok: true };
  const { measuredBoard } = await import('./measuredBoard.ts');
  return measuredBoard(text, fileName, style);
}
