import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { type Failure, FAILURE_WORDS, FAILURES, MOST_FAILURES } from '@june-tide/core/record';
import { dateWords } from '../../../../parts/days.ts';
import { useDraft } from '../../../../parts/useDraft.ts';
import { noteFailure } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';

const NOTHING: { what: Failure; words: string; done: string } = { what: 'dented', words: '', done: '' };

const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

/** What went wrong with the board itself, and what was done about it. */
export function Damage() {
  const { record } = useBay();
  const { failures = [] } = record;
  const [typed, setTyped, dropTyped] = useDraft(`damage:${record.id}`, NOTHING);
  const { what, words, done } = typed;
  const [refused, setRefused] = useState<string>();
  return (
    <div role="group" aria-label="Damage">
      <form
        className="stack-6"
        onSubmit={(event) => {
          event.preventDefault();
          const noted = noteFailure(record.id, { what, words: words.trim(), done: done.trim() });
          setRefused(noted.ok ? undefined : noted.issues[0]?.words);
          if (!noted.ok) return;
          dropTyped();
        }}
      >
        <div className="in-a-row">
          <Select<Failure>
            aria-label="What happened to it"
            value={what}
            options={FAILURES.map((value) => ({ value, label: capital(FAILURE_WORDS[value]) }))}
            onChange={(what) => setTyped({ ...typed, what })}
          />
          <Input
            aria-label="Where and how"
            placeholder="Where, and how it came about"
            maxLength={400}
            value={words}
            onChange={(e) => setTyped({ ...typed, words: e.target.value })}
          />
          <Input
            aria-label="What was done"
            placeholder="What was done"
            maxLength={400}
            value={done}
            onChange={(e) => setTyped({ ...typed, done: e.target.value })}
          />
        </div>
        <div>
          <Button htmlType="submit" disabled={failures.length >= MOST_FAILURES}>
            Note the damage
          </Button>
        </div>
        {refused && (
          <p role="alert" className="trouble">
            {refused}
          </p>
        )}
      </form>
      <p className="quiet">
        A crack at a box runs on: stop riding it until it is mended. Sanding old glass is dust: mask, and resin by its
        own data sheet.
      </p>
      <ul className="plain-list" aria-label="Damage noted">
        {failures.map(({ on, what: gone, words: where, done: mended }, i) => (
          <li key={i}>
            <b>{capital(FAILURE_WORDS[gone])}</b>{' '}
            <span className="quiet">
              {dateWords(on)}
              {where && `, ${where}`}
            </span>
            {mended && <span className="serif">. {capital(mended)}.</span>}
          </li>
        ))}
      </ul>
      {failures.length === 0 && <p className="quiet">Nothing has happened to it.</p>}
    </div>
  );
}
