import { Button, Select } from 'antd';
import { lazy, Suspense, useMemo, useState } from 'react';
import { FAMILY_WORDS } from '@june-tide/core/document';
import { compareTraits, lever, type LeverId, LEVERS, type Note } from '@june-tide/core/judge';
import { compared, measureOf } from '@june-tide/core/measure';
import { formatLitres } from '@june-tide/core/units';
import { BuiltText, Measure } from '../../../parts/Measure.tsx';
import { MeasuredValue } from '../../../parts/MeasuredValue.tsx';
import { wavesWords } from '../../../parts/words.ts';
import { ALotMore } from '../notes/ALotMore.tsx';
import { NoteCard } from '../notes/NoteCard.tsx';
import { LEVEL_WORDS, useNotes } from '../notes/useNotes.ts';
import { type BayContext, useBay } from '../useBay.ts';

const CharacterChart = lazy(() => import('./CharacterChart.tsx'));
const LEVER_IDS = Object.keys(LEVERS) as LeverId[];
/** The differences worth a line on paper, in the order of the work. */
const LINES = [
  'length_mm',
  'width_mm',
  'thickness_mm',
  'widePointFromCentre_mm',
  'noseWidth12_mm',
  'tailWidth12_mm',
  'block_mm',
  'noseRocker_mm',
  'tailRocker_mm',
  'noseThickness12_mm',
  'tailThickness12_mm',
] as const;

/** One page: the brief against the board, the notes by weight, what differs from the last board, and what was answered. */
export function CheckBench() {
  const bay = useBay();
  const { judgedAs, record } = bay;
  const notes = useNotes();
  const { last } = judgedAs;
  const traits = useMemo(() => (last ? compareTraits(judgedAs.facts, last.facts) : undefined), [judgedAs.facts, last]);
  const standing = notes.filter((note) => !note.answer);
  const answered = notes.filter((note) => note.answer);
  return (
    <section aria-label="Check" className="check">
      <div className="head">
        <h2>
          Check{' '}
          <span className="print-only">
            {record.board.name} {record.number}
          </span>
        </h2>
        <span className="quiet">before any foam is cut</span>
        <span className="right no-print">
          <Button size="small" onClick={() => window.print()}>
            Print this page
          </Button>
        </span>
      </div>
      <div className="check-columns">
        <div>
          <p className="sentence" data-testid="read-aloud">
            {readAloud(bay, standing)}
          </p>
          <BriefLines />
          <h3>Notes</h3>
          {standing.length === 0 && <p>Nothing to say against it.</p>}
          {standing.map((note) => (
            <div key={note.rule.id}>
              <span className={`level ${note.level}`}>{LEVEL_WORDS[note.level]}</span>
              <NoteCard note={note} />
            </div>
          ))}
          {answered.length > 0 && (
            <>
              <h3>Answered</h3>
              {answered.map((note) => (
                <NoteCard key={note.rule.id} note={note} />
              ))}
            </>
          )}
        </div>
        <div>
          {last && traits ? (
            <>
              <h3>
                Against <BuiltText text={last.name} />
              </h3>
              <Differences />
              <h3>Character</h3>
              <Suspense fallback={<p className="quiet">Drawing.</p>}>
                <CharacterChart traits={traits} other={last.name} />
              </Suspense>
              <details>
                <summary>In words, with the measures behind</summary>
                <ul className="plain-list">
                  {traits.map((trait) => (
                    <li key={trait.key}>
                      <b>{trait.name}</b> {trait.words}.{' '}
                      <span className="quiet">
                        {trait.raw.map(({ measure, ours, theirs }, i) => (
                          <span key={measure}>
                            {i > 0 && '; '}
                            {measureOf(measure).words} <MeasuredValue of={measure} value={ours} /> against{' '}
                            <MeasuredValue of={measure} value={theirs} />
                          </span>
                        ))}
                      </span>
                    </li>
                  ))}
                </ul>
              </details>
            </>
          ) : (
            <p className="quiet">
              No board to judge it against: lay one over, or name one in the brief, and the differences and the
              character stand here.
            </p>
          )}
          <ToAnExtreme />
        </div>
      </div>
    </section>
  );
}

