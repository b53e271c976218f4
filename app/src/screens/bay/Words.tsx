import { Drawer, Input } from 'antd';
import { useState } from 'react';
import { GLOSSARY, type GlossaryEntry } from '@june-tide/core/document';

const ALL: readonly GlossaryEntry[] = Object.values(GLOSSARY).sort((a, b) => a.word.localeCompare(b.word, 'en'));

/** The words of the trade, each with what is meant by it, to be looked up. */
export function Words({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [sought, seek] = useState('');
  const low = sought.trim().toLowerCase();
  const found = ALL.filter(({ word, says }) => `${word} ${says}`.toLowerCase().includes(low));
  return (
    <Drawer open={open} onClose={onClose} title="Words of the trade" mask={false} size={430} destroyOnHidden>
      <Input
        aria-label="Look up a word"
        placeholder="Look up a word"
        autoFocus
        allowClear
        value={sought}
        onChange={(event) => seek(event.target.value)}
      />
      <dl className="words">
        {found.map(({ word, says }) => (
          <div key={word}>
            <dt>{word}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
      {found.length === 0 && <p className="quiet">No word like that is explained here.</p>}
    </Drawer>
  );
}
