import { Select } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Color, SRGBColorSpace } from 'three';
import { apartOn, type ScanFindings } from '@june-tide/core/bring';
import type { Board } from '@june-tide/core/document';
import { shapeFor } from '../../store/derived.ts';
import { useShed } from '../../store/shed.ts';
import { type Eye, EYES } from '../bay/room/eyes.ts';
import type { Place } from '../bay/room/scene.ts';
import { stillOf } from '../bay/room/still.ts';
import { turnedByKey } from '../bay/room/turnKeys.ts';
import { useScene } from '../bay/room/useScene.ts';
import { useSolid } from '../bay/room/useSolid.ts';
import { apartColour } from './apartColour.ts';

const EYE_NAMES = Object.keys(EYES) as Eye[];
const NOTHING: readonly Place[] = [];
const NO_LINES: readonly Place[][] = [];

/** The board made of a scan in the round, painted with how far the scan is off it. */
export default function ScanRoom({ board, apart }: { board: Board; apart: ScanFindings['apart'] }) {
  const [eye, setEye] = useState<Eye>('standing');
  const shown = useRef<Eye>(undefined);
  const { box, canvas, scene, failure, tries } = useScene(() => (shown.current = undefined));
  const night = useShed((shed) => shed.settings.light === 'night');
  const solid = useSolid(board);
  // Without its fins: they are not from the scan.
  const still = useMemo(() => ({ ...stillOf(shapeFor(board)), fins: [], stringer: NO_LINES }), [board]);
  const colours = useMemo(() => (solid ? painted(solid.positions, apart) : undefined), [solid, apart]);

  useEffect(() => {
    if (!solid || !colours || !scene.current) return;
    scene.current.show({
      ...still,
      beside_mm: 0,
      board: solid,
      over: NO_LINES,
      other: undefined,
      section: NOTHING,
      hook_mm: 0,
      cut: false,
      skin: 'painted',
      colours,
      turn_rad: 0,
      apart_mm: 1,
      marks: NOTHING,
      night,
    });
    if (shown.current !== eye) scene.current.look(eye);
    shown.current = eye;
  }, [solid, colours, still, night, eye, scene, tries]);

  return (
    <div className="scan-room" ref={box}>
      <canvas
        key={tries}
        ref={canvas}
        data-testid="scan-room"
        data-corners={solid?.triangles.length ?? 0}
        tabIndex={0}
        aria-label="The board in the round, in the colours of how far the scan is off it. Drag or arrow keys to turn, wheel or + and - to come nearer."
        className={failure === undefined ? 'solid' : 'solid gone'}
        onKeyDown={(event) => {
          if (turnedByKey(scene.current, event)) event.preventDefault();
        }}
      />
      {failure !== undefined && <p className="quiet">No view in the round: {failure}.</p>}
      <Select<Eye>
        aria-label="Where the eye is"
        size="small"
        className="fit-176"
        value={eye}
        options={EYE_NAMES.map((value) => ({ value, label: EYES[value] }))}
        onChange={setEye}
      />
    </div>
  );
}

/** A colour for every corner of the board's triangles. */
function painted(positions: ArrayLike<number>, apart: ScanFindings['apart']): Float32Array {
  const off = apartOn(positions, apart);
  const out = new Float32Array(3 * off.length);
  const colour = new Color();
  off.forEach((off_mm, i) => {
    const [r, g, b] = apartColour(off_mm);
    colour.setRGB(r / 255, g / 255, b / 255, SRGBColorSpace).toArray(out, 3 * i);
  });
  return out;
}
