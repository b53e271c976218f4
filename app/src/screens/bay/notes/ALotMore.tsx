import { Button } from 'antd';
import { type KeyboardEvent, useRef, useState } from 'react';
import { judged, lever, type LeverId, pushedFar } from '@june-tide/core';
import { caseFor, writerFor } from '../../../store/derived.ts';
import { useShed } from '../../../store/shed.ts';
import type { OverChoice } from '../over.ts';
import { useBay } from '../useBay.ts';

/** So many first steps are a lot. */
const A_LOT = 8;

/**
 * Held down, lays over the board with a lot more of one lever, or as much as can be built, and says which notes appear.
 * Nothing is changed. Space and Enter hold it too.
 */
export function ALotMore({ id, way, label }: { id: LeverId; way: 1 | -1; label?: string }) {
  const { record, over, layOver, target } = useBay();
  const [said, say] = useState<string>();
  const before = useRef<OverChoice>(undefined);
  const { more, less, lotMore, lotLess } = lever(id);
  const words = way === 1 ? more : less;

  const hold = () => {
    if (said !== undefined) return;
    before.current = over?.choice;
    const far = pushedFar(record.board, id, way, A_LOT);
    const { records, riders, settings } = useShed.getState();
    const shop = { records, riders, settings };
    const pushed = { ...record, board: far.board };
    const ids = new Set(judged(caseFor(record, shop, target), writerFor(settings)).map((note) => note.rule.id));
    const appear = judged(caseFor(pushed, shop, target), writerFor(settings)).filter((note) => !ids.has(note.rule.id));
    say(
      `${way === 1 ? lotMore : lotLess} ${appear.length === 0 ? 'No new note.' : `New: ${appear.map((note) => note.title.toLowerCase()).join('; ')}.`}`,
    );
    layOver({
      id: 'a-lot-more',
      align: 'tail',
      push: 1,
      earlier: { board: far.board, name: `a lot ${words}` },
    });
  };
  const letGo = () => {
    if (said === undefined) return;
    say(undefined);
    layOver(before.current);
  };
  const onKey = (down: boolean) => (event: KeyboardEvent) => {
    if (event.key !== ' ' && event.key !== 'Enter') return;
    event.preventDefault();
    if (down) hold();
    else letGo();
  };
  return (
    <>
      <Button
        size="small"
        className="a-lot-more"
        title="Hold it down"
        onPointerDown={hold}
        onPointerUp={letGo}
        onPointerLeave={letGo}
        onPointerCancel={letGo}
        onBlur={letGo}
        onKeyDown={onKey(true)}
        onKeyUp={onKey(false)}
      >
        {label ?? `Hold: ${words}, a lot`}
      </Button>
      {said !== undefined && (
        <p role="status" className="a-lot">
          {said}
        </p>
      )}
    </>
  );
}
