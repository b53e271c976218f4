import { Worker } from 'node:worker_threads';

interface PdfText {
  text: string;
  x_mm: number;
  y_mm: number;
  /** How long it is along its line. */
  width_mm: number;
}

interface PdfPath {
  /** Corner points in mm from the lower left of the page. */
  points: { x_mm: number; y_mm: number }[];
  closed: boolean;
}

export interface PdfPageRead {
  width_mm: number;
  height_mm: number;
  texts: PdfText[];
  paths: PdfPath[];
  /** Rectangles: lower left corner and size, mm. */
  boxes: { x_mm: number; y_mm: number; width_mm: number; height_mm: number }[];
}

type Answer = { id: number; pages: PdfPageRead[] } | { id: number; why: string };

let reader: Worker | undefined;
let asked = 0;
const waiting = new Map<number, (answer: Answer) => void>();

/** The thread that reads; the process ends although it waits, but not while it reads. */
function readerThread(): Worker {
  if (reader) return reader;
  reader = new Worker(new URL('./pdfReader.mjs', import.meta.url), { execArgv: [] });
  reader.on('message', (answer: Answer) => {
    waiting.get(answer.id)?.(answer);
    waiting.delete(answer.id);
    if (waiting.size === 0) reader?.unref();
  });
  reader.on('error', (error) => {
    for (const [id, settle] of waiting) settle({ id, why: error.message });
    waiting.clear();
    reader = undefined;
  });
  return reader;
}

/**
 * Reads a PDF with a library other than the one that wrote it: page sizes, texts and straight paths, in mm.
 * @throws Error with the library's words when it is not a PDF.
 */
export async function readPdf(bytes: Uint8Array): Promise<PdfPageRead[]> {
  const thread = readerThread();
  const id = asked++;
  thread.ref();
  const answer = await new Promise<Answer>((settle) => {
    waiting.set(id, settle);
    thread.postMessage({ id, bytes: Uint8Array.from(bytes) });
  });
  if ('why' in answer) throw new Error(answer.why);
  return answer.pages;
}
