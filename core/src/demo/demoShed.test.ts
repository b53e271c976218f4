import { describe, expect, test } from '@jest/globals';
import { boardRowRead } from '../record/lenient.ts';
import { boardsWithPast } from './demoHistory.ts';
import { demoRecords } from './demoShed.ts';

describe('the invented shed', () => {
  test('has the boards with a past as they are made today: npx tsx scripts/write-demo.ts where that is meant to change', () => {
    const made = boardsWithPast();
    const kept = demoRecords('2026-11-29').slice(0, made.length);
    expect(kept).toEqual(JSON.parse(JSON.stringify(made)));
  });

  test('gives boards of its own each time, whole ones, of different names', () => {
    const [once, again] = [demoRecords('2026-11-29'), demoRecords('2026-11-29')];
    once[0].board.name = 'Another';
    expect(again[0].board.name).toBe('Penny Step');
    for (const record of again) expect(boardRowRead(record)).toMatchObject({ kind: 'read', value: { id: record.id } });
    expect(new Set(again.map(({ id }) => id)).size).toBe(again.length);
  });

  test('has its boards on the line due in the weeks after the day it is opened', () => {
    const due = demoRecords('2027-02-27').flatMap(({ id, brief }) => (brief?.dueOn ? [[id, brief.dueOn]] : []));
    expect(Object.fromEntries(due)).toEqual({
      'skarn-stairs-3': '2027-03-29',
      'skarn-slack-118': '2027-03-15',
      'skarn-gannet-2': '2027-03-01',
      'skarn-lamp-5': '2027-03-11',
    });
  });
});
