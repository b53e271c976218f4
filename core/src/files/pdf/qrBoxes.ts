import QRCode from 'qrcode';
import type { Box } from './pen.ts';

/** What a ticket's code says of a board: enough to find it again and to know it. */
export function codeText(board: { id: string; name: string; size: string; litres_L: number }): string {
  return JSON.stringify({ juneTide: 1, ...board, litres_L: Number(board.litres_L.toFixed(1)) });
}

/**
 * A QR code (ISO/IEC 18004, error level M) as filled squares, its lower left corner at x, y. White of four modules is left
 * around it within the side.
 */
export function qrBoxes(text: string, at: { x_mm: number; y_mm: number; side_mm: number }): Box[] {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const { size, data } = modules;
  const module = at.side_mm / (size + 8);
  const boxes: Box[] = [];
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      if (!data[row * size + column]) continue;
      boxes.push({
        x_mm: at.x_mm + (column + 4) * module,
        y_mm: at.y_mm + (size + 3 - row) * module,
        width_mm: module,
        height_mm: module,
      });
    }
  }
  return boxes;
}
