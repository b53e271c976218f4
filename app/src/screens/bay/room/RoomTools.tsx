import { Select, Switch } from 'antd';
import type { ReactNode } from 'react';
import { type Eye, EYES } from './eyes.ts';
import { type Skin, SKIN_WORDS, SKINS } from './skins.ts';
import type { OtherAs } from './useRoom.ts';

const EYE_NAMES = Object.keys(EYES) as Eye[];
const OTHER_WORDS: Readonly<Record<OtherAs, string>> = {
  lines: 'Other as lines',
  through: 'Other through it',
  beside: 'Other beside it',
};

interface RoomToolsProps {
  look: { eye: Eye; skin: Skin; other: OtherAs; cut: boolean };
  isMeasuring: boolean;
  onEye: (eye: Eye) => void;
  onSkin: (skin: Skin) => void;
  /** Left out where no other board is laid over. */
  onOther: ((other: OtherAs) => void) | undefined;
  onCut: (cut: boolean) => void;
  onMeasuring: (isMeasuring: boolean) => void;
  children: ReactNode;
}

/** Where the eye is, what the board is covered with, what is shown beside it. */
export function RoomTools({ look, isMeasuring, onEye, onSkin, onOther, onCut, onMeasuring, children }: RoomToolsProps) {
  return (
    <div className="room-tools" role="group" aria-label="Eye and light">
      <Select<Eye>
        aria-label="Where the eye is"
        size="small"
        className="fit-176"
        listHeight={320}
        value={look.eye}
        options={EYE_NAMES.map((value) => ({ value, label: EYES[value] }))}
        onSelect={onEye}
      />
      <Select<Skin>
        aria-label="What it is covered with"
        size="small"
        className="fit-176"
        value={look.skin}
        options={SKINS.map((value) => ({ value, label: SKIN_WORDS[value] }))}
        onChange={onSkin}
      />
      {onOther && (
        <Select<OtherAs>
          aria-label="How the other board is shown"
          size="small"
          value={look.other}
          options={Object.entries(OTHER_WORDS).map(([value, label]) => ({ value: value as OtherAs, label }))}
          onChange={onOther}
        />
      )}
      <label>
        <Switch size="small" checked={look.cut} onChange={onCut} aria-label="Cut at the hook" /> cut
      </label>
      <label>
        <Switch size="small" checked={isMeasuring} onChange={onMeasuring} aria-label="Measure with two clicks" />{' '}
        measure
      </label>
      {children}
    </div>
  );
}
