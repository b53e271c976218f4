import { Button, Dropdown, message } from 'antd';
import { LockOutlined, UnlockOutlined } from '@ant-design/icons';
import { type Board, FAMILIES, FAMILY_WORDS } from '@june-tide/core/document';
import { FAMILY_DECIDES, withEqualEnds, withFamily } from '@june-tide/core/edit';
import { edit, editBoard } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** What is done to an outline as a whole: equal ends, another kind of board, the lock. */
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
  return (
    <>
      {holder}
      <Dropdown
        trigger={['click']}
        disabled={locked}
        menu={{
          items: [
            { key: 'equal', label: 'Equal ends', onClick: () => take('equal ends', withEqualEnds) },
            {
              key: 'family',
              label: 'Another kind of board',
              children: FAMILIES.map((family) => ({
                key: family,
                label: FAMILY_WORDS[family],
                disabled: family === record.board.family,
                onClick: () => {
                  editBoard(record.id, FAMILY_WORDS[family], (b) => withFamily(b, family));
                  void notice.info(FAMILY_DECIDES, 10);
                },
              })),
            },
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
