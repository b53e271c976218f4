import { Button } from 'antd';
import { useNavigate } from 'react-router';
import type { Board } from '@june-tide/core/document';
import { readBoardFile } from '@june-tide/core/files';
import type { LengthStyle } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { PickFile } from '../../parts/PickFile.tsx';
import { addBoard } from '../../store/shed.ts';
import { beginGuide } from '../bay/guide/guide.ts';

/** The ways a board comes onto the rack: begun from a rider and a model, or read from a file. */
export function RackFoot({ refuse }: { refuse: (words: string) => void }) {
  const navigate = useNavigate();
  const style = useLengthStyle();
  const openFile = async (file: File) => {
    const text = await file.text();
    const read = /\.csv$/i.test(file.name) ? await measuredBoard(text, file.name, style) : readBoardFile(text);
    if (read.ok) {
      const id = addBoard(read.board, null);
      await navigate(`/bay/${id}/outline`);
    } else refuse(`${file.name}: ${read.reason} Nothing on the rack was changed.`);
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
    </footer>
  );
}

/** A board from the station table somebody measured; its notes say how far it came out off. */
async function measuredBoard(
  text: string,
  fileName: string,
  style: LengthStyle,
): Promise<{ ok: true; board: Board } | { ok: false; reason: string }> {
  const { boardFromStations, furthestOff } = await import('@june-tide/core/files/packages');
  const name =
    fileName
      .replace(/\.csv$/i, '')
      .trim()
      .slice(0, 80) || 'Measured board';
  const read = boardFromStations(text, name);
  if (!read.ok) return read;
  const notes = `From a station table of ${read.rows} rows. ${furthestOff(read.residuals, style)}`;
  return { ok: true, board: { ...read.board, notes } };
}
