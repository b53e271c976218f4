import { Button, Drawer } from 'antd';
import { useState } from 'react';
import { NoteCard } from './NoteCard.tsx';
import { BuiltText } from '../../../parts/Measure.tsx';
import { useBay } from '../useBay.ts';
import { LEVEL_WORDS, useNotes, useReading } from './useNotes.ts';

/** So many are read at once; the rest stand behind a press. */
const AT_ONCE = 5;

/** What a good shaper would say, under the ticket: the weightiest notes in a line each; a press opens them all. */
export function BayNotes() {
  const notes = useNotes();
  const [open, setOpen] = useState(false);
  const standing = notes.filter((note) => !note.answer);
  const answered = notes.filter((note) => note.answer);
  return (
    <div className="bay-notes" role="group" aria-label="Bay notes">
      {notes.length === 0 ? (
        <Reading />
      ) : (
        <Button block onClick={() => setOpen(true)} className="notes-button">
          <b>{counted(standing.length)}</b>
          {standing[0] && (
            <span className={`first ${standing[0].level}`}>
              {standing[0].level === 'note' ? '' : '▲ '}
              {standing[0].title}
            </span>
          )}
        </Button>
      )}
      <ul className="plain-list">
        {standing.slice(1, AT_ONCE).map((note) => (
          <li key={note.rule.id} className={note.level}>
            {note.level === 'note' ? '' : '▲ '}
            {note.title}
          </li>
        ))}
        {standing.length > AT_ONCE && <li>and {standing.length - AT_ONCE} more</li>}
      </ul>
      <Drawer
        open={open}
        onClose={() => setOpen(false)}
        title="Bay notes"
        mask={false}
        size={430}
        rootClassName="notes-drawer"
      >
        {open && (
          <>
            {(['conflict', 'look', 'note'] as const).map((level) => {
              const some = standing.filter((note) => note.level === level);
              return some.length === 0 ? null : (
                <section key={level} aria-label={LEVEL_WORDS[level]}>
                  <h2 className={level}>{LEVEL_WORDS[level]}</h2>
                  {some.map((note) => (
                    <NoteCard key={note.rule.id} note={note} />
                  ))}
                </section>
              );
            })}
            {answered.length > 0 && (
              <section aria-label="Answered">
                <h2>Answered</h2>
                {answered.map((note) => (
                  <NoteCard key={note.rule.id} note={note} />
                ))}
              </section>
            )}
          </>
        )}
      </Drawer>
    </div>
  );
}

/** What the board will do, when nothing is wrong with it. */
function Reading() {
  const sentences = useReading();
  const { step } = useBay();
  // There it is read large already.
  if (step === 'check') return null;
  const [first, ...rest] = sentences;
  return (
    <details className="quiet" data-testid="bay-reading">
      <summary>
        <BuiltText text={first} />
      </summary>
      <BuiltText text={rest.join(' ')} />
    </details>
  );
}

function counted(count: number): string {
  if (count === 0) return 'All answered';
  return count === 1 ? 'One note' : `${count} notes`;
}
