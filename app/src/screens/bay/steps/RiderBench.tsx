import { Button, Select } from 'antd';
import { useState } from 'react';
import { FAMILY_WORDS } from '@june-tide/core/document';
import { familiesFor, gentleQuestions } from '@june-tide/core/rider';
import { formatMass } from '@june-tide/core/units';
import { RiderForm } from '../../../parts/RiderForm.tsx';
import { ABILITY_WORDS, FIT_WORDS, STANCE_WORDS } from '../../../parts/words.ts';
import { lastBoardOf, wavesOf } from '../../../store/derived.ts';
import { edit, keepRider, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { BriefForm } from './BriefForm.tsx';
import { SizesSaid, SizeTable } from './SizeTable.tsx';

/** Whom the board is for, what this order asks for, and what size follows. */
export function RiderBench() {
  const { record, rider } = useBay();
  const riders = useShed((shed) => shed.riders);
  const records = useShed((shed) => shed.records);
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const [changing, setChanging] = useState<'rider' | 'new' | 'brief'>();
  const give = (riderId: string | null) => edit(record.id, 'rider', (r) => ({ ...r, riderId }));
  const waves = wavesOf(record, riders);
  const questions = rider
    ? gentleQuestions(rider, record.board.family, record.brief?.wishLitres_L, lastBoardOf(record, { records, riders }))
    : [];
  return (
    <section aria-label="Rider" className="people">
      <div className="people-left">
        <div className="head">
          <h2>Rider</h2>
          <span className="quiet">kept in this browser only</span>
        </div>
        {changing === 'brief' ? (
          <BriefForm onDone={() => setChanging(undefined)} />
        ) : changing ? (
          <RiderForm
            key={changing}
            {...(changing === 'rider' && rider ? { rider } : {})}
            onKeep={(kept) => {
              const result = keepRider(kept);
              if (!result.ok) return result;
              give(kept.id);
              setChanging(undefined);
              return result;
            }}
            onCancel={() => setChanging(undefined)}
          />
        ) : (
          <>
            <div className="row-of-tools above-0">
              <Select
                aria-label="Rider of this board"
                showSearch
                optionFilterProp="label"
                className="least-150"
                value={record.riderId ?? ''}
                onChange={(id) => give(id === '' ? null : id)}
                options={[
                  { value: '', label: 'Nobody yet' },
                  ...Object.values(riders)
                    .sort((a, b) => a.name.localeCompare(b.name))
                    .map((r) => ({ value: r.id, label: `${r.name}, ${formatMass(r.mass_kg, massUnit)}` })),
                ]}
              />
              {rider && (
                <Button size="small" onClick={() => setChanging('rider')}>
                  Change {rider.name}’s card
                </Button>
              )}
              <Button size="small" onClick={() => setChanging('new')}>
                New rider
              </Button>
              <Button size="small" onClick={() => setChanging('brief')}>
                Brief of this order
              </Button>
            </div>
            {rider && (
              <p className="quiet">
                {ABILITY_WORDS[rider.ability]}. {STANCE_WORDS[rider.stance]}. {record.brief?.purpose}
              </p>
            )}
            {questions.map((question) => (
              <div key={question.id} className="question" role="note">
                <p>{question.words}</p>
                <ul>
                  {question.answers.map(({ answer, then }) => (
                    <li key={answer}>
                      <b>{answer}:</b> {then}
                    </li>
                  ))}
                </ul>
              </div>
            ))}
            {waves && (
              <p className="families">
                {familiesFor(waves).map(({ family, fit, why }) => (
                  <span key={family} className={fit} title={why}>
                    <b>{FAMILY_WORDS[family]}</b> {FIT_WORDS[fit]}: {why}
                  </span>
                ))}
              </p>
            )}
            <SizesSaid />
          </>
        )}
      </div>
      <SizeTable />
    </section>
  );
}
