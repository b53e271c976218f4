import { Button, Input, InputNumber } from 'antd';
import { memo, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { changesSentence } from '@june-tide/core/edit';
import { changeWords } from '@june-tide/core/measure';
import { cutVersion, type Felt, layoutsOf, type Ride, type Version, versionsOf } from '@june-tide/core/record';
import { formatLitres, formatMass } from '@june-tide/core/units';
import { BoardPlan, FoamGradient } from '../../../../parts/BoardPlan.tsx';
import { dateWords } from '../../../../parts/days.ts';
import { FELT_WORDS, rideWords } from '../../../../parts/rideWords.ts';
import { BuiltText, Measure, useLengthStyle } from '../../../../parts/Measure.tsx';
import { measuresFor } from '../../../../store/derived.ts';
import { useDraft } from '../../../../parts/useDraft.ts';
import { branchFrom, type EditResult, freeze, goBackTo, thaw, useShed } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';
import { Photos } from '../../../../parts/Photos.tsx';

/** The longest board stands so high beside its words, px. */
const TALL_px = 62;

/** Rides of before there were versions stand under this. */
const BEFORE = 'before';

/**
 * All a board has been, standing in a row, the last first; under them the one that is open: what was changed, the rides on
 * it, what can be done with it. Rides of before there were any stand at the end.
 */
export function Versions({ refuse }: { refuse: (words: string | undefined) => void }) {
  const { record } = useBay();
  const versions = versionsOf(record);
  const cut = cutVersion(record);
  const known = new Set(versions.map(({ id }) => id));
  const before = record.rides.filter(({ version }) => version === undefined || !known.has(version));
  const [opened, setOpened] = useState<{ id: string; of: number }>();
  const longest = Math.max(...versions.map(({ board }) => board.length_mm), 1);
  const done = (result: EditResult) => refuse(result.ok ? undefined : result.issues[0]?.words);
  if (versions.length === 0 && before.length === 0)
    return (
      <p className="quiet">
        Nothing noted yet. After the first ride, write down what they say before you change anything.
      </p>
    );
  // A version made since is the one to look at.
  const open = opened?.of === versions.length ? opened.id : (versions.at(-1)?.id ?? BEFORE);
  const show = (id: string) => setOpened({ id, of: versions.length });
  return (
    <ol className="plain-list versions" aria-label="Versions">
      {[...versions].reverse().map((version) => (
        <li key={version.id} data-version={version.no}>
          <Standing
            version={version}
            scale={(TALL_px - 4) / longest}
            open={open === version.id}
            felt={record.rides.find((ride) => ride.version === version.id && ride.felt)?.felt}
            show={() => show(version.id)}
          />
          <div hidden={open !== version.id}>
            <Said
              version={version}
              from={versions.find(({ id }) => id === version.from)}
              working={record.from === version.id}
            />
            {version.id === cut?.id && <AsBuilt version={version} />}
            <Rides rides={record.rides.filter((ride) => ride.version === version.id)} />
            <Acts version={version} working={record.from === version.id} done={done} />
          </div>
        </li>
      ))}
      {before.length > 0 && (
        <li data-version={BEFORE}>
          {versions.length > 0 && (
            <button type="button" className="standing" aria-expanded={open === BEFORE} onClick={() => show(BEFORE)}>
              before
            </button>
          )}
          <div hidden={open !== BEFORE}>
            {versions.length > 0 && <p className="quiet above-0 below-2">Before versions were made</p>}
            <Rides rides={before} />
          </div>
        </li>
      )}
    </ol>
  );
}

interface StandingProps {
  version: Version;
  scale: number;
  open: boolean;
  felt: Felt | undefined;
  show: () => void;
}

/** A version as it stands in the row: its plan, its number, and whether it went better than the one before. */
function Standing({ version: { no, board, frozen, on }, scale, open, felt, show }: StandingProps) {
  const words = [`Version ${no}`, dateWords(on), felt && FELT_WORDS[felt], frozen && 'the winner'];
  return (
    <button
      type="button"
      className="standing"
      aria-expanded={open}
      aria-label={words.filter(Boolean).join(', ')}
      onClick={show}
    >
      <svg width={26} height={TALL_px} aria-hidden="true">
        <FoamGradient />
        <g transform={`translate(13 ${TALL_px - 2})`}>
          <BoardPlan board={board} scale={scale} {...(frozen ? { stroke: 'var(--coral)' } : {})} />
        </g>
      </svg>
      <b className={felt ? `felt ${felt}` : ''}>{no}</b>
    </button>
  );
}

/** Number, day, reason, what was changed, and the sizes. */
const Said = memo(function Said({
  version,
  from,
  working,
}: {
  version: Version;
  from: Version | undefined;
  working: boolean;
}) {
  const style = useLengthStyle();
  const { board } = version;
  const m = measuresFor(board);
  const changed = useMemo(() => from && changesSentence(from.board, board, style), [from, board, style]);
  return (
    <>
      <p className="above-0 below-2">
        <b>{version.no}</b>{' '}
        <span className="quiet">
          {dateWords(version.on)}
          {working && ', worked on from here'}
        </span>{' '}
        <Measure mm={m.length_mm} feet /> × <Measure mm={m.width_mm} /> × <Measure mm={m.thickness_mm} />,{' '}
        {formatLitres(m.volume_L)}
      </p>
      {version.why && <p className="serif above-0 below-2">{version.why}</p>}
      {from && changed && (
        <p className="above-0 below-2" data-testid="version-changed">
          <span className="quiet">Against {from.no}:</span> <BuiltText text={changed} />
        </p>
      )}
    </>
  );
});

/** What came out of the foam, where it was measured: that is what was ridden. */
function AsBuilt({ version }: { version: Version }) {
  const { shaped } = useBay().record;
  const style = useLengthStyle();
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const built = shaped?.board;
  const words = useMemo(() => built && changeWords(version.board, built, style), [built, version, style]);
  if (!shaped) return null;
  return (
    <p className="above-0 below-2" data-testid="as-built">
      <span className="quiet">Measured {dateWords(shaped.on)}:</span>{' '}
      {words ? (
        <>
          as built <BuiltText text={words.length > 0 ? words.join(', ') : 'it is as it was drawn'} />
        </>
      ) : (
        'no board was fitted to the readings yet'
      )}
      {shaped.mass_kg !== undefined && `, ${formatMass(shaped.mass_kg, massUnit, 2)}`}.
    </p>
  );
}

function Rides({ rides }: { rides: readonly Ride[] }) {
  const massUnit = useShed((shed) => shed.settings.massUnit);
  if (rides.length === 0) return null;
  return (
    <ul className="plain-list rides">
      {rides.map((ride, i) => (
        <li key={i}>
          <span className="quiet">{rideWords(ride, massUnit)}</span>
          {ride.felt && <b className={`felt ${ride.felt}`}> {FELT_WORDS[ride.felt]}</b>}
          <br />
          <span className="serif">{ride.words}</span>
          {ride.photos && <Photos ids={ride.photos} />}
        </li>
      ))}
    </ul>
  );
}

interface ActsProps {
  version: Version;
  working: boolean;
  done: (result: EditResult) => void;
}

/** What can be done with a version: seen under the board, gone back to, branched off, kept as a winner. */
function Acts({ version, working, done }: ActsProps) {
  const { record, over, layOver } = useBay();
  const navigate = useNavigate();
  const [keeping, setKeeping] = useState(false);
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const { frozen, no } = version;
  const shown = over?.choice.id === version.id;
  return (
    <>
      {frozen && (
        <p className="winner above-0 below-2">
          Winner, kept {dateWords(frozen.on)}
          {frozen.mass_kg !== undefined && `, ${formatMass(frozen.mass_kg, massUnit, 2)}`}
          {frozen.flex && `, flex ${frozen.flex}`}
          {frozen.fins && `, ${frozen.fins}`}
        </p>
      )}
      <div className="row-of-tools above-0">
        <Button
          size="small"
          aria-pressed={shown}
          aria-label={`Lay version ${no} over`}
          onClick={() =>
            layOver(
              shown
                ? undefined
                : { id: version.id, align: 'tail', push: 1, earlier: { board: version.board, name: `version ${no}` } },
            )
          }
        >
          Lay over
        </Button>
        {!working && (
          <Button
            size="small"
            aria-label={`Go back to version ${no}`}
            onClick={() => done(goBackTo(record.id, version))}
          >
            Go back
          </Button>
        )}
        {(['next', 'branch'] as const).map((kind) => (
          <Button
            key={kind}
            size="small"
            title={kind === 'next' ? 'A board of its own for the same rider' : 'A board of its own, for nobody yet'}
            aria-label={kind === 'next' ? `Next board from version ${no}` : `Branch from version ${no}`}
            onClick={() => {
              const id = branchFrom(record.id, version, kind);
              if (id !== undefined) void navigate(`/bay/${id}/outline`);
            }}
          >
            {kind === 'next' ? 'Next board' : 'Branch'}
          </Button>
        ))}
        {frozen ? (
          <Button size="small" type="text" onClick={() => done(thaw(record.id, version.id))}>
            Let it go
          </Button>
        ) : (
          <Button size="small" aria-label={`Keep version ${no} as the winner`} onClick={() => setKeeping(!keeping)}>
            Winner
          </Button>
        )}
      </div>
      {keeping && !frozen && (
        <KeepWinner
          no={no}
          onKeep={(what) => {
            done(freeze(record.id, version.id, what));
            setKeeping(false);
          }}
        />
      )}
    </>
  );
}

/** What a winner weighed, how it bends and the fins it had. */
function KeepWinner({
  no,
  onKeep,
}: {
  no: number;
  onKeep: (what: { mass_kg?: number; flex?: string; fins?: string }) => void;
}) {
  const { record } = useBay();
  const [typed, setTyped, dropTyped] = useDraft<{ mass: number | null; flex: string; fins: string }>(
    `winner:${record.id}:${no}`,
    {
      mass: record.shaped?.mass_kg ?? null,
      flex: '',
      // The layout that is fitted, until something else is typed.
      fins: layoutsOf(record).find(({ id }) => id === record.fitted)?.name ?? '',
    },
  );
  const { mass, flex, fins } = typed;
  return (
    <form
      className="row-of-tools"
      aria-label={`Winner, version ${no}`}
      onSubmit={(event) => {
        event.preventDefault();
        onKeep({
          ...(mass === null ? {} : { mass_kg: mass }),
          ...(flex.trim() === '' ? {} : { flex: flex.trim() }),
          ...(fins.trim() === '' ? {} : { fins: fins.trim() }),
        });
        dropTyped();
      }}
    >
      <InputNumber
        aria-label="Finished weight"
        size="small"
        min={0.5}
        max={30}
        step={0.05}
        suffix="kg"
        placeholder="weight"
        value={mass}
        onChange={(next) => setTyped({ ...typed, mass: next })}
      />
      <Input
        aria-label="Flex in words"
        size="small"
        className="grow"
        placeholder="flex, in words"
        maxLength={200}
        value={flex}
        onChange={(e) => setTyped({ ...typed, flex: e.target.value })}
      />
      <Input
        aria-label="Fins it had"
        size="small"
        className="grow"
        placeholder="fins it had"
        maxLength={200}
        value={fins}
        onChange={(e) => setTyped({ ...typed, fins: e.target.value })}
      />
      <Button size="small" htmlType="submit" type="primary">
        Keep it
      </Button>
    </form>
  );
}
