import { Button, Select } from 'antd';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { type Board, FAMILIES, type Family, FAMILY_WORDS } from '@june-tide/core/document';
import { models } from '@june-tide/core/models';
import type { BoardRecord } from '@june-tide/core/record';
import { familiesFor, litresFor, type Rider } from '@june-tide/core/rider';
import { formatLitres, formatMass } from '@june-tide/core/units';
import { arrowsAmong } from '../../parts/arrowsAmong.ts';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { Measure } from '../../parts/Measure.tsx';
import { RiderForm } from '../../parts/RiderForm.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { measuresFor } from '../../store/derived.ts';
import { addBoard, entryOf, keepRider, useShed } from '../../store/shed.ts';
import { ABILITY_WORDS, FIT_WORDS, STANCE_WORDS, WAVE_POWER_WORDS, WAVE_SIZE_WORDS } from '../../parts/words.ts';

/** What a board can begin as: one of our models, or a board the rider has. */
interface Beginning {
  key: string;
  board: Board;
  name: string;
  kind: string;
}

/** Beginnings of one kind, with what that kind is for. */
interface Shelf {
  key: string;
  title: string;
  why: string;
  beginnings: Beginning[];
}

/** What each kind is made for, in a line. Common practice, no source. */
const MADE_FOR: Readonly<Record<Family, string>> = {
  shortboard: 'quick turns in waves with some push',
  fish: 'speed in soft and small waves',
  twin: 'fast and loose, across the face',
  midLength: 'early into the wave, long easy lines',
  longboard: 'trim, glide and the walk to the nose',
  gun: 'waves well overhead: paddle, drop and hold',
};

const MODELS: readonly Board[] = [...models()].sort((a, b) => a.length_mm - b.length_mm);

/** Kinds in the order that suits the rider's waves, the likely ones first, each with why; else the order of the trade. */
function shelvesFor(rider: Rider | undefined): Shelf[] {
  const fits = rider ? familiesFor(rider.waves) : undefined;
  const order = fits ? fits.map(({ family }) => family) : FAMILIES;
  return order.map((family) => {
    const fit = fits?.find((entry) => entry.family === family);
    const known = fit && rider ? `; for ${rider.name}’s waves ${FIT_WORDS[fit.fit]}: ${fit.why}` : '';
    return {
      key: family,
      title: FAMILY_WORDS[family],
      why: `${MADE_FOR[family]}${known}`,
      beginnings: MODELS.filter((board) => board.family === family).map((board) => ({
        key: board.name,
        board,
        name: board.name,
        kind: FAMILY_WORDS[family],
      })),
    };
  });
}

/** The rider's own boards, the last one first. */
function boardsOf(records: Readonly<Record<string, BoardRecord>>, rider: Rider | undefined): Shelf[] {
  if (!rider) return [];
  const theirs = Object.values(records)
    .filter((record) => record.riderId === rider.id)
    .sort((a, b) => Date.parse(b.updatedAt) - Date.parse(a.updatedAt))
    .map(({ id, board, number }, i) => ({
      key: id,
      board,
      name: `${board.name} ${number}`,
      kind: i === 0 ? 'their last board' : 'their board',
    }));
  if (theirs.length === 0) return [];
  return [
    { key: 'theirs', title: `${rider.name}’s boards`, why: 'one changed a little is the surest', beginnings: theirs },
  ];
}

/** Pixels a mm: the longest of our boards fits its card. */
const SCALE = 0.0745;
const CARD = { wide: 58, tall: 240 };

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
  const shelves = [...boardsOf(records, rider), ...shelvesFor(rider)];
  const model = shelves.flatMap(({ beginnings }) => beginnings).find((beginning) => beginning.key === chosen);
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
          <div role="radiogroup" aria-label="Models" className="model-shelves" onKeyDown={arrowsAmong(true)}>
            {shelves.map(({ key, title, why, beginnings }) => (
              <div key={key} className="model-shelf">
                <h2>
                  {title.replace(/^./, (c) => c.toUpperCase())} <small className="quiet">{why}</small>
                </h2>
                <div className="model-row">
                  {beginnings.map((beginning) => (
                    <ModelCard
                      key={beginning.key}
                      beginning={beginning}
                      chosen={chosen === beginning.key}
                      tabbed={beginning.key === (chosen ?? shelves[0].beginnings[0].key)}
                      onChoose={() => setChosen(beginning.key)}
                    />
                  ))}
                </div>
              </div>
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
  /** Tab comes to it; to the others the arrows do. */
  tabbed: boolean;
  onChoose: () => void;
}

function ModelCard({ beginning: { board, name, kind }, chosen, tabbed, onChoose }: ModelCardProps) {
  // A model's kind is the heading over it.
  const own = kind !== FAMILY_WORDS[board.family];
  const height = Math.min(CARD.tall, board.length_mm * SCALE + 8);
  return (
    <button
      type="button"
      role="radio"
      aria-checked={chosen}
      tabIndex={tabbed ? 0 : -1}
      className="model"
      onClick={onChoose}
    >
      <svg
        width={CARD.wide}
        height={height}
        viewBox={`${-CARD.wide / 2} ${4 - height} ${CARD.wide} ${height}`}
        aria-hidden="true"
      >
        <FoamGradient />
        <BoardPlan board={board} scale={SCALE} />
      </svg>
      <span className="said">
        <b>{name}</b>
        <span className={own ? 'quiet' : 'visually-hidden'}>{kind}</span>
        <span className="size">
          <Measure mm={board.length_mm} feet /> × <Measure mm={board.outline.width_mm} />
          <span>{formatLitres(measuresFor(board).volume_L)}</span>
        </span>
        {board.notes && <span className="why">{board.notes}</span>}
      </span>
    </button>
  );
}
