import type * as z from 'zod';
import { migrated } from './migrations.ts';
import { battenEnds, endReach } from '../outline/outline.ts';
import { hasBlock } from '../outline/tails.ts';
import { wingsAt } from '../outline/wings.ts';
import { MARK_GAP_mm } from '../tolerances.ts';
import { type Board, boardSchema, type Mark, type OutlineDocument, type OutlineMark } from '../document/schema.ts';
import { type Anchors, anchorsOf, stationOfMark } from '../document/station.ts';

/** One thing wrong with a document, as data: what, where, against which limit. */
export interface Issue {
  code: string;
  /** Where in the document, such as outline.marks.0.value_mm. */
  path: string;
  /** The limit it broke, mm unless said. */
  limit?: number;
  unit?: 'mm' | 'rad' | '';
  /** In plain words, without the path. */
  words: string;
}

/**
 * Everything about a well-formed board that no shaper could build, all of it at once. Empty for a good board.
 * Looks only at numbers, so that it answers before any curve is sprung.
 */
export function boardIssues(board: Board): Issue[] {
  return [...outlineIssues(board), ...rockerIssues(board), ...foilIssues(board), ...stationIssues(board)];
}

const END_MAKES_THE_LINE = {
  tail: 'this near the tail its corners make the line, and no mark can hold it: set the block or the tail’s depth',
  nose: 'this near the tip its radius makes the line, and no mark can hold it: set the radius or the tip curve',
} as const;

/** The wide point keeps this far from the ends, and what is cut into the back half as far from the wide point. */
const MARGIN_mm = 100;
/** A block that is cut into must have something left on both sides. */
const LEAST_BLOCK_mm = { cutInto: 40, plain: 5 } as const;

function outlineIssues(board: Board): Issue[] {
  const { outline, length_mm } = board;
  const anchors = anchorsOf(board);
  const stations = [
    { x: anchors.wide_mm, path: 'outline.widePoint_mm' },
    ...outline.marks.map((mark, i) => ({ x: stationOfMark(mark, anchors), path: `outline.marks.${i}` })),
  ];
  return [
    ...widePointIssues(anchors),
    ...outline.marks.flatMap((mark, i) => widthIssues(board, anchors, mark, `outline.marks.${i}`)),
    ...blockIssues(outline),
    ...wingIssues(outline, anchors),
    ...spacingIssues(stations, length_mm),
  ];
}

function widePointIssues({ wide_mm, length_mm }: Anchors): Issue[] {
  if (wide_mm > MARGIN_mm && wide_mm < length_mm - MARGIN_mm) return [];
  return [
    {
      code: 'widePointOffBoard',
      path: 'outline.widePoint_mm',
      limit: length_mm / 2 - MARGIN_mm,
      unit: 'mm',
      words: 'the wide point would lie at or past the end of the board',
    },
  ];
}

/** What is amiss with one width: wider than the board, where an end makes the line, narrower than a tip. */
function widthIssues({ outline, length_mm }: Board, anchors: Anchors, mark: OutlineMark, path: string): Issue[] {
  const issues: Issue[] = [];
  const x = stationOfMark(mark, anchors);
  if (!(mark.value_mm / 2 + wingsAt(outline, x) < outline.width_mm / 2 + wingsAt(outline, anchors.wide_mm))) {
    issues.push({
      code: 'widerThanWidePoint',
      path: `${path}.value_mm`,
      limit: outline.width_mm,
      unit: 'mm',
      words: 'a mark, with what the wings take, must be narrower than the wide point',
    });
  }
  const end = x < length_mm / 2 ? 'tail' : 'nose';
  const within = end === 'tail' ? x : length_mm - x;
  const reach_mm = endReach(outline)[`${end}_mm`];
  if (within < reach_mm) {
    issues.push({
      code: 'markInEnd',
      path: `${path}.at_mm`,
      limit: reach_mm,
      unit: 'mm',
      words: END_MAKES_THE_LINE[end],
    });
  }
  const tip_mm = battenEnds(outline)[`${end}_mm`];
  if (!(mark.value_mm / 2 > tip_mm) && outline[end].kind === (end === 'nose' ? 'pointed' : 'pin')) {
    issues.push({
      code: 'tipTooBlunt',
      path: `outline.${end}.tip_mm`,
      limit: mark.value_mm / 2,
      unit: 'mm',
      words: `the tip of the ${end} is rounder than the board is wide at the mark before it`,
    });
  }
  if (!(mark.value_mm > 0)) {
    issues.push({
      code: 'noWidth',
      path: `${path}.value_mm`,
      limit: 0,
      unit: 'mm',
      words: 'a width must be more than nothing',
    });
  }
  return issues;
}

