// What core works out of a board, as a flat list of numbers and words: for the record of numbers that a change of code must
// mean to change. It says what they are, not that they are right: the checks against closed forms and other libraries do that.
import fc from 'fast-check';
import type { Board } from '../document/schema.ts';
import { scaledToLitres } from '../edit/litres.ts';
import { markRows } from '../edit/marks.ts';
import { blended, exaggerated } from '../edit/mix.ts';
import { joinedOutlines } from '../edit/join.ts';
import { areaShifted, foilShifted } from '../edit/shift.ts';
import { stretched } from '../edit/size.ts';
import { sizesOf, usualRun } from '../edit/sizeRun.ts';
import { DRAWINGS } from '../files/boardDrawings.ts';
import { stationsToCsv } from '../files/stationCsv.ts';
import { halfOutlineDrawing } from '../files/templateDrawing.ts';
import { finTroubles, toeLines } from '../fins/checks.ts';
import { finNumbers } from '../fins/finShape.ts';
import { placedFins } from '../fins/placed.ts';
import { finSpots } from '../fins/spots.ts';
import { changesFor, COMPLAINTS, pushedFar } from '../judge/complaints.ts';
import { judged } from '../judge/judge.ts';
import { writerOf } from '../judge/writer.ts';
import { type LeverId, LEVERS } from '../judge/levers.ts';
import { compareTraits } from '../judge/traits.ts';
import { usualRange } from '../judge/usual.ts';
import { asBuilt } from '../make/asBuilt.ts';
import { blankLines, usualShelf } from '../make/blank.ts';
import { rankedBlanks, shortfallWords } from '../make/blankFit.ts';
import { costSheet } from '../make/cost.ts';
import { laminated, lighter, USUAL_SCHEDULE } from '../make/glass.ts';
import { measuredAgainst, measuringSheet } from '../make/measuringSheet.ts';
import { planingPlan } from '../make/planing.ts';
import { bandTable, railBands } from '../make/railBands.ts';
import { standing, weeklyLoad } from '../make/schedule.ts';
import { USUAL_WORKSHOP } from '../make/workshop.ts';
import { allMeasures } from '../measure/allMeasures.ts';
import { MEASURE_KEYS } from '../measure/catalogue.ts';
import { changeWords } from '../measure/changeWords.ts';
import { compared } from '../measure/compare.ts';
import { bottomRelief } from '../measure/relief.ts';
import { stationTable } from '../measure/stationTable.ts';
import { bottomWords, ticketLines } from '../measure/ticket.ts';
import { modelNamed } from '../models/models.ts';
import { litresFor } from '../rider/litres.ts';
import { equalLitreBoards, familiesFor, gentleQuestions, sizedBySchools } from '../rider/sizing.ts';
import { USUAL_SCHOOLS } from '../rider/schools.ts';
import { sectionRing } from '../section/walk.ts';
import { straightedgeAcross } from '../section/straightedge.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { curveTroubles } from '../shape/troubles.ts';
import { litMesh } from '../solid/creases.ts';
import { detailForChord } from '../solid/detail.ts';
import { meshOf } from '../solid/mesh.ts';
import { meshNormals } from '../solid/normals.ts';
import { deckShade } from '../solid/shade.ts';
import { INCH_mm } from '../units/length.ts';
import { anyBoard } from './anyBoard.ts';
import { caseOf, RIDERS, WAVES } from './cases.ts';
import { flat, type Numbers, type Put } from './numbersFlat.ts';

const INCHES = { kind: 'fraction', denominator: 16 } as const;
const TODAY = '2026-11-25';

/** The boards the record is of: a thruster, a twin with wings, a nose rider on one fin, and one with everything at once. */
export function numberedBoards(): Readonly<Record<string, Board>> {
  const named = (name: string): Board => modelNamed(name)!;
  const [any] = fc.sample(
    anyBoard.filter((b) => b.deck.features.length > 0 && b.outline.wings.length > 0 && b.bottom.layers.length > 2),
    { numRuns: 1, seed: 11 },
  );
  return {
    'slack-water': named('Slack Water'),
    'two-stairs': named('Two Stairs'),
    'long-quay': named('Long Quay'),
    'any-board': any,
  };
}

