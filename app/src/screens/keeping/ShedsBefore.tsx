import { Button, Popconfirm } from 'antd';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import { saveFile } from '../../parts/saveFile.ts';
import { letShedGo, putShedBack, type ShedBefore, shedsBefore, useShed } from '../../store/shed.ts';
import { reasonOf } from '../../store/autosaveQueue.ts';

/** Sheds that a back-up took the place of: put back, saved as a file, or let go. */
export function ShedsBefore() {
  const [sheds, setSheds] = useState<readonly ShedBefore[]>([]);
  const [said, say] = useState<{ words: string; wrong: boolean }>();
  const [busy, setBusy] = useState(false);
  // A shed that was replaced is shown anew, and with it what was here before.
  const riders = useShed((shed) => shed.riders);
  useEffect(() => {
    void shedsBefore().then(setSheds, () => undefined);
  }, [riders]);
  const doing = async (work: () => Promise<void>, words: string) => {
    setBusy(true);
    try {
      await work();
      say({ words, wrong: false });
    } catch (error) {
      say({ words: `It could not be done: ${reasonOf(error)}. Nothing was changed.`, wrong: true });
    }
    setSheds(await shedsBefore().catch(() => []));
    setBusy(false);
  };
  if (sheds.length === 0 && !said) return null;
  return (
    <section aria-label="Sheds of before">
      <h2>Sheds of before</h2>
      {sheds.map((shed) => {
        const when = dayjs(shed.at);
        return (
          <div key={shed.id} className="row-of-tools">
            <span>
              {when.format('D MMMM, HH:mm')}, before {shed.file} took its place: {shed.boards}{' '}
              {shed.boards === 1 ? 'board' : 'boards'}
            </span>
            <Popconfirm
              title="Put this shed back?"
              description="The shed as it is now is kept here in its turn."
              okText="Put it back"
              cancelText="No"
              onConfirm={() => void doing(() => putShedBack(shed), 'It is back, as it was.')}
            >
              <Button size="small" disabled={busy}>
                Put it back
              </Button>
            </Popconfirm>
            <Button
              size="small"
              onClick={() =>
                void shed.zip
                  .arrayBuffer()
                  .then((zip) =>
                    saveFile(
                      new Uint8Array(zip),
                      `june-tide-before-${when.format('YYYY-MM-DD-HHmmss')}.zip`,
                      'application/zip',
                    ),
                  )
              }
            >
              Save as a file
            </Button>
            <Popconfirm
              title="Let this shed go for good?"
              okText="Let it go"
              cancelText="Keep it"
              onConfirm={() => void doing(() => letShedGo(shed.id), 'It is gone for good.')}
            >
              <Button size="small" type="text" disabled={busy}>
                Let it go
              </Button>
            </Popconfirm>
          </div>
        );
      })}
      {said && (
        <p role={said.wrong ? 'alert' : 'status'} className={said.wrong ? 'trouble' : 'quiet'}>
          {said.words}
        </p>
      )}
    </section>
  );
}
