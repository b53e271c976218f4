import { Button } from 'antd';
import { useMemo, useState } from 'react';
import type { Board } from '@june-tide/core/document';
import { type BoardRecord, type CardOff, EDITION, isOffCard, MET, offCard, offWords } from '@june-tide/core/record';
import { BuiltText, useLengthStyle } from '../../parts/Measure.tsx';
import { shapeFor } from '../../store/derived.ts';
import { edit } from '../../store/shed.ts';
import { solidClient } from '../../workers/workClient.ts';
import { useBay } from './useBay.ts';

const withoutCard = ({ card: _card, ...record }: BoardRecord): BoardRecord => record;

/** Says that June Tide draws the board otherwise than it did when it was saved last, shows both, and lets the shaper say which it is. */
export function OtherEdition() {
  const { record, layOver } = useBay();
  const style = useLengthStyle();
  const [made, setMade] = useState<{ of: Board; board: Board; off: CardOff }>();
  const [said, say] = useState<string>();
  const { board, card } = record;
  const off = useMemo(() => {
    if (!card || card.edition >= EDITION) return undefined;
    const now = offCard(shapeFor(board), card);
    return isOffCard(now) ? now : undefined;
  }, [board, card]);
  if (!card || !off) return said === undefined ? null : <Said words={said} done={() => say(undefined)} />;
  const asItWas = async () => {
    if (made?.of === board) return made;
    const answer = { of: board, ...(await solidClient.ask('asOnCard', { board, card })) };
    setMade(answer);
    return answer;
  };
  const showBoth = async () => {
    const before = await asItWas();
    layOver({ id: 'as-on-card', align: 'tail', push: 1, earlier: { board: before.board, name: 'as it was' } });
  };
  const takeBack = async () => {
    const before = await asItWas();
    const done = edit(record.id, 'as it was', (now) => ({ ...withoutCard(now), board: before.board }));
    if (!done.ok) return say(done.issues[0].words);
    layOver(undefined);
    const left = offWords(before.off, style, MET);
    say(left === '' ? 'It is as it was.' : `As near as it comes to what it was: ${left}.`);
  };
  const failed = () => say('It could not be worked out. Nothing was changed.');
  return (
    <div className="backup-due" role="status" aria-label="Drawn otherwise than before">
      <span>
        June Tide has learnt to draw better since this board was saved, and draws it otherwise:{' '}
        <BuiltText text={offWords(off, style)} />.
      </span>
      <Button size="small" onClick={() => void showBoth().catch(failed)}>
        Show both
      </Button>
      <Button size="small" type="primary" onClick={() => void takeBack().catch(failed)}>
        Make it as it was
      </Button>
      <Button size="small" onClick={() => edit(record.id, 'as it is drawn now', withoutCard)}>
        Leave it as it is drawn now
      </Button>
      {said !== undefined && <span className="trouble">{said}</span>}
    </div>
  );
}

function Said({ words, done }: { words: string; done: () => void }) {
  return (
    <div className="backup-due" role="status">
      <BuiltText text={words} />
      <Button size="small" type="text" onClick={done}>
        Good
      </Button>
    </div>
  );
}
