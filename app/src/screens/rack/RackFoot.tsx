import { Button } from 'antd';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import type { Board } from '@june-tide/core/document';
import { withLength } from '@june-tide/core/edit';
import { readBoardFile } from '@june-tide/core/files';
import { models } from '@june-tide/core/models';
import { addBoard } from '../../store/shed.ts';

/** The ways a board comes onto the rack: begun from a rider and a model, or read from a file. */
export function RackFoot({ refuse }: { refuse: (words: string) => void }) {
  const navigate = useNavigate();
  const picker = useRef<HTMLInputElement>(null);
  const tablePicker = useRef<HTMLInputElement>(null);
  const openFile = async (file: File | undefined) => {
    if (!file) return;
    const text = await file.text();
    const read = /\.csv$/i.test(file.name) ? await measuredBoard(text, file.name) : readBoardFile(text);
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
      <Button onClick={() => picker.current?.click()}>a board file</Button>
      <Button onClick={() => tablePicker.current?.click()}>a measured board (CSV)</Button>
      <input
        ref={picker}
        type="file"
        accept=".json,application/json"
        aria-label="Board file"
        hidden
        onChange={(event) => {
          void openFile(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <input
        ref={tablePicker}
        type="file"
        accept=".csv,text/csv"
        aria-label="Station table"
        hidden
        onChange={(event) => {
          void openFile(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </footer>
  );
}

/** A board from the station table somebody measured: the model of that length is what the table does not say. */
async function measuredBoard(
  text: string,
  fileName: string,
): Promise<{ ok: true; board: Board } | { ok: false; reason: string }> {
  const { boardFromStations, lengthOfStations } = await import('@june-tide/core/files/packages');
  const length_mm = lengthOfStations(text);
  const near = [...models()].sort((a, b) => {
    const off = (board: Board) => Math.abs(board.length_mm - (length_mm ?? board.length_mm));
    return off(a) - off(b);
  })[0];
  const base = { ...near, name: fileName.replace(/\.csv$/i, '').slice(0, 80) || 'Measured board' };
  return boardFromStations(length_mm === undefined ? base : withLength(base, length_mm), text);
}
