import { useState } from 'react';
import { MOST_PHOTOS } from '@june-tide/core/record';
import { keepPhoto } from '../store/shed.ts';
import { PickFile } from './PickFile.tsx';

interface AddPhotoProps {
  /** The board it belongs to, or what else. */
  of: string;
  what: string;
  kept: readonly string[];
  add: (id: string) => void;
}

/** Takes a picture in, small and with nothing of the file but the picture. */
export function AddPhoto({ of, what, kept, add }: AddPhotoProps) {
  const [refused, setRefused] = useState<string>();
  return (
    <span>
      <PickFile
        size="small"
        disabled={kept.length >= MOST_PHOTOS}
        label={what}
        accept="image/*"
        pick={(file) =>
          void keepPhoto(of, file).then((result) => {
            setRefused(result.ok ? undefined : result.issues[0]?.words);
            if (result.ok) add(result.id);
          })
        }
      >
        Add a picture
      </PickFile>
      {refused && (
        <span role="alert" className="trouble">
          {refused}
        </span>
      )}
    </span>
  );
}
