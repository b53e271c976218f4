// Reads PDFs with a library other than the one that wrote them, for pdf.ts: in a thread of its own, for the library writes over
// Array.prototype.push and its like where it is loaded, and every other test would run on those.
import { parentPort } from 'node:worker_threads';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

const MM = 25.4 / 72;

/** @param bytes Uint8Array of a PDF. Gives its pages as PdfPageRead of pdf.ts. */
async function pagesOf(bytes) {
  const task = getDocument({ data: bytes, useSystemFonts: false, verbosity: 0 });
  const document = await task.promise;
  const pages = [];
  for (let number = 1; number <= document.numPages; number++) {
    const page = await document.getPage(number);
    const { width, height } = page.getViewport({ scale: 1 });
    const content = await page.getTextContent();
    const texts = content.items
      .filter((item) => 'str' in item && item.str.trim() !== '')
      .map((item) => ({
        text: item.str,
        x_mm: Number(item.transform[4]) * MM,
        y_mm: Number(item.transform[5]) * MM,
        width_mm: item.width * MM,
      }));
    pages.push({ width_mm: width * MM, height_mm: height * MM, texts, ...drawnOn(await page.getOperatorList()) });
  }
  await task.destroy();
  return pages;
}

/** Straight paths and rectangles of a page. */
function drawnOn(list) {
  const paths = [];
  const boxes = [];
  list.fnArray.forEach((fn, i) => {
    if (fn !== OPS.constructPath) return;
    const [ops, numbers] = list.argsArray[i];
    let at = 0;
    let current;
    for (const op of ops) {
      if (op === OPS.moveTo || op === OPS.lineTo) {
        if (op === OPS.moveTo || !current) paths.push((current = { points: [], closed: false }));
        current.points.push({ x_mm: numbers[at] * MM, y_mm: numbers[at + 1] * MM });
        at += 2;
      } else if (op === OPS.rectangle) {
        const [x_mm, y_mm, width_mm, height_mm] = numbers.slice(at, at + 4).map((n) => n * MM);
        boxes.push({ x_mm, y_mm, width_mm, height_mm });
        at += 4;
      } else if (op === OPS.curveTo) at += 6;
      else if (op === OPS.closePath && current) current.closed = true;
    }
  });
  return { paths, boxes };
}

parentPort.on('message', async ({ id, bytes }) => {
  try {
    parentPort.postMessage({ id, pages: await pagesOf(bytes) });
  } catch (error) {
    parentPort.postMessage({ id, why: error instanceof Error ? error.message : String(error) });
  }
});
