import { useEffect, useState } from 'react';
import type { TailKind } from '@june-tide/core/document';
import type { StationsRead, TapeReading } from '@june-tide/core/files/packages';

export type Readings = Readonly<Partial<Record<TapeReading, number>>>;

/** The board of what was read so far; worked out when the readings rest, the one before it seen meanwhile. */
export function useMeasured(readings: Readings, name: string, tail: TailKind | undefined): StationsRead | undefined {
  const [made, setMade] = useState<StationsRead>();
  useEffect(() => {
    let gone = false;
    void import('@june-tide/core/files/packages').then(({ boardFromTape }) => {
      if (!gone) setMade(boardFromTape(readings, name, tail));
    });
    return () => {
      gone = true;
    };
  }, [readings, name, tail]);
  return made;
}
