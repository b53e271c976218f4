import { DECK_FEATURES } from '../../document/kinds.ts';
import { type Board, LAYER_KINDS, TAIL_KINDS } from '../../document/schema.ts';
import { withCrownTimes, withNewCrown } from '../../edit/deck.ts';
import { changesBetween, changesSentence } from '../../edit/changes.ts';
import { withCrownAt, withDepthAt, withRailAt } from '../../edit/atStation.ts';
import { featureLitres, mayHaveFeature, withNewDeckFeature } from '../../edit/deck.ts';
import { markRows, withLength, withNewMark } from '../../edit/marks.ts';
import { exaggerated } from '../../edit/mix.ts';
import { withNewLayer, withNewRail, withNewWing, withRailEverywhere } from '../../edit/parts.ts';
import { withTail } from '../../edit/size.ts';
import { sizesOf, usualRun } from '../../edit/sizeRun.ts';
import { PARTS, withPart } from '../../edit/take.ts';
import { bandLines } from '../../files/bandsDrawing.ts';
import { DRAWINGS, type DrawingName, piecesOfDrawing } from '../../files/boardDrawings.ts';
import { readBoardFile, writeBoardFile } from '../../files/boardFile.ts';
import { drawingToDxf } from '../../files/dxf.ts';
import { wireBlockDrawing, wireTemplates } from '../../files/hotWireDrawings.ts';
import { meshToObj, meshToPly } from '../../files/obj.ts';
import { onPaper } from '../../files/pdf/onPaper.ts';
import { boardPdf } from '../../files/pdf/boardPapers.ts';
import { picturePage } from '../../files/picturePage.ts';
import { boardFromStations, stationsToCsv } from '../../files/stationCsv.ts';
import { stationPage } from '../../files/stationPage.ts';
import { shapeToStep } from '../../files/step/step.ts';
import { meshToStl } from '../../files/stl.ts';
import { drawingToSvg } from '../../files/svg.ts';
import { halfOutlineDrawing } from '../../files/templateDrawing.ts';
import { meshToThreeMf } from '../../files/threeMf.ts';
import { ticketPage } from '../../files/ticketPage.ts';
import { wallPage } from '../../files/wallPage.ts';
import { finSpread_mm, withFinsShifted, withFinSpread } from '../../fins/cluster.ts';
import { finTroubles, toeLines } from '../../fins/checks.ts';
import { placedFins } from '../../fins/placed.ts';
import { finSpots } from '../../fins/spots.ts';
import { changesFor, COMPLAINTS, pushedFar } from '../../judge/complaints.ts';
import { judged, verdict } from '../../judge/judge.ts';
import { writerOf } from '../../judge/writer.ts';
import { LEVERS } from '../../judge/levers.ts';
import { boardReading } from '../../judge/reading.ts';
import { softenedFor } from '../../judge/soften.ts';
import { compareTraits } from '../../judge/traits.ts';
import { asBuilt, readingsOf } from '../../make/asBuilt.ts';
import { usualShelf } from '../../make/blank.ts';
import { rankedBlanks } from '../../make/blankFit.ts';
import { costSheet } from '../../make/cost.ts';
import { laminated, lighter, USUAL_SCHEDULE } from '../../make/glass.ts';
import { USUAL_WIRE_BLOCK, wirePlan } from '../../make/hotWire.ts';
import { measuredAgainst, measuringSheet } from '../../make/measuringSheet.ts';
import { bandedSection, bandTable, railBands } from '../../make/railBands.ts';
import { USUAL_WORKSHOP } from '../../make/workshop.ts';
import { allMeasures } from '../../measure/allMeasures.ts';
import { contoursWithoutRoom } from '../../measure/contourRoom.ts';
import { Facts } from '../../measure/facts.ts';
import { LIGHT_LINES, lightAlong, type LightLineKey } from '../../measure/lightAlong.ts';
import { measure } from '../../measure/measure.ts';
import { bottomRelief } from '../../measure/relief.ts';
import { stationText } from '../../measure/stationColumns.ts';
import { foilDifferences, stationTable, USUAL_STATIONS } from '../../measure/stationTable.ts';
import { bottomWords, ticketLines } from '../../measure/ticket.ts';
import { compared } from '../../measure/compare.ts';
import { models } from '../../models/models.ts';
import { outlinePoints } from '../../outline/outline.ts';
import { boardsToLearnOn, equalLitreBoards, sizedBySchools } from '../../rider/sizing.ts';
import { USUAL_SCHOOLS } from '../../rider/schools.ts';
import { sectionRing } from '../../section/walk.ts';
import { shoulderOf } from '../../section/shoulder.ts';
import { straightedgeAcross } from '../../section/straightedge.ts';
import { boardFrom, boardIssues } from '../../shape/issues.ts';
import { curveGains } from '../../shape/gains.ts';
import { sectionAt, type Shape, shapeOf } from '../../shape/shape.ts';
import { meshCurvature } from '../../solid/curvature.ts';
import { deckShade } from '../../solid/shade.ts';
import { litMesh } from '../../solid/creases.ts';
import { meshOf } from '../../solid/mesh.ts';
import type { LengthStyle } from '../../units/format.ts';
import { caseOf, RIDERS, WAVES } from '../cases.ts';
import { FONTS } from '../fonts.ts';
import { wordsTrouble } from './fuzzed.ts';

