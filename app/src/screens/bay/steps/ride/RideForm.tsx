import { AutoComplete, Button, Input, InputNumber, Segmented, Select } from 'antd';
import { useState } from 'react';
import { type Felt, layoutsOf, MOST_RIDES, versionsOf, WIND_WORDS } from '@june-tide/core/record';
import { POUND_kg } from '@june-tide/core/units';
import { FELT_WORDS } from '../../../../parts/rideWords.ts';
import {
  optionsOf,
  STANCE_WORDS,
  STEEPNESS_WORDS,
  WAVE_POWER_WORDS,
  WAVE_SIZE_WORDS,
} from '../../../../parts/words.ts';
import { useShed } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';
import { AddPhoto } from '../../../../parts/AddPhoto.tsx';
import { Photos } from '../../../../parts/Photos.tsx';
import { AS_IT_STANDS, type RideTyped } from './useRideForm.ts';

/** A ride: which version, where, in what waves, who, and how it went in their words; never a score. */
export function RideForm({ form }: { form: RideTyped }) {
  const { record } = useBay();
  const { typed, set, refused } = form;
  const [more, setMore] = useState(false);
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
      <WhichAndHow form={form} />
      <WhereAndWho form={form} />
      <Sea form={form} />
      {more && <OnWhat form={form} />}
      <Input.TextArea
        aria-label="How it went"
        placeholder="How it went, in their words"
        rows={2}
        maxLength={4000}
        value={typed.words}
        onChange={(e) => set({ words: e.target.value })}
      />
      <div className="row-of-tools above-0">
        <Button htmlType="submit" type="primary" disabled={typed.words.trim() === '' || full}>
          Note the ride
        </Button>
        <Button type="text" aria-expanded={more} onClick={() => setMore(!more)}>
          {more ? 'Less' : 'Fins, pad, body, pictures'}
        </Button>
        {full && <span className="quiet"> {MOST_RIDES} rides are noted, as many as one board can have.</span>}
      </div>
      {refused && (
        <p role="alert" className="trouble">
          {refused}
        </p>
      )}
    </form>
  );
}

function WhichAndHow({ form: { typed, set, version, choose } }: { form: RideTyped }) {
  const { record } = useBay();
  return (
    <div className="row-of-tools above-0">
      <Select
        aria-label="Which was ridden"
        size="small"
        className="fit-176"
        value={version}
        onChange={choose}
        options={[
          { value: AS_IT_STANDS, label: 'as it stands now' },
          ...[...versionsOf(record)].reverse().map(({ id, no }) => ({ value: id, label: `version ${no}` })),
        ]}
      />
      <Segmented<Felt | 'none'>
        aria-label="Against the board before"
        size="small"
        value={typed.felt ?? 'none'}
        options={[
          { value: 'none', label: 'not said' },
          ...Object.entries(FELT_WORDS).map(([value, label]) => ({ value: value as Felt, label })),
        ]}
        onChange={(felt) => set({ felt: felt === 'none' ? undefined : felt })}
      />
    </div>
  );
}

function WhereAndWho({ form: { typed, set } }: { form: RideTyped }) {
  const { rider } = useBay();
  const riders = useShed((shed) => shed.riders);
  const names = Object.values(riders)
    .map(({ name }) => name)
    .sort((a, b) => a.localeCompare(b));
  return (
    <div className="in-a-row where">
      <Input
        aria-label="Waves"
        placeholder="Waves: chest high"
        value={typed.waves}
        maxLength={200}
        onChange={(e) => set({ waves: e.target.value })}
      />
      <Input
        aria-label="Place"
        placeholder="Where"
        value={typed.place}
        maxLength={120}
        onChange={(e) => set({ place: e.target.value })}
      />
      <AutoComplete
        aria-label="Who rode it"
        placeholder={rider ? rider.name : 'Who rode it'}
        value={typed.rider}
        maxLength={80}
        options={names.map((value) => ({ value }))}
        showSearch={{
          filterOption: (text, option) => option?.value.toLowerCase().includes(text.toLowerCase()) ?? false,
        }}
        onChange={(name: string) => set({ rider: name })}
      />
    </div>
  );
}

/** The waves by the words the shop asks by. */
function Sea({ form: { typed, set } }: { form: RideTyped }) {
  return (
    <div className="in-a-row sea">
      <Select
        aria-label="Wave size"
        size="small"
        allowClear
        placeholder="Size"
        value={typed.size}
        options={optionsOf(WAVE_SIZE_WORDS)}
        onChange={(size) => set({ size })}
      />
      <Select
        aria-label="Wave power"
        size="small"
        allowClear
        placeholder="Power"
        value={typed.power}
        options={optionsOf(WAVE_POWER_WORDS)}
        onChange={(power) => set({ power })}
      />
      <Select
        aria-label="Wave shape"
        size="small"
        allowClear
        placeholder="Shape"
        value={typed.steepness}
        options={optionsOf(STEEPNESS_WORDS)}
        onChange={(steepness) => set({ steepness })}
      />
      <Select
        aria-label="Wind"
        size="small"
        allowClear
        placeholder="Wind"
        value={typed.wind}
        options={optionsOf(WIND_WORDS)}
        onChange={(wind) => set({ wind })}
      />
    </div>
  );
}

/** What was under the feet and who stood on it that day. */
function OnWhat({ form: { typed, set, card, fitted } }: { form: RideTyped }) {
  const { record } = useBay();
  const unit = useShed((shed) => shed.settings.massUnit);
  const layouts = layoutsOf(record);
  const a = unit === 'kg' ? 1 : POUND_kg;
  const mass = typed.mass_kg ?? card?.mass_kg;
  return (
    <>
      <div className="in-a-row">
        {layouts.length > 0 && (
          <Select
            aria-label="Fin layout"
            size="small"
            value={typed.layout ?? fitted ?? null}
            placeholder="Fin layout"
            options={layouts.map(({ name }) => ({ value: name, label: name }))}
            onChange={(layout) => set({ layout })}
          />
        )}
        <Input
          aria-label="Fins"
          size="small"
          placeholder="Fins it had"
          maxLength={200}
          value={typed.fins}
          onChange={(e) => set({ fins: e.target.value })}
        />
        <Input
          aria-label="Pad"
          size="small"
          placeholder="Pad, and where"
          maxLength={120}
          value={typed.pad}
          onChange={(e) => set({ pad: e.target.value })}
        />
      </div>
      <div className="in-a-row">
        <Select
          aria-label="Stance that day"
          size="small"
          placeholder="Stance that day"
          value={typed.stance ?? card?.stance ?? null}
          options={optionsOf(STANCE_WORDS)}
          onChange={(stance) => set({ stance })}
        />
        <InputNumber
          aria-label="Weight that day"
          size="small"
          min={20 / a}
          max={250 / a}
          precision={0}
          suffix={unit}
          placeholder="Weight"
          value={mass === undefined ? null : mass / a}
          onChange={(value) => set({ mass_kg: value === null ? undefined : Number(value) * a })}
        />
        <AddPhoto
          of={record.id}
          what="Picture of the ride"
          kept={typed.photos}
          add={(id) => set({ photos: [...typed.photos, id] })}
        />
      </div>
      <Photos ids={typed.photos} />
    </>
  );
}
