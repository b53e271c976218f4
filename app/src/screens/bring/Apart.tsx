import { Segmented } from 'antd';
import { lazy, Suspense, useState } from 'react';
import type { ScanFindings } from '@june-tide/core/bring';
import type { Board } from '@june-tide/core/document';
import { FULL_mm } from './apartColour.ts';
import { ApartMap } from './ApartMap.tsx';

const ScanRoom = lazy(() => import('./ScanRoom.tsx'));

const WAYS = { flat: 'Deck and bottom', round: 'In the round' } as const;
type Way = keyof typeof WAYS;

/** How far a scan is off the board made of it: from above, or in the round. */
export function Apart({ board, apart }: { board: Board | undefined; apart: ScanFindings['apart'] }) {
  const [way, setWay] = useState<Way>('flat');
  return (
    <div className="scan-apart">
      {board && (
        <div className="row-of-tools">
          <Segmented<Way>
            size="small"
            aria-label="How the scan is shown"
            value={way}
            options={Object.entries(WAYS).map(([value, label]) => ({ value: value as Way, label }))}
            onChange={setWay}
          />
          <p className="apart-key" aria-hidden>
            <i className="inside" /> {FULL_mm} mm inside <i className="on" /> on it <i className="outside" /> {FULL_mm}{' '}
            mm outside
            {way === 'round' && (
              <>
                {' '}
                <i className="none" /> no point
              </>
            )}
          </p>
        </div>
      )}
      {board && way === 'round' ? (
        <Suspense fallback={<p className="quiet">The room is being opened.</p>}>
          <ScanRoom board={board} apart={apart} />
        </Suspense>
      ) : (
        <ApartMap board={board} apart={apart} />
      )}
    </div>
  );
}
