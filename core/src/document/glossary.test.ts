import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { GLOSSARY, glossaryDocument } from './glossary.ts';

const entries = Object.values(GLOSSARY);

describe('the words of the trade', () => {
  it('are each there once, said in a sentence or two that end, and short enough to read where they are pointed at', () => {
    expect(new Set(entries.map(({ word }) => word.toLowerCase())).size).toBe(entries.length);
    for (const { word, says } of entries) {
      expect(word).toMatch(/^[A-Z]/);
      expect(says).toMatch(/^[A-Z].*[.]$/);
      expect(says.length).toBeLessThan(150);
      expect(says.toLowerCase().startsWith(`${word.toLowerCase()} is`)).toBe(false);
    }
  });

  it('stand in docs/glossary.md as they are here', () => {
    const path = join(import.meta.dirname, '..', '..', '..', 'docs', 'glossary.md');
    const flat = (text: string) => text.replace(/\s+/g, ' ').trim();
    expect(flat(readFileSync(path, 'utf8'))).toBe(flat(glossaryDocument()));
  });
});
