import { DxfWriter, LWPolylineFlags, point2d, point3d, SplineFlags, Units } from '@tarikjabiri/dxf';
import { onOneLine } from '../units/oneLine.ts';
import { piecesOf, splineThrough } from './cubicSpline.ts';
import { type Drawing, type DrawnLine, extentOf } from './drawing.ts';
import { boxOf } from './labels.ts';
import { inkOf, LOOKS } from './layers.ts';

/** How curves are written: by their vertices, one entity a line; or as splines, cut at their corners. */
export type DxfCurves = 'polylines' | 'splines';

const DASHED = 'DASHED';
/** Fewer points in a piece are straight edges. */
const LEAST_FOR_SPLINE = 6;

/**
 * A drawing as DXF text (AC1021, the format of 2007): millimetres, a layer for each of the drawing's in its colour, dashed lines as
 * such, extents, polylines or cubic splines, and texts. Coordinates as they are.
 */
export function drawingToDxf(drawing: Drawing, curves: DxfCurves = 'polylines'): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const boxes = drawing.texts.map(boxOf);
  const extent = extentOf(drawing.lines);
  dxf.setVariable('$EXTMIN', {
    10: Math.min(extent.left_mm, ...boxes.map((box) => box.left_mm)),
    20: Math.min(extent.foot_mm, ...boxes.map((box) => box.foot_mm)),
    30: 0,
  });
  dxf.setVariable('$EXTMAX', {
    10: Math.max(extent.right_mm, ...boxes.map((box) => box.right_mm)),
    20: Math.max(extent.top_mm, ...boxes.map((box) => box.top_mm)),
    30: 0,
  });
  dxf.setVariable('$MEASUREMENT', { 70: 1 });
  dxf.addLType(DASHED, 'Dashed __ __ __', [4, -2]);
  const layers = [...new Set([...drawing.lines, ...drawing.texts].map((item) => item.layer))];
  for (const layer of layers) dxf.addLayer(layer, LOOKS[inkOf(layer)].aci, 'Continuous');
  for (const line of drawing.lines) {
    if (curves === 'splines') splines(dxf, line);
    else polyline(dxf, line, line.points, line.closed ?? false);
  }
  for (const text of drawing.texts) {
    dxf.addText(point3d(text.x_mm, text.y_mm, 0), text.size_mm, onOneLine(text.text), { layerName: text.layer });
  }
  return dxf.stringify();
}

const looks = ({ layer, dashed }: DrawnLine) => ({ layerName: layer, ...(dashed ? { lineType: DASHED } : {}) });

function polyline(dxf: DxfWriter, line: DrawnLine, points: DrawnLine['points'], closed: boolean): void {
  dxf.addLWPolyline(
    points.map((p) => ({ point: point2d(p.x_mm, p.y_mm) })),
    { ...looks(line), flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
  );
}

function splines(dxf: DxfWriter, line: DrawnLine): void {
  for (const piece of piecesOf(line.points, line.closed ?? false)) {
    if (piece.length < LEAST_FOR_SPLINE) {
      polyline(dxf, line, piece, false);
      continue;
    }
    const { knots, points } = splineThrough(piece);
    dxf.addSpline(
      {
        controlPoints: points.map((p) => point3d(p.x_mm, p.y_mm, 0)),
        degreeCurve: 3,
        flags: SplineFlags.Planar,
        knots,
      },
      looks(line),
    );
  }
}
