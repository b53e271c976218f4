import { Button, message } from 'antd';
import { type MarkedCurve, withFewerMarks } from '@june-tide/core/edit';
import { editBoard } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** With more marks than this some of them may draw nothing. */
const MANY_MARKS = 5;

/** Lifts off every mark of a curve that draws nothing, as one step back, and says what was done. */
export function FewerMarks({ curve }: { curve: MarkedCurve }) {
  const { record } = useBay();
  const [notice, holder] = message.useMessage();
  const lift = () => {
    const { board, lifted } = withFewerMarks(record.board, curve);
    if (lifted === 0) {
      void notice.info(`Every mark of the ${curve} draws something: none was lifted off.`, 8);
      return;
    }
    const done = editBoard(record.id, 'marks that draw nothing', () => board);
    if (!done.ok) void notice.error(`Not done: ${done.issues[0]?.words ?? 'it cannot be built'}.`, 8);
    else {
      const marks = lifted === 1 ? 'One mark' : `${lifted} marks`;
      void notice.info(`${marks} lifted off: the line stays where it was, within 1/64 in.`, 8);
    }
  };
  return (
    <>
      {holder}
      {record.board[curve].marks.length > MANY_MARKS && (
        <Button size="small" title="Lift off the marks that draw nothing: the line stays where it is" onClick={lift}>
          Fewer marks
        </Button>
      )}
    </>
  );
}