/** Everything that is worked out of one board. */
export function numbersOf(board: Board): Numbers {
  const out: Numbers = {};
  const put = (name: string, value: unknown) => flat(name, value, out);
  shapeNumbers(board, put);
  editNumbers(board, put);
  judgeNumbers(board, put);
  makeNumbers(board, put);
  return out;
}
function shapeNumbers(board: Board, put: Put): void {
  const shape = shapeOf(board);
  const L = board.length_mm;
  for (const [key, value] of Object.entries(allMeasures(shape))) put(`measure ${key}`, value);
  put('ticket', ticketLines(shape, INCHES));
  put('bottom', bottomWords(shape, INCHES));
  put('stations', stationTable(shape));
  put('relief', bottomRelief(shape, INCH_mm / 32));
  put('troubles', curveTroubles(shape));
  for (const part of [0.02, 0.12, 0.3, 0.55, 0.8, 0.96]) {
    const section = sectionAt(shape, part * L);
    put(`section ${part}`, section && { ring: sectionRing(section, 48), edge: straightedgeAcross(section) });
  }
  const mesh = meshOf(shape, { stations: 60, ring: 48 });
  put('mesh positions', mesh.positions);
  put('mesh triangles', mesh.triangles);
  put('normals', meshNormals(mesh));
  const lit = litMesh(mesh);
  put('lit mesh', lit);
  put('detail', detailForChord(shape, 0.5));
  put('shade', deckShade(shape, 24, 8));
  put('fin spots', finSpots(shape));
  put('fin troubles', finTroubles(shape));
  put('toe lines', toeLines(shape));
  put('fin meshes', placedFins(shape));
  put(
    'fin numbers',
    board.fins.boxes.map(({ template }) => finNumbers(template)),
  );
  put('drawing half', halfOutlineDrawing(shape, INCHES));
  for (const [name, { draw }] of Object.entries(DRAWINGS)) put(`drawing ${name}`, draw(shape, INCHES));
  put('csv', stationsToCsv(board).split(/[\r\n,]+/));
}

const LEAST: readonly (typeof MEASURE_KEYS)[number][] = [
  'length_mm',
  'width_mm',
  'thickness_mm',
  'volume_L',
  'noseWidth12_mm',
  'tailWidth12_mm',
  'noseRocker12_mm',
  'tailRocker12_mm',
  'railThicknessTail12_mm',
  'foamCentre_mm',
];

function editNumbers(board: Board, put: Put): void {
  const other = modelNamed(board.family === 'shortboard' ? 'Kettle' : 'Slack Water')!;
  const say = (name: string, made: Board | undefined) => {
    if (!made) put(name, 'none');
    else {
      const measures = allMeasures(shapeOf(made));
      put(name, Object.fromEntries(LEAST.map((key) => [key, measures[key]])));
      put(`${name} document`, made);
    }
  };
  for (const curve of ['outline', 'rocker', 'foil'] as const) put(`marks ${curve}`, markRows(board, curve));
  say('stretched', stretched(board, board.length_mm * 1.06));
  say('shrunk', stretched(board, board.length_mm * 0.95));
  say('half way', blended(board, other, 0.5).board);
  say('pushed', exaggerated(board, other, 1.4).board);
  say('joined', joinedOutlines(board, other).board);
  const litres = scaledToLitres(board, 1.05 * allMeasures(shapeOf(board)).volume_L, ['length']);
  say('more litres', litres.ok ? litres.board : undefined);
  const foil = foilShifted(board, 8);
  say('foil shifted', foil.ok ? foil.board : undefined);
  const area = areaShifted(board, 8);
  say('area shifted', area.ok ? area.board : undefined);
  put('sizes', sizesOf(board, usualRun(board)));
  put('words of the change', changeWords(other, board, INCHES));
  put('compared', compared(other, board));
  for (const id of Object.keys(LEVERS) as LeverId[]) {
    const far = pushedFar(board, id, 1, 6);
    put(`pushed ${id}`, { steps: far.steps, litres: allMeasures(shapeOf(far.board)).volume_L });
    put(`pushed back ${id}`, LEVERS[id].move(board, -1));
  }
}