const STYLES: readonly LengthStyle[] = [
  { kind: 'fraction', denominator: 16 },
  { kind: 'mm' },
  { kind: 'cm' },
  { kind: 'decimal', places: 3 },
];

/** What no result of ours holds, at any depth: a number that is none, words of the machine. */
export function troubleIn(value: unknown, at: string, deep = 0): string | undefined {
  if (typeof value === 'number') return Number.isFinite(value) ? undefined : `${at} is ${value}`;
  if (typeof value === 'string') {
    const trouble = value === '' || value.length > 400 ? undefined : wordsTrouble(value);
    return trouble === undefined ? undefined : `${at} ${trouble}`;
  }
  if (typeof value !== 'object' || value === null || deep > 12) return undefined;
  if (value instanceof Uint8Array) return undefined;
  if (ArrayBuffer.isView(value)) {
    const k = (value as Float64Array).findIndex((each) => !Number.isFinite(each));
    return k < 0 ? undefined : `${at}[${k}] is ${(value as Float64Array)[k]}`;
  }
  for (const [key, each] of value instanceof Map ? value : Object.entries(value)) {
    const trouble = troubleIn(each, `${at}.${String(key)}`, deep + 1);
    if (trouble !== undefined) return trouble;
  }
  return undefined;
}

type Doing = (shape: Shape, at: number) => unknown;

const styleOf = (at: number) => STYLES[at % STYLES.length];
const other = (at: number): Board => models()[at % models().length];
const LEVER_NAMES = Object.keys(LEVERS) as (keyof typeof LEVERS)[];
const NAMES = Object.keys(DRAWINGS) as DrawingName[];
/** An edit of the bench is taken only where it makes a board; one that says it makes one must. */
const edit = (board: Board): unknown => boardIssues(board).length;

