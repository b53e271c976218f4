import { Button } from 'antd';
import { lazy, Suspense, useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { changeWords } from '@june-tide/core/measure';
import { judgedChanges, madeFor, type MadeFor, ridesOf, writeRiderSheet } from '@june-tide/core/record';
import type { Rider } from '@june-tide/core/rider';
import { formatLitres, formatMass } from '@june-tide/core/units';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { dateWords } from '../../parts/days.ts';
import { BuiltText, Measure, useLengthStyle } from '../../parts/Measure.tsx';
import { fileName, saveFile } from '../../parts/saveFile.ts';
import { ABILITY_WORDS, FITNESS_WORDS, STANCE_WORDS, wavesWords } from '../../parts/words.ts';
import { measuresFor } from '../../store/derived.ts';
import { useShed } from '../../store/shed.ts';
import { dayOf } from '../../store/today.ts';

import { QuiverLines } from './QuiverLines.tsx';

const OverTime = lazy(() => import('./OverTime.tsx'));
/** The longest of a rider's boards stands so tall. */
const STANDING = 120;

interface RiderCardProps {
  rider: Rider;
  onChange: () => void;
  onRemove: () => void;
}

/** One rider: who they are, what they weighed when, every board made for them and how it went. */
export function RiderCard({ rider, onChange, onRemove }: RiderCardProps) {
  const records = useShed((shed) => shed.records);
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const navigate = useNavigate();
  const made = useMemo(() => madeFor(rider, records, dayOf), [rider, records]);
  const style = useLengthStyle();
  const rides = useMemo(() => ridesOf(rider.id, Object.values(records)), [rider.id, records]);
  const helped = useMemo(() => judgedChanges(rider.id, Object.values(records), style), [rider.id, records, style]);
  const kept = useMemo(() => made.map(({ record }) => record), [made]);
  const scale = STANDING / Math.max(1, ...made.map(({ record }) => record.board.length_mm));
  return (
    <>
      <div className="row-of-tools above-0">
        <h2>{rider.name}</h2>
        <Button type="primary" onClick={() => void navigate(`/start?rider=${rider.id}`)}>
          A board for {rider.name}
        </Button>
        <Button onClick={onChange}>Change the card</Button>
        <Button
          onClick={() => {
            const boards = made.map(({ record }) => record);
            saveFile(writeRiderSheet(rider, boards), `${fileName(rider.name)}.json`, 'application/json');
          }}
        >
          All that is kept of them (JSON)
        </Button>
        <Button type="text" onClick={onRemove}>
          Put the card away
        </Button>
      </div>
      <p className="sentence above-4 below-8">
        {formatMass(rider.mass_kg, massUnit)}, <Measure mm={rider.height_mm} feet />, {rider.age} years.{' '}
        {ABILITY_WORDS[rider.ability]}. {STANCE_WORDS[rider.stance]}. {FITNESS_WORDS[rider.fitness]}, out{' '}
        {rider.surfsAWeek} {rider.surfsAWeek === 1 ? 'time' : 'times'} a week.
      </p>
      <p className="quiet">{wavesWords(rider.waves)}.</p>
      {rider.boards.length > 0 && (
        <p className="quiet">
          Rides now:{' '}
          {rider.boards
            .map(({ name, good, bad }) =>
              [name, good && `good: ${good}`, bad && `bad: ${bad}`].filter(Boolean).join(', '),
            )
            .join('; ')}
          .
        </p>
      )}
      <div className="rider-columns">
        <div>
          <h3>Boards made</h3>
          {made.length === 0 && <p className="quiet">None yet.</p>}
          <ul className="made-boards">
            {made.map((entry) => (
              <Made key={entry.record.id} made={entry} scale={scale} />
            ))}
          </ul>
        </div>
        <div>
          {made.length > 1 && <QuiverLines rider={rider} records={kept} />}
          <h3>Over time</h3>
          {rider.weights.length < 2 && (
            <p className="quiet above-0 below-2">
              {rider.weights.length === 1
                ? `Weighed once, ${dateWords(rider.weights[0].on)}. A body changes and the board gets the blame: weigh again with the next board.`
                : 'Never weighed with a date.'}
            </p>
          )}
          {rider.weights.length + made.length + rides.length > 1 && (
            <Suspense fallback={<p className="quiet">Drawing.</p>}>
              <OverTime weights={rider.weights} unit={massUnit} made={made} rides={rides} />
            </Suspense>
          )}
          {helped.length > 0 && <Helped judged={helped} />}
        </div>
      </div>
    </>
  );
}

/** Which change helped, and which did not: what the next board is drawn by. */
function Helped({ judged }: { judged: ReturnType<typeof judgedChanges> }) {
  return (
    <section aria-label="Which change helped">
      <h3>Which change helped</h3>
      <ul className="plain-list">
        {judged.slice(0, MOST_HELPED).map(({ record, no, words, felt, on }) => (
          <li key={`${record.id} ${no} ${felt}`}>
            <b className={`felt ${felt}`}>{felt}</b> <BuiltText text={words} />{' '}
            <span className="quiet">
              <Link to={`/bay/${record.id}/ride`}>
                {record.board.name} {record.number}
              </Link>
              , version {no}, {dateWords(on)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** So many judged changes are told. */
const MOST_HELPED = 8;

function Made({ made: { record, before, mass_kg }, scale }: { made: MadeFor; scale: number }) {
  const style = useLengthStyle();
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const { board } = record;
  const numbers = measuresFor(board);
  const changes = before ? changeWords(before.board, board, style) : [];
  const height = board.length_mm * scale + 4;
  const name = `${board.name} ${record.number}`;
  const [ride] = record.rides;
  return (
    <li>
      <svg width={52} height={height} viewBox={`-26 ${2 - height} 52 ${height}`} aria-hidden>
        <FoamGradient />
        <BoardPlan board={board} scale={scale} />
      </svg>
      <div>
        <Link to={`/bay/${record.id}/outline`}>
          <b className="serif">{name}</b>
        </Link>{' '}
        <span className="quiet">{dateWords(dayOf(record.createdAt))}</span>
        <br />
        <Measure mm={numbers.length_mm} feet /> × <Measure mm={numbers.width_mm} /> ×{' '}
        <Measure mm={numbers.thickness_mm} />, {formatLitres(numbers.volume_L)},{' '}
        {(numbers.volume_L / mass_kg).toFixed(2)} L per kg at {formatMass(mass_kg, massUnit)}
        {record.shaped?.mass_kg !== undefined && `, ${record.shaped.mass_kg.toFixed(2)} kg on the scales`}
        {before && (
          <>
            <br />
            <span className="change-words">
              Against {before.board.name} {before.number}:{' '}
              <BuiltText text={changes.length > 0 ? changes.join(', ') : 'the same numbers'} />
            </span>
          </>
        )}
        {board.notes && (
          <>
            <br />
            <span className="quiet">{board.notes}</span>
          </>
        )}
        {ride && (
          <>
            <br />
            <q className="serif">{ride.words}</q>{' '}
            <span className="quiet">
              {dateWords(ride.on)}
              {ride.waves && `, ${ride.waves}`}
              {record.rides.length > 1 && `, and ${record.rides.length - 1} more`}
            </span>
          </>
        )}
      </div>
    </li>
  );
}