function blockIssues(outline: OutlineDocument): Issue[] {
  const { kind, block_mm } = outline.tail;
  if (!hasBlock(kind)) return [];
  const issues: Issue[] = [];
  const limit = outline.width_mm - 2 * wingsAt(outline, 0);
  if (!(block_mm < limit)) {
    issues.push({
      code: 'blockTooWide',
      path: 'outline.tail.block_mm',
      limit,
      unit: 'mm',
      words: 'the tail block, with what the wings take, must be narrower than the wide point',
    });
  }
  const least = LEAST_BLOCK_mm[kind === 'swallow' || kind === 'halfMoon' ? 'cutInto' : 'plain'];
  if (!(block_mm >= least)) {
    issues.push({
      code: 'blockTooNarrow',
      path: 'outline.tail.block_mm',
      limit: least,
      unit: 'mm',
      words: 'the tail block is too narrow for this tail',
    });
  }
  return issues;
}

/** What is cut into the back half: wings, and the tail itself. */
function wingIssues({ wings, tail }: OutlineDocument, { wide_mm }: Anchors): Issue[] {
  const limit = wide_mm - MARGIN_mm;
  const issues = wings.flatMap((wing, i): Issue[] => [
    ...(wing.fromTail_mm < limit
      ? []
      : [
          {
            code: 'wingAheadOfWidePoint',
            path: `outline.wings.${i}.fromTail_mm`,
            limit,
            unit: 'mm' as const,
            words: 'a wing sits well behind the wide point',
          },
        ]),
    ...(wing.fromTail_mm - wing.length_mm >= 0
      ? []
      : [
          {
            code: 'wingPastTail',
            path: `outline.wings.${i}.length_mm`,
            limit: wing.fromTail_mm,
            unit: 'mm' as const,
            words: 'a wing must finish before the tail does',
          },
        ]),
  ]);
  if (tail.depth_mm > limit) {
    issues.push({
      code: 'tailTooDeep',
      path: 'outline.tail.depth_mm',
      limit,
      unit: 'mm',
      words: 'the tail is cut deeper than the back half of the board',
    });
  }
  return issues;
}

/** Marks off the board, and pairs too close to be two measures. */
function spacingIssues(stations: readonly { x: number; path: string }[], length_mm: number): Issue[] {
  const issues: Issue[] = [];
  for (const { x, path } of stations) {
    if (!(x >= MARK_GAP_mm && x <= length_mm - MARK_GAP_mm)) {
      issues.push({
        code: 'markOffBoard',
        path,
        limit: length_mm,
        unit: 'mm',
        words: 'a mark must lie on the board, clear of its ends',
      });
    }
  }
  const sorted = [...stations].sort((a, b) => a.x - b.x);
  for (let i = 1; i < sorted.length; i++) {
    if (sorted[i].x - sorted[i - 1].x >= MARK_GAP_mm) continue;
    issues.push({
      code: 'marksTooClose',
      path: sorted[i].path,
      limit: MARK_GAP_mm,
      unit: 'mm',
      words: `two marks lie closer than ${MARK_GAP_mm} mm (the other is ${sorted[i - 1].path})`,
    });
  }
  return issues;
}

function marksOn(board: Board, marks: readonly Mark[], path: string): { x: number; path: string }[] {
  const anchors = anchorsOf(board);
  return marks.map((mark, i) => ({ x: stationOfMark(mark, anchors), path: `${path}.${i}` }));
}

function rockerIssues(board: Board): Issue[] {
  const flat = { x: board.length_mm / 2 + board.rocker.flatPoint_mm, path: 'rocker.flatPoint_mm' };
  const issues = spacingIssues([flat, ...marksOn(board, board.rocker.marks, 'rocker.marks')], board.length_mm);
  board.rocker.marks.forEach((mark, i) => {
    if (mark.value_mm >= 0) return;
    issues.push({
      code: 'belowFlat',
      path: `rocker.marks.${i}.value_mm`,
      limit: 0,
      unit: 'mm',
      words: 'a lift cannot be below the flat point',
    });
  });
  return issues;
}

