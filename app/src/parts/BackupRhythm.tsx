import { Button } from 'antd';
import { useEffect, useState } from 'react';
import {
  backupDue,
  daysSince,
  intoFolder,
  lastBackup,
  type LastBackup,
  makeBackup,
  noteBackup,
  useShed,
} from '../store/shed.ts';
import { reasonOf } from '../store/autosaveQueue.ts';
import { backUp } from './backUp.ts';

/** Looked at when the shed is opened, and again so often. */
const LOOK_ms = 30 * 60_000;
/** The page has its first moments to itself. */
const FIRST_LOOK_ms = 20_000;

/** May the folder be written to without asking? Asking needs a press of a button. */
async function isAllowed(folder: FileSystemDirectoryHandle): Promise<boolean> {
  const asked = folder as unknown as { queryPermission?: (of: object) => Promise<PermissionState> };
  return (await asked.queryPermission?.({ mode: 'readwrite' })) === 'granted';
}

/** Makes the next back-up when it is due: into the folder by itself; where it cannot, says so and has it made with one press. */
export function BackupRhythm() {
  const [due, setDue] = useState<LastBackup>();
  const [later, setLater] = useState(false);
  const [wrong, setWrong] = useState<string>();
  useEffect(() => {
    let gone = false;
    const look = async () => {
      const last = await lastBackup();
      const { histories } = useShed.getState();
      if (gone || !backupDue(last, Date.now(), Object.keys(histories).length > 0)) return;
      if (last.folder && (await isAllowed(last.folder)) && (await intoFolder(last.folder, await makeBackup())).ok) {
        await noteBackup('folder');
        return;
      }
      if (!gone) setDue(last);
    };
    const quietly = () => void look().catch(() => undefined);
    const first = setTimeout(quietly, FIRST_LOOK_ms);
    const timer = setInterval(quietly, LOOK_ms);
    return () => {
      gone = true;
      clearTimeout(first);
      clearInterval(timer);
    };
  }, []);
  if (!due || later) return null;
  const days = daysSince(due, Date.now());
  return (
    <div className="backup-due" role="status">
      {wrong !== undefined
        ? `No back-up was made: ${wrong}`
        : days === undefined
          ? 'No back-up was made yet.'
          : `The last back-up is ${days} days old.`}
      <Button
        size="small"
        type="primary"
        onClick={() =>
          void backUp(due).then(
            () => setDue(undefined),
            (error: unknown) => setWrong(reasonOf(error)),
          )
        }
      >
        Back up now
      </Button>
      <Button size="small" type="text" onClick={() => setLater(true)}>
        Later
      </Button>
    </div>
  );
}
