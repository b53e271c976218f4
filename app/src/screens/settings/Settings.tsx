import { Radio, Segmented } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { READING_WORDS, ROCKER_READINGS } from '@june-tide/core/measure';
import { type SchoolQuestion, SCHOOLS } from '@june-tide/core/rider';
import ShopChoices from '../../parts/ShopChoices.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { Term } from '../../parts/Term.tsx';
import { changeSettings, useShed } from '../../store/shed.ts';
import { boardsChanged } from './effect.ts';
import { House } from './House.tsx';
import { Sample } from './Sample.tsx';

const QUESTIONS = Object.keys(SCHOOLS) as SchoolQuestion[];
const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

/** So many of them are named. */
const MOST_NAMED = 4;

function effectWords(names: readonly string[], read: number): string {
  if (read === 0) return 'No board stands on the rack yet: it shows with the first.';
  const among = read === 1 ? 'the board' : `the last ${read} boards`;
  if (names.length === 0) return `Nothing else is said of ${among}.`;
  const more = names.length - MOST_NAMED;
  const list = names.slice(0, MOST_NAMED).join(', ') + (more > 0 ? ` and ${more} more` : '');
  return `Of ${among}, something else is said of ${list}.`;
}

/** The shop's own ways: units, how length and rocker are said, and which side it takes where shapers disagree. */
export function Settings() {
  const settings = useShed((shed) => shed.settings);
  const [effect, setEffect] = useState<{ question: SchoolQuestion; words: string }>();
  const take = (question: SchoolQuestion, answer: string) => {
    const { names, read } = boardsChanged(useShed.getState(), question, answer);
    changeSettings({ schools: { ...settings.schools, [question]: answer } });
    setEffect({ question, words: effectWords(names, read) });
  };
  return (
    <div className="page">
      <TopBar />
      <main className="settings">
        <section aria-label="Units and light">
          <h1>Units and light</h1>
          <ShopChoices />
          <h2>How sizes are said</h2>
          <div className="labelled">
            Length
            <Segmented
              value={settings.lengthAlong}
              options={[
                { value: 'straight', label: 'Straight, tip to tip' },
                { value: 'bottom', label: 'Tape along the bottom' },
              ]}
              onChange={(value) => changeSettings({ lengthAlong: value === 'bottom' ? 'bottom' : 'straight' })}
            />
          </div>
          <div className="labelled">
            Rocker, lifts read over the
            <Radio.Group
              value={settings.reading}
              onChange={(event) => {
                const reading = ROCKER_READINGS.find((entry) => entry === event.target.value);
                if (reading) changeSettings({ reading });
              }}
              options={ROCKER_READINGS.map((value) => ({ value, label: capital(READING_WORDS[value]) }))}
              className="stack-4"
            />
          </div>
          <Sample />
          <House />
          <p className="quiet">
            They change what is written, never the board. Riders and boards stay in this browser and in the files you
            save from it. <Link to="/keeping">Back-ups, and what is kept where</Link>
          </p>
        </section>
        <section aria-label="Schools">
          <h1>
            <Term of="school">Where shapers disagree</Term>
          </h1>
          <p className="quiet">
            Pick the shop’s side. Notes in the bay follow it and still name the other; no board is changed by it.
          </p>
          <div className="schools">
            {QUESTIONS.map((question) => (
              <fieldset key={question}>
                <legend>{SCHOOLS[question].question}</legend>
                <Radio.Group
                  aria-label={SCHOOLS[question].question}
                  value={settings.schools[question]}
                  onChange={(event) => take(question, String(event.target.value))}
                  options={Object.entries(SCHOOLS[question].answers).map(([value, label]) => ({ value, label }))}
                />
                <p className="quiet">{SCHOOLS[question].why}</p>
                {effect?.question === question && (
                  <p role="status" className="effect">
                    {effect.words}
                  </p>
                )}
              </fieldset>
            ))}
          </div>
        </section>
      </main>
    </div>
  );
}
