import { Button } from 'antd';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { PICTURE_SCALE, pngOf } from '../../../parts/pagePng.ts';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { useMaking } from '../steps/useMaking.tsx';
import { useLiveBay } from '../useBay.ts';
import type { Eye } from './eyes.ts';
import { TURNTABLE_FRAMES, webmOf } from './film.ts';
import { MeasuredInRoom } from './MeasuredInRoom.tsx';
import { RoomTools } from './RoomTools.tsx';
import type { Place } from './scene.ts';
import { Silhouettes } from './Silhouettes.tsx';
import { SkinSays } from './SkinSays.tsx';
import type { Skin } from './skins.ts';
import { turnedByKey } from './turnKeys.ts';
import { type OtherAs, useRoom } from './useRoom.ts';

/** A press that moves farther than this turns the board and measures nothing. */
const STILL_px = 4;

/** The board in the round, under low side lights, the eye where a shaper puts it. */
export default function Room() {
  const { record, over } = useLiveBay();
  const [eye, setEye] = useState<Eye>('quarter');
  const [skin, setSkin] = useState<Skin>('foam');
  const [turn, setTurn] = useState(0);
  const [cut, setCut] = useState(false);
  const [other, setOther] = useState<OtherAs>('lines');
  const [measuring, setMeasuring] = useState(false);
  const [marks, setMarks] = useState<readonly Place[]>([]);
  const { button, holder } = useMaking();
  const look = { eye, skin, turn_rad: (turn * Math.PI) / 180, cut, other, marks };
  const { box, canvas, scene, corners, apart_mm, failure, again, tries } = useRoom(look);
  const pressed = useRef<{ x: number; y: number }>(undefined);

  const mark = (across: number, down: number) => {
    const place = scene.current?.placeAt(across, down);
    if (place) setMarks((before) => (before.length === 1 ? [before[0], place] : [place]));
  };
  const released = (event: PointerEvent<HTMLCanvasElement>) => {
    const from = pressed.current;
    pressed.current = undefined;
    if (!measuring || !from || Math.hypot(event.clientX - from.x, event.clientY - from.y) > STILL_px) return;
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
    mark((event.clientX - left) / width, (event.clientY - top) / height);
  };
  const typed = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'Home') scene.current?.look(eye);
    else if (event.key === 'Enter' && measuring) mark(0.5, 0.5);
    else if (!turnedByKey(scene.current, event)) return;
    event.preventDefault();
    event.stopPropagation();
  };
  const name = `${fileName(record.board.name, String(record.number))}-room`;

  return (
    <div className="room" ref={box}>
      {holder}
      <canvas
        key={tries}
        ref={canvas}
        data-testid="room"
        data-corners={corners}
        tabIndex={0}
        aria-label="The board in the round. Drag or arrow keys to turn, wheel or + and - to come nearer, Home back to the eye."
        className={failure === undefined ? 'solid' : 'solid gone'}
        onPointerDown={(event) => (pressed.current = { x: event.clientX, y: event.clientY })}
        onPointerUp={released}
        onKeyDown={typed}
      />
      {failure !== undefined && <Silhouettes reason={failure} />}
      {failure === undefined && (
        <RoomTools
          look={look}
          isMeasuring={measuring}
          onEye={(next) => {
            setEye(next);
            scene.current?.look(next);
          }}
          onSkin={setSkin}
          onOther={over && setOther}
          onCut={setCut}
          onMeasuring={(on) => {
            setMeasuring(on);
            setMarks([]);
          }}
        >
          {button('picture', 'Picture (PNG)', async () => {
            if (!scene.current) return;
            saveFile(await pngOf(scene.current.picture(PICTURE_SCALE)), `${name}.png`, 'image/png');
          })}
          {button('turntable', 'Turntable (WebM)', async () => {
            if (!scene.current) return;
            saveFile(await webmOf(scene.current.turntable(TURNTABLE_FRAMES)), `${name}-turntable.webm`, 'video/webm');
          })}
        </RoomTools>
      )}
      {failure === undefined && (
        <div className="room-says">
          <SkinSays skin={skin} apart_mm={apart_mm} turn_deg={turn} onTurn={setTurn} />
          {measuring && <MeasuredInRoom marks={marks} onClear={() => setMarks([])} />}
        </div>
      )}
      {measuring && <span className="aim" aria-hidden="true" />}
      {failure !== undefined && (
        <Button size="small" className="room-again" onClick={again}>
          Try again
        </Button>
      )}
    </div>
  );
}
