import { Button, Popconfirm, Select } from 'antd';
import { useState } from 'react';
import type { Choice, Fate, RestoreRow, ShedRows } from '@june-tide/core/files/packages';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { PickFile } from '../../parts/PickFile.tsx';
import { saveFile } from '../../parts/saveFile.ts';
import { bringBack, gatherRows, makeBackup, replaceAll } from '../../store/shed.ts';
import { reasonOf } from '../../store/saveQueue.ts';

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
  const open = async (file: File) => {
    setOpened(undefined);
    const { readBackup, restoreDifference, restorePlan } = await import('@june-tide/core/files/packages');
    const read = readBackup(new Uint8Array(await file.arrayBuffer()));
    if (!read.ok) return say({ words: `${file.name}: ${read.reason} Nothing was changed.`, wrong: true });
    const plan = restorePlan(await gatherRows(), read.rows).map((row) => ({
      ...row,
      difference: restoreDifference(row, style),
    }));
    say(undefined);
    setChoices(new Map(plan.map((row) => [row, row.choices[0]])));
    setOpened({ file: file.name, madeAt: read.madeAt, rows: read.rows, plan });
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
      <PickFile
        label="A back-up"
        accept=".zip,application/zip"
        pick={(file) =>
          void open(file).catch(() => say({ words: 'The file cannot be read from its place.', wrong: true }))
        }
      >
        Open a back-up
      </PickFile>
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
              description="What is here and not in it goes. A back-up of what is here is saved first."
              okText="Save what is here, then replace it"
              cancelText="No"
              onConfirm={() =>
                void doing(async () => {
                  const now = await makeBackup();
                  saveFile(now.zip, `before-${now.name}`, 'application/zip');
                  await replaceAll(opened.rows);
                  return `Everything is as in ${opened.file}. What was here before is in before-${now.name}.`;
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
