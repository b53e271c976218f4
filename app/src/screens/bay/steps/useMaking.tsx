import { Button, message } from 'antd';
import { type ReactNode, useState } from 'react';

/** A button that makes a file: it is busy meanwhile, and says why where it could not be made. */
export type MakeButton = (
  what: string,
  words: string,
  work: () => Promise<void> | void,
  primary?: boolean,
) => ReactNode;

/** Files made here in the browser, one at a time. */
export function useMaking(): { button: MakeButton; holder: ReactNode } {
  const [busy, setBusy] = useState<string>();
  const [notice, holder] = message.useMessage();
  const make = async (what: string, work: () => Promise<void> | void) => {
    setBusy(what);
    try {
      await work();
    } catch (error) {
      void notice.error(
        `The ${what} could not be made: ${error instanceof Error ? error.message.split('\n')[0] : String(error)}. The board is safe.`,
        10,
      );
    } finally {
      setBusy(undefined);
    }
  };
  const button: MakeButton = (what, words, work, primary = false) => (
    <Button
      key={what}
      type={primary ? 'primary' : 'default'}
      loading={busy === what}
      onClick={() => void make(what, work)}
    >
      {words}
    </Button>
  );
  return { button, holder };
}
