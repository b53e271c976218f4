import { useRef, useState } from 'react';
import {
  type BareUnit,
  formatLength,
  INCH_mm,
  type LengthStyle,
  parseLength,
  writeLength,
} from '@june-tide/core/units';
import type { EditResult } from '../store/shed.ts';
import { built, useLengthStyle } from './Measure.tsx';

interface LengthFieldProps {
  label: string;
  /** Left out: nothing has been read yet. */
  value_mm: number | undefined;
  feet?: boolean;
  /** From here to there; beyond, it is refused with both in the shop's writing. */
  range_mm?: readonly [low_mm: number, high_mm: number];
  small?: boolean;
  disabled?: boolean;
  /** Makes the change; what it answers is shown in words. `nudge` joins a run of nudges into one step. */
  onChange: (value_mm: number, nudge: boolean) => EditResult;
  /** Makes it nothing again, where it may be nothing. */
  onClear?: () => void;
  onHold?: () => void;
}

/** The range a schema of a length in mm gives a field. */
export const rangeOf = (schema: { minValue: number | null; maxValue: number | null }): readonly [number, number] => [
  schema.minValue ?? -Infinity,
  schema.maxValue ?? Infinity,
];

export function bareUnitOf(style: LengthStyle): BareUnit {
  return style.kind === 'cm' ? 'cm' : style.kind === 'mm' ? 'mm' : 'in';
}

/** The step of one arrow key: 1/16 in, with Shift 1/4, with Alt 1/32; metric 1, 5 and 0.5 mm. */
export function nudgeOf(style: LengthStyle, keys: { shiftKey: boolean; altKey: boolean }): number {
  const metric = style.kind === 'cm' || style.kind === 'mm';
  if (keys.shiftKey) return metric ? 5 : INCH_mm / 4;
  if (keys.altKey) return metric ? 0.5 : INCH_mm / 32;
  return metric ? 1 : INCH_mm / 16;
}

/** A length to type as people write it. Shows what it understood, refuses nonsense in words, nudges by arrow keys. */
export function LengthField({
  label,
  value_mm,
  feet = false,
  range_mm,
  small = false,
  disabled = false,
  onChange,
  onClear,
  onHold,
}: LengthFieldProps) {
  const style = useLengthStyle();
  /** What was typed and is not taken yet. A field that is only stood in has none: it shows what the board says. */
  const [draft, setDraft] = useState<string>();
  const [held, setHeld] = useState(false);
  const [error, setError] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  /** Escape was pressed: leaving the field then takes nothing. */
  const givenUp = useRef(false);
  const written = value_mm === undefined ? undefined : writeLength(value_mm, style, { feet });
  const plain = written?.text ?? '';

  const letGo = () => {
    setDraft(undefined);
    setHeld(false);
  };
  const commit = (text: string): boolean => {
    if (onClear && text.trim() === '') {
      onClear();
      setError(undefined);
      letGo();
      return true;
    }
    const parsed = parseLength(text, bareUnitOf(style));
    if (!parsed.ok) {
      setError(parsed.reason);
      return false;
    }
    return take(parsed.value, false);
  };
  const write = (mm: number) => formatLength(mm, style, { feet });
  const range = range_mm && rangeWords(write(0), write(range_mm[0]), write(range_mm[1]), range_mm[0] > 0);
  const take = (next_mm: number, nudge: boolean): boolean => {
    if (range_mm && !(next_mm >= range_mm[0] && next_mm <= range_mm[1])) {
      setError(range);
      return false;
    }
    const result = onChange(next_mm, nudge);
    if (result.ok) {
      setError(undefined);
      letGo();
      return true;
    }
    setError(sentence(result.issues[0]?.words ?? 'That cannot be built.', result.issues[0]?.limit, style));
    return false;
  };
  /** All of it is chosen for the next number, a frame later, unless the hand is in another field by then. */
  const selectNext = () =>
    requestAnimationFrame(() => {
      if (document.activeElement === input.current) input.current?.select();
    });
  const parsedDraft = draft === undefined ? undefined : parseLength(draft, bareUnitOf(style));
  const understood =
    parsedDraft?.ok && formatLength(parsedDraft.value, style, { feet }) !== draft?.trim()
      ? formatLength(parsedDraft.value, style, { feet })
      : undefined;
  const covered = !held && draft === undefined;

  return (
    <span className={`field${small ? ' small' : ''}`}>
      <input
        ref={input}
        aria-label={label}
        title={range}
        aria-invalid={error !== undefined}
        className={covered ? 'covered' : ''}
        value={draft ?? plain}
        disabled={disabled}
        inputMode="text"
        autoComplete="off"
        spellCheck={false}
        onFocus={(event) => {
          givenUp.current = false;
          setHeld(true);
          onHold?.();
          event.currentTarget.select();
        }}
        onChange={(event) => {
          setDraft(event.target.value);
          setError(undefined);
        }}
        onBlur={() => {
          if (!givenUp.current && draft !== undefined && draft.trim() !== plain && !commit(draft)) return;
          givenUp.current = false;
          letGo();
          setError(undefined);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (draft === undefined || draft.trim() === plain || commit(draft))) selectNext();
          if (event.key === 'Escape') {
            // It gives up what was typed, not the drawer around it.
            event.stopPropagation();
            givenUp.current = true;
            letGo();
            setError(undefined);
            input.current?.blur();
          }
          if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
            event.preventDefault();
            if (value_mm === undefined) return;
            const way = event.key === 'ArrowUp' ? 1 : -1;
            take(value_mm + way * nudgeOf(style, event), true);
          }
        }}
      />
      {covered && written && (
        <span className="shown fraction" aria-hidden="true">
          {built(written)}
        </span>
      )}
      {error !== undefined ? (
        <span className="said error" role="alert">
          {error}
        </span>
      ) : (
        understood !== undefined && <span className="said">= {understood}</span>
      )}
    </span>
  );
}

/** A range as a sentence; a low end that is written like nothing, and is not, is said to be more than nothing. */
function rangeWords(nothing: string, low: string, high: string, positive: boolean): string {
  return positive && low === nothing ? `More than nothing, up to ${high}.` : `From ${low} to ${high}.`;
}

/** An issue's words as a sentence, with its limit in the shop's writing. */
function sentence(words: string, limit_mm: number | undefined, style: LengthStyle): string {
  const start = words.charAt(0).toUpperCase() + words.slice(1);
  return limit_mm === undefined ? `${start}.` : `${start} (limit ${formatLength(limit_mm, style)}).`;
}
