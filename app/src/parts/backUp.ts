import { intoFolder, type LastBackup, makeBackup, noteBackup } from '../store/shed.ts';
import { saveFile } from './saveFile.ts';

/**
 * Makes a back-up and keeps it: in the folder that was picked; among the downloads where there is none, or it cannot be written.
 * @returns where it is, in words.
 * @throws Error where none could be made.
 */
export async function backUp({ folder }: LastBackup): Promise<{ words: string; last: LastBackup }> {
  const made = await makeBackup();
  const why = folder ? await intoFolder(folder, made) : 'no folder';
  if (why !== undefined) saveFile(made.zip, made.name, 'application/zip');
  const spoken = folder && why !== undefined ? ` The folder ${folder.name} could not be written: ${why}.` : '';
  const where = folder && why === undefined ? `in the folder ${folder.name}` : 'among the downloads';
  return { words: `${made.name}, ${made.boards} boards, ${where}.${spoken}`, last: await noteBackup() };
}
