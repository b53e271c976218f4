import { useState } from 'react';
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
