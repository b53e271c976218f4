import { InputNumber } from 'antd';
import type { ReactNode } from 'react';

/** What a schema of a number says of it: zod gives ±Infinity, or its own widest, where a side is open. */
interface Limits {
  minValue: number | null;
  maxValue: number | null;
}

interface NumberFieldProps {
  label: string;
  value: number | undefined;
  /** The schema it is written and read by: the field takes nothing else. */
  schema: Limits;
  /** Shown numbers are so many times the kept ones: 100 for a percentage. */
  times?: number;
  width: number;
  step?: number;
  precision?: number;
  suffix?: ReactNode;
  className?: string;
  onChange: (value: number) => void;
  onClear?: () => void;
}

/** A plain number that is kept: its limits are those it is read by, shown where the pointer rests. */
export function NumberField({
  label,
  value,
  schema,
  times = 1,
  width,
  step,
  precision,
  suffix,
  className,
  onChange,
  onClear,
}: NumberFieldProps) {
  const shown = (kept: number) => Number((kept * times).toPrecision(12));
  const low = shown(schema.minValue ?? -Infinity);
  const high = shown(schema.maxValue ?? Infinity);
  return (
    <InputNumber
      aria-label={label}
      title={`${low} to ${high}`}
      size="small"
      min={low}
      max={high}
      style={{ width }}
      value={value === undefined ? null : shown(value)}
      {...(step === undefined ? {} : { step })}
      {...(precision === undefined ? {} : { precision })}
      {...(suffix === undefined ? {} : { suffix })}
      {...(className === undefined ? {} : { className })}
      onChange={(next) => {
        if (typeof next === 'number') onChange(next / times);
        else onClear?.();
      }}
    />
  );
}
