import { Button } from 'antd';
import { TopBar } from '../../parts/TopBar.tsx';
import { redo, undo } from '../../store/shed.ts';

interface BayBarProps {
  id: string;
  name: string;
  riderName: string | undefined;
  lastStep: string | undefined;
  nextStep: string | undefined;
  onKeys: () => void;
  onStations: () => void;
  onWords: () => void;
}

/** The bar over the bay: whose board it is, the keys, and the way back and forth. */
export function BayBar({ id, name, riderName, lastStep, nextStep, onKeys, onStations, onWords }: BayBarProps) {
  return (
    <TopBar
      title={
        <h1 className="title">
          {name}
          {riderName && <small>for {riderName}</small>}
        </h1>
      }
    >
      <Button type="text" onClick={onStations} title="S">
        Stations
      </Button>
      <Button type="text" onClick={onWords} title="G">
        Words
      </Button>
      <Button type="text" onClick={onKeys} title="?">
        Keys
      </Button>
      <Button type="text" disabled={!lastStep} onClick={() => undo(id)} title="Ctrl Z">
        {lastStep ? `Undo: ${lastStep}` : 'Undo'}
      </Button>
      <Button type="text" disabled={!nextStep} onClick={() => redo(id)} title="Ctrl Shift Z">
        {nextStep ? `Redo: ${nextStep}` : 'Redo'}
      </Button>
    </TopBar>
  );
}
