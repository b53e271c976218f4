import type { OnePage } from '@june-tide/core/files';

/** A picture is so wide on a screen; saved it is twice that. */
const WIDE_px = 1600;
export const PICTURE_SCALE = 2;

/** The bytes of what a canvas shows, as PNG. @throws Error when the browser makes none. */
export async function pngOf(canvas: HTMLCanvasElement): Promise<Uint8Array> {
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
  if (!blob) throw new Error('The browser made no picture; a smaller window may help');
  return new Uint8Array(await blob.arrayBuffer());
}

/** A page as a picture in the app's own letters, black on white, twice as fine as a screen. */
export async function pagePng(page: OnePage): Promise<Uint8Array> {
  const k = (WIDE_px * PICTURE_SCALE) / page.width_mm;
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(page.width_mm * k);
  canvas.height = Math.round(page.height_mm * k);
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('The browser draws no pictures');
  const family = getComputedStyle(document.documentElement).getPropertyValue('--sans') || 'sans-serif';
  await Promise.all([400, 700].map((weight) => document.fonts.load(`${weight} 20px ${family}`)));
  const y = (y_mm: number) => (page.height_mm - y_mm) * k;
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.fillStyle = pen.strokeStyle = '#000';
  pen.lineJoin = 'round';
  for (const { points, weight_mm, closed, dashed } of page.lines) {
    pen.beginPath();
    points.forEach((p, i) => (i === 0 ? pen.moveTo(p.x_mm * k, y(p.y_mm)) : pen.lineTo(p.x_mm * k, y(p.y_mm))));
    if (closed) pen.closePath();
    pen.lineWidth = weight_mm * k;
    pen.setLineDash(dashed ? [2 * k, 2 * k] : []);
    pen.stroke();
  }
  for (const box of page.boxes)
    pen.fillRect(box.x_mm * k, y(box.y_mm + box.height_mm), box.width_mm * k, box.height_mm * k);
  for (const { text, x_mm, y_mm, size_mm, anchor = 'start', strong } of page.texts) {
    pen.font = `${strong ? 700 : 400} ${size_mm * k}px ${family}`;
    pen.textAlign = anchor === 'middle' ? 'center' : anchor;
    pen.fillText(text, x_mm * k, y(y_mm));
  }
  return pngOf(canvas);
}