/** A sentence to read to the rider. */
function readAloud({ record, rider, measures, target, judgedAs }: BayContext, standing: readonly Note[]): string {
  const who = rider ? `${rider.name}, this` : 'This';
  const litres = formatLitres(measures.volume_L);
  const fits =
    target === undefined
      ? ''
      : measures.volume_L < target.low_L
        ? ', under what you usually float on'
        : measures.volume_L > target.high_L
          ? ', more than you usually need'
          : ', right for you';
  const waves = judgedAs.waves ? ` for ${wavesWords(judgedAs.waves).split(',')[0].toLowerCase()} waves` : '';
  const most = standing.find((note) => note.level !== 'note');
  const said = most ? ` One thing to settle first: ${most.title.toLowerCase()}.` : ' Nothing stands against it.';
  return `${who} is a ${FAMILY_WORDS[record.board.family]} of ${litres}${fits}${waves}.${said}`;
}

function BriefLines() {
  const { record, measures, target, judgedAs } = useBay();
  const { brief } = record;
  return (
    <dl className="brief-lines">
      <div>
        <dt>Waves</dt>
        <dd>{judgedAs.waves ? wavesWords(judgedAs.waves) : 'not said'}</dd>
      </div>
      <div>
        <dt>Litres</dt>
        <dd>
          {formatLitres(measures.volume_L)}
          {target && `, aim ${target.low_L.toFixed(1)} to ${target.high_L.toFixed(1)}`}
          {brief?.wishLitres_L !== undefined && `, wished ${formatLitres(brief.wishLitres_L)}`}
        </dd>
      </div>
      {brief?.purpose && (
        <div>
          <dt>For</dt>
          <dd>{brief.purpose}</dd>
        </div>
      )}
      {brief?.family && (
        <div>
          <dt>Family</dt>
          <dd>
            {brief.family === record.board.family
              ? `${FAMILY_WORDS[brief.family]}, as wished`
              : `wished a ${FAMILY_WORDS[brief.family]}, this is a ${FAMILY_WORDS[record.board.family]}`}
          </dd>
        </div>
      )}
      {brief?.mustHaves && (
        <div>
          <dt>Must have</dt>
          <dd>{brief.mustHaves}</dd>
        </div>
      )}
      {brief?.targetMass_kg !== undefined && (
        <div>
          <dt>Weight</dt>
          <dd>{brief.targetMass_kg.toFixed(1)} kg wished, finished</dd>
        </div>
      )}
      {brief?.dueOn && (
        <div>
          <dt>Due</dt>
          <dd>{brief.dueOn}</dd>
        </div>
      )}
    </dl>
  );
}

function Differences() {
  const { record, judgedAs } = useBay();
  const { last } = judgedAs;
  if (!last) return null;
  const { measures } = compared(last.facts.board, record.board);
  const changed = measures.filter(
    ({ key, difference }) => LINES.some((line) => line === key) && Math.abs(difference) > 0.4,
  );
  const litres = measures.find(({ key }) => key === 'volume_L');
  return (
    <ul className="check-differences">
      {litres && Math.abs(litres.difference) >= 0.05 && (
        <li>
          {litres.difference > 0 ? '+' : '−'}
          {Math.abs(litres.difference).toFixed(1)} L
        </li>
      )}
      {changed.map(({ key, difference }) => (
        <li key={key}>
          {measureOf(key).words} {difference > 0 ? '+' : '−'}
          <Measure mm={Math.abs(difference)} />
        </li>
      ))}
      {changed.length === 0 && <li>No main number differs.</li>}
    </ul>
  );
}

/** For every doubt: what would a lot more of it do? */
function ToAnExtreme() {
  const [id, setId] = useState<LeverId>('tailWidth');
  return (
    <div className="no-print">
      <h3>To an extreme</h3>
      <div className="row-of-tools">
        <Select
          aria-label="Lever to push"
          size="small"
          showSearch
          optionFilterProp="label"
          className="fit-210"
          value={id}
          onChange={setId}
          options={LEVER_IDS.map((value) => ({
            value,
            label: lever(value).more.replace(/^./, (c) => c.toUpperCase()),
          }))}
        />
        <ALotMore key={`${id} more`} id={id} way={1} />
        <ALotMore key={`${id} less`} id={id} way={-1} />
      </div>
    </div>
  );
}
