import { Button, Select } from 'antd';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { type Board, FAMILIES, FAMILY_WORDS } from '@june-tide/core/document';
import { models } from '@june-tide/core/models';
import type { BoardRecord } from '@june-tide/core/record';
import { litresFor, type Rider } from '@june-tide/core/rider';
import { formatLitres, formatMass } from '@june-tide/core/units';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { Measure } from '../../parts/Measure.tsx';
import { RiderForm } from '../../parts/RiderForm.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { measuresFor } from '../../store/derived.ts';
import { addBoard, entryOf, keepRider, useShed } from '../../store/shed.ts';
import { ABILITY_WORDS, STANCE_WORDS, WAVE_POWER_WORDS, WAVE_SIZE_WORDS } from '../../parts/words.ts';

/** What a board can begin as: one of our models, or a board the rider has. */
interface Beginning {
  key: string;
  board: Board;
  name: string;
  kind: string;
}

const MODELS: readonly Beginning[] = [...models()]
  .sort((a, b) => FAMILIES.indexOf(a.family) - FAMILIES.indexOf(b.family) || a.length_mm - b.length_mm)
  .map((board) => ({ key: board.name, board, name: board.name, kind: FAMILY_WORDS[board.family] }));

/** The rider's own boards, the last one first. */
function boardsOf(records: Readonly<Record<string, BoardRecord>>, riderId: string | undefined): Beginning[] {
  if (riderId === undefined) return [];
  return Object.values(records)
    .filter((record) => record.riderId === riderId)
    .sort((a, b) => Date.parse(b.updatedAt) - Date.parse(a.updatedAt))
    .map(({ id, board, number }, i) => ({
      key: id,
      board,
      name: `${board.name} ${number}`,
      kind: i === 0 ? 'their last board' : 'their board',
    }));
}

/** Pixels a mm: the longest board fits its card. */
const SCALE = 176 / 2900;

/** The brief in its shortest form: who it is for, and which of our models it begins as. */
export function Start() {
  const riders = useShed((shed) => shed.riders);
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const [search] = useSearchParams();
  const [riderId, setRiderId] = useState<string | undefined>(search.get('rider') ?? undefined);
  const [adding, setAdding] = useState(false);
  const [chosen, setChosen] = useState<string>();
  const records = useShed((shed) => shed.records);
  const navigate = useNavigate();
  const rider = entryOf(riders, riderId);
  const beginnings = [...boardsOf(records, riderId), ...MODELS];
  const model = beginnings.find((beginning) => beginning.key === chosen);
  const target = rider && model && litresFor(rider, model.board.family);

  return (
    <div className="page">
      <TopBar />
      <main className="start">
        <section aria-label="Rider">
          <h1>1. Who is it for?</h1>
          {adding ? (
            <RiderForm
              onKeep={(kept) => {
                const result = keepRider(kept);
                if (!result.ok) return result;
                setRiderId(kept.id);
                setAdding(false);
                return result;
              }}
              onCancel={() => setAdding(false)}
            />
          ) : (
            <>
              <div className="in-a-row below-12">
                <Select
                  aria-label="Rider"
                  showSearch
                  optionFilterProp="label"
                  placeholder="Choose a rider"
                  className="grow"
                  value={riderId ?? null}
                  onChange={setRiderId}
                  options={Object.values(riders)
                    .sort((a, b) => a.name.localeCompare(b.name))
                    .map((r) => ({ value: r.id, label: `${r.name}, ${formatMass(r.mass_kg, massUnit)}` }))}
                />
                <Button onClick={() => setAdding(true)}>New rider</Button>
              </div>
              {rider && <RiderLines rider={rider} />}
            </>
          )}
        </section>
        <section aria-label="Model">
          <h1>2. What does it begin as?</h1>
          <div className="model-row" role="radiogroup" aria-label="Models">
            {beginnings.map((beginning) => (
              <ModelCard
                key={beginning.key}
                beginning={beginning}
                chosen={chosen === beginning.key}
                onChoose={() => setChosen(beginning.key)}
              />
            ))}
          </div>
          <div className="start-foot">
            <div aria-live="polite">
              {target && model ? (
                <p className="sentence" data-testid="target-sentence">
                  <b>
                    {formatLitres(target.target_L)} for {rider.name}.
                  </b>{' '}
                  {target.sentence} {model.name} as it stands has {formatLitres(measuresFor(model.board).volume_L)}.
                </p>
              ) : (
                <p className="quiet">
                  Choose a rider and a board to begin from: the litres to aim for appear here, with the sum.
                </p>
              )}
            </div>
            <Button
              type="primary"
              size="large"
              disabled={!model}
              onClick={() => {
                if (model) void navigate(`/bay/${addBoard(model.board, riderId ?? null)}/outline`);
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

/** Who it is for, in four lines. */
function RiderLines({ rider }: { rider: Rider }) {
  const massUnit = useShed((shed) => shed.settings.massUnit);
  return (
    <ul className="plain-list">
      <li>
        {formatMass(rider.mass_kg, massUnit)}, <Measure mm={rider.height_mm} feet />, {rider.age} years old
      </li>
      <li>{ABILITY_WORDS[rider.ability]}</li>
      <li>
        Surfs {rider.surfsAWeek} {rider.surfsAWeek === 1 ? 'time' : 'times'} a week. {STANCE_WORDS[rider.stance]}.
      </li>
      <li>
        {WAVE_SIZE_WORDS[rider.waves.size]}, {WAVE_POWER_WORDS[rider.waves.power].toLowerCase()} waves
      </li>
    </ul>
  );
}

interface ModelCardProps {
  beginning: Beginning;
  chosen: boolean;
  onChoose: () => void;
}

function ModelCard({ beginning: { board, name, kind }, chosen, onChoose }: ModelCardProps) {
  return (
    <button type="button" role="radio" aria-checked={chosen} className="model" title={board.notes} onClick={onChoose}>
      <svg width={60} height={186} viewBox="-30 -182 60 186" aria-hidden="true">
        <FoamGradient />
        <BoardPlan board={board} scale={SCALE} />
      </svg>
      <b>{name}</b>
      <span className="quiet">{kind}</span>
      <span className="size">
        <Measure mm={board.length_mm} feet />
        <span>{formatLitres(measuresFor(board).volume_L)}</span>
      </span>
    </button>
  );
}
