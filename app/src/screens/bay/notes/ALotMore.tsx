import { Button } from 'antd';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { judged, lever, type LeverId, pushedFar } from '@june-tide/core/judge';
import { caseFor, writerFor } from '../../../store/derived.ts';
import { useShed } from '../../../store/shed.ts';
import type { OverChoice } from '../over.ts';
import { useBay } from '../useBay.ts';

/** So many first steps are a lot. */
const A_LOT = 8;

/** What is to be put back when the hand lets go. */
interface Holding {
  before: OverChoice | undefined;
}

/**
 * Held down, lays over the board with a lot more of one lever, or as much as can be built, and says which notes appear.
 * Nothing is changed. Space and Enter hold it too. It is held until the pointer is let go, wherever that is: what it says
 * and lays over moves the page under the hand.
 */
export function ALotMore({ id, way, label }: { id: LeverId; way: 1 | -1; label?: string }) {
  const { record, over, layOver, target } = useBay();
  const [said, say] = useState<string>();
  const holding = useRef<Holding>(undefined);
  const { more, less, lotMore, lotLess } = lever(id);
  const words = way === 1 ? more : less;

  const hold = () => {
    if (holding.current) return;
    holding.current = { before: over?.choice };
    const far = pushedFar(record.board, id, way, A_LOT);
    if (far.steps === 0) {
      say(`There is nothing on this board to make it so: ${words} changes nothing here.`);
      return;
    }
    const { records, riders, settings, shelf } = useShed.getState();
    const shop = { records, riders, settings, shelf };
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
    if (!holding.current) return;
    layOver(holding.current.before);
    holding.current = undefined;
    say(undefined);
  };
  const latestLetGo = useRef(letGo);
  useEffect(() => {
    latestLetGo.current = letGo;
  });
  useEffect(() => () => latestLetGo.current(), []);

  const press = () => {
    hold();
    const up = () => {
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', up);
      latestLetGo.current();
    };
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', up);
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
        onPointerDown={press}
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
