import { Button } from 'antd';
import { replaceShelf, useShed } from '../store/shed.ts';
import { PickFile } from './PickFile.tsx';
import { saveFile } from './saveFile.ts';
import { useDone } from './useDone.tsx';

/** The shelf as a file and from one. What cannot be read changes nothing; what was there can be had back. */
export function ShelfFiles() {
  const shelf = useShed((shed) => shed.shelf);
  const { say, refuse, holder } = useDone();
  const take = async (file: File) => {
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
      <PickFile size="small" label="Shelf file" accept=".csv,text/csv" pick={(file) => void take(file)}>
        Shelf from CSV
      </PickFile>
    </>
  );
}
