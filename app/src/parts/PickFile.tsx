import { Button, type ButtonProps } from 'antd';
import { type ReactNode, useRef } from 'react';

interface PickFileProps extends Pick<ButtonProps, 'type' | 'size' | 'disabled'> {
  /** What is asked for: the name of the hidden field. */
  label: string;
  accept: string;
  pick: (file: File) => void;
  children: ReactNode;
}

/** A button that opens a file of the shaper's own. */
export function PickFile({ label, accept, pick, children, ...button }: PickFileProps) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => picker.current?.click()}>
        {children}
      </Button>
      <input
        ref={picker}
        type="file"
        accept={accept}
        aria-label={label}
        hidden
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) pick(file);
        }}
      />
    </>
  );
}
