import { useState } from 'react';
import { Link } from 'react-router';
import type { ParentKind } from '@june-tide/core/record';
import { entryOf, useShed } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';
import { MakeVersion } from './MakeVersion.tsx';
import { OneChange } from './OneChange.tsx';
import { RideForm, useRideForm } from './RideForm.tsx';
import { Versions } from './Versions.tsx';

/** What the board has been, how each was ridden, and from a complaint to one small change. */
export function RideBench() {
  const { record } = useBay();
  const form = useRideForm();
  const [refused, refuse] = useState<string>();
  return (
    <section aria-label="Ride" className="people ride">
      <div className="people-left">
        <div className="head">
          <h2>Ride</h2>
          <span className="quiet">what it has been, and how it went</span>
        </div>
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
        <RideForm form={form} />
        <OneChange said={form.words || (record.rides[0]?.words ?? '')} note={form.note} />
      </div>
    </section>
  );
}

/** The boards this one comes from, each a way to it while it stands on the rack. */
function ComesFrom() {
  const { parents } = useBay().record;
  const records = useShed((shed) => shed.records);
  if (!parents || parents.length === 0) return null;
  return (
    <p className="above-0 below-4" data-testid="comes-from">
      {parents.map(({ kind, id, name, version }, i) => {
        const there = entryOf(records, id);
        const no = there?.versions?.find((entry) => entry.id === version)?.no;
        return (
          <span key={i}>
            {i > 0 && ', '}
            {PARENT_WORDS[kind]} {there ? <Link to={`/bay/${id}/ride`}>{name}</Link> : name}
            {no !== undefined && `, version ${no}`}
          </span>
        );
      })}
      .
    </p>
  );
}

const PARENT_WORDS: Readonly<Record<ParentKind, string>> = {
  copy: 'A copy of',
  next: 'The next after',
  size: 'A size of',
  branch: 'Branched from',
  front: 'Its front half from',
  back: 'Its back half from',
  softened: 'Softened from',
  lessons: 'With lessons of',
};
