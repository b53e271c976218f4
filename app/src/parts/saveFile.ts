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

/**
 * Opens the browser's own print window on a PDF, in a frame nobody sees; where the browser shows no PDF in a frame, the PDF in a tab
 * of its own, to print from there.
 */
export function printFile(bytes: Uint8Array): void {
  const url = URL.createObjectURL(new Blob([bytes as BlobPart], { type: 'application/pdf' }));
  const frame = document.createElement('iframe');
  frame.className = 'unseen';
  frame.title = 'What is printed';
  frame.addEventListener('load', () => {
    try {
      frame.contentWindow?.focus();
      frame.contentWindow?.print();
    } catch {
      window.open(url, '_blank');
    }
  });
  // The print window reads the frame for as long as it is open: it stays until the next one takes its place.
  document.querySelector('iframe.unseen')?.remove();
  frame.src = url;
  document.body.append(frame);
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
