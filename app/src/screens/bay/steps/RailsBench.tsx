import { Button, Checkbox, InputNumber, Select } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import { useState } from 'react';
import { type Board, MOST_STATIONS, type RailStation, stationOfMark } from '@june-tide/core/document';
import { withNewRail, withoutRail, withRail, withRailEverywhere } from '@june-tide/core/edit';
import { RAIL_PRESETS, type RailPresetName, railStation } from '@june-tide/core/models';
import { railRatio } from '@june-tide/core/rails';
import { LengthField } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { editBoard, type EditResult } from '../../../store/shed.ts';
import { stationName } from '../stationName.ts';
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

/** Stations along the board, each with its rail; the one in hand opens to all its numbers. */
export function RailsBench() {
  const { record, moveHook, shape, hook_mm } = useBay();
  const { rails } = record.board;
  const style = useLengthStyle();
  const [held, hold] = useState(0);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const inHand = rails.stations[held] ? held : 0;
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
  const edge = (name: string, change: Partial<Board['rails']['tailEdge']>, merge?: string) =>
    editBoard(
      record.id,
      name,
      (b) => ({ ...b, rails: { ...b.rails, tailEdge: { ...b.rails.tailEdge, ...change } } }),
      merge,
    );
  return (
    <section aria-label="Rails">
      <div className="head">
        <h2>Rails</h2>
        <span className="quiet">deck : bottom; between stations they blend</span>
      </div>
      <table className="marks">
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Change together</span>
            </th>
            <th scope="col">Station</th>
            <th scope="col">Rail</th>
            <th scope="col" className="num">
              Tuck
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
              onHold={() => {
                hold(index);
                moveHook(x(station));
              }}
              change={change}
              takeOff={(name) => editBoard(record.id, `rail ${name} off`, (b) => withoutRail(b, index))}
            />
          ))}
        </tbody>
      </table>
      <InHand index={inHand} station={rails.stations[inHand]} change={change} />
      <div className="row-of-tools">
        <Button
          size="small"
          disabled={rails.stations.length >= MOST_STATIONS || rails.stations.some((s) => Math.abs(x(s) - hook_mm) < 20)}
          onClick={() => {
            editBoard(record.id, 'new rail station', (b) => withNewRail(b, hook_mm));
            hold(rails.stations.length);
          }}
        >
          Set a rail at the hook
        </Button>
        <Button
          size="small"
          disabled={rails.stations.length < 2}
          onClick={() => editBoard(record.id, 'one rail all along', (b) => withRailEverywhere(b, inHand))}
        >
          All as {stationName(rails.stations[inHand], style)}
        </Button>
      </div>
      <div className="row-of-tools">
        <span>Hard edge</span>
        <LengthField
          small
          label="Hard edge from the tail"
          value_mm={rails.tailEdge.length_mm}
          onChange={(length_mm, nudge) => edge('hard edge', { length_mm }, nudge ? 'field:edge' : undefined)}
        />
        <span className="quiet">from the tail, fading over</span>
        <LengthField
          small
          label="Edge fading over"
          value_mm={rails.tailEdge.fade_mm}
          onChange={(fade_mm, nudge) => edge('edge fade', { fade_mm }, nudge ? 'field:fade' : undefined)}
        />
      </div>
      <TakePart />
    </section>
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
  takeOff: (name: string) => void;
}

/** One station's rail: its name or its numbers, the same as another's, its tuck. */
function RailRow({ station, index, others, inHand, ticked, onTick, onHold, change, takeOff }: RailRowProps) {
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
      <th scope="row">{name}</th>
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

interface InHandProps {
  index: number;
  station: RailStation;
  change: ChangeRail;
}

/** The numbers of one rail that presets stand for. */
function InHand({ index, station, change }: InHandProps) {
  const style = useLengthStyle();
  const name = stationName(station, style);
  const set = (what: string, next: Partial<RailStation>) =>
    change(what.toLowerCase(), index, next, `rail:${what}${index}`);
  const percent = (what: string, words: string, value: number, low: number, high: number, key: keyof RailStation) => (
    <label className="mini">
      {words}
      <InputNumber
        size="small"
        aria-label={`${what}, ${name}`}
        min={low}
        max={high}
        step={5}
        suffix="%"
        value={Math.round(value * 100)}
        onChange={(next) => {
          if (typeof next === 'number') set(what, { [key]: next / 100 });
        }}
        className="fit-56"
      />
    </label>
  );
  return (
    <div className="in-hand" role="group" aria-label={`Rail in hand, ${name}`}>
      {percent('Apex', 'apex', station.apex, 10, 75, 'apex')}
      {percent('Fullness', 'full', station.fullness, 0, 100, 'fullness')}
      {percent('Edge', 'hard', station.edge, 0, 100, 'edge')}
      <label className="mini">
        radius
        <LengthField
          small
          label={`Edge radius, ${name}`}
          value_mm={station.edgeRadius_mm}
          onChange={(edgeRadius_mm) => set('Edge radius', { edgeRadius_mm })}
        />
      </label>
    </div>
  );
}
