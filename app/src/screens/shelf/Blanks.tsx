import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { type Blank, type Foam, FOAM_WORDS, FOAMS, usualShelf } from '@june-tide/core/make';
import { Measure } from '../../parts/Measure.tsx';
import { money } from '../../parts/money.ts';
import { ShelfFiles } from '../../parts/ShelfFiles.tsx';
import { useDone } from '../../parts/useDone.tsx';
import { Term } from '../../parts/Term.tsx';
import { takenFor } from '../../store/derived.ts';
import { changeShelf, useShed } from '../../store/shed.ts';
import { BlankForm } from './BlankForm.tsx';

/** Every blank of the shelf: found, changed, added, taken off. */
export function Blanks() {
  const shelf = useShed((shed) => shed.shelf);
  const records = useShed((shed) => shed.records);
  const [find, setFind] = useState('');
  const [foam, setFoam] = useState<Foam | 'all'>('all');
  const [openId, setOpenId] = useState<string>();
  const { say, refuse, holder } = useDone();
  const words = find.trim().toLowerCase();
  const shown = shelf
    .filter((blank) => (foam === 'all' || blank.foam === foam) && blank.name.toLowerCase().includes(words))
    .sort((a, b) => a.length_mm - b.length_mm || a.foam.localeCompare(b.foam) || a.id.localeCompare(b.id));
  const open = shelf.find(({ id }) => id === openId);

  const add = () => {
    const like = open ?? shown[0] ?? usualShelf()[4];
    const blank: Blank = { ...like, id: crypto.randomUUID(), name: `${like.name} new`.slice(0, 60), stock: 1 };
    const added = changeShelf({ put: [blank] });
    if (added.ok) setOpenId(blank.id);
    else refuse(added.issues[0].words);
  };
  const takeOff = (blank: Blank) => {
    const off = changeShelf({ gone: [blank.id] });
    setOpenId(undefined);
    if (off.ok) say({ words: `${blank.name} is off the shelf.`, back: off.back });
  };

  return (
    <section aria-label="Blanks" className="shelf-part">
      {holder}
      <div className="row-of-tools">
        <Input
          aria-label="Find a blank"
          placeholder="Find a blank"
          allowClear
          className="fit-176"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
        <Select<Foam | 'all'>
          aria-label="Foam"
          className="fit-150"
          value={foam}
          onChange={setFoam}
          options={[
            { value: 'all' as const, label: 'Every foam' },
            ...FOAMS.map((value) => ({ value, label: FOAM_WORDS[value] })),
          ]}
        />
        <Button type="primary" onClick={add}>
          Add a blank
        </Button>
        <ShelfFiles />
        <span className="quiet">
          {shown.length} of {shelf.length}, {shelf.reduce((sum, { stock }) => sum + stock, 0)} in stock
        </span>
      </div>
      <div className="scrolls">
        <table className="marks" aria-label="The shelf">
          <thead>
            <BlankHead />
          </thead>
          <tbody>
            {shown.map((blank) => (
              <BlankRow
                key={blank.id}
                blank={blank}
                held={blank.id === openId}
                taken={takenFor(blank.id, records)}
                onOpen={() => setOpenId(blank.id)}
              />
            ))}
          </tbody>
        </table>
        {shown.length === 0 && <p className="quiet">No blank answers to that. Clear the search, or add one.</p>}
      </div>
      {open && (
        <BlankForm key={open.id} blank={open} onClose={() => setOpenId(undefined)} onTakeOff={() => takeOff(open)} />
      )}
    </section>
  );
}

function BlankHead() {
  return (
    <tr>
      <th scope="col">
        <Term of="blank" />
      </th>
      <th scope="col">Foam</th>
      <th scope="col" className="num">
        Length
      </th>
      <th scope="col" className="num">
        Width
      </th>
      <th scope="col" className="num">
        Thick
      </th>
      <th scope="col" className="num">
        <Term of="lift">Nose lift</Term>
      </th>
      <th scope="col" className="num">
        <Term of="lift">Tail lift</Term>
      </th>
      <th scope="col" className="num">
        <Term of="stringer" />
      </th>
      <th scope="col" className="num">
        In stock
      </th>
      <th scope="col" className="num">
        Price
      </th>
      <th scope="col">
        <span className="visually-hidden">Change</span>
      </th>
    </tr>
  );
}

interface BlankRowProps {
  blank: Blank;
  held: boolean;
  /** How many of them boards of the rack are cut from. */
  taken: number;
  onOpen: () => void;
}

function BlankRow({ blank, held, taken, onOpen }: BlankRowProps) {
  const { currency } = useShed((shed) => shed.settings.workshop.prices);
  return (
    <tr className={held ? 'held' : ''}>
      <th scope="row">{blank.name}</th>
      <td>{FOAM_WORDS[blank.foam]}</td>
      <td className="num">
        <Measure mm={blank.length_mm} feet />
      </td>
      <td className="num">
        <Measure mm={blank.width_mm} />
      </td>
      <td className="num">
        <Measure mm={blank.thickness_mm} />
      </td>
      <td className="num">
        <Measure mm={blank.noseLift_mm} />
      </td>
      <td className="num">
        <Measure mm={blank.tailLift_mm} />
      </td>
      <td className="num">{blank.stringer_mm === 0 ? 'none' : `${Number(blank.stringer_mm.toFixed(1))} mm`}</td>
      <td className="num">
        {blank.stock}
        {taken > 0 && <span className="quiet">, {taken} taken</span>}
      </td>
      <td className="num">{blank.price === undefined ? '' : money(blank.price, currency)}</td>
      <td>
        <Button size="small" aria-label={`Change ${blank.name}, ${FOAM_WORDS[blank.foam]}`} onClick={onOpen}>
          Change
        </Button>
      </td>
    </tr>
  );
}
