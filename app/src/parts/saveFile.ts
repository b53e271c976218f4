/** Hands a file to the browser to save. */
export function saveFile(content: string | Uint8Array, name: string, type: string): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  document.body.append(link);
  link.click();
  link.remove();
  setTimeout(() => URL.revokeObjectURL(url), 30_000);
}

/** A name for a file: its letters kept, small, with a dash for whatever a file system or an address may trip over. */
export function fileName(...parts: string[]): string {
  const name = parts
    .join('-')
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}.]+/gu, '-')
    .replace(/^[-.]+|-+$/g, '');
  return name || 'board';
}
