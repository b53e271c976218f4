import { Button, Dropdown, Input, Modal } from 'antd';
import { MoreOutlined } from '@ant-design/icons';
import { memo, useState } from 'react';
import { useNavigate } from 'react-router';
import { type BoardRecord, parentOf } from '@june-tide/core/record';
import { formatLitres } from '@june-tide/core/units';
import { BoardPlan } from '../../parts/BoardPlan.tsx';
import { DrawnMeasure, Measure } from '../../parts/Measure.tsx';
import type { Done } from '../../parts/useDone.tsx';
import { measuresFor } from '../../store/derived.ts';
import { addBoard, edit, editBoard, putBack, removeBoard, throwAway, undo, useShed } from '../../store/shed.ts';

interface StoodProps {
  record: BoardRecord;
  rider: string;
  /** Middle of its place on the wall, width of the place, y of the floor, height under the floor, pixels a mm. */
  x: number;
  slot: number;
  floor: number;
  caption: number;
  scale: number;
  onDone: (done: Done) => void;
}

/** One board standing on its tail, with its name and size under it and what can be done with it; left alone while the wall is scrolled. */
export const Stood = memo(function Stood({ record, rider, x, slot, floor, caption, scale, onDone }: StoodProps) {
  const navigate = useNavigate();
  const [naming, setNaming] = useState(false);
  const [throwing, setThrowing] = useState(false);
  const { board } = record;
  const litres = measuresFor(board).volume_L;
  const called = `${board.name} ${record.number}`;
  const binned = record.binnedAt !== undefined;
  const open = () => void navigate(`/bay/${record.id}/outline`);

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
    <g role="listitem" className="stood" data-board={called}>
      <g
        role="link"
        tabIndex={0}
        className="stood-board"
        aria-label={`Open ${called}, ${rider}, ${formatLitres(litres)}`}
        onClick={open}
        onKeyDown={(event) => {
          if (event.key === 'Enter' || event.key === ' ') open();
        }}
      >
        <rect className="hover-wash" x={x - slot / 2 + 2} y={floor} width={slot - 4} height={caption - 2} />
        <rect
          x={x - slot / 2}
          y={floor - board.length_mm * scale}
          width={slot}
          height={board.length_mm * scale}
          fill="transparent"
        />
        <g transform={`translate(${x} ${floor})`}>
          <BoardPlan board={board} scale={scale} />
        </g>
        <g textAnchor="middle" fontFamily="var(--serif)" fill="var(--ink)" className="on-paper">
          <text x={x} y={floor + 22} fontSize={16} fontWeight={600}>
            {board.name}
          </text>
          <text x={x} y={floor + 40} fontSize={14} fontStyle="italic" fill="var(--pencil)">
            {record.number}, {rider}
          </text>
          <DrawnMeasure mm={board.length_mm} feet x={x} y={floor + 62} size={20} anchor="middle" />
          <SizeBelow x={x} y={floor + 82} width_mm={board.outline.width_mm} thickness_mm={board.foil.thickness_mm} />
          <text x={x} y={floor + 101} fontSize={16} fontWeight={600}>
            {formatLitres(litres)}
          </text>
        </g>
      </g>
      <foreignObject x={x + slot / 2 - 32} y={floor + 46} width={30} height={30}>
        <div className="stood-tools">
          <Dropdown
            trigger={['click']}
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
            <Button type="text" size="small" aria-label={`More for ${called}`} icon={<MoreOutlined aria-hidden />} />
          </Dropdown>
        </div>
        {throwing && <ThrowAway record={record} called={called} onClose={() => setThrowing(false)} />}
        {naming && <Rename record={record} called={called} onDone={onDone} onClose={() => setNaming(false)} />}
      </foreignObject>
    </g>
  );
});

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
      <p>{thrownWords(record)} It cannot be had back.</p>
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

function SizeBelow({ x, y, width_mm, thickness_mm }: { x: number; y: number; width_mm: number; thickness_mm: number }) {
  return (
    <foreignObject x={x - 70} y={y - 16} width={140} height={22}>
      <div className="serif size-below">
        <Measure mm={width_mm} /> × <Measure mm={thickness_mm} />
      </div>
    </foreignObject>
  );
}
