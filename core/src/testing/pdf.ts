import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

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

const MM = 25.4 / 72;

/** Reads a PDF with a library other than the one that wrote it: page sizes, texts and straight paths, in mm. */
export async function readPdf(bytes: Uint8Array): Promise<PdfPageRead[]> {
  const task = getDocument({ data: Uint8Array.from(bytes), useSystemFonts: false, verbosity: 0 });
  const document = await task.promise;
  const pages: PdfPageRead[] = [];
  for (let number = 1; number <= document.numPages; number++) {
    const page = await document.getPage(number);
    const { width, height } = page.getViewport({ scale: 1 });
    const content = await page.getTextContent();
    const texts = content.items.flatMap((item): PdfText[] =>
      'str' in item && item.str.trim() !== ''
        ? [
            {
              text: item.str,
              x_mm: Number(item.transform[4]) * MM,
              y_mm: Number(item.transform[5]) * MM,
              width_mm: item.width * MM,
            },
          ]
        : [],
    );
    const list = await page.getOperatorList();
    const paths: PdfPath[] = [];
    const boxes: PdfPageRead['boxes'] = [];
    list.fnArray.forEach((fn, i) => {
      if (fn !== OPS.constructPath) return;
      const [ops, numbers] = list.argsArray[i] as [number[], number[]];
      let at = 0;
      let current: PdfPath | undefined;
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
    pages.push({ width_mm: width * MM, height_mm: height * MM, texts, paths, boxes });
  }
  await task.destroy();
  return pages;
}
