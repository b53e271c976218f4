import { Input } from 'antd';
import { useState } from 'react';
import {
  lineOf,
  MET_mm,
  type Read,
  readingTrouble,
  type SheetReading,
  type SheetResidual,
} from '@june-tide/core/bring';
import { formatLength, parseLength } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';

interface ReadingProps {
  reading: SheetReading;
  read: Read | undefined;
  residual: SheetResidual | undefined;
  isWorst: boolean;
  /** Both sides are read by themselves, where there are two. */
  sides: boolean;
  set: (read: Read | undefined) => void;
}

/** One line of the sheet: its number, or one for each side, and how far the board came out off it. */
export function Reading({ reading, read, residual, isWorst, sides, set }: ReadingProps) {
  const [wrong, setWrong] = useState<string>();
  const { words, sided } = lineOf(reading);
  const isApart = typeof read === 'object' || (sides && sided === true);
  const field = { reading, onWrong: setWrong };
  const { left_mm, right_mm } = typeof read === 'object' ? read : {};
  const setSide = (left: number | undefined, right: number | undefined) => {
    if (left === undefined && right === undefined) set(undefined);
    else set({ ...(left === undefined ? {} : { left_mm: left }), ...(right === undefined ? {} : { right_mm: right }) });
  };
  const off_mm = residual?.off_mm;
  return (
    <div className={isApart ? 'reading two-sided' : 'reading'}>
      <span>{words}</span>
      {isApart ? (
        <>
          <ReadingField {...field} label={`${words}, left`} value_mm={left_mm} set={(mm) => setSide(mm, right_mm)} />
          <ReadingField {...field} label={`${words}, right`} value_mm={right_mm} set={(mm) => setSide(left_mm, mm)} />
        </>
      ) : (
        <ReadingField {...field} label={words} value_mm={typeof read === 'number' ? read : undefined} set={set} />
      )}
      <span className={isWorst ? 'off worst' : 'off'}>{off_mm !== undefined && offWords(off_mm)}</span>
      {wrong !== undefined && (
        <span role="alert" className="trouble">
          {wrong}
        </span>
      )}
    </div>
  );
}

const offWords = (off_mm: number) => {
  const sign = Math.abs(off_mm) < MET_mm ? '' : off_mm > 0 ? '+' : '−';
  return `${sign}${Math.abs(off_mm).toFixed(1)} mm`;
};

interface ReadingFieldProps {
  reading: SheetReading;
  label: string;
  value_mm: number | undefined;
  set: (value_mm: number | undefined) => void;
  onWrong: (why: string | undefined) => void;
}

/** A number as a hand writes it down; nothing is taken of a slip. */
function ReadingField({ reading, label, value_mm, set, onWrong }: ReadingFieldProps) {
  const style = useLengthStyle();
  const metric = style.kind === 'mm' || style.kind === 'cm';
  const [isWrong, setIsWrong] = useState(false);
  const take = (text: string) => {
    if (text.trim() === '') {
      setIsWrong(false);
      onWrong(undefined);
      set(undefined);
      return;
    }
    const parsed = parseLength(text, metric ? style.kind : 'in');
    const trouble = parsed.ok ? readingTrouble(reading, parsed.value) : parsed.reason;
    setIsWrong(trouble !== undefined);
    onWrong(trouble);
    if (parsed.ok && trouble === undefined) set(parsed.value);
  };
  const written = value_mm === undefined ? '' : formatLength(value_mm, style, { feet: reading === 'length' });
  return (
    <Input
      key={written}
      aria-label={label}
      size="small"
      {...(isWrong ? { status: 'error' as const } : {})}
      defaultValue={written}
      onBlur={(event) => {
        if (event.target.value !== written) take(event.target.value);
      }}
      onPressEnter={(event) => take(event.currentTarget.value)}
    />
  );
}
