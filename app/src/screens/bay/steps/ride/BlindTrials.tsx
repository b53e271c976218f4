import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { type BlindTrial, type Letter, LETTERS, versionsOf } from '@june-tide/core/record';
import { dateWords } from '../../../../parts/days.ts';
import { useDraft } from '../../../../parts/useDraft.ts';
import { chooseOfTrial, dealTrial, dropTrial, type EditResult } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';

/** A winner made again in other glass, foam or flex, ridden by letters: what is which is told after the choice. */
export function BlindTrials() {
  const { record } = useBay();
  const { trials = [] } = record;
  const [refused, setRefused] = useState<string>();
  const done = (result: EditResult) => setRefused(result.ok ? undefined : result.issues[0]?.words);
  return (
    <div role="group" aria-label="Blind trials">
      <Deal done={done} />
      {refused && (
        <p role="alert" className="trouble">
          {refused}
        </p>
      )}
      {trials.map((trial, i) => (
        <Trial key={i} index={i} trial={trial} done={done} />
      ))}
    </div>
  );
}

/** Variants typed, one a line, and dealt their letters. */
function Deal({ done }: { done: (result: EditResult) => void }) {
  const { record } = useBay();
  const winners = versionsOf(record).filter(({ frozen }) => frozen);
  const [version, setVersion] = useState<string>();
  const [typed, setTyped, dropTyped] = useDraft(`variants:${record.id}`, '');
  const of = version ?? winners.at(-1)?.id;
  const variants = typed
    .split('\n')
    .map((line) => line.trim().slice(0, 200))
    .filter((line) => line !== '');
  if (of === undefined)
    return (
      <p className="quiet">Keep a version as the winner first: its variants are then told apart by riding alone.</p>
    );
  return (
    <form
      className="stack-6"
      onSubmit={(event) => {
        event.preventDefault();
        const dealt = dealTrial(record.id, of, variants);
        done(dealt);
        if (dealt.ok) dropTyped();
      }}
    >
      <p className="above-0">
        The same lines in other stuff: write each variant on a line. Letters are dealt; nobody sees which is which
        before the choice but whoever marks the boards.
      </p>
      {winners.length > 1 && (
        <Select
          aria-label="Winner they are made to"
          value={of}
          options={winners.map(({ id, no }) => ({ value: id, label: `version ${no}` }))}
          onChange={setVersion}
        />
      )}
      <Input.TextArea
        aria-label="Variants, one a line"
        rows={3}
        placeholder={'PU, 4 + 4 and 4\nEPS, 4 + 4 and 4\nEPS, carbon patch'}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
      />
      <div>
        <Button htmlType="submit" disabled={variants.length < 2 || variants.length > LETTERS.length}>
          Deal the letters
        </Button>
        <span className="quiet"> two to {LETTERS.length} variants</span>
      </div>
    </form>
  );
}

function Trial({ index, trial, done }: { index: number; trial: BlindTrial; done: (result: EditResult) => void }) {
  const { record } = useBay();
  const [marking, setMarking] = useState(false);
  const [letter, setLetter] = useState<Letter>();
  const [words, setWords, dropWords] = useDraft(`choice:${record.id}:${index}`, '');
  const { variants, chosen, on, version } = trial;
  const no = versionsOf(record).find(({ id }) => id === version)?.no;
  const told = chosen !== undefined || marking;
  return (
    <section aria-label={`Trial of ${dateWords(on)}`} className="above-8">
      <h3>
        {dateWords(on)}
        {no !== undefined && `, to version ${no}`}
      </h3>
      <ul className="plain-list">
        {variants.map((variant) => (
          <li key={variant.letter}>
            <b>{variant.letter}</b> {told ? variant.what : <span className="quiet">told after the choice</span>}
            {chosen?.letter === variant.letter && <b className="felt better"> chosen</b>}
          </li>
        ))}
      </ul>
      {chosen ? (
        <p className="above-0">
          Chosen {dateWords(chosen.on)} without knowing{chosen.words && `: “${chosen.words}”`}.
        </p>
      ) : (
        <div className="row-of-tools above-0">
          <Select<Letter>
            aria-label="Letter chosen"
            placeholder="Letter"
            className="fit-84"
            value={letter ?? null}
            options={variants.map(({ letter: value }) => ({ value, label: value }))}
            onChange={setLetter}
          />
          <Input
            aria-label="Why that one"
            className="grow"
            maxLength={400}
            placeholder="Why, in their words"
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
          <Button
            type="primary"
            disabled={!letter}
            onClick={() => {
              if (!letter) return;
              const chose = chooseOfTrial(record.id, index, letter, words.trim());
              done(chose);
              if (chose.ok) dropWords();
            }}
          >
            Choose it
          </Button>
        </div>
      )}
      <div className="row-of-tools above-0">
        {!chosen && (
          <Button size="small" type="text" aria-pressed={marking} onClick={() => setMarking(!marking)}>
            {marking ? 'Hide them again' : 'For whoever marks the boards'}
          </Button>
        )}
        <Button size="small" type="text" onClick={() => done(dropTrial(record.id, index))}>
          Take the trial off
        </Button>
      </div>
    </section>
  );
}
