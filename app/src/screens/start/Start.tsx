import { Button, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { FAMILIES, FAMILY_WORDS, formatLitres, formatMass, litresFor, models } from '@june-tide/core';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { Measure } from '../../parts/Measure.tsx';
import { RiderForm } from '../../parts/RiderForm.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { measuresFor } from '../../store/derived.ts';
import { addBoard, keepRider, useShed } from '../../store/shed.ts';
import { ABILITY_WORDS, STANCE_WORDS, WAVE_POWER_WORDS, WAVE_SIZE_WORDS } from '../../parts/words.ts';

/** The brief in its shortest form: who it is for, and which of our models it begins as. */
export function Start() {
  const riders = useShed((shed) => shed.riders);
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const [riderId, setRiderId] = useState<string>();
  const [adding, setAdding] = useState(false);
  const [modelName, setModelName] = useState<string>();
  const navigate = useNavigate();
  const rider = riderId === undefined ? undefined : riders[riderId];
  const lined = [...models()].sort(
    (a, b) => FAMILIES.indexOf(a.family) - FAMILIES.indexOf(b.family) || a.length_mm - b.length_mm,
  );
  const model = models().find((board) => board.name === modelName);
  const target = rider && model && litresFor(rider, model.family);
  const scale = 176 / 2900;

  return (
    <div className="page">
      <TopBar />
      <main className="start">
        <section aria-label="Rider">
          <h1>1. Who is it for?</h1>
          {adding ? (
            <RiderForm
              onKeep={(kept) => {
                keepRider(kept);
                setRiderId(kept.id);
                setAdding(false);
              }}
              onCancel={() => setAdding(false)}
            />
          ) : (
            <>
              <div style={{ display: 'flex', gap: 8, marginBottom: 12 }}>
                <Select
                  aria-label="Rider"
                  showSearch
                  optionFilterProp="label"
                  placeholder="Choose a rider"
                  style={{ flex: 1 }}
                  value={riderId ?? null}
                  onChange={setRiderId}
                  options={Object.values(riders)
                    .sort((a, b) => a.name.localeCompare(b.name))
                    .map((r) => ({ value: r.id, label: `${r.name}, ${formatMass(r.mass_kg, massUnit)}` }))}
                />
                <Button onClick={() => setAdding(true)}>New rider</Button>
              </div>
              {rider && (
                <ul className="plain-list">
                  <li>
                    {formatMass(rider.mass_kg, massUnit)}, <Measure mm={rider.height_mm} feet />, {rider.age} years old
                  </li>
                  <li>{ABILITY_WORDS[rider.ability]}</li>
                  <li>
                    Surfs {rider.surfsAWeek} {rider.surfsAWeek === 1 ? 'time' : 'times'} a week.{' '}
                    {STANCE_WORDS[rider.stance]}.
                  </li>
                  <li>
                    {WAVE_SIZE_WORDS[rider.waves.size]}, {WAVE_POWER_WORDS[rider.waves.power].toLowerCase()} waves
                  </li>
                </ul>
              )}
            </>
          )}
        </section>
        <section aria-label="Model">
          <h1>2. Which model does it begin as?</h1>
          <div className="model-row" role="radiogroup" aria-label="Models">
            {lined.map((board) => (
              <button
                key={board.name}
                type="button"
                role="radio"
                aria-checked={modelName === board.name}
                className="model"
                title={board.notes}
                onClick={() => setModelName(board.name)}
              >
                <svg width={60} height={186} viewBox="-30 -182 60 186" aria-hidden="true">
                  <FoamGradient />
                  <BoardPlan board={board} scale={scale} />
                </svg>
                <b>{board.name}</b>
                <span className="quiet">{FAMILY_WORDS[board.family]}</span>
                <span className="size">
                  <Measure mm={board.length_mm} feet />
                  <span>{formatLitres(measuresFor(board).volume_L)}</span>
                </span>
              </button>
            ))}
          </div>
          <div className="start-foot">
            <div aria-live="polite">
              {target && model ? (
                <p className="sentence" data-testid="target-sentence">
                  <b>
                    {formatLitres(target.target_L)} for {rider.name}.
                  </b>{' '}
                  {target.sentence} {model.name} as it stands has {formatLitres(measuresFor(model).volume_L)}.
                </p>
              ) : (
                <p className="quiet">Choose a rider and a model: the litres to aim for appear here, with the sum.</p>
              )}
            </div>
            <Button
              type="primary"
              size="large"
              disabled={!model}
              onClick={() => {
                if (model) void navigate(`/bay/${addBoard(model, riderId ?? null)}/outline`);
              }}
            >
              {rider && model
                ? `Start ${model.name} for ${rider.name}`
                : model
                  ? `Start ${model.name} without a rider`
                  : 'Start the board'}
            </Button>
          </div>
        </section>
      </main>
    </div>
  );
}
