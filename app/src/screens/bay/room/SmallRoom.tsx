import { CloseOutlined } from '@ant-design/icons';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { pinRoom } from '../session.ts';
import { type Eye, EYES } from './eyes.ts';
import { useRoom } from './useRoom.ts';

const EYE_NAMES = Object.keys(EYES) as Eye[];
const NO_MARKS = [] as const;

/** The board in the round beside its drawing, following each change. */
export default function SmallRoom() {
  const [eye, setEye] = useState<Eye>('quarter');
  const { box, canvas, corners, failure, tries } = useRoom({
    eye,
    skin: 'foam',
    turn_rad: 0,
    cut: false,
    other: 'through',
    marks: NO_MARKS,
  });
  return (
    <aside className="small-room" aria-label="The board in the round, small">
      <div className="small-room-canvas" ref={box}>
        <canvas
          key={tries}
          ref={canvas}
          data-testid="small-room"
          data-corners={corners}
          tabIndex={-1}
          aria-label="The board in the round"
          className={failure === undefined ? 'solid' : 'solid gone'}
        />
        {failure !== undefined && <p className="quiet">No view in the round: {failure}.</p>}
      </div>
      <div className="small-room-tools">
        <Select<Eye>
          aria-label="Where the small room's eye is"
          size="small"
          className="grow"
          value={eye}
          options={EYE_NAMES.map((value) => ({ value, label: EYES[value] }))}
          onChange={setEye}
        />
        <Button
          size="small"
          icon={<CloseOutlined />}
          aria-label="Take the small room off"
          onClick={() => pinRoom(false)}
        />
      </div>
    </aside>
  );
}
