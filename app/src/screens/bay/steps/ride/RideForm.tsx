import { Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { complaintsFor } from '@june-tide/core/judge';
import { type Felt, MOST_RIDES, versionsOf, workingDiffers } from '@june-tide/core/record';
import { noteRide } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';

export const FELT_WORDS: Readonly<Record<Felt, string>> = { better: 'better', same: 'the same', worse: 'worse' };
/** The board as it is worked on, made a version by being ridden. */
const AS_IT_STANDS = 'working';

type Form = ReturnType<typeof useRideForm>;

/** What is typed of a ride before it is noted. */
export function useRideForm() {
  const { record } = useBay();
  const [waves, setWaves] = useState('');
  const [place, setPlace] = useState('');
  const [rider, setRider] = useState('');
  const [words, setWords] = useState('');
  const [felt, setFelt] = useState<Felt>();
  const [chosen, choose] = useState<string>();
  const differs = workingDiffers(record);
  const version = chosen ?? (differs ? AS_IT_STANDS : (record.from ?? AS_IT_STANDS));
  const given = (text: string, key: 'place' | 'rider') => (text.trim() === '' ? {} : { [key]: text.trim() });
  /** Notes what was typed, if anything; false where it could not be kept. */
  const note = (): boolean => {
    if (words.trim() === '') return true;
    const heard = complaintsFor(words).map(({ id }) => id);
    const ride = {
      waves: waves.trim(),
      words: words.trim(),
      ...given(place, 'place'),
      ...given(rider, 'rider'),
      ...(felt ? { felt } : {}),
      ...(heard.length > 0 ? { complaints: heard } : {}),
    };
    if (!noteRide(record.id, ride, version === AS_IT_STANDS ? undefined : version).ok) return false;
    for (const clear of [setWaves, setPlace, setRider, setWords]) clear('');
    setFelt(undefined);
    choose(undefined);
    return true;
  };
  return { waves, setWaves, place, setPlace, rider, setRider, words, setWords, felt, setFelt, version, choose, note };
}

/** A ride: which version, where, in what waves, who, and how it went in their words; never a score. */
export function RideForm({ form }: { form: Form }) {
  const { record, rider } = useBay();
  const versions = versionsOf(record);
  const full = record.rides.length >= MOST_RIDES;
  return (
    <form
      aria-label="A ride"
      onSubmit={(event) => {
        event.preventDefault();
        form.note();
      }}
      className="stack-6 ride-form"
    >
      <div className="row-of-tools above-0">
        <Select
          aria-label="Which was ridden"
          size="small"
          className="fit-176"
          value={form.version}
          onChange={form.choose}
          options={[
            { value: AS_IT_STANDS, label: 'as it stands now' },
            ...[...versions].reverse().map(({ id, no }) => ({ value: id, label: `version ${no}` })),
          ]}
        />
        <Segmented<Felt | 'none'>
          aria-label="Against the board before"
          size="small"
          value={form.felt ?? 'none'}
          options={[
            { value: 'none', label: 'not said' },
            ...Object.entries(FELT_WORDS).map(([value, label]) => ({ value: value as Felt, label })),
          ]}
          onChange={(felt) => form.setFelt(felt === 'none' ? undefined : felt)}
        />
      </div>
      <div className="in-a-row">
        <Input
          aria-label="Waves"
          placeholder="Waves: chest high, a little chop"
          value={form.waves}
          maxLength={200}
          onChange={(e) => form.setWaves(e.target.value)}
        />
        <Input
          aria-label="Place"
          placeholder="Where"
          value={form.place}
          maxLength={120}
          onChange={(e) => form.setPlace(e.target.value)}
        />
        <Input
          aria-label="Who rode it"
          placeholder={rider ? rider.name : 'Who rode it'}
          value={form.rider}
          maxLength={80}
          onChange={(e) => form.setRider(e.target.value)}
        />
      </div>
      <Input.TextArea
        aria-label="How it went"
        placeholder="How it went, in their words"
        rows={2}
        maxLength={4000}
        value={form.words}
        onChange={(e) => form.setWords(e.target.value)}
      />
      <div>
        <Button htmlType="submit" type="primary" disabled={form.words.trim() === '' || full}>
          Note the ride
        </Button>
        {full && <span className="quiet"> {MOST_RIDES} rides are noted, as many as one board can have.</span>}
      </div>
    </form>
  );
}
