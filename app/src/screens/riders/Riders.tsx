import { Button, Input } from 'antd';
import { useState } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import type { BoardRecord } from '@june-tide/core/record';
import { formatMass } from '@june-tide/core/units';
import { RiderForm } from '../../parts/RiderForm.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { useDone } from '../../parts/useDone.tsx';
import { entryOf, keepRider, removeRider, useShed } from '../../store/shed.ts';
import { RiderCard } from './RiderCard.tsx';

/** Everyone the shop makes boards for. Private: it stays in this browser. */
export function Riders() {
  const { id } = useParams();
  const riders = useShed((shed) => shed.riders);
  const records = useShed((shed) => shed.records);
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const [find, setFind] = useState('');
  const [form, setForm] = useState<'new' | 'change'>();
  const navigate = useNavigate();
  const { say, holder } = useDone();
  const words = find.trim().toLowerCase();
  const shown = Object.values(riders)
    .filter(({ name }) => name.toLowerCase().includes(words))
    .sort((a, b) => a.name.localeCompare(b.name));
  // Nobody picked: whose board was worked on last, else the first there is.
  const rider = entryOf(riders, id ?? lastWorkedFor(Object.values(records), riders) ?? shown[0]?.id ?? '');
  const boards = (riderId: string) => Object.values(records).filter((record) => record.riderId === riderId).length;
  return (
    <div className="page">
      <TopBar />
      <main className={id === undefined ? 'riders' : 'riders picked'}>
        {holder}
        <section aria-label="Riders" className="riders-list">
          <h1>Riders</h1>
          <div className="row-of-tools">
            <Input
              aria-label="Find a rider"
              placeholder="Find a rider"
              allowClear
              className="grow"
              value={find}
              onChange={(event) => setFind(event.target.value)}
            />
            <Button type="primary" onClick={() => setForm('new')}>
              New rider
            </Button>
          </div>
          <nav aria-label="All riders">
            {shown.map((entry) => (
              <NavLink
                key={entry.id}
                to={`/riders/${entry.id}`}
                className={({ isActive }) => (isActive || entry.id === rider?.id ? 'active' : '')}
                onClick={() => setForm(undefined)}
              >
                <b>{entry.name}</b>
                <span className="quiet">
                  {formatMass(entry.mass_kg, massUnit)}, {boards(entry.id)}{' '}
                  {boards(entry.id) === 1 ? 'board' : 'boards'}
                </span>
              </NavLink>
            ))}
          </nav>
          {shown.length === 0 && (
            <p className="quiet">{find ? 'Nobody of that name.' : 'Nobody yet. Begin with a new rider.'}</p>
          )}
          <p className="quiet">
            Weight, age and ability are private: they stay in this browser, and no board file has them.
          </p>
        </section>
        <section aria-label="Rider’s card" className="rider-card">
          {form === 'new' || (form === 'change' && rider) ? (
            <RiderForm
              key={form === 'new' ? 'new' : rider?.id}
              {...(form === 'change' && rider ? { rider } : {})}
              onKeep={(kept) => {
                const result = keepRider(kept);
                if (!result.ok) return result;
                setForm(undefined);
                void navigate(`/riders/${kept.id}`);
                return result;
              }}
              onCancel={() => setForm(undefined)}
            />
          ) : rider ? (
            <RiderCard
              key={rider.id}
              rider={rider}
              onChange={() => setForm('change')}
              onRemove={() => {
                const back = removeRider(rider.id);
                say({ words: `${rider.name}’s card is put away; the boards stay.`, back });
                void navigate('/riders');
              }}
            />
          ) : (
            <p className="quiet above-60">
              {id === undefined
                ? 'A rider’s card keeps their boards, what changed from one to the next and how it went. Begin with a new rider.'
                : 'This rider has no card here.'}
            </p>
          )}
        </section>
      </main>
    </div>
  );
}

/** The rider whose board was worked on last. */
function lastWorkedFor(records: readonly BoardRecord[], riders: Readonly<Record<string, unknown>>): string | undefined {
  let last: BoardRecord | undefined;
  for (const record of records) {
    if (record.riderId === null || !Object.hasOwn(riders, record.riderId)) continue;
    if (!last || record.updatedAt > last.updatedAt) last = record;
  }
  return last?.riderId ?? undefined;
}