/** What the interface asks of core of one board: the numbers of every screen. */
const ASKED: Readonly<Record<string, Doing>> = {
  'its file comes back the same': ({ board }) => {
    const read = readBoardFile(writeBoardFile(board));
    if (!read.ok) throw new Error(read.reason);
    return read.board;
  },
  measures: (shape) => [measure(shape), allMeasures(shape)],
  ticket: (shape, at) => [
    ticketLines(shape, styleOf(at)),
    bottomWords(shape, styleOf(at)),
    ticketPage(shape, 'A4', styleOf(at)),
  ],
  'station table': (shape, at) => [
    stationTable(shape),
    stationText(shape, USUAL_STATIONS, styleOf(at)),
    foilDifferences(shape),
  ],
  'light lines': (shape) => (Object.keys(LIGHT_LINES) as LightLineKey[]).map((key) => lightAlong(shape, key)),
  sections: (shape) =>
    [0.02, 0.2, 0.5, 0.8, 0.98].map((share) => {
      const section = sectionAt(shape, share * shape.board.length_mm);
      return section && [sectionRing(section), shoulderOf(section), straightedgeAcross(section)];
    }),
  plan: (shape) => [outlinePoints(shape.outline), bottomRelief(shape, 8), contoursWithoutRoom(shape)],
  gains: (shape) => (['outline', 'rocker', 'foil'] as const).map((curve) => curveGains(shape, curve)),
  fins: (shape) => [finSpots(shape), finTroubles(shape), toeLines(shape), placedFins(shape), finSpread_mm(shape.board)],
  shade: (shape) => deckShade(shape, 60, 16),
  room: (shape) => {
    const lit = litMesh(meshOf(shape, { stations: 40, ring: 24 }));
    return [lit, meshCurvature(lit, 'along'), meshCurvature(lit, 'across')];
  },
  judgement: ({ board }, at) => {
    const riders = Object.keys(RIDERS) as (keyof typeof RIDERS)[];
    const seas = Object.keys(WAVES) as (keyof typeof WAVES)[];
    const of = caseOf(board, { rider: riders[at % riders.length], waves: seas[at % seas.length], last: other(at) });
    const writer = writerOf(styleOf(at));
    const notes = judged(of, writer);
    return [notes.map(({ rule: _rule, ...note }) => note), verdict(of), boardReading(of, writer)];
  },
  changes: (shape, at) => {
    const facts = new Facts(shape);
    return changesFor(COMPLAINTS[at % COMPLAINTS.length], facts, USUAL_SCHOOLS, 76).length;
  },
  levers: ({ board }, at) => LEVER_NAMES.map((name) => edit(pushedFar(board, name, at % 2 === 0 ? 1 : -1, 2).board)),
  softened: ({ board }, at) =>
    edit(softenedFor(board, caseOf(board, {}).kind, RIDERS[at % 2 === 0 ? 'usual' : 'novice']).board),
  'beside another': (shape, at) => {
    const theirs = other(at);
    return [
      compared(shape.board, theirs),
      compareTraits(new Facts(shape), new Facts(shapeOf(theirs))),
      changesBetween(shape.board, theirs).length,
      changesSentence(shape.board, theirs, styleOf(at)),
    ];
  },
  'mixed with another': ({ board }, at) => {
    const mixed = exaggerated(board, other(at), [0.5, 1.5, -0.5][at % 3]);
    if (!boardFrom(mixed.board).ok) throw new Error('the mix is no board');
    return mixed.share;
  },
  'a part of another': ({ board }, at) => {
    const taken = withPart(board, PARTS[at % PARTS.length], other(at));
    return taken.ok ? edit(taken.board) : taken.reason;
  },
  edits: ({ board }, at) => [
    edit(withLength(board, board.length_mm * 1.03)),
    edit(withTail(board, TAIL_KINDS[at % TAIL_KINDS.length])),
    edit(withNewWing(board)),
    edit(withNewRail(board, board.length_mm * 0.37)),
    edit(withRailEverywhere(board, 0)),
    edit(withNewLayer(board, LAYER_KINDS[at % LAYER_KINDS.length])),
    edit(withNewCrown(board, board.length_mm * 0.4)),
    edit(withCrownTimes(board, 1.2)),
    edit(withFinsShifted(board, 6)),
    board.fins.boxes.length > 2 ? edit(withFinSpread(board, (finSpread_mm(board) ?? 100) + 8)) : 0,
    edit(withNewMark(board, 'outline', board.length_mm * 0.7, board.outline.width_mm * 0.8)),
    (['outline', 'rocker', 'foil'] as const).map((curve) => markRows(board, curve)),
    edit(withRailAt(board, board.length_mm * 0.5, { fullness: 0.4 })),
    edit(withCrownAt(board, board.length_mm * 0.5, 6)),
    board.bottom.layers.length > 0 ? edit(withDepthAt(board, 0, board.length_mm * 0.5, 3)) : 0,
    (Object.keys(DECK_FEATURES) as (keyof typeof DECK_FEATURES)[])
      .filter((kind) => mayHaveFeature(board, kind))
      .map((kind) => edit(withNewDeckFeature(board, kind))),
    board.deck.features.map((_, k) => featureLitres(board, k)),
  ],
  glass: (shape) => {
    const made = laminated(shape, 'pu', 4, USUAL_SCHEDULE);
    if (!made.ok) return made.reason;
    const { stages, prices } = USUAL_WORKSHOP;
    const cost = costSheet(shape, usualShelf()[0], 'polyester', made.laminate, stages, prices);
    return [made, lighter(shape, 'pu', 4, USUAL_SCHEDULE), cost];
  },
  drawings: (shape, at) => {
    const name = NAMES[at % NAMES.length];
    return piecesOfDrawing(name, shape, styleOf(at)).map((piece) => [
      piece.width_mm,
      piece.height_mm,
      drawingToSvg(piece).length,
    ]);
  },
  'half outline': (shape, at) => drawingToSvg(halfOutlineDrawing(shape, styleOf(at))).length,
  pages: (shape, at) => [
    wallPage(shape, 'A4', styleOf(at), { name: 'A board' }),
    stationPage(shape, 'Letter', styleOf(at), 'A board', USUAL_STATIONS),
  ],
};

