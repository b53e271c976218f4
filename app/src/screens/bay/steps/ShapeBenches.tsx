import { Select } from 'antd';
import {
  type Board,
  BOTTOM_PRESETS,
  FIN_SETUPS,
  LAYER_WORDS,
  RAIL_PRESETS,
  type RailPresetName,
  railRatio,
  type RailStation,
  railStation,
  SETUP_WORDS,
  withSetup,
  withBottomPreset,
  withLayerDepth,
} from '@june-tide/core';
import { LengthField } from '../../../parts/LengthField.tsx';
import { editBoard } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

const PRESET_NAMES = Object.keys(RAIL_PRESETS) as RailPresetName[];
const PLACES = {
  nose: 'from nose',
  tail: 'from tail',
  centre: 'ahead of centre',
  wide: 'ahead of wide point',
} as const;

/** The preset a station still is, if it was not changed by hand. */
function presetOf(station: RailStation): RailPresetName | undefined {
  return PRESET_NAMES.find((name) => {
    const preset = RAIL_PRESETS[name];
    return preset.apex === station.apex && preset.fullness === station.fullness && preset.edge === station.edge;
  });
}

export function RailsBench() {
  const { record, moveHook, shape } = useBay();
  const { rails } = record.board;
  const change = (name: string, next: (rails: Board['rails']) => Board['rails'], merge?: string) =>
    editBoard(record.id, name, (b) => ({ ...b, rails: next(b.rails) }), merge);
  const setStation = (index: number, station: RailStation, name: string, merge?: string) =>
    change(name, (r) => ({ ...r, stations: r.stations.map((s, i) => (i === index ? station : s)) }), merge);
  const x = (s: RailStation) => {
    const { length_mm, wide_mm } = shape.anchors;
    return { nose: length_mm - s.at_mm, tail: s.at_mm, centre: length_mm / 2 + s.at_mm, wide: wide_mm + s.at_mm }[
      s.from
    ];
  };
  const order = rails.stations
    .map((station, index) => ({ station, index }))
    .sort((a, b) => x(b.station) - x(a.station));
  return (
    <section aria-label="Rails">
      <div className="head">
        <h2>Rails</h2>
        <span className="quiet">deck : bottom; between stations they blend</span>
      </div>
      <table className="marks">
        <thead>
          <tr>
            <th scope="col">Station</th>
            <th scope="col">Rail</th>
            <th scope="col" className="num">
              Tuck
            </th>
          </tr>
        </thead>
        <tbody>
          {order.map(({ station, index }) => {
            const preset = presetOf(station);
            const place = station.from === 'wide' && station.at_mm === 0 ? 'Wide point' : undefined;
            const name = place ?? `${(station.at_mm / 25.4).toFixed(0)} in ${PLACES[station.from]}`;
            return (
              <tr key={index} onFocus={() => moveHook(x(station))}>
                <th scope="row">{name}</th>
                <td>
                  <Select
                    aria-label={`Rail, ${name}`}
                    size="small"
                    style={{ width: 150 }}
                    value={preset ?? 'own'}
                    options={[
                      ...PRESET_NAMES.map((value) => ({ value, label: RAIL_PRESETS[value].words })),
                      ...(preset ? [] : [{ value: 'own' as const, label: `${railRatio(station.apex)}, by hand` }]),
                    ]}
                    onChange={(value) => {
                      const chosen = PRESET_NAMES.find((entry) => entry === value);
                      if (chosen) setStation(index, railStation(chosen, station.from, station.at_mm), 'rail');
                    }}
                  />
                </td>
                <td className="num">
                  <LengthField
                    label={`Tuck, ${name}`}
                    value_mm={station.tuck_mm}
                    onChange={(tuck_mm, nudge) =>
                      setStation(index, { ...station, tuck_mm }, 'tuck', nudge ? `field:tuck${index}` : undefined)
                    }
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div style={{ display: 'flex', gap: 18, marginTop: 8 }}>
        <span className="labelled">
          Hard edge from the tail
          <LengthField
            label="Hard edge from the tail"
            value_mm={rails.tailEdge.length_mm}
            onChange={(length_mm, nudge) =>
              change(
                'hard edge',
                (r) => ({ ...r, tailEdge: { ...r.tailEdge, length_mm } }),
                nudge ? 'field:edge' : undefined,
              )
            }
          />
        </span>
        <span className="labelled">
          fading over
          <LengthField
            label="Edge fading over"
            value_mm={rails.tailEdge.fade_mm}
            onChange={(fade_mm, nudge) =>
              change(
                'edge fade',
                (r) => ({ ...r, tailEdge: { ...r.tailEdge, fade_mm } }),
                nudge ? 'field:fade' : undefined,
              )
            }
          />
        </span>
      </div>
    </section>
  );
}

export function BottomBench() {
  const { record } = useBay();
  const { layers } = record.board.bottom;
  return (
    <section aria-label="Bottom">
      <div className="head">
        <h2>Bottom</h2>
        <span className="quiet">usual depths to start from</span>
      </div>
      <div className="choices" style={{ marginBottom: 10 }}>
        {Object.entries(BOTTOM_PRESETS).map(([name, preset]) => (
          <button
            key={name}
            type="button"
            className="choice"
            aria-pressed={sameKinds(preset.layers(), layers)}
            onClick={() =>
              editBoard(record.id, `${preset.words.toLowerCase()} bottom`, (b) => withBottomPreset(b, name))
            }
          >
            {preset.words}
          </button>
        ))}
      </div>
      <table className="marks">
        <thead>
          <tr>
            <th scope="col">Contour</th>
            <th scope="col" className="num">
              Deepest
            </th>
            <th scope="col">Runs</th>
          </tr>
        </thead>
        <tbody>
          {layers.map((layer, i) => {
            const deepest = Math.max(...layer.depths.map((mark) => Math.abs(mark.value_mm)));
            const name = LAYER_WORDS[layer.kind];
            return (
              <tr key={i}>
                <th scope="row">{name.replace(/^./, (c) => c.toUpperCase())}</th>
                <td className="num">
                  <LengthField
                    label={`Depth of ${name}`}
                    value_mm={deepest}
                    onChange={(depth, nudge) =>
                      depth >= 0 && depth <= 40
                        ? editBoard(
                            record.id,
                            `depth of ${name}`,
                            (b) => withLayerDepth(b, i, depth),
                            nudge ? `field:layer${i}` : undefined,
                          )
                        : {
                            ok: false,
                            issues: [
                              { code: 'depth', path: '', words: 'a contour is between nothing and 1 1/2 in deep' },
                            ],
                          }
                    }
                  />
                </td>
                <td className="quiet">{layer.depths.length > 1 ? 'fades in and out' : 'even all along'}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {layers.length === 0 && <p className="quiet">Flat all over. Choose a bottom above to begin from.</p>}
    </section>
  );
}

function sameKinds(a: readonly { kind: string }[], b: readonly { kind: string }[]): boolean {
  return a.length === b.length && a.every((layer, i) => layer.kind === b[i].kind);
}

const ROLE_WORDS = { centre: 'Centre', front: 'Front pair', rear: 'Rear pair' } as const;

export function FinsBench() {
  const { record } = useBay();
  const { board } = record;
  const setBox = (index: number, change: Partial<Board['fins']['boxes'][number]>, name: string, merge?: string) =>
    editBoard(
      record.id,
      name,
      (b) => ({
        ...b,
        fins: { ...b.fins, boxes: b.fins.boxes.map((box, i) => (i === index ? { ...box, ...change } : box)) },
      }),
      merge,
    );
  return (
    <section aria-label="Fins">
      <div className="head">
        <h2>Fins</h2>
        <Select
          aria-label="Fin setup"
          value={board.fins.setup}
          style={{ width: 170 }}
          options={FIN_SETUPS.map((value) => ({
            value,
            label: SETUP_WORDS[value].replace(/^./, (c) => c.toUpperCase()),
          }))}
          onChange={(setup) => editBoard(record.id, `${SETUP_WORDS[setup]} fins`, (b) => withSetup(b, setup))}
        />
      </div>
      <table className="marks">
        <thead>
          <tr>
            <th scope="col">Fin</th>
            <th scope="col" className="num">
              From tail
            </th>
            <th scope="col" className="num">
              From rail
            </th>
            <th scope="col" className="num">
              Toe
            </th>
            <th scope="col" className="num">
              Cant
            </th>
          </tr>
        </thead>
        <tbody>
          {board.fins.boxes.map((box, i) => {
            const name = ROLE_WORDS[box.role];
            const base = box.template.base_mm;
            return (
              <tr key={i}>
                <th scope="row">{name}</th>
                <td className="num">
                  <LengthField
                    small
                    label={`${name} from tail`}
                    value_mm={box.trailingEdge_mm}
                    onChange={(trailingEdge_mm, nudge) =>
                      setBox(
                        i,
                        { trailingEdge_mm },
                        `${name.toLowerCase()} from tail`,
                        nudge ? `field:fin${i}` : undefined,
                      )
                    }
                  />
                </td>
                <td className="num">
                  {box.role === 'centre' ? (
                    <span className="quiet">stringer</span>
                  ) : (
                    <LengthField
                      small
                      label={`${name} from rail`}
                      value_mm={box.inset_mm}
                      onChange={(inset_mm, nudge) =>
                        setBox(
                          i,
                          { inset_mm },
                          `${name.toLowerCase()} from rail`,
                          nudge ? `field:inset${i}` : undefined,
                        )
                      }
                    />
                  )}
                </td>
                <td className="num">
                  {box.role !== 'centre' && (
                    <LengthField
                      small
                      label={`${name} toe over the base`}
                      value_mm={Math.sin(box.toe_rad) * base}
                      onChange={(toe_mm, nudge) =>
                        Math.abs(toe_mm) <= base / 5
                          ? setBox(
                              i,
                              { toe_rad: Math.asin(toe_mm / base) },
                              `${name.toLowerCase()} toe`,
                              nudge ? `field:toe${i}` : undefined,
                            )
                          : {
                              ok: false,
                              issues: [{ code: 'toe', path: '', words: 'toe is at most a fifth of the base' }],
                            }
                      }
                    />
                  )}
                </td>
                <td className="num serif">
                  {box.role !== 'centre' && `${((box.cant_rad * 180) / Math.PI).toFixed(0)}°`}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="quiet" style={{ margin: '6px 0 0' }}>
        Distances to the trailing edge of the base, along the stringer. A new setup starts at its usual places.
      </p>
    </section>
  );
}
