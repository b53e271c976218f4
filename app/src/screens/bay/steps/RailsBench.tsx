import { Button, Checkbox, InputNumber, Select } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Board, MOST_STATIONS, type RailStation, stationOfMark } from '@june-tide/core/document';
import { placeAt, withNewRail, withoutRail, withRail, withRailCopied, withRailEverywhere } from '@june-tide/core/edit';
import { RAIL_PRESETS, type RailPresetName, railStation } from '@june-tide/core/models';
import { railRatio } from '@june-tide/core/rails';
import { Term } from '../../../parts/Term.tsx';
import { LengthField } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { editBoard, type EditResult } from '../../../store/shed.ts';
import { PLACES, stationName } from '../stationName.ts';
import { TakePart } from './TakePart.tsx';
import { useBay } from '../useBay.ts';

const PRESET_NAMES = Object.keys(RAIL_PRESETS) as RailPresetName[];
type ChangeRail = (name: string, index: number, next: Partial<RailStation>, merge?: string) => EditResult;

/** Marks the choice of another station's rail. */
const SAME_AS = 'same:';

/** The preset a station still is, if it was not changed by hand. */
function presetOf(station: RailStation): RailPresetName | undefined {
  return PRESET_NAMES.find((name) => {
    const preset = RAIL_PRESETS[name];
    return preset.apex === station.apex && preset.fullness === station.fullness && preset.edge === station.edge;
  });
}

/** Stations along the board, each with its rail. The one at the hook is in hand. */
export function RailsBench() {
  const { record, moveHook, shape, hook_mm } = useBay();
  const { rails } = record.board;
  const style = useLengthStyle();
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const inHand = placeAt(record.board, rails.stations, hook_mm);
  const x = (station: RailStation) => stationOfMark(station, shape.anchors);
  const order = rails.stations
    .map((station, index) => ({ station, index }))
    .sort((a, b) => x(b.station) - x(a.station));
  /** The stations a change is made to: the one it was made at, and all that are ticked with it. */
  const together = (index: number) => (chosen.has(index) ? [...chosen].filter((i) => rails.stations[i]) : [index]);
  const change = (name: string, index: number, next: Partial<RailStation>, merge?: string) =>
    editBoard(
      record.id,
      together(index).length > 1
        ? `${name} at ${together(index).length} stations`
        : `${name}, ${stationName(rails.stations[index], style)}`,
      (b) => together(index).reduce((board, i) => withRail(board, i, next), b),
      merge,
    );
  const move = (index: number, at_mm: number, merge?: string) => {
    const station = rails.stations[index];
    const done = editBoard(
      record.id,
      `rail moved, ${stationName(station, style)}`,
      (b) => withRail(b, index, { at_mm }),
      merge,
    );
    moveHook(x({ ...station, at_mm }));
    return done;
  };
  const full = rails.stations.length >= MOST_STATIONS;
  return (
    <section aria-label="Rails" className="table-beside">
      <div className="head tools">
        <h2>Rails</h2>
        <span className="quiet long">deck : bottom</span>
        <span className="right">
          <TakePart />
          <Link className="gauge-link" to={`/bring/rail?board=${record.id}&at_mm=${Math.round(hook_mm)}`}>
            From a gauge or a template
          </Link>
        </span>
      </div>
      <table className="marks">
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Change together</span>
            </th>
            <th scope="col">
              <Term of="station" />
            </th>
            <th scope="col">
              <Term of="rail" />
            </th>
            <th scope="col" className="num">
              <Term of="tuck" />
            </th>
            <th scope="col">
              <span className="visually-hidden">Take off</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {order.map(({ station, index }) => (
            <RailRow
              key={index}
              station={station}
              index={index}
              others={order.filter((other) => other.index !== index)}
              inHand={index === inHand}
              ticked={chosen.has(index)}
              onTick={(on) => {
                const next = new Set(chosen);
                if (on) next.add(index);
                else next.delete(index);
                setChosen(next);
              }}
              onHold={() => moveHook(x(station))}
              change={change}
              move={move}
              takeOff={(name) => editBoard(record.id, `rail ${name} off`, (b) => withoutRail(b, index))}
            />
          ))}
        </tbody>
      </table>
      <div className="row-of-tools">
        <Button
          size="small"
          disabled={full || inHand !== undefined}
          title={full ? 'A board has no more than twelve rails' : 'What the blend gives here, to be changed by itself'}
          onClick={() => editBoard(record.id, 'new rail station', (b) => withNewRail(b, hook_mm))}
        >
          Set a rail at the hook
        </Button>
        <CopyHere full={full} taken={inHand !== undefined} order={order} />
        {inHand !== undefined && (
          <Button
            size="small"
            disabled={rails.stations.length < 2}
            onClick={() => editBoard(record.id, 'one rail all along', (b) => withRailEverywhere(b, inHand))}
          >
            All as {stationName(rails.stations[inHand], style)}
          </Button>
        )}
      </div>
      <TailEdge />
    </section>
  );
}

const percentOf = (share: number) => Math.round(share * 100);

