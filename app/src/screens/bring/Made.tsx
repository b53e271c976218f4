import { Button, Input, Progress } from 'antd';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Board } from '@june-tide/core/document';
import { formatLitres } from '@june-tide/core/units';
import { Measure } from '../../parts/Measure.tsx';
import { measuresFor } from '../../store/derived.ts';
import { addBoard } from '../../store/shed.ts';
import { WhenMade } from './WhenMade.tsx';
import type { BringState } from './useBring.ts';

type Outcome = { ok: true; board: Board } | { ok: false; reason: string };

interface MadeProps<A extends Outcome> {
  state: BringState<A>;
  /** What is kept with the board of how it came in. */
  notes: string;
  /** It takes a moment at most: how far it is is not shown. */
  calm?: boolean;
  /** Told when the board is on the rack. */
  onKept?: () => void;
  children?: ReactNode;
}

/** What a board that is brought in comes out as, and the way onto the rack. */
export function Made<A extends Outcome>({ state, notes, calm = false, onKept, children }: MadeProps<A>) {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const { going, failed, stop, made, current } = state;
  const board = made?.ok ? made.board : undefined;
  const reason = made && !made.ok ? made.reason : undefined;
  return (
    <section aria-label="What it makes">
      <h1>What it makes</h1>
      {going && !calm && (
        <div role="status">
          <p className="quiet above-0">{going.step}</p>
          <Progress
            aria-label={going.step}
            percent={Math.round(100 * (going.share ?? 1))}
            status={going.share === undefined ? 'active' : 'normal'}
            showInfo={going.share !== undefined}
            size="small"
          />
          <Button size="small" onClick={stop}>
            Stop
          </Button>
        </div>
      )}
      {!going && failed === undefined && !made && (
        <p className="quiet above-0">Nothing yet: its size and litres stand here once it is read.</p>
      )}
      {!going && failed !== undefined && (
        <p role="alert" className="trouble">
          {failed}
        </p>
      )}
      {!going && reason !== undefined && (
        <p role="status" className="trouble">
          {reason}
        </p>
      )}
      {board && (
        <>
          <p className="sample-size" data-testid="brought-size">
            <Measure mm={board.length_mm} feet /> × <Measure mm={board.outline.width_mm} /> ×{' '}
            <Measure mm={board.foil.thickness_mm} />, {formatLitres(measuresFor(board).volume_L)}
          </p>
          <Input
            aria-label="Name of the board"
            placeholder="Its name"
            maxLength={80}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <div className="row-of-tools below-6">
            <WhenMade
              current={current}
              onPut={() => {
                const named = { ...board, notes, ...(name.trim() === '' ? {} : { name: name.trim() }) };
                const id = addBoard(named, null);
                onKept?.();
                void navigate(`/bay/${id}/outline`);
              }}
            >
              Put it on the rack
            </WhenMade>
          </div>
          {/* Under the button: what is said grows and shrinks with each reading, and a button must not move from under the hand. */}
          {children}
        </>
      )}
    </section>
  );
}
