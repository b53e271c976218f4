import { Button, Popconfirm, Select } from 'antd';
import { useState } from 'react';
import type { Choice, Fate, RestoreRow, ShedRows } from '@june-tide/core/files/packages';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { PickFile } from '../../parts/PickFile.tsx';
import { bringBack, gatherRows, replaceAll } from '../../store/shed.ts';
import { bring, type Going, Stopped } from '../../workers/bringClient.ts';
import type { BringWork } from '../../workers/bringMessages.ts';
import { reasonOf } from '../../store/autosaveQueue.ts';

const FATE_WORDS: Readonly<Record<Fate, string>> = {
  new: 'not here',
  newer: 'newer in the back-up',
  older: 'older in the back-up',
  differs: 'another here',
  same: 'the same',
  unread: 'cannot be read',
};
const CHOICE_WORDS: Readonly<Record<Choice, string>> = {
  take: 'take the back-up’s',
  keep: 'leave as it is here',
  both: 'keep both, the later on top',
};
const TABLE_WORDS = { boards: 'board', riders: 'rider', blanks: 'blank', settings: 'settings' } as const;

interface Opened {
  file: string;
  madeAt: string;
  rows: ShedRows;
  plan: readonly (RestoreRow & { difference: string })[];
}

/** A back-up opened: what is new, newer, older or other in it, what is to be done with each, and nothing before it is said. */
export function Restore() {
  const [opened, setOpened] = useState<Opened>();
  const [choices, setChoices] = useState<ReadonlyMap<RestoreRow, Choice>>(new Map());
  const [said, say] = useState<{ words: string; wrong: boolean }>();
  const [busy, setBusy] = useState(false);
  const style = useLengthStyle();
  const [reading, setReading] = useState<{ work: Going<BringWork['backup']['answer']>; share: number }>();
  const read = async (file: File): Promise<string | undefined> => {
    const work = bring('backup', { file }, (_, share = 0) => setReading({ work, share }));
    setReading({ work, share: 0 });
    const found = await work.result;
    if (!found.ok) return `${file.name}: ${found.reason} Nothing was changed.`;
    const { restoreDifference, restorePlan } = await import('@june-tide/core/files/packages');
    const plan = restorePlan(await gatherRows(), found.rows).map((row) => ({
      ...row,
      difference: restoreDifference(row, style),
    }));
    if (plan.length === 0 && found.rows.photos.length === 0)
      return `${file.name} is a back-up with nothing in it. Nothing was changed.`;
    setChoices(new Map(plan.map((row) => [row, row.choices[0]])));
    setOpened({ file: file.name, madeAt: found.madeAt, rows: found.rows, plan });
    return undefined;
  };
  const open = async (file: File) => {
    setOpened(undefined);
    say(undefined);
    try {
      const wrong = await read(file);
      if (wrong !== undefined) say({ words: wrong, wrong: true });
    } catch (error) {
      const words =
        error instanceof Stopped ? 'Stopped. Nothing was changed.' : `It cannot be read: ${reasonOf(error)}.`;
      say({ words, wrong: !(error instanceof Stopped) });
    }
    setReading(undefined);
  };
  const doing = async (work: () => Promise<string>) => {
    setBusy(true);
    try {
      say({ words: await work(), wrong: false });
      setOpened(undefined);
    } catch (error) {
      const why = reasonOf(error);
      say({ words: `It could not be written: ${why}. Nothing was changed.`, wrong: true });
    }
    setBusy(false);
  };
  const changes = opened?.plan.filter((row) => choices.get(row) !== 'keep').length ?? 0;
  return (
    <>
      <p className="quiet above-0">
        From this machine or another. What would happen is shown first; nothing is changed before you say so, and then
        all of it or nothing.
      </p>
      <PickFile label="A back-up" accept=".zip,application/zip" pick={(file) => void open(file)}>
        Open a back-up
      </PickFile>
      {reading && (
        <p className="row-of-tools" role="status">
          Reading, {Math.floor(100 * reading.share)} %
          <Button size="small" onClick={() => reading.work.stop()}>
            Stop
          </Button>
        </p>
      )}
      {said && (
        <p role={said.wrong ? 'alert' : 'status'} className={said.wrong ? 'trouble' : 'quiet'}>
          {said.words}
        </p>
      )}
      {opened && (
        <>
          <h2>{opened.file}</h2>
          <p className="quiet above-0" data-testid="backup-sum">
            Made on {opened.madeAt.slice(0, 10)}: {summed(opened.plan)}, {opened.rows.photos.length} pictures.
          </p>
          <div className="restore-list">
            <table aria-label="What is in the back-up">
              <tbody>
                {opened.plan
                  .filter(({ fate }) => fate !== 'same')
                  .map((row) => (
                    <tr key={`${row.table} ${row.id}`}>
                      <th scope="row">
                        {row.name} <span className="quiet">{TABLE_WORDS[row.table]}</span>
                        {row.difference !== '' && <div className="quiet">There: {row.difference}</div>}
                      </th>
                      <td className="quiet">{FATE_WORDS[row.fate]}</td>
                      <td>
                        <Select<Choice>
                          aria-label={`What is done with ${row.name}`}
                          size="small"
                          className="fit-230"
                          value={choices.get(row) ?? 'keep'}
                          options={row.choices.map((value) => ({ value, label: CHOICE_WORDS[value] }))}
                          onChange={(choice) => setChoices(new Map([...choices, [row, choice]]))}
                        />
                      </td>
                    </tr>
                  ))}
              </tbody>
            </table>
          </div>
          <div className="row-of-tools">
            <Button
              type="primary"
              loading={busy}
              disabled={changes === 0}
              onClick={() =>
                void doing(async () => {
                  const count = await bringBack(opened.plan, choices, opened.rows.photos);
                  return `${count} ${count === 1 ? 'thing was' : 'things were'} brought in; all else is as it was.`;
                })
              }
            >
              Bring in what is chosen
            </Button>
            <Popconfirm
              title="Make everything as in the back-up?"
              description="What is here and not in it goes. The shed as it is now is kept in this browser until you let it go."
              okText="Replace it"
              cancelText="No"
              onConfirm={() =>
                void doing(async () => {
                  await replaceAll(opened.rows, opened.file);
                  return `Everything is as in ${opened.file}. The shed of before is kept under Sheds of before.`;
                })
              }
            >
              <Button disabled={busy}>Replace everything with it</Button>
            </Popconfirm>
          </div>
        </>
      )}
    </>
  );
}

function summed(plan: readonly RestoreRow[]): string {
  const count = (fate: Fate) => plan.filter((row) => row.fate === fate).length;
  const parts = (Object.keys(FATE_WORDS) as Fate[]).flatMap((fate) =>
    count(fate) === 0 ? [] : [`${count(fate)} ${FATE_WORDS[fate]}`],
  );
  return parts.length === 0 ? 'nothing is in it' : parts.join(', ');
}
