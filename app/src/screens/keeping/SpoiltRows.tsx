import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { rowLegible } from '@june-tide/core/record';
import { fileName, saveFile } from '../../parts/saveFile.ts';
import { mendRow, putAside, rowsAside, type SpoiltRow, throwAsideAway, useShed } from '../../store/shed.ts';

const TABLE_WORDS = { boards: 'A board', riders: 'A rider’s card', blanks: 'A blank' } as const;

const save = (table: SpoiltRow['table'], id: string, row: unknown) =>
  saveFile(JSON.stringify(rowLegible(row), null, 2), `${fileName('unread', table, id)}.json`, 'application/json');

/** What a person would call it. */
function nameOf(row: unknown): string | undefined {
  const of = (value: unknown) =>
    typeof value === 'object' && value !== null && 'name' in value && typeof value.name === 'string'
      ? value.name.slice(0, 60)
      : undefined;
  return of(row) ?? (typeof row === 'object' && row !== null && 'board' in row ? of(row.board) : undefined);
}

/** Each thing in the store that cannot be read: what it is, why, and what can be done with it. */
export function SpoiltRows() {
  const spoilt = useShed((shed) => shed.spoilt);
  const [refused, setRefused] = useState<string>();
  if (spoilt.length === 0) return <p className="quiet above-0">Everything in the store can be read.</p>;
  return (
    <>
      <p className="quiet above-0">
        They lie as they were. Mending keeps what can be understood; the rest is as usual.
      </p>
      {refused !== undefined && (
        <p role="alert" className="trouble">
          {refused}
        </p>
      )}
      <ul className="spoilt" aria-label="Things that cannot be read">
        {spoilt.map((row) => (
          <li key={`${row.table} ${row.id}`}>
            <b>{nameOf(row.row) ?? row.id}</b> <span className="quiet">{TABLE_WORDS[row.table]}</span>
            <p className="quiet above-0 below-2">{row.why.slice(0, 200)}</p>
            <div className="row-of-tools">
              <Button
                size="small"
                type="primary"
                onClick={() =>
                  void mendRow(row).then((done) => setRefused(done.ok ? undefined : done.issues[0]?.words))
                }
              >
                Mend it
              </Button>
              <Button size="small" onClick={() => save(row.table, row.id, row.row)}>
                Save as a file
              </Button>
              <Button size="small" onClick={() => void putAside(row)}>
                Put it aside
              </Button>
            </div>
          </li>
        ))}
      </ul>
    </>
  );
}

/** What was put aside, and what mended things were before: had as files, or thrown away. */
export function PutAsideRows() {
  const spoilt = useShed((shed) => shed.spoilt);
  const [aside, setAside] = useState<Awaited<ReturnType<typeof rowsAside>>>([]);
  const read = () => void rowsAside().then(setAside, () => undefined);
  useEffect(() => {
    void rowsAside().then(setAside, () => undefined);
  }, [spoilt]);
  if (aside.length === 0) return null;
  return (
    <>
      <h2>Put aside</h2>
      <ul className="spoilt" aria-label="Things put aside">
        {aside.map(({ id, table, row, at }) => (
          <li key={id}>
            <b>{nameOf(row) ?? id}</b>{' '}
            <span className="quiet">
              {TABLE_WORDS[table]}, since {at.slice(0, 10)}
            </span>
            <div className="row-of-tools">
              <Button size="small" onClick={() => save(table, id, row)}>
                Save as a file
              </Button>
              <Button size="small" type="text" onClick={() => void throwAsideAway(id).then(read)}>
                Throw it away
              </Button>
            </div>
          </li>
        ))}
      </ul>
    </>
  );
}
