import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { checkNotes, formatMass } from '@june-tide/core';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { RiderForm } from '../../../parts/RiderForm.tsx';
import { edit, keepRider, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

export function RiderBench() {
  const { record, rider, target } = useBay();
  const riders = useShed((shed) => shed.riders);
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const [changing, setChanging] = useState<'rider' | 'new'>();
  const give = (riderId: string | null) => edit(record.id, 'rider', (r) => ({ ...r, riderId }));
  return (
    <section aria-label="Rider">
      <div className="head">
        <h2>Rider</h2>
        <span className="quiet">kept in this browser only</span>
      </div>
      {changing ? (
        <RiderForm
          key={changing}
          {...(changing === 'rider' && rider ? { rider } : {})}
          onKeep={(kept) => {
            keepRider(kept);
            give(kept.id);
            setChanging(undefined);
          }}
          onCancel={() => setChanging(undefined)}
        />
      ) : (
        <>
          <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap' }}>
            <Select
              aria-label="Rider of this board"
              showSearch
              optionFilterProp="label"
              style={{ minWidth: 170 }}
              value={record.riderId ?? ''}
              onChange={(id) => give(id === '' ? null : id)}
              options={[
                { value: '', label: 'Nobody yet' },
                ...Object.values(riders)
                  .sort((a, b) => a.name.localeCompare(b.name))
                  .map((r) => ({ value: r.id, label: `${r.name}, ${formatMass(r.mass_kg, massUnit)}` })),
              ]}
            />
            {rider && <Button onClick={() => setChanging('rider')}>Change {rider.name}’s card</Button>}
            <Button onClick={() => setChanging('new')}>New rider</Button>
          </div>
          {target ? (
            <p className="sentence">{target.sentence}</p>
          ) : (
            <p className="quiet">Choose whom it is for, and the litres to aim for are worked out here.</p>
          )}
        </>
      )}
    </section>
  );
}

export function CheckBench() {
  const { shape, target } = useBay();
  const style = useLengthStyle();
  const notes = checkNotes(shape, target, style);
  return (
    <section aria-label="Check">
      <div className="head">
        <h2>Check</h2>
        <span className="quiet">before any foam is cut</span>
      </div>
      {notes.length === 0 ? (
        <p>Litres in the range, foil balanced, no hollow in any curve, foam enough over the fins.</p>
      ) : (
        <ul className="plain-list">
          {notes.map((note, i) => (
            <li key={i}>
              <b className="serif">
                {note.level === 'look' ? '▲ ' : ''}
                {note.title}.
              </b>{' '}
              {note.words}
            </li>
          ))}
        </ul>
      )}
      {!target && <p className="quiet">Without a rider the litres cannot be judged.</p>}
    </section>
  );
}

export function RideBench() {
  const { record } = useBay();
  const [waves, setWaves] = useState('');
  const [words, setWords] = useState('');
  return (
    <section aria-label="Ride">
      <div className="head">
        <h2>Ride</h2>
        <span className="quiet">the rider’s own words, kept with the board</span>
      </div>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (words.trim() === '') return;
          const ride = { on: new Date().toISOString().slice(0, 10), waves: waves.trim(), words: words.trim() };
          edit(record.id, 'ride noted', (r) => ({ ...r, rides: [ride, ...r.rides] }));
          setWaves('');
          setWords('');
        }}
        style={{ display: 'grid', gap: 6 }}
      >
        <Input
          aria-label="Waves"
          placeholder="Waves: chest high, a little chop"
          value={waves}
          maxLength={200}
          onChange={(e) => setWaves(e.target.value)}
        />
        <Input.TextArea
          aria-label="How it went"
          placeholder="How it went, in their words"
          rows={2}
          maxLength={4000}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
        <div>
          <Button htmlType="submit" type="primary" disabled={words.trim() === ''}>
            Note the ride
          </Button>
        </div>
      </form>
      {record.rides.length === 0 ? (
        <p className="quiet">
          Nothing noted yet. After the first ride, write down what they say before you change anything.
        </p>
      ) : (
        <ul className="plain-list">
          {record.rides.map((ride, i) => (
            <li key={i}>
              <span className="quiet">
                {ride.on}
                {ride.waves && `, ${ride.waves}`}
              </span>
              <br />
              <span className="serif">{ride.words}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