/** The hard edge in the tail: how far, how it fades, how hard. */
function TailEdge() {
  const { record } = useBay();
  const { tailEdge } = record.board.rails;
  const edge = (name: string, change: Partial<Board['rails']['tailEdge']>, merge?: string) =>
    editBoard(
      record.id,
      name,
      (b) => ({ ...b, rails: { ...b.rails, tailEdge: { ...b.rails.tailEdge, ...change } } }),
      merge,
    );
  return (
    <div className="row-of-tools">
      <Term of="hardEdge" />
      <LengthField
        small
        label="Hard edge from the tail"
        value_mm={tailEdge.length_mm}
        onChange={(length_mm, nudge) => edge('hard edge', { length_mm }, nudge ? 'field:edge' : undefined)}
      />
      <span className="quiet">fading</span>
      <LengthField
        small
        label="Edge fading over"
        value_mm={tailEdge.fade_mm}
        onChange={(fade_mm, nudge) => edge('edge fade', { fade_mm }, nudge ? 'field:fade' : undefined)}
      />
      <label className="mini">
        hard
        <InputNumber
          size="small"
          aria-label="How hard the edge in the tail is"
          min={0}
          max={100}
          step={5}
          suffix="%"
          className="fit-62"
          value={percentOf(tailEdge.hardness)}
          onChange={(next) => {
            if (typeof next === 'number') edge('hardness of the edge', { hardness: next / 100 }, 'field:hardness');
          }}
        />
      </label>
    </div>
  );
}

interface CopyHereProps {
  full: boolean;
  taken: boolean;
  order: readonly { station: RailStation; index: number }[];
}

/** Copies the rail of another station to the hook. */
function CopyHere({ full, taken, order }: CopyHereProps) {
  const { record, hook_mm } = useBay();
  const style = useLengthStyle();
  if (taken) return null;
  return (
    <Select
      aria-label="Copy a rail to the hook"
      size="small"
      className="fit-150"
      placeholder="Copy one here"
      value={null}
      disabled={full}
      options={order.map(({ station, index }) => ({ value: index, label: stationName(station, style) }))}
      onChange={(index: number | null) => {
        if (index !== null) editBoard(record.id, 'rail copied', (b) => withRailCopied(b, index, hook_mm));
      }}
    />
  );
}

interface RailRowProps {
  station: RailStation;
  index: number;
  others: readonly { station: RailStation; index: number }[];
  inHand: boolean;
  ticked: boolean;
  onTick: (on: boolean) => void;
  onHold: () => void;
  change: ChangeRail;
  move: (index: number, at_mm: number, merge?: string) => EditResult;
  takeOff: (name: string) => void;
}

/** One station's rail: its name or its numbers, the same as another's, its tuck. */
function RailRow({ station, index, others, inHand, ticked, onTick, onHold, change, move, takeOff }: RailRowProps) {
  const style = useLengthStyle();
  const name = stationName(station, style);
  const preset = presetOf(station);
  return (
    <tr className={inHand ? 'held' : ''} onFocus={onHold}>
      <td>
        <Checkbox
          aria-label={`Change ${name} together with the others ticked`}
          checked={ticked}
          onChange={(event) => onTick(event.target.checked)}
        />
      </td>
      <th scope="row">
        <span className="place">
          <LengthField
            small
            label={`Place of the rail ${name}`}
            value_mm={station.at_mm}
            onChange={(at_mm, nudge) => move(index, at_mm, nudge ? `field:at${index}` : undefined)}
          />
          {PLACES[station.from]}
        </span>
      </th>
      <td>
        <Select
          aria-label={`Rail, ${name}`}
          size="small"
          className="fit-150"
          value={(preset ?? 'own') as string}
          options={[
            ...PRESET_NAMES.map((value) => ({ value, label: RAIL_PRESETS[value].words })),
            ...(preset ? [] : [{ value: 'own' as const, label: `${railRatio(station.apex)}, by hand` }]),
            ...others.map((other) => ({
              value: `${SAME_AS}${other.index}`,
              label: `Same as ${stationName(other.station, style)}`,
            })),
          ]}
          onChange={(value) => {
            const other = others.find((entry) => value === `${SAME_AS}${entry.index}`)?.station;
            const preset = PRESET_NAMES.find((entry) => entry === value);
            const source = other ?? (preset && railStation(preset, station.from, station.at_mm));
            if (!source) return;
            const { from: _from, at_mm: _at, ...rail } = source;
            change('rail', index, rail);
          }}
        />
      </td>
      <td className="num">
        <LengthField
          small
          label={`Tuck, ${name}`}
          value_mm={station.tuck_mm}
          onChange={(tuck_mm, nudge) => change('tuck', index, { tuck_mm }, nudge ? `field:tuck${index}` : undefined)}
        />
      </td>
      <td>
        {others.length > 0 && (
          <Button
            type="text"
            size="small"
            aria-label={`Take off the rail ${name}`}
            icon={<CloseOutlined aria-hidden />}
            onClick={() => takeOff(name)}
          />
        )}
      </td>
    </tr>
  );
}