function judgeNumbers(board: Board, put: Put): void {
  const c = caseOf(board, {});
  const other = caseOf(modelNamed('Gannet')!, {});
  for (const waves of Object.keys(WAVES) as (keyof typeof WAVES)[]) {
    for (const rider of ['front', 'back', 'heavy', 'light', 'novice'] as const) {
      const notes = judged(caseOf(board, { waves, rider }), writerOf({ kind: 'mm' }));
      put(`notes ${rider} ${waves}`, notes.map((note) => `${note.level} ${note.words}`).join(' '));
    }
  }
  put('traits', compareTraits(c.facts, other.facts));
  for (const complaint of COMPLAINTS) {
    const changes = changesFor(complaint, c.facts, USUAL_SCHOOLS);
    put(
      `complaint ${complaint.id}`,
      changes.map(({ board: _board, ...rest }) => rest),
    );
  }
  for (const key of MEASURE_KEYS) put(`usual ${key}`, usualRange(c.facts, key, { kind: c.kind }));
  const last = { name: 'Last', length_mm: 1850, litres_L: 30 };
  for (const [name, rider] of Object.entries(RIDERS)) {
    put(`litres ${name}`, litresFor(rider, board.family));
    for (const [sea, waves] of Object.entries(WAVES))
      put(`schools ${name} ${sea}`, sizedBySchools(rider, waves, board.family, last, USUAL_SCHOOLS, INCHES));
    put(`questions ${name}`, gentleQuestions(rider, board.family, 26, last));
  }
  for (const [sea, waves] of Object.entries(WAVES)) put(`families ${sea}`, familiesFor(waves));
  put('equal litres', equalLitreBoards(board, c.facts.m.volume_L));
}

function makeNumbers(board: Board, put: Put): void {
  const shape = shapeOf(board);
  const ranked = rankedBlanks(shape, usualShelf().slice(4, 24));
  put('blanks', ranked.map(({ blank, fit }) => [blank.id, fit]).slice(0, 6));
  put(
    'shortfalls',
    ranked.flatMap(({ fit }) => (fit.shortfall ? [shortfallWords(fit.shortfall, INCHES)] : [])),
  );
  const [best] = ranked;
  if (best.fit.fits) {
    put('planing', planingPlan(shape, blankLines(best.blank), best.fit.placement, [100, 300, 700, 1200, 1500]));
  }
  for (const counts of [
    { deck: 3, under: 1 },
    { deck: 4, under: 2 },
  ] as const) {
    const bands = railBands(shape, counts);
    put(`bands ${counts.deck} ${counts.under}`, bands);
    put(`band table ${counts.deck} ${counts.under}`, bandTable(shape, bands));
  }
  for (const [name, schedule] of Object.entries({
    usual: USUAL_SCHEDULE,
    heavy: { ...USUAL_SCHEDULE, deck: ['e6', 'e6', 'e4'], bottom: ['e6'], tailPatch: 'e6', finish: 'gloss' },
  } as const)) {
    const made = laminated(shape, 'pu', 4.8, schedule as typeof USUAL_SCHEDULE);
    put(`glass ${name}`, made);
    put(`lighter ${name}`, lighter(shape, 'pu', 4.8, schedule as typeof USUAL_SCHEDULE));
    if (made.ok) {
      const { stages, prices } = USUAL_WORKSHOP;
      put(`cost ${name}`, costSheet(shape, best.blank, 'polyester', made.laminate, stages, prices));
    }
  }
  const { stages, people: _people, hoursADay, ...rest } = USUAL_WORKSHOP;
  const pace = { ...rest, boardHoursADay: hoursADay };
  const stands = standing(stages, stages[2].id, '2026-12-24', TODAY, pace);
  put('standing', stands);
  put('late', standing(stages, stages[0].id, '2026-11-30', TODAY, pace));
  put('weeks', weeklyLoad([stands.plan], TODAY, rest, 12, 4));
  const sheet = measuringSheet(shape);
  put('sheet', sheet);
  const readings = Object.fromEntries(
    sheet.map(({ id, sided, design_mm }, i) => {
      const mm = design_mm + 1.5 * Math.cos(i);
      return [id, sided ? { left_mm: mm, right_mm: mm + 0.4 } : { value_mm: mm }];
    }),
  );
  put('measured', measuredAgainst(sheet, readings, USUAL_WORKSHOP.tolerances));
  const built = asBuilt(board, readings);
  put('built', built.ok ? allMeasures(shapeOf(built.board)) : 'not so');
}
