import { intoFolder, type LastBackup, type MadeBackup, makeBackup, noteBackup, rowsOfWindow } from '../store/shed.ts';
import { saveFile } from './saveFile.ts';

const counted = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`;
const contentOf = ({ boards, riders, pictures }: MadeBackup): string =>
  [counted(boards, 'board'), counted(riders, 'rider'), counted(pictures, 'picture')].join(', ');

/**
 * Makes a back-up and keeps it: in the folder that was picked; among the downloads where there is none, or it cannot be written.
 * @returns where it is, in words.
 * @throws Error where none could be made.
 */
export async function backUp({ folder }: LastBackup): Promise<{ words: string; last: LastBackup }> {
  const made = await makeBackup();
  const there = folder && (await intoFolder(folder, made));
  if (there?.ok) {
    const words = `${there.name}, in the folder ${folder!.name} and read back from there: ${contentOf(made)}.`;
    return { words, last: await noteBackup('folder') };
  }
  saveFile(made.zip, made.name, 'application/zip');
  const refused = there ? ` The folder ${folder!.name} could not be written: ${there.why}.` : '';
  const words = `${made.name}, on its way to your downloads: ${contentOf(made)}. See that it is there.${refused}`;
  return { words, last: await noteBackup('downloads') };
}

/** What this window holds, among the downloads, where the store does not say what lies in it. It does not count as a back-up. */
export async function saveWindow(): Promise<string> {
  const made = await makeBackup(rowsOfWindow());
  const name = made.name.replace('.zip', '-this-window.zip');
  saveFile(made.zip, name, 'application/zip');
  return `${name}, on its way to your downloads: ${contentOf(made)}. Pictures and what this window does not know are not in it.`;
}
