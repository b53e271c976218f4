import { Button } from 'antd';
import { useRef } from 'react';
import { replaceShelf, useShed } from '../store/shed.ts';
import { saveFile } from './saveFile.ts';
import { useDone } from './useDone.tsx';

/** The shelf as a file and from one. What cannot be read changes nothing; what was there can be had back. */
export function ShelfFiles() {
  const shelf = useShed((shed) => shed.shelf);
  const picker = useRef<HTMLInputElement>(null);
  const { say, refuse, holder } = useDone();
  const take = async (file: File | undefined) => {
    if (!file) return;
    const { shelfFromCsv } = await import('@june-tide/core/files/packages');
    const read = shelfFromCsv(await file.text());
    if (!read.ok) {
      refuse(`${file.name}: ${read.reason}. The shelf is as it was.`);
      return;
    }
    const put = replaceShelf(read.shelf);
    if (put.ok) say({ words: `${read.shelf.length} blanks on the shelf.`, back: put.back });
    else refuse(`${file.name}: ${put.issues[0].words}. The shelf is as it was.`);
  };
  return (
    <>
      {holder}
      <Button
        size="small"
        onClick={() =>
          void import('@june-tide/core/files/packages').then(({ shelfToCsv }) =>
            saveFile(shelfToCsv(shelf), 'shelf.csv', 'text/csv'),
          )
        }
      >
        Shelf as CSV
      </Button>
      <Button size="small" onClick={() => picker.current?.click()}>
        Shelf from CSV
      </Button>
      <input
        ref={picker}
        type="file"
        accept=".csv,text/csv"
        aria-label="Shelf file"
        hidden
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </>
  );
}
