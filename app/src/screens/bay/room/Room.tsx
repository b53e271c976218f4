import { Button, Select, Slider, Switch } from 'antd';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { PICTURE_SCALE, pngOf } from '../../../parts/pagePng.ts';
import { fileName, saveFile } from '../../../parts/saveFile.ts';
import { Measure } from '../../../parts/Measure.tsx';
import { useMaking } from '../steps/useMaking.tsx';
import { useLiveBay } from '../useBay.ts';
import { type Eye, EYES } from './eyes.ts';
import { TURNTABLE_FRAMES, webmOf } from './film.ts';
import { MeasuredInRoom } from './MeasuredInRoom.tsx';
import type { Place } from './scene.ts';
import { Silhouettes } from './Silhouettes.tsx';
import { type Skin, SKIN_WORDS, SKINS } from './skins.ts';
import { turnedByKey } from './turnKeys.ts';
import { type OtherAs, useRoom } from './useRoom.ts';

const EYE_NAMES = Object.keys(EYES) as Eye[];
const OTHER_WORDS: Readonly<Record<OtherAs, string>> = {
  lines: 'Other as lines',
  through: 'Other through it',
  beside: 'Other beside it',
};
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
        <div className="room-tools" role="group" aria-label="Eye and light">
          <Select<Eye>
            aria-label="Where the eye is"
            size="small"
            className="fit-176"
            listHeight={320}
            value={eye}
            options={EYE_NAMES.map((value) => ({ value, label: EYES[value] }))}
            onSelect={(next: Eye) => {
              setEye(next);
              scene.current?.look(next);
            }}
          />
          <Select<Skin>
            aria-label="What it is covered with"
            size="small"
            className="fit-176"
            value={skin}
            options={SKINS.map((value) => ({ value, label: SKIN_WORDS[value] }))}
            onChange={setSkin}
          />
          {over && (
            <Select<OtherAs>
              aria-label="How the other board is shown"
              size="small"
              value={other}
              options={Object.entries(OTHER_WORDS).map(([value, label]) => ({ value: value as OtherAs, label }))}
              onChange={setOther}
            />
          )}
          <label>
            <Switch size="small" checked={cut} onChange={setCut} aria-label="Cut at the hook" /> cut
          </label>
          <label>
            <Switch
              size="small"
              checked={measuring}
              onChange={(on) => {
                setMeasuring(on);
                setMarks([]);
              }}
              aria-label="Measure with two clicks"
            />{' '}
            measure
          </label>
          {button('picture', 'Picture (PNG)', async () => {
            if (!scene.current) return;
            saveFile(await pngOf(scene.current.picture(PICTURE_SCALE)), `${name}.png`, 'image/png');
          })}
          {button('turntable', 'Turntable (WebM)', async () => {
            if (!scene.current) return;
            saveFile(await webmOf(scene.current.turntable(TURNTABLE_FRAMES)), `${name}-turntable.webm`, 'video/webm');
          })}
        </div>
      )}
      {failure === undefined && (
        <div className="room-says">
          {skin === 'stripes' && (
            <label className="room-turn">
              Lamps turned
              <Slider
                ariaLabelForHandle="Lamps turned from along the board"
                min={0}
                max={90}
                step={5}
                value={turn}
                onChange={setTurn}
              />
              {turn}°
            </label>
          )}
          {skin === 'contours' && (
            <p>
              A line every <Measure mm={apart_mm} /> up from the table, every fifth one stronger.
            </p>
          )}
          {(skin === 'along' || skin === 'across') && (
            <p>
              <span className="bend hollow">hollow</span> <span className="bend flat">flat</span>{' '}
              <span className="bend round">round</span> {skin === 'along' ? 'from tail to nose' : 'from rail to rail'}
            </p>
          )}
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
