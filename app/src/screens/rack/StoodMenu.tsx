import { Dropdown, Input, Modal } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type BoardRecord, parentOf } from '@june-tide/core/record';
import type { Done } from '../../parts/useDone.tsx';
import { addBoard, edit, editBoard, putBack, removeBoard, throwAway, undo, useShed } from '../../store/shed.ts';
import { MoreButton } from './MoreButton.tsx';

interface StoodMenuProps {
  record: BoardRecord;
  called: string;
  onDone: (done: Done) => void;
}

/** What can be done with a board of the rack, open from the first. */
export default function StoodMenu({ record, called, onDone }: StoodMenuProps) {
  const navigate = useNavigate();
  const [open, setOpen] = useState(true);
  const [naming, setNaming] = useState(false);
  const [throwing, setThrowing] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const { board } = record;
  const binned = record.binnedAt !== undefined;
  // The button it was asked with made way for this one.
  useEffect(() => button.current?.focus(), []);

  const act: Readonly<Record<string, () => void>> = {
    rename: () => setNaming(true),
    sizes: () => void navigate(`/sizes/${record.id}`),
    copy: () => {
      // A copy is for whoever it will be for: the rider stays with the board it is of.
      const id = addBoard(board, null, [parentOf(record, 'copy', record.from)]);
      onDone({ words: `${called} was copied, for nobody yet.`, back: () => void removeBoard(id) });
    },
    model: () => {
      const now = record.model !== true;
      edit(record.id, now ? 'a model of the shop' : 'no model', ({ model: _was, ...rest }) =>
        now ? { ...rest, model: true } : rest,
      );
      onDone({
        words: now ? `${called} is a model of the shop.` : `${called} is no model any more.`,
        back: () => undo(record.id),
      });
    },
    kin: () => void navigate(`/family?board=${record.id}`),
    archive: () => {
      const away = record.archived !== true;
      edit(record.id, away ? 'put away' : 'back on the wall', ({ archived: _was, ...rest }) =>
        away ? { ...rest, archived: true } : rest,
      );
      onDone({
        words: away ? `${called} was put away.` : `${called} is back on the wall.`,
        back: () => undo(record.id),
      });
    },
    remove: () => onDone({ words: `${called} lies in the bin.`, back: removeBoard(record.id) }),
    putBack: () => {
      putBack(record.id);
      onDone({ words: `${called} stands on the rack again.`, back: () => void removeBoard(record.id) });
    },
    throwAway: () => setThrowing(true),
  };
  return (
    <>
      <Dropdown
        trigger={['click']}
        open={open}
        autoFocus
        onOpenChange={setOpen}
        menu={{
          items: binned
            ? [
                { key: 'putBack', label: 'Put back on the rack' },
                { key: 'throwAway', label: 'Throw away for good' },
              ]
            : [
                { key: 'rename', label: 'Rename' },
                { key: 'copy', label: 'Copy' },
                { key: 'sizes', label: 'Its sizes' },
                { key: 'kin', label: 'Its family' },
                { key: 'model', label: record.model ? 'No model any more' : 'A model of the shop' },
                { key: 'archive', label: record.archived ? 'Back on the wall' : 'Put away' },
                { key: 'remove', label: 'Take off the rack' },
              ],
          onClick: ({ key }) => act[key]?.(),
        }}
      >
        <MoreButton called={called} aria-expanded={open} ref={button} />
      </Dropdown>
      {throwing && <ThrowAway record={record} called={called} onClose={() => setThrowing(false)} />}
      {naming && <Rename record={record} called={called} onDone={onDone} onClose={() => setNaming(false)} />}
    </>
  );
}

interface ThrowAwayProps {
  record: BoardRecord;
  called: string;
  onClose: () => void;
}

function ThrowAway({ record, called, onClose }: ThrowAwayProps) {
  return (
    <Modal
      title={`Throw ${called} away?`}
      open
      okText="Throw it away"
      okButtonProps={{ danger: true }}
      cancelText="Keep it in the bin"
      onOk={() => throwAway(record.id)}
      onCancel={onClose}
    >
      <p>{thrownWords(record)} It cannot be brought back.</p>
    </Modal>
  );
}

interface RenameProps {
  record: BoardRecord;
  called: string;
  onDone: (done: Done) => void;
  onClose: () => void;
}

function Rename({ record, called, onDone, onClose }: RenameProps) {
  const [naming, setNaming] = useState(record.board.name);
  const rename = () => {
    const name = naming.trim();
    if (name !== '' && name.length <= 80 && name !== record.board.name) {
      editBoard(record.id, 'new name', (b) => ({ ...b, name }));
      // The number may be another's of that name already; then it has the next one.
      const number = useShed.getState().records[record.id]?.number ?? record.number;
      onDone({ words: `${called} is now ${name} ${number}.`, back: () => undo(record.id) });
    }
    onClose();
  };

  return (
    <Modal title={`Rename ${called}`} open onOk={rename} onCancel={onClose}>
      <Input
        aria-label="New name"
        value={naming}
        maxLength={80}
        onChange={(event) => setNaming(event.target.value)}
        onPressEnter={rename}
      />
    </Modal>
  );
}

/** What goes with a board that is thrown away. */
function thrownWords({ rides, order }: BoardRecord): string {
  const parts = [
    'its lines',
    ...(rides.length > 0 ? [`${rides.length} noted ${rides.length === 1 ? 'ride' : 'rides'}`] : []),
    ...(order ? ['its order'] : []),
  ];
  return `With it go ${parts.join(', ')}.`;
}
