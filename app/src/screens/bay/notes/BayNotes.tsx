import { Button, Drawer } from 'antd';
import { useState } from 'react';
import { NoteCard } from './NoteCard.tsx';
import { LEVEL_WORDS, useNotes } from './useNotes.ts';

/** What a good shaper would say, under the ticket: the weightiest notes in a line each; a press opens them all. */
export function BayNotes() {
  const notes = useNotes();
  const [open, setOpen] = useState(false);
  const standing = notes.filter((note) => !note.answer);
  const answered = notes.filter((note) => note.answer);
  return (
    <div className="bay-notes" role="group" aria-label="Bay notes">
      {notes.length === 0 ? (
        <p className="quiet">Nothing to say against it.</p>
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
        {standing.slice(1).map((note) => (
          <li key={note.rule.id} className={note.level}>
            {note.level === 'note' ? '' : '▲ '}
            {note.title}
          </li>
        ))}
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
            {notes.length === 0 && <p>Nothing to say against it.</p>}
          </>
        )}
      </Drawer>
    </div>
  );
}

function counted(count: number): string {
  if (count === 0) return 'All answered';
  return count === 1 ? 'One note' : `${count} notes`;
}
