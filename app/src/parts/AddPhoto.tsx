import { Button } from 'antd';
import { useRef, useState } from 'react';
import { MOST_PHOTOS } from '@june-tide/core/record';
import { keepPhoto } from '../store/shed.ts';

interface AddPhotoProps {
  /** The board it belongs to, or what else. */
  of: string;
  what: string;
  kept: readonly string[];
  add: (id: string) => void;
}

/** Takes a picture in, small and with nothing of the file but the picture. */
export function AddPhoto({ of, what, kept, add }: AddPhotoProps) {
  const picker = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<string>();
  return (
    <span>
      <Button size="small" disabled={kept.length >= MOST_PHOTOS} onClick={() => picker.current?.click()}>
        Add a picture
      </Button>
      <input
        ref={picker}
        type="file"
        accept="image/*"
        aria-label={what}
        hidden
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (!file) return;
          void keepPhoto(of, file).then((result) => {
            setRefused(result.ok ? undefined : result.issues[0]?.words);
            if (result.ok) add(result.id);
          });
        }}
      />
      {refused && (
        <span role="alert" className="trouble">
          {refused}
        </span>
      )}
    </span>
  );
}
