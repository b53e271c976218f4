import { Button, Dropdown, message } from 'antd';
import { LockOutlined, UnlockOutlined } from '@ant-design/icons';
import type { Board } from '@june-tide/core/document';
import { joinedOutlines, withEqualEnds } from '@june-tide/core/edit';
import { edit, editBoard, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** What is done to an outline as a whole: equal ends, a half of another board, the lock. */
export function OutlineMore() {
  const { record } = useBay();
  const [notice, holder] = message.useMessage();
  const locked = record.outlineLocked === true;
  const take = (name: string, change: (board: Board) => Board | string) => {
    const changed = change(record.board);
    if (typeof changed === 'string') {
      void notice.error(`${changed.replace(/^./, (c) => c.toUpperCase())}. Nothing was changed.`, 8);
      return;
    }
    const result = editBoard(record.id, name, () => changed);
    if (!result.ok) void notice.error(`Not done: ${result.issues[0]?.words ?? 'it cannot be built'}.`, 8);
  };
  const half = (which: 'front' | 'back', other: Board, name: string) =>
    take(`${which} half of ${name}`, (board) => {
      const joined = which === 'front' ? joinedOutlines(other, board) : joinedOutlines(board, other);
      if (!joined.ok) return joined.reason;
      if (joined.backWidths !== 1) {
        const percent = Math.abs(100 * (joined.backWidths - 1)).toFixed(1);
        const way = joined.backWidths > 1 ? 'wider' : 'narrower';
        void notice.info(`The back half was drawn ${percent} % ${way} to meet the front.`, 8);
      }
      return { ...board, length_mm: joined.board.length_mm, outline: joined.board.outline };
    });
  const halves = (which: 'front' | 'back') => ({
    key: which,
    label: which === 'front' ? 'Front half of' : 'Back half of',
    children: Object.values(useShed.getState().records)
      .filter((other) => other.id !== record.id && other.archived !== true)
      .map((other) => {
        const name = `${other.board.name} ${other.number}`;
        return { key: `${which}:${other.id}`, label: name, onClick: () => half(which, other.board, name) };
      }),
  });
  return (
    <>
      {holder}
      <Dropdown
        trigger={['click']}
        disabled={locked}
        menu={{
          items: [
            { key: 'equal', label: 'Equal ends', onClick: () => take('equal ends', withEqualEnds) },
            halves('front'),
            halves('back'),
          ],
        }}
      >
        <Button size="small">More</Button>
      </Dropdown>
      <Button
        size="small"
        aria-pressed={locked}
        icon={locked ? <LockOutlined aria-hidden /> : <UnlockOutlined aria-hidden />}
        title={
          locked ? 'The outline is settled: let it go to change it' : 'Settle the outline: nothing changes it then'
        }
        onClick={() =>
          edit(record.id, locked ? 'outline let go' : 'outline locked', ({ outlineLocked: _was, ...rest }) =>
            locked ? rest : { ...rest, outlineLocked: true },
          )
        }
        aria-label={locked ? 'Let the outline go' : 'Lock the outline'}
      />
    </>
  );
}