function foilIssues(board: Board): Issue[] {
  const { foil } = board;
  const thickest = { x: board.length_mm / 2 + foil.thickest_mm, path: 'foil.thickest_mm' };
  const issues = spacingIssues([thickest, ...marksOn(board, foil.marks, 'foil.marks')], board.length_mm);
  const checked = [
    ...foil.marks.map((mark, i) => ({ value: mark.value_mm, path: `foil.marks.${i}.value_mm` })),
    { value: foil.noseTip_mm, path: 'foil.noseTip_mm' },
    { value: foil.tailTip_mm, path: 'foil.tailTip_mm' },
  ];
  for (const { value, path } of checked) {
    if (!(value < foil.thickness_mm)) {
      issues.push({
        code: 'thickerThanThickest',
        path,
        limit: foil.thickness_mm,
        unit: 'mm',
        words: 'no mark may be as thick as the thickest point',
      });
    }
    if (!(value > 0)) {
      issues.push({ code: 'noThickness', path, limit: 0, unit: 'mm', words: 'a thickness must be more than nothing' });
    }
  }
  return issues;
}

/** Rail stations, crown and contours may lie anywhere on the board, and just past a tip to fade there. */
function stationIssues(board: Board): Issue[] {
  const anchors = anchorsOf(board);
  const issues: Issue[] = [];
  const look = (marks: readonly Pick<Mark, 'from' | 'at_mm'>[], path: string) => {
    marks.forEach((mark, i) => {
      const x = stationOfMark(mark, anchors);
      if (x >= -1 && x <= board.length_mm + 1) return;
      issues.push({
        code: 'markOffBoard',
        path: `${path}.${i}.at_mm`,
        limit: board.length_mm,
        unit: 'mm',
        words: 'this station is not on the board',
      });
    });
  };
  look(board.deck.crown, 'deck.crown');
  look(board.rails.stations, 'rails.stations');
  board.bottom.layers.forEach((layer, i) => look(layer.depths, `bottom.layers.${i}.depths`));
  board.fins.boxes.forEach((box, i) => {
    if (box.trailingEdge_mm + box.template.base_mm < board.length_mm / 2) return;
    issues.push({
      code: 'finAheadOfCentre',
      path: `fins.boxes.${i}.trailingEdge_mm`,
      limit: board.length_mm / 2 - box.template.base_mm,
      unit: 'mm',
      words: 'a fin box must lie in the back half of the board',
    });
  });
  return issues;
}

export type Opened = { ok: true; board: Board } | { ok: false; issues: Issue[] };

const TYPE_WORDS: Readonly<Record<string, string>> = {
  number: 'a number',
  string: 'a text',
  array: 'a list',
  object: 'a group of values',
  boolean: 'true or false',
  int: 'a whole number',
};
/** So many names that are not known are told; a message is no longer than this. */
const MOST_NAMES = 3;
const MOST_LETTERS = 160;

/** What is wrong with a value, for a person. */
export function plainWords(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type': {
      const wanted = TYPE_WORDS[issue.expected] ?? 'something else';
      return issue.message.endsWith('undefined') ? `is missing: ${wanted} is wanted` : `must be ${wanted}`;
    }
    case 'unrecognized_keys': {
      const names = issue.keys.slice(0, MOST_NAMES).map((key) => `“${key.slice(0, 40)}”`);
      const more = issue.keys.length > MOST_NAMES ? ` and ${issue.keys.length - MOST_NAMES} more` : '';
      return `is not known here: ${names.join(', ')}${more}`;
    }
    case 'invalid_value':
      return issue.values.length === 1
        ? `must be “${String(issue.values[0])}”`
        : `must be one of ${issue.values.map(String).join(', ')}`.slice(0, MOST_LETTERS);
    case 'too_big':
      return `must be at most ${issue.maximum}`;
    case 'too_small':
      return `must be at least ${issue.minimum}`;
    default:
      return issue.message.slice(0, MOST_LETTERS);
  }
}

/**
 * A board from unknown data: brought up to today's version, then the schema, then what the numbers mean together. Every issue
 * at once.
 */
export function boardFrom(data: unknown): Opened {
  const parsed = boardSchema.safeParse(migrated(data));
  if (!parsed.success) {
    return {
      ok: false,
      issues: parsed.error.issues.map((issue) => ({
        code: issue.code,
        path: issue.path.join('.'),
        ...('maximum' in issue
          ? { limit: Number(issue.maximum) }
          : 'minimum' in issue
            ? { limit: Number(issue.minimum) }
            : {}),
        words: plainWords(issue),
      })),
    };
  }
  const issues = boardIssues(parsed.data);
  return issues.length > 0 ? { ok: false, issues } : { ok: true, board: parsed.data };
}
