import { Button, Popover } from 'antd';
import { useRef, useState } from 'react';
import {
  type Board,
  NOSE_WORDS,
  type NoseKind,
  NOSES,
  TAIL_KINDS,
  TAIL_WORDS,
  type TailKind,
} from '@june-tide/core/document';
import { withNose, withTail } from '@june-tide/core/edit';
import { modelNamed } from '@june-tide/core/models';
import { outlinePoints } from '@june-tide/core/outline';
import { shapeOf } from '@june-tide/core/shape';
import { arrowsAmong } from '../../../parts/arrowsAmong.ts';

const NOSE_KINDS = Object.keys(NOSES) as NoseKind[];
const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

/** So much of the end is drawn. */
const SHOWN_mm = 330;
const paths = new Map<string, string>();

/** The end of one of our own boards with that tail or nose, tip up, as a path in mm; sprung once. */
function endPath(end: 'nose' | 'tail', kind: string, on: string, build: (board: Board) => Board): string {
  const key = `${end} ${kind}`;
  const made = paths.get(key);
  if (made !== undefined) return made;
  const model = modelNamed(on);
  if (!model) return '';
  const shape = shapeOf(build(model));
  const L = shape.board.length_mm;
  const points = outlinePoints(shape.outline, 160)
    .map((p) => ({ y: p.y_mm, x: end === 'tail' ? p.x_mm : L - p.x_mm }))
    .filter((p) => p.x <= SHOWN_mm);
  if (end === 'nose') points.reverse();
  const right = points.map((p) => `${p.y.toFixed(1)} ${p.x.toFixed(1)}`);
  const left = points.map((p) => `${(-p.y).toFixed(1)} ${p.x.toFixed(1)}`).reverse();
  const path = `M${right.join('L')}L${left.join('L')}`;
  paths.set(key, path);
  return path;
}

function EndPicture({ path, size }: { path: string; size: number }) {
  return (
    <svg width={size} height={(size * SHOWN_mm) / 480} viewBox={`-240 -8 480 ${SHOWN_mm}`} aria-hidden="true">
      <path d={path} fill="var(--board)" stroke="var(--on-board)" strokeWidth={9} strokeLinejoin="round" />
    </svg>
  );
}

const tailPath = (kind: TailKind) => endPath('tail', kind, NOSES.pointed.model, (board) => withTail(board, kind));
const nosePath = (kind: NoseKind) => endPath('nose', kind, NOSES[kind].model, (board) => withNose(board, kind));

interface PickerProps<K extends string> {
  label: string;
  value: K;
  kinds: readonly K[];
  words: Readonly<Record<K, string>>;
  path: (kind: K) => string;
  onPick: (kind: K) => void;
}

/** The end as it is, as a little picture; a press lays out the others to pick from. */
function EndPicker<K extends string>({ label, value, kinds, words, path, onPick }: PickerProps<K>) {
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const group = useRef<HTMLDivElement>(null);
  /** The keys go back to where they were. */
  const close = () => {
    setOpen(false);
    button.current?.focus();
  };
  const toNext = arrowsAmong();
  return (
    <Popover
      open={open}
      onOpenChange={setOpen}
      // Laid out, they have the keys.
      afterOpenChange={(isOpen) => {
        if (isOpen) group.current?.querySelector<HTMLElement>('[aria-checked=true]')?.focus();
      }}
      trigger="click"
      placement="bottomLeft"
      content={() => (
        <div
          ref={group}
          className="end-pictures"
          role="radiogroup"
          aria-label={label}
          onKeyDown={(event) => (event.key === 'Escape' ? close() : toNext(event))}
        >
          {kinds.map((kind) => (
            <button
              key={kind}
              type="button"
              role="radio"
              aria-checked={kind === value}
              tabIndex={kind === value ? 0 : -1}
              onClick={() => {
                onPick(kind);
                close();
              }}
            >
              <EndPicture path={path(kind)} size={84} />
              {capital(words[kind])}
            </button>
          ))}
        </div>
      )}
    >
      <Button
        ref={button}
        size="small"
        aria-label={`${label}: ${words[value]}`}
        aria-expanded={open}
        className="end-now"
      >
        <EndPicture path={path(value)} size={30} /> {capital(words[value])}
      </Button>
    </Popover>
  );
}

export function TailPicker({ value, onPick }: { value: TailKind; onPick: (kind: TailKind) => void }) {
  return <EndPicker label="Tail" value={value} kinds={TAIL_KINDS} words={TAIL_WORDS} path={tailPath} onPick={onPick} />;
}

export function NosePicker({ value, onPick }: { value: NoseKind; onPick: (kind: NoseKind) => void }) {
  return <EndPicker label="Nose" value={value} kinds={NOSE_KINDS} words={NOSE_WORDS} path={nosePath} onPick={onPick} />;
}
