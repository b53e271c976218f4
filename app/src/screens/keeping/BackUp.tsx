import { Button, Select } from 'antd';
import { useEffect, useState } from 'react';
import { backUp, saveWindow } from '../../parts/backUp.ts';
import {
  changeBackup,
  daysSince,
  lastBackup,
  type LastBackup,
  pickFolder,
  picksFolders,
  StoreUnread,
} from '../../store/shed.ts';
import { reasonOf } from '../../store/autosaveQueue.ts';

const EVERY: readonly { value: number; label: string }[] = [
  { value: 0, label: 'only by hand' },
  { value: 1, label: 'every day' },
  { value: 7, label: 'every week' },
  { value: 30, label: 'every month' },
];

function ago(last: LastBackup): string {
  const days = daysSince(last, Date.now());
  if (days === undefined) return 'None was made in this browser yet.';
  const when = days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
  const where = last.into === 'folder' ? ', in your folder' : last.into === 'downloads' ? ', among your downloads' : '';
  return `The last was made ${when}${where}.`;
}

/** Everything in one file: by hand, and on a rhythm into a folder or among the downloads. */
export function BackUp() {
  const [last, setLast] = useState<LastBackup>();
  const [said, say] = useState<{ words: string; wrong: boolean }>();
  const [busy, setBusy] = useState(false);
  const [isUnread, setUnread] = useState(false);
  useEffect(() => {
    void lastBackup().then(setLast, () => undefined);
  }, []);
  const make = async () => {
    setBusy(true);
    try {
      const made = await backUp(last ?? (await lastBackup()));
      setLast(made.last);
      say({ words: made.words, wrong: false });
    } catch (error) {
      setUnread(error instanceof StoreUnread);
      say({ words: `No back-up was made: ${reasonOf(error)}.`, wrong: true });
    }
    setBusy(false);
  };
  const makeOfWindow = () =>
    saveWindow().then(
      (words) => say({ words, wrong: false }),
      (error: unknown) => say({ words: `Nothing was saved: ${reasonOf(error)}.`, wrong: true }),
    );
  const refused = (error: unknown) => say({ words: `That was not kept: ${reasonOf(error)}.`, wrong: true });
  return (
    <>
      <p className="quiet above-0">
        Boards with their versions and rides, pictures, riders, the shelf and the settings, in one zip. Keep it on
        another machine or a stick: what is in this browser alone is gone with it. Riders’ weights and names are in it.
      </p>
      <p className="sample-size" data-testid="last-backup">
        {last ? ago(last) : ''}
      </p>
      <div className="row-of-tools">
        <Button type="primary" loading={busy} onClick={() => void make()}>
          Back up now
        </Button>
        <label className="row-of-tools">
          <span>and by itself</span>
          <Select<number>
            aria-label="How often by itself"
            value={last?.every_days ?? 7}
            options={[...EVERY]}
            onChange={(every_days) => void changeBackup({ every_days }).then(setLast, refused)}
          />
        </label>
      </div>
      {picksFolders() && (
        <p className="quiet">
          {last?.folder ? `Into the folder ${last.folder.name}. ` : 'Among the downloads. '}
          <Button size="small" onClick={() => void pickFolder().then((next) => next && setLast(next))}>
            {last?.folder ? 'Another folder' : 'Into a folder of mine'}
          </Button>
        </p>
      )}
      {said && (
        <p role={said.wrong ? 'alert' : 'status'} className={said.wrong ? 'trouble' : 'quiet'}>
          {said.words}{' '}
          {said.wrong && isUnread && (
            <Button size="small" onClick={() => void makeOfWindow()}>
              Save what this window holds
            </Button>
          )}
        </p>
      )}
    </>
  );
}
