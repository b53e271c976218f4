import { Select } from 'antd';
import { TAIL_KINDS, TAIL_WORDS, type TailKind } from '@june-tide/core/document';

const OPTIONS = TAIL_KINDS.map((value) => ({ value, label: TAIL_WORDS[value].replace(/^./, (c) => c.toUpperCase()) }));

interface TailSelectProps {
  value: TailKind | undefined;
  onChange: (kind: TailKind | undefined) => void;
  /** What is said while none is chosen. */
  placeholder: string;
  className: string;
}

/** Which tail a board has that is read or drawn; it may be left open. */
export function TailSelect({ value, onChange, ...rest }: TailSelectProps) {
  return (
    <Select<TailKind | null>
      aria-label="Tail of the board"
      allowClear
      value={value ?? null}
      options={OPTIONS}
      onChange={(kind) => onChange(kind ?? undefined)}
      {...rest}
    />
  );
}
