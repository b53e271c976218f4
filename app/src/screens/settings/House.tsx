import { Button, Input } from 'antd';
import { useState } from 'react';
import { PickFile } from '../../parts/PickFile.tsx';
import { changeSettings, type EditResult, useShed } from '../../store/shed.ts';
import { logoFrom } from './logoFrom.ts';

/** Who the shop is: on the rack and on every ticket. */
export function House() {
  const house = useShed((shed) => shed.settings.house);
  const [refused, setRefused] = useState<string>();
  const done = (result: EditResult) => setRefused(result.ok ? undefined : result.issues[0]?.words);
  const keep = (change: Partial<typeof house>) => done(changeSettings({ house: { ...house, ...change } }));
  return (
    <section className="house" aria-label="The shop">
      <h2>The shop</h2>
      <label className="labelled">
        Name
        <Input
          key={house.name}
          aria-label="Name of the shop"
          maxLength={60}
          defaultValue={house.name}
          onBlur={(event) => {
            const name = event.target.value.trim();
            if (name !== '' && name !== house.name) keep({ name });
          }}
        />
      </label>
      <label className="labelled">
        Address
        <Input
          key={`at ${house.address}`}
          aria-label="Address of the shop"
          maxLength={120}
          placeholder="One line, as on the ticket"
          defaultValue={house.address}
          onBlur={(event) => {
            const address = event.target.value.trim();
            if (address !== house.address) keep({ address });
          }}
        />
      </label>
      <div className="row-of-tools">
        {house.logo && <img src={house.logo} alt="The shop’s picture" height={40} />}
        <PickFile
          label="Picture of the shop"
          accept="image/*"
          pick={(file) =>
            void logoFrom(file).then((logo) => {
              if (logo === undefined) setRefused('That is no picture this browser can read: take a PNG, JPEG or WebP.');
              else keep({ logo });
            })
          }
        >
          {house.logo ? 'Another picture' : 'A picture of the shop’s'}
        </PickFile>
        {house.logo && (
          <Button
            type="text"
            onClick={() => {
              const { logo: _was, ...rest } = house;
              done(changeSettings({ house: rest }));
            }}
          >
            Take it off
          </Button>
        )}
      </div>
      {refused && (
        <p role="alert" className="trouble">
          {refused}
        </p>
      )}
      <p className="quiet">On the rack and at the head of every ticket, with the shop’s own number on the board.</p>
    </section>
  );
}
