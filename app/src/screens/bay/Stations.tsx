import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { stationPage } from '@june-tide/core/files';
import { STATION_COLUMNS, stationLines, stationsFrom, stationText } from '@june-tide/core/measure';
import { BuiltText, useLengthStyle } from '../../parts/Measure.tsx';
import { bareUnitOf } from '../../parts/LengthField.tsx';
import { fileName, printFile, saveFile } from '../../parts/saveFile.ts';
import { useShed } from '../../store/shed.ts';
import { paperClient } from '../../workers/workClient.ts';
import { useMaking } from './steps/useMaking.tsx';
import { useBay } from './useBay.ts';

/** Every number at any stations of the board, from both ends, in one table: to be read, copied and printed. */
export function Stations({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal title="Stations" open={open} onCancel={onClose} footer={null} width={1040} destroyOnHidden>
      <Table />
    </Modal>
  );
}

function Table() {
  const { record, shape } = useBay();
  const style = useLengthStyle();
  const { paper, printer } = useShed((shed) => shed.settings);
  const metric = style.kind === 'cm' || style.kind === 'mm';
  const [typed, setTyped] = useState(
    metric ? (style.kind === 'cm' ? '2.5, 15, 30, 45, 60' : '25, 150, 300, 450, 600') : '1, 6, 12, 18, 24',
  );
  const [said, say] = useState<string>();
  const { button, holder } = useMaking();
  const list = stationsFrom(typed, bareUnitOf(style));
  // What is typed may be half a number: the last list that could be read stays in sight.
  const [last, setLast] = useState(list);
  if (list.ok && last !== list && JSON.stringify(list) !== JSON.stringify(last)) setLast(list);
  const places = list.ok ? list.places : last.ok ? last.places : [];
  const called = `${record.board.name} ${record.number}`;
  const pdf = () => {
    const onePage = paper === 'Letter' || paper === 'Tabloid' ? 'Letter' : 'A4';
    const page = stationPage(shape, onePage, style, called, places);
    return paperClient.ask('paper', { kind: 'page', page, printing: { on: onePage, style, reading: printer } });
  };
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(stationText(shape, places, style));
      say('copied');
    } catch {
      say('this browser keeps the clipboard to itself');
    }
    setTimeout(() => say(undefined), 4000);
  };
  return (
    <>
      {holder}
      <div className="row-of-tools above-0">
        <label className="labelled">
          From either end
          <Input
            aria-label="Stations from either end"
            className="least-170"
            value={typed}
            status={list.ok ? '' : 'error'}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <Button onClick={() => void copy()}>Copy</Button>
        {button('station table', 'Save PDF', async () =>
          saveFile(await pdf(), `${fileName(called, 'station table')}.pdf`, 'application/pdf'),
        )}
        {button('print', 'Print', async () => printFile(await pdf()))}
        <span role="status" className="quiet">
          {list.ok ? (said ?? (metric ? '' : 'in inches')) : list.words}
        </span>
      </div>
      <table className="marks stations" aria-label="Station table">
        <thead>
          <tr>
            <th scope="col">Station</th>
            {STATION_COLUMNS.map(({ name, words }) => (
              <th key={name} scope="col" className="num" title={words}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {stationLines(shape, places, style).map(({ place, values }) => (
            <tr key={place}>
              <th scope="row">
                <BuiltText text={place} />
              </th>
              {values.map((value, i) => (
                <td key={STATION_COLUMNS[i].name} className="num">
                  <BuiltText text={value} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
