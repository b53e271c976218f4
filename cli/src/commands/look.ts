import { type Board, FAMILY_WORDS } from '@june-tide/core/document';
import { finTroubles, setupTroubles } from '@june-tide/core/fins';
import {
  allMeasures,
  compared,
  leverWords,
  measure,
  measureOf,
  measureText,
  type StationPlace,
  stationTable,
  ticketLines,
  USUAL_STATIONS,
} from '@june-tide/core/measure';
import { models } from '@june-tide/core/models';
import { boardIssues, curveTroubles, hollowsOf, shapeOf } from '@june-tide/core/shape';
import { formatArea, formatLength, formatLitres, styleApart } from '@june-tide/core/units';
import { stationsToCsv } from '@june-tide/core/files/packages';
import { readBoard, Told } from '../files.ts';
import { type Command, lengthOf, need } from '../options.ts';

const style = { kind: 'fraction', denominator: 16 } as const;

export const listModels: Command = (_args, values, console) => {
  const list = models();
  if (values.json)
    console.out(
      JSON.stringify(
        list.map(({ name, family }) => ({ name, family })),
        null,
        2,
      ),
    );
  else for (const board of list) console.out(modelLine(board));
  return Promise.resolve();
};

export const measureBoard: Command = async ([file], values, console) => {
  const shape = shapeOf(await readBoard(need(file, 'jt measure needs a board file.')));
  if (values.json) {
    console.out(JSON.stringify(allMeasures(shape), null, 2));
    return;
  }
  console.out(modelLine(shape.board));
  for (const line of ticketLines(shape, style)) console.out(`  ${line.name.padEnd(20)} ${line.value}`);
};

/** “tail 12, nose 6in, centre 0” */
function placesOf(text: string): StationPlace[] {
  return text.split(',').map((part) => {
    const [from, ...rest] = part.trim().split(/\s+/);
    if (from !== 'nose' && from !== 'tail' && from !== 'centre' && from !== 'wide') {
      throw new Told(`--at: “${part.trim()}” must begin with nose, tail, centre or wide.`);
    }
    return { from, at_mm: rest.length > 0 ? lengthOf(rest.join(' '), '--at') : 0 };
  });
}

export const stations: Command = async ([file], values, console) => {
  const board = await readBoard(need(file, 'jt stations needs a board file.'));
  const places = values.at === undefined ? USUAL_STATIONS : placesOf(values.at);
  const rows = stationTable(shapeOf(board), places);
  if (rows.length < places.length && values.at !== undefined)
    throw new Told('--at: a station there is not on this board.');
  if (values.json) {
    console.out(JSON.stringify(rows, null, 2));
    return;
  }
  if (values.csv) {
    console.out(stationsToCsv(board, places).trimEnd());
    return;
  }
  const write = (mm: number) => formatLength(mm, style).padStart(9);
  console.out(
    `${'station'.padEnd(18)}${['width', 'thick', 'stringer', 'rail', 'apex', 'bottom'].map((w) => w.padStart(9)).join('')}${'area'.padStart(13)}`,
  );
  for (const row of rows) {
    const name = `${row.from} ${formatLength(row.at_mm, style)}`;
    const cells = [row.width_mm, row.thickness_mm, row.stringer_mm, row.rail_mm, row.apex_mm, row.bottom_mm];
    console.out(`${name.padEnd(18)}${cells.map(write).join('')}${formatArea(row.area_mm2, style, 1).padStart(13)}`);
  }
};

export const compare: Command = async ([one, two], values, console) => {
  const words = 'jt compare needs two board files.';
  const comparison = compared(await readBoard(need(one, words)), await readBoard(need(two, words)));
  if (values.json) {
    console.out(JSON.stringify(comparison, null, 2));
    return;
  }
  const changed = comparison.measures.filter((m) => Math.abs(m.difference) > 1e-9);
  if (changed.length === 0) console.out('Every number is the same.');
  for (const m of changed) {
    console.out(
      `${measureOf(m.key).words.padEnd(46)} ${[m.from, m.to, m.difference].map((v) => measureText(v, measureOf(m.key).unit, style).padStart(12)).join('')}`,
    );
  }
  console.out(comparison.levers.length === 0 ? 'No lever differs.' : 'Levers that differ:');
  for (const lever of comparison.levers) {
    console.out(`  ${lever.path}: ${leverWords(lever.from)} -> ${leverWords(lever.to)}`);
  }
};

export const validate: Command = async ([file], values, console) => {
  const board = await readBoard(need(file, 'jt validate needs a board file.'));
  const shape = shapeOf(board);
  const found = {
    issues: boardIssues(board),
    curves: curveTroubles(shape),
    hollows: hollowsOf(shape),
    fins: finTroubles(shape),
    setup: setupTroubles(board.fins),
  };
  if (values.json) {
    console.out(JSON.stringify(found, null, 2));
    return;
  }
  const lines = [
    ...found.curves.map((t) => {
      const place = `${formatLength(t.x_mm, style)} in from the tail`;
      return t.kind === 'hollow'
        ? `${t.curve}: the mark at ${place} asks for a hollow; it is out by ${formatLength(t.by_mm, style)}`
        : `${t.curve}: the mark at ${place} leaves the batten hardly any bend`;
    }),
    ...found.hollows.map(
      (h) =>
        `${h.curve}: hollow from ${formatLength(h.from_mm, style)} to ${formatLength(h.to_mm, style)} from the tail`,
    ),
    ...found.setup,
    ...found.fins.map(({ words, box, has_mm, needs_mm }) => {
      const apart = styleApart(has_mm, needs_mm, style);
      return `fins: ${words} (box ${box + 1}: ${formatLength(has_mm, apart)}, wants ${formatLength(needs_mm, apart)})`;
    }),
  ];
  console.out(
    lines.length === 0
      ? 'A sound board: it can be built, no curve is forced, every box has its foam.'
      : lines.join('\n'),
  );
};

function modelLine(board: Board): string {
  const size = [
    formatLength(board.length_mm, style, { feet: true }),
    formatLength(board.outline.width_mm, style),
    formatLength(board.foil.thickness_mm, style),
  ].join(' x ');
  return `${board.name.padEnd(14)} ${FAMILY_WORDS[board.family].padEnd(11)} ${size.padEnd(26)} ${formatLitres(measure(shapeOf(board)).volume_L)}`;
}
