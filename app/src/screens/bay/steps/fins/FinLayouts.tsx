import { Button, Drawer, Input, Select } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import { useState } from 'react';
import { FIN_SETUPS, type FinBox, type FinSetup } from '@june-tide/core/document';
import { SETUP_WORDS } from '@june-tide/core/fins';
import {
  BOX_KINDS,
  BOX_WORDS,
  type BoxKind,
  boxesApart,
  layoutsOf,
  slide_mm,
  USUAL_BOX_mm,
} from '@june-tide/core/record';
import { LengthField } from '../../../../parts/LengthField.tsx';
import { Measure } from '../../../../parts/Measure.tsx';
import {
  addLayout,
  cutBox,
  dropLayout,
  type EditResult,
  fitLayout,
  keepLayout,
  nameLayout,
} from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';
import { FinDrawer } from './FinDrawer.tsx';

const ROLE_WORDS = { centre: 'Centre', front: 'Front pair', rear: 'Rear pair' } as const;
const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

/** Layouts of one board side by side, the boxes they stand in, and the shop's own fins. */
export function FinLayouts() {
  const { record } = useBay();
  const [open, setOpen] = useState(false);
  const fitted = layoutsOf(record).find(({ id }) => id === record.fitted)?.name;
  return (
    <>
      <Button size="small" aria-label="Layouts, boxes and own fins" onClick={() => setOpen(true)}>
        {fitted ?? 'Layouts'}
      </Button>
      <Drawer
        title="Layouts, boxes and own fins"
        open={open}
        onClose={() => setOpen(false)}
        mask={false}
        size={420}
        destroyOnHidden
      >
        <Layouts />
        <Boxes />
        <FinDrawer />
      </Drawer>
    </>
  );
}

function Layouts() {
  const { record } = useBay();
  const [refused, setRefused] = useState<string>();
  const done = (result: EditResult) => setRefused(result.ok ? undefined : result.issues[0]?.words);
  const layouts = layoutsOf(record);
  const apart = boxesApart(record);
  return (
    <section aria-label="Layouts">
      <h3>Layouts</h3>
      {layouts.length === 0 && (
        <p className="quiet above-0">
          One set of boxes can hold several: each layout keeps its fins and where they stand, and one is fitted.
        </p>
      )}
      <ul className="plain-list">
        {layouts.map(({ id, name, fins }) => {
          const here = id === record.fitted;
          return (
            <li key={id} className="row-of-tools above-0">
              <Input
                key={name}
                aria-label={`Name of layout ${name}`}
                size="small"
                className="fit-150"
                maxLength={60}
                defaultValue={name}
                onBlur={(event) => {
                  const next = event.target.value.trim();
                  if (next !== '' && next !== name) done(nameLayout(record.id, id, next));
                }}
              />
              <span className="quiet">{SETUP_WORDS[fins.setup]}</span>
              {here ? (
                <b>fitted</b>
              ) : (
                <Button size="small" aria-label={`Fit ${name}`} onClick={() => done(fitLayout(record.id, id))}>
                  Fit it
                </Button>
              )}
              <Button
                type="text"
                size="small"
                aria-label={`Take layout ${name} off`}
                icon={<CloseOutlined aria-hidden />}
                onClick={() => done(dropLayout(record.id, id))}
              />
            </li>
          );
        })}
      </ul>
      <div className="row-of-tools">
        <Select<FinSetup | null>
          aria-label="Another layout"
          size="small"
          className="fit-176"
          value={null}
          placeholder="Another layout"
          options={FIN_SETUPS.map((value) => ({ value, label: capital(SETUP_WORDS[value]) }))}
          onChange={(setup) => setup && done(addLayout(record.id, setup))}
        />
        {record.fitted === undefined && (
          <Button
            size="small"
            onClick={() => done(keepLayout(record.id, capital(SETUP_WORDS[record.board.fins.setup])))}
          >
            Keep these fins as one
          </Button>
        )}
      </div>
      {refused && (
        <p role="alert" className="trouble">
          {refused}
        </p>
      )}
      {apart.map(({ one, other, role, along_mm, across_mm }, i) => (
        <p key={i} role="status" className="trouble">
          {ROLE_WORDS[role]}: {one} and {other} have it <Measure mm={Math.max(along_mm, across_mm)} /> apart, but a box
          is cut once.
        </p>
      ))}
    </section>
  );
}

/** What is cut for each role, and how far its fin slides in it. */
function Boxes() {
  const { record } = useBay();
  const { boxes } = record.board.fins;
  const roles = [...new Set(boxes.map(({ role }) => role))];
  return (
    <section aria-label="Boxes" className="above-8">
      <h3>Boxes</h3>
      {roles.map((role) => (
        <Box key={role} role={role} fin={boxes.find((box) => box.role === role)!} />
      ))}
    </section>
  );
}

function Box({ role, fin }: { role: FinBox['role']; fin: FinBox }) {
  const { record } = useBay();
  const box = record.finBoxes?.find((entry) => entry.role === role);
  const name = ROLE_WORDS[role];
  const slides = box ? slide_mm(box, fin.template.base_mm) : 0;
  return (
    <div className="row-of-tools">
      <span className="fit-76">{name}</span>
      <Select<BoxKind | 'none'>
        aria-label={`Box of the ${name.toLowerCase()}`}
        size="small"
        className="fit-176"
        value={box?.kind ?? 'none'}
        options={[
          { value: 'none', label: 'Not said' },
          ...BOX_KINDS.map((value) => ({ value, label: capital(BOX_WORDS[value]) })),
        ]}
        onChange={(kind) =>
          cutBox(record.id, role, kind === 'none' ? undefined : { kind, length_mm: USUAL_BOX_mm[kind] })
        }
      />
      {box && box.kind !== 'glassedOn' && (
        <LengthField
          small
          label={`Slot of the ${name.toLowerCase()}`}
          value_mm={box.length_mm}
          onChange={(length_mm) => cutBox(record.id, role, { kind: box.kind, length_mm })}
        />
      )}
      {slides > 0 && (
        <span className="quiet">
          slides <Measure mm={slides} />
        </span>
      )}
      {slides < 0 && (
        <span className="trouble" role="status">
          base <Measure mm={-slides} /> too long
        </span>
      )}
    </div>
  );
}
