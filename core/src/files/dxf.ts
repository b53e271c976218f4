import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import type { Drawing } from './drawing.ts';

/** A drawing as DXF text: millimetres, a layer for each of the drawing's, polylines and texts. Coordinates as they are. */
export function drawingToDxf(drawing: Drawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const layers = [...new Set([...drawing.lines, ...drawing.texts].map((item) => item.layer))];
  for (const layer of layers) dxf.addLayer(layer, Colors.White, 'Continuous');
  for (const line of drawing.lines) {
    dxf.addLWPolyline(
      line.points.map((p) => ({ point: point2d(p.x_mm, p.y_mm) })),
      { layerName: line.layer, flags: line.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
    );
  }
  for (const text of drawing.texts) {
    dxf.addText(point3d(text.x_mm, text.y_mm, 0), text.size_mm, text.text, { layerName: text.layer });
  }
  return dxf.stringify();
}
