import { Button, message } from 'antd';
import { type ReactElement, useCallback } from 'react';

/** Something that was done, and how to take it back. */
export interface Done {
  words: string;
  back: () => void;
}

/** Says what was done, with the way back; the latest takes the place of the one before. `holder` stands anywhere on the screen. */
export function useDone(): { say: (done: Done) => void; refuse: (words: string) => void; holder: ReactElement } {
  const [notice, holder] = message.useMessage();
  const say = useCallback(
    ({ words, back }: Done) =>
      void notice.open({
        key: 'done',
        type: 'success',
        duration: 8,
        content: (
          <span>
            {words}{' '}
            <Button
              size="small"
              onClick={() => {
                back();
                notice.destroy('done');
              }}
            >
              Undo
            </Button>
          </span>
        ),
      }),
    [notice],
  );
  const refuse = useCallback((words: string) => void notice.error({ content: words, duration: 12 }), [notice]);
  return { say, refuse, holder };
}
