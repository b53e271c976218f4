import { readDrawing } from '../../bring/drawingFile.ts';
import { partsOf } from '../../bring/drawn.ts';
import { pictureFileKind } from '../../bring/photo/pictureFile.ts';
import { readPoints } from '../../bring/pointList.ts';
import { scanFileKind } from '../../bring/scan/scanFile.ts';
import { DEMO_RIDERS, demoRecords } from '../../demo/demoShed.ts';
import { backupZip, readBackup } from '../../files/backup.ts';
import { readBoardFile, writeBoardFile } from '../../files/boardFile.ts';
import { drawingToDxf } from '../../files/dxf.ts';
import { meshToPly } from '../../files/obj.ts';
import { restorePlan } from '../../files/restore.ts';
import { boardFromStations, stationsToCsv } from '../../files/stationCsv.ts';
import { meshToStl } from '../../files/stl.ts';
import { drawingToSvg } from '../../files/svg.ts';
import { boardFromSheet } from '../../bring/measured/fromSheet.ts';
import { PERFECT_HANDS, readByHand, ROUGH_HANDS } from '../../bring/measured/hands.ts';
import { type Read, SHEET_READINGS } from '../../bring/measured/sheet.ts';
import { piecesOfDrawing } from '../../files/boardDrawings.ts';
import { stacked } from '../../files/drawing.ts';
import { usualShelf } from '../../make/blank.ts';
import { shelfFromCsv, shelfToCsv } from '../../make/shelfCsv.ts';
import { measure } from '../../measure/measure.ts';
import { stationsFrom } from '../../measure/stationColumns.ts';
import { modelNamed, models } from '../../models/models.ts';
import { filtersFrom } from '../../record/askRead.ts';
import { questionSentence } from '../../record/ask.ts';
import { boardRowMended, boardRowRead, readLeniently } from '../../record/lenient.ts';
import { stored } from '../../record/past.ts';
import { settingsFrom, USUAL_SETTINGS } from '../../record/settings.ts';
import { riderSchema } from '../../rider/rider.ts';
import { boardFrom } from '../../shape/issues.ts';
import { shapeOf } from '../../shape/shape.ts';
import { meshOf } from '../../solid/mesh.ts';
import { lengthWords, type LengthStyle } from '../../units/format.ts';
import { parseLength } from '../../units/length.ts';
import { parseMass } from '../../units/mass.ts';

/** What a reader made of an input: the words it refused it with, or said beside what it took. */
type Said = readonly string[];

export interface Reader<T> {
  name: string;
  /** Good inputs, which are damaged. */
  good: readonly T[];
  read: (input: T) => Said;
}

const INCHES: LengthStyle = { kind: 'fraction', denominator: 16 };
const WRITTEN = { style: INCHES, mass: 'kg' } as const;
const TODAY = '2026-11-26';
const refusal = (read: { ok: true } | { ok: false; reason: string }): Said => (read.ok ? [] : [read.reason]);
const shapes = () => ['Slack Water', 'Penny Step', 'Kettle'].map((name) => shapeOf(modelNamed(name)!));

/** A board that was taken has numbers that are numbers. */
function measured(board: Parameters<typeof shapeOf>[0]): Said {
  const read = Object.entries(measure(shapeOf(board)));
  return read.flatMap(([key, value]) => (Number.isFinite(value) ? [] : [`${key} is ${value}`]));
}

/** Whoever reads a text that comes from outside. */
export function textReaders(): Reader<string>[] {
  const drawings = () =>
    shapes().map((shape) =>
      stacked('a', [...piecesOfDrawing('outline', shape, INCHES), ...piecesOfDrawing('rocker', shape, INCHES)], 100),
    );
  const asked = [
    'fish under 30 litres for Kit that felt better',
    'boards that went dead, waist high, broken',
    '5\'10" to 6 ft, twin, 70 kg',
  ];
  return [
    {
      name: 'a board file',
      good: models().slice(0, 4).map(writeBoardFile),
      read: (text) => {
        const read = readBoardFile(text);
        return read.ok ? measured(read.board) : [read.reason, ...read.issues.map(({ words }) => words)];
      },
    },
    {
      name: 'a station table',
      good: models()
        .slice(0, 3)
        .map((board) => stationsToCsv(board)),
      read: (text) => {
        const read = boardFromStations(text, 'Fuzz', models().slice(0, 2));
        return read.ok ? measured(read.board) : [read.reason];
      },
    },
    { name: 'a shelf', good: [shelfToCsv(usualShelf())], read: (text) => refusal(shelfFromCsv(text)) },
    {
      name: 'an SVG',
      good: drawings().map((drawing) => drawingToSvg(drawing)),
      read: (text) => {
        const read = readDrawing(text);
        if (!read.ok) return [read.reason];
        partsOf(read.strokes);
        return [];
      },
    },
    {
      name: 'a DXF',
      good: drawings().map((drawing) => drawingToDxf(drawing, 'splines')),
      read: (text) => refusal(readDrawing(text)),
    },
    {
      name: 'a list of points',
      good: ['0 0\n1,5 2\n3 4', '0;0\n1,25;3,5', 'x,y\n1,2\n3,4'],
      read: (t) => refusal(readPoints(t)),
    },
    {
      name: 'a list of stations',
      good: ['1, 6, 12, 24', '25 mm; 305 mm', '1\' 3 1/2", 4 in'],
      read: (text) => {
        const read = stationsFrom(text, 'in');
        return read.ok ? [] : [read.words];
      },
    },
    {
      name: 'a length',
      good: ['5\'10 1/2"', '19 3/16', '1,829 m', '62.5 mm', '6 ft 2'],
      read: (text) => {
        const read = parseLength(text);
        if (!read.ok) return [read.reason];
        return [lengthWords(read.value, INCHES)];
      },
    },
    { name: 'a weight', good: ['72 kg', '158 lb', '11 st 4', '72,5'], read: (text) => refusal(parseMass(text)) },
    {
      name: 'a question to the shed',
      good: asked,
      // A sentence of all that was asked may be long.
      read: (text) => [questionSentence(filtersFrom(text, DEMO_RIDERS, ['Slack Water']), WRITTEN).slice(0, 400)],
    },
  ];
}

