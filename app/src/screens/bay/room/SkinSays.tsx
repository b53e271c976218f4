import { Slider } from 'antd';
import { Measure } from '../../../parts/Measure.tsx';
import type { Skin } from './skins.ts';

interface SkinSaysProps {
  skin: Skin;
  /** From one contour line to the next. */
  apart_mm: number;
  turn_deg: number;
  onTurn: (turn_deg: number) => void;
}

/** What the lines and tones of a skin mean. */
export function SkinSays({ skin, apart_mm, turn_deg, onTurn }: SkinSaysProps) {
  if (skin === 'stripes') {
    return (
      <label className="room-turn">
        Lamps turned
        <Slider
          ariaLabelForHandle="Lamps turned from along the board"
          min={0}
          max={90}
          step={5}
          value={turn_deg}
          onChange={onTurn}
        />
        {turn_deg}°
      </label>
    );
  }
  if (skin === 'contours') {
    return (
      <p>
        A line every <Measure mm={apart_mm} /> up from the table, every fifth one stronger.
      </p>
    );
  }
  if (skin === 'along' || skin === 'across') {
    return (
      <p>
        <span className="bend hollow">hollow</span> <span className="bend flat">flat</span>{' '}
        <span className="bend round">round</span> {skin === 'along' ? 'from tail to nose' : 'from rail to rail'}
      </p>
    );
  }
  return null;
}