/** What is asked once and takes long: of every tenth board, or one of these of each. */
const SLOW: Readonly<Record<string, Doing>> = {
  bands: (shape) => {
    const bands = railBands(shape);
    return [
      bands,
      bandTable(shape, bands),
      bandedSection(shape, bands, shape.board.length_mm / 2),
      bandLines(shape, bands),
    ];
  },
  blanks: (shape) => rankedBlanks(shape, usualShelf().slice(0, 4)),
  'a block of EPS': (shape, at) => {
    const plan = wirePlan([{ name: 'A board', shape }], USUAL_WIRE_BLOCK);
    return [
      wireTemplates(plan, USUAL_WIRE_BLOCK, styleOf(at)).length,
      wireBlockDrawing(plan, USUAL_WIRE_BLOCK).width_mm,
    ];
  },
  'what came out of the foam': (shape) => {
    const sheet = measuringSheet(shape);
    const readings = readingsOf(shape, sheet);
    return [measuredAgainst(sheet, readings, USUAL_WORKSHOP.tolerances), asBuilt(shape.board, readings).ok];
  },
  'its stations come back': (shape) => {
    const read = boardFromStations(stationsToCsv(shape.board), 'Back', [shape.board]);
    return read.ok ? read.rows : read.reason;
  },
  solids: (shape) => {
    const mesh = meshOf(shape, { stations: 30, ring: 20 });
    return [
      meshToStl(mesh, 'a').length,
      meshToThreeMf(mesh, 'a').length,
      meshToObj(mesh, 'a').length,
      meshToPly(mesh, 'a').length,
    ];
  },
  STEP: (shape) => shapeToStep(shape).text.length,
  DXF: (shape, at) =>
    piecesOfDrawing('outline', shape, styleOf(at)).map((piece) => drawingToDxf(piece, 'splines').length),
  'a picture of it': (shape, at) => picturePage(shape, styleOf(at), { name: 'A board' }).width_mm,
  paper: (shape, at) => onPaper('half', shape, { on: 'A4', style: styleOf(at) }),
  'for a rider': ({ board }, at) => {
    const rider = RIDERS[at % 2 === 0 ? 'usual' : 'heavy'];
    return [
      sizedBySchools(rider, WAVES.usual, board.family, undefined, USUAL_SCHOOLS, styleOf(at)),
      boardsToLearnOn(rider).length,
    ];
  },
  'as many litres in other lengths': (shape) => equalLitreBoards(shape.board, measure(shape).volume_L).length,
  sizes: ({ board }) => sizesOf(board, usualRun(board)).length,
};
const SLOW_NAMES = Object.keys(SLOW);

/**
 * Everything the interface asks core of a legal board: what threw, and where a number was none or words were the machine's. Of what takes
 * long a board of a list, `at` its place, is asked one thing in turn, every fortieth of all.
 */
export function boardTroubles(board: Board, at: number): string[] {
  const shape = shapeOf(board);
  const slow = at % 40 === 0 ? SLOW_NAMES : [SLOW_NAMES[at % SLOW_NAMES.length]];
  const doing: [string, Doing][] = [
    ...Object.entries(ASKED),
    ...slow.map((name): [string, Doing] => [name, SLOW[name]]),
  ];
  return doing.flatMap(([what, does]) => {
    try {
      return troubleIn(does(shape, at), what) ?? [];
    } catch (error) {
      return [`${what} threw ${String(error)}`];
    }
  });
}

/** The half outline of a board as a PDF: begun, ended, not small. */
export async function printedTrouble(board: Board): Promise<string | undefined> {
  const pdf = await boardPdf('half', shapeOf(board), { on: 'A4', style: STYLES[0], fonts: FONTS });
  const [head, tail] = [pdf.subarray(0, 5), pdf.subarray(-8)].map((part) => String.fromCharCode(...part));
  return head === '%PDF-' && tail.includes('%%EOF') ? undefined : `its PDF begins ${head}`;
}
