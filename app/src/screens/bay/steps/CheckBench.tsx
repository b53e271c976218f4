import { Button, Select } from 'antd';
import { lazy, Suspense, useMemo, useState } from 'react';
import { FAMILY_WORDS } from '@june-tide/core/document';
import { compareTraits, lever, type LeverId, LEVERS, type Note } from '@june-tide/core/judge';
import { compared, measureOf } from '@june-tide/core/measure';
import { type Kind, KIND_WORDS, KINDS } from '@june-tide/core/rider';
import { formatLitres } from '@june-tide/core/units';
import { BuiltText, Measure } from '../../../parts/Measure.tsx';
import { MeasuredValue } from '../../../parts/MeasuredValue.tsx';
import { edit } from '../../../store/shed.ts';
import { dayWords } from '../../../parts/days.ts';
import { wavesWords } from '../../../parts/words.ts';
import { ALotMore } from '../notes/ALotMore.tsx';
import { NoteCard } from '../notes/NoteCard.tsx';
import { LEVEL_WORDS, useNotes, useReading } from '../notes/useNotes.ts';
import { type BayContext, useBay } from '../useBay.ts';
import { usePages } from './usePages.tsx';

const CharacterChart = lazy(() => import('./CharacterChart.tsx'));
const LEVER_IDS = Object.keys(LEVERS) as LeverId[];
/** So many notes are read at once. */
const AT_ONCE = 3;
const counted = (words: string, count: number) => (count === 0 ? words : `${words}, ${count}`);
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
  const reading = useReading();
  const [asked, setFrom] = useState(0);
  const standing = notes.filter((note) => !note.answer);
  const answered = notes.filter((note) => note.answer);
  // The last of them may have been answered meanwhile.
  const from = asked < standing.length ? asked : 0;
  const { page, tabs } = usePages(
    'What is looked at',
    {
      notes: counted('Notes', standing.length),
      against: 'Against the last',
      answered: answered.length > 0 ? counted('Answered', answered.length) : undefined,
      extreme: 'Extremes',
    },
    standing.length === 0 && judgedAs.last ? 'against' : 'notes',
  );
  const shownOn = (name: typeof page) => (name === page ? '' : 'off-page');
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
            <BuiltText text={readAloud(bay, standing, reading)} />
          </p>
          <KindLine />
          <BriefLines />
        </div>
        <div>
          {tabs}
          <div className={shownOn('notes')}>
            {standing.length === 0 && <p className="quiet">None: what it will do stands beside.</p>}
            {standing.map((note, i) => (
              <div key={note.rule.id} className={i >= from && i < from + AT_ONCE ? '' : 'off-page'}>
                <span className={`level ${note.level}`}>{LEVEL_WORDS[note.level]}</span>
                <NoteCard note={note} />
              </div>
            ))}
            {standing.length > AT_ONCE && (
              <Button
                size="small"
                className="no-print"
                onClick={() => setFrom(from + AT_ONCE < standing.length ? from + AT_ONCE : 0)}
              >
                {from + AT_ONCE < standing.length
                  ? `${standing.length - from - AT_ONCE} more`
                  : `Back to the first ${AT_ONCE}`}
              </Button>
            )}
          </div>
          <div className={shownOn('answered')}>
            {answered.length > 0 && <h3 className="print-only">Answered</h3>}
            {answered.map((note) => (
              <NoteCard key={note.rule.id} note={note} />
            ))}
          </div>
          <div className={shownOn('against')}>
            <Against />
          </div>
          {page === 'extreme' && <ToAnExtreme />}
        </div>
      </div>
    </section>
  );
}

/** What differs from the last board, and which way its character goes. */
function Against() {
  const { judgedAs } = useBay();
  const { last } = judgedAs;
  const traits = useMemo(() => (last ? compareTraits(judgedAs.facts, last.facts) : undefined), [judgedAs.facts, last]);
  if (!last || !traits)
    return (
      <p className="quiet">
        No board to judge it against: lay one over, or name one in the brief, and the differences and the character
        stand here.
      </p>
    );
  return (
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
  );
}

/** What is read to the rider: the board in a few sentences, whether it floats them, and what is to be settled first. */
function readAloud(
  { rider, measures, target }: BayContext,
  standing: readonly Note[],
  reading: readonly string[],
): string {
  const fits =
    target === undefined || target.said === 'no'
      ? ''
      : measures.volume_L < target.low_L
        ? ' It is under what you usually float on.'
        : measures.volume_L > target.high_L
          ? ' It is more than you usually need.'
          : ' The litres are right for you.';
  const most = standing.find((note) => note.level !== 'note');
  const said = most ? ` One thing to settle first: ${most.title.replace(/^./, (c) => c.toLowerCase())}.` : '';
  return `${rider ? `${rider.name}: ` : ''}${reading.join(' ')}${fits}${said}`;
}

/** The kind it is judged as: read off the board, unless the shaper says otherwise. */
function KindLine() {
  const { record, judgedAs } = useBay();
  return (
    <div className="row-of-tools no-print">
      <span>Judged as</span>
      <Select<Kind | 'read'>
        aria-label="Kind of board"
        size="small"
        className="fit-230"
        value={record.kind ?? 'read'}
        onChange={(value) =>
          edit(record.id, 'kind of board', ({ kind: _was, ...rest }) =>
            value === 'read' ? rest : { ...rest, kind: value },
          )
        }
        options={[
          { value: 'read', label: `${KIND_WORDS[judgedAs.kind]}${record.kind ? ', read off the board' : ''}` },
          ...KINDS.map((kind) => ({ value: kind, label: KIND_WORDS[kind] })),
        ]}
      />
      {!record.kind && <span className="quiet">read off the board; choose another if it is meant as one</span>}
    </div>
  );
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
          <dd>{dayWords(brief.dueOn)}</dd>
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

/** A lever pushed a long way, both ways, to see what it does. */
function ToAnExtreme() {
  const [id, setId] = useState<LeverId>('tailWidth');
  return (
    <div className="no-print">
      <p className="quiet above-8 below-0">For every doubt: what would a lot more of it do?</p>
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
