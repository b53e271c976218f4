import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { boardIssues } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { leverDifferences } from '../measure/compare.ts';
import { modelNamed, models } from '../models/models.ts';
import { changesFor, COMPLAINTS, complaintsFor, pushedFar } from './complaints.ts';
import { measureOf } from '../measure/catalogue.ts';
import { Facts } from '../measure/facts.ts';
import { lever, type LeverId, LEVERS } from './levers.ts';
import { judgementDocument } from './judgementDocument.ts';
import { USUAL_SCHOOLS } from '../rider/schools.ts';
import { compareTraits, TRAITS } from './traits.ts';

const facts = (name: string) => new Facts(shapeOf(modelNamed(name)!));
const slack = modelNamed('Slack Water')!;

describe('the character of two boards', () => {
  const trait = (name: string, other: string, key: string) =>
    compareTraits(facts(name), facts(other)).find((entry) => entry.key === key)!.difference;

  it('is eight traits, the same for the same board', () => {
    expect(TRAITS).toHaveLength(8);
    for (const { difference, words } of compareTraits(facts('Kettle'), facts('Kettle'))) {
      expect(difference).toBe(0);
      expect(words).toBe('the same');
    }
  });

  it('turns its sign when the boards change places', () => {
    const one = compareTraits(facts('Kettle'), facts('Gannet'));
    const two = compareTraits(facts('Gannet'), facts('Kettle'));
    one.forEach((entry, i) => expect(entry.difference).toBeCloseTo(-two[i].difference, 12));
  });

  it('agrees with the trade on boards that are far apart (common practice, no source)', () => {
    expect(trait('Long Quay', 'Slack Water', 'paddle')).toBeGreaterThan(0);
    expect(trait('Long Quay', 'Slack Water', 'forgiveness')).toBeGreaterThan(0);
    expect(trait('Gannet', 'Kettle', 'hold')).toBeGreaterThan(0);
    expect(trait('Gannet', 'Kettle', 'quickness')).toBeGreaterThan(0);
    expect(trait('Slack Water', 'Lamplight', 'arcs')).toBeGreaterThan(0);
    expect(trait('Salt Ladder', 'Long Quay', 'release')).toBeGreaterThan(0);
    expect(trait('North Ledge', 'Slack Water', 'speed')).toBeGreaterThan(0);
  });

  it('never writes a percentage, and shows the measures behind each', () => {
    for (const { words, raw } of compareTraits(facts('Kettle'), facts('Gannet'))) {
      expect(words).not.toMatch(/%/);
      expect(raw.length).toBeGreaterThan(2);
    }
  });
});

describe('from words to levers', () => {
  it('knows every line of the trade’s list', () => {
    expect(COMPLAINTS).toHaveLength(28);
    expect(new Set(COMPLAINTS.map(({ id }) => id)).size).toBe(28);
  });

  it('finds the complaint in a rider’s own words, and nothing in words that say none', () => {
    const first = (text: string) => complaintsFor(text)[0]?.id;
    expect(first('It pearls on every drop')).toBe('pearls');
    expect(first('feels really corky, sits on top')).toBe('corky');
    expect(first('It chatters and slaps when it is choppy')).toBe('chatters');
    expect(first('too stiff, hard to turn')).toBe('stiff');
    expect(first('it slides out in every cutback')).toBe('slides-cutback');
    expect(first('lovely, thank you')).toBeUndefined();
    expect(first('goes great, no chatter at all')).toBeUndefined();
    expect(first('it does not float me')).toBe('sinks');
    expect(first('it will not turn')).toBe('stiff');
    expect(complaintsFor('pearls on drops, and it is corky').map(({ id }) => id)).toEqual(['pearls', 'corky']);
  });

  it('gives for each complaint one-step changes that can be built, each moving one group of levers', () => {
    for (const complaint of COMPLAINTS) {
      const changes = COMPLAINTS.length
        ? changesFor(complaint, new Facts(shapeOf(modelNamed('Two Stairs')!)), USUAL_SCHOOLS)
        : [];
      expect([complaint.id, changes.length > 0 || complaint.caution !== undefined]).toEqual([complaint.id, true]);
      for (const change of changes) {
        expect(boardIssues(change.board)).toEqual([]);
        const groups = new Set(leverDifferences(modelNamed('Two Stairs')!, change.board).map(({ group }) => group));
        // A longer board is another size of all of it; a beak is foam at the tip and the deck over it.
        if (change.lever === 'length') continue;
        expect([...groups]).toHaveLength(change.lever === 'beak' ? 2 : 1);
      }
    }
  });

  it('ranks by the board’s own numbers: a flat nose is suspected of pearling before a wide one', () => {
    const flat = lever('noseRocker').move(slack, -4);
    const [first] = changesFor(
      COMPLAINTS.find(({ id }) => id === 'pearls')!,
      new Facts(shapeOf(flat)),
      USUAL_SCHOOLS,
    );
    expect(first.words).toBe('more nose rocker');
    const wide = lever('noseWidth').move(slack, 8);
    const [other] = changesFor(
      COMPLAINTS.find(({ id }) => id === 'pearls')!,
      new Facts(shapeOf(wide)),
      USUAL_SCHOOLS,
    );
    expect(other.words).toBe('narrower nose');
  });

  it('tries fins first where they can be changed on the beach', () => {
    const changes = changesFor(
      COMPLAINTS.find(({ id }) => id === 'slides-cutback')!,
      new Facts(shapeOf(slack)),
      USUAL_SCHOOLS,
    );
    expect(changes[0].free).toBe(true);
  });
});

describe('levers', () => {
  const ids = Object.keys(LEVERS) as LeverId[];
  /** Levers that hold on to something only some boards have. */
  const readsUp = ids.filter((id) => lever(id).reads);

  it.each(readsUp)('%s pushed up raises its own number on every model it takes hold of', (id) => {
    const { reads, falls, move } = lever(id);
    const read = (board: typeof slack) => (falls ? -1 : 1) * measureOf(reads!).read(new Facts(shapeOf(board)));
    let held = 0;
    for (const board of models()) {
      const moved = move(board, 1);
      if (boardIssues(moved).length > 0) continue;
      const [before, after] = [read(board), read(moved)];
      expect([board.name, after >= before - 1e-9]).toEqual([board.name, true]);
      if (after > before + 1e-9) held += 1;
    }
    expect(held).toBeGreaterThan(0);
  });

  it('stop at the last board that can be built', () => {
    const far = pushedFar(slack, 'thickness', -1, 60);
    expect(far.steps).toBeLessThan(60);
    expect(far.steps).toBeGreaterThan(3);
    expect(boardIssues(far.board)).toEqual([]);
  });
});

describe('a lever pushed a lot', () => {
  it('takes no step where the board has nothing it holds on to: a wing on a board without one, raised or set back', () => {
    expect(slack.outline.wings).toEqual([]);
    for (const id of ['wingDepth', 'wingForward', 'wingRaise'] as const) {
      expect(pushedFar(slack, id, 1, 8)).toEqual({ board: slack, steps: 0 });
    }
    expect(pushedFar(slack, 'thickness', 1, 2).steps).toBe(2);
  });
});

describe('docs/judgement.md', () => {
  it('says what the rules are now', () => {
    const path = join(import.meta.dirname, '..', '..', '..', 'docs', 'judgement.md');
    // The formatter pads tables.
    const plain = (text: string) => text.replace(/-{3,}/g, '---').replace(/\s+/g, ' ');
    expect(plain(readFileSync(path, 'utf8'))).toBe(plain(judgementDocument()));
  });
});
