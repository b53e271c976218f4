import { Segmented } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { PARENT_WORDS, versionsOf } from '@june-tide/core/record';
import { entryOf, useShed } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';
import { AsTheWinner } from './AsTheWinner.tsx';
import { BlindTrials } from './BlindTrials.tsx';
import { Damage } from './Damage.tsx';
import { MakeVersion } from './MakeVersion.tsx';
import { OneChange } from './OneChange.tsx';
import { RideForm } from './RideForm.tsx';
import { Soften } from './Soften.tsx';
import { TwoVersions } from './TwoVersions.tsx';
import { useRideForm } from './useRideForm.ts';
import { Versions } from './Versions.tsx';

const OverVersions = lazy(() => import('./OverVersions.tsx'));

/** What else is done with what was ridden, besides noting it. */
const PARTS = {
  ride: 'A ride',
  over: 'Numbers',
  soften: 'Softened',
  blind: 'Blind',
  damage: 'Damage',
} as const;
type Part = keyof typeof PARTS;

/** What the board has been, how each was ridden, and from a complaint to one small change. */
export function RideBench() {
  const { record } = useBay();
  const form = useRideForm();
  const [part, setPart] = useState<Part>('ride');
  const [refused, refuse] = useState<string>();
  return (
    <section aria-label="Ride" className="people ride">
      <div className="people-left">
        <div className="head">
          <h2>Ride</h2>
          <span className="quiet">what it has been, and how it went</span>
        </div>
        <AsTheWinner />
        <ComesFrom />
        <MakeVersion />
        {refused && (
          <p role="alert" className="trouble">
            {refused}
          </p>
        )}
        <Versions refuse={refuse} />
      </div>
      <div>
        <Segmented<Part>
          aria-label="Part of the ride"
          className="below-8"
          size="small"
          value={part}
          options={Object.entries(PARTS).map(([value, label]) => ({ value: value as Part, label }))}
          onChange={setPart}
        />
        {part === 'ride' && (
          <>
            <RideForm form={form} />
            <OneChange said={form.typed.words || (record.rides[0]?.words ?? '')} note={form.note} />
          </>
        )}
        {part === 'over' &&
          (versionsOf(record).length < 2 ? (
            <p className="quiet">With the second version its numbers stand here beside the first’s.</p>
          ) : (
            <Suspense fallback={<p className="quiet">Drawing.</p>}>
              <OverVersions />
              <TwoVersions />
            </Suspense>
          ))}
        {part === 'soften' && <Soften />}
        {part === 'blind' && <BlindTrials />}
        {part === 'damage' && <Damage />}
      </div>
    </section>
  );
}

const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

/** The boards this one comes from, each a way to it while it stands on the rack. */
function ComesFrom() {
  const { id: own, parents = [] } = useBay().record;
  const records = useShed((shed) => shed.records);
  const children = Object.values(records).filter((other) => other.parents?.some(({ id }) => id === own)).length;
  if (parents.length === 0 && children === 0) return null;
  return (
    <p className="above-0 below-4" data-testid="comes-from">
      {parents.map(({ kind, id, name, version }, i) => {
        const there = entryOf(records, id);
        const no = there?.versions?.find((entry) => entry.id === version)?.no;
        return (
          <span key={i}>
            {i > 0 ? `, ${PARENT_WORDS[kind]}` : capital(PARENT_WORDS[kind])}{' '}
            {there ? <Link to={`/bay/${id}/ride`}>{name}</Link> : name}
            {no !== undefined && `, version ${no}`}
          </span>
        );
      })}
      {parents.length > 0 && '. '}
      {children > 0 && `${children === 1 ? 'One board comes' : `${children} boards come`} from it. `}
      <Link to={`/family?board=${own}`}>The family tree</Link>.
    </p>
  );
}