/** Whoever reads bytes that come from outside. */
export function byteReaders(): Reader<Uint8Array>[] {
  const mesh = meshOf(shapes()[0], { stations: 12, ring: 8 });
  const rows = {
    boards: demoRecords(TODAY).slice(0, 3).map(stored),
    riders: DEMO_RIDERS,
    blanks: usualShelf().slice(0, 4),
    settings: [USUAL_SETTINGS],
    photos: [{ id: 'p', boardId: 'b', jpeg: Uint8Array.of(0xff, 0xd8, 0xff, 0xd9) }],
  };
  const backup = backupZip(rows, '2026-11-26T08:00:00.000Z');
  return [
    {
      name: 'a back-up',
      good: [backup],
      read: (bytes) => {
        const read = readBackup(bytes);
        if (!read.ok) return [read.reason];
        return restorePlan(rows, read.rows).map(({ name }) => name);
      },
    },
    {
      name: 'the head of a picture',
      good: [
        Uint8Array.of(
          0x89,
          0x50,
          0x4e,
          0x47,
          13,
          10,
          26,
          10,
          0,
          0,
          0,
          13,
          0x49,
          0x48,
          0x44,
          0x52,
          0,
          0,
          3,
          0,
          0,
          0,
          4,
          0,
        ),
        Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 0, 4, 0, 0, 0xff, 0xc0, 0, 17, 8, 4, 0, 3, 0, 3, 1, 0, 0, 0, 0),
        Uint8Array.from('RIFF....WEBPVP8X........\x03\x00\x00\x04\x00\x00', (letter) => letter.charCodeAt(0)),
      ],
      read: (bytes) => refusal(pictureFileKind(bytes, bytes.length)),
    },
    {
      name: 'the head of a scan',
      good: [meshToStl(mesh, 'a'), new TextEncoder().encode(meshToPly(mesh, 'a'))],
      read: (bytes) => refusal(scanFileKind(bytes.subarray(0, 8192), bytes.length)),
    },
  ];
}

/** Whoever reads a value: a row of the store, a document, what was typed into many fields. */
export function valueReaders(): Reader<unknown>[] {
  const records = demoRecords(TODAY);
  return [
    {
      name: 'the fields of a board',
      good: models(),
      read: (value) => {
        const read = boardFrom(value);
        return read.ok ? measured(read.board) : read.issues.map(({ path, words }) => `${path}: ${words}`);
      },
    },
    {
      name: 'a row of a board',
      good: records.slice(0, 8).map(stored),
      read: (value) => {
        const read = boardRowRead(value);
        boardRowMended(value);
        return read.kind === 'spoilt' ? [read.why] : [];
      },
    },
    {
      name: 'a row of a rider',
      good: DEMO_RIDERS,
      read: (value) => {
        const read = readLeniently(value, riderSchema, () => undefined);
        return read.kind === 'spoilt' ? [read.why] : [];
      },
    },
    {
      name: 'the settings',
      good: [USUAL_SETTINGS],
      read: (value) => {
        settingsFrom(value);
        return [];
      },
    },
    {
      name: 'readings of a sheet',
      good: [readByHand(models()[0], PERFECT_HANDS), readByHand(models()[3], { ...ROUGH_HANDS, sides: true })],
      read: (value) => {
        // The sheet hands over numbers, whatever they are.
        const entries: [string, unknown][] = Object.entries(typeof value === 'object' && value !== null ? value : {});
        const readings: Record<string, Read> = {};
        for (const [key, each] of entries) {
          if (!(SHEET_READINGS as readonly string[]).includes(key)) continue;
          if (typeof each === 'number') readings[key] = each;
          else if (typeof each === 'object' && each !== null) {
            readings[key] = Object.fromEntries(
              Object.entries(each).filter(([side, mm]) => /^(left|right)_mm$/.test(side) && typeof mm === 'number'),
            );
          }
        }
        const read = boardFromSheet(readings, { name: 'Fuzz', among: models().slice(0, 2), bands: true });
        return read.ok ? measured(read.board) : [read.reason];
      },
    },
  ];
}
