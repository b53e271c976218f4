import { Button, InputNumber, Select, Switch } from 'antd';
import { CloseOutlined } from '@ant-design/icons';
import {
  type BottomLayer,
  LAYER_KINDS,
  LAYER_WORDS,
  MOST_LAYERS,
  MOST_STATIONS,
  stationOfMark,
} from '@june-tide/core/document';
import {
  BOTTOM_PRESETS,
  fadeOf,
  placeAt,
  withFade,
  bottomPresetOf,
  withBottomPreset,
  withDepthMark,
  withLayer,
  withLayerDepth,
  withLayerSwitched,
  withNewDepthMark,
  withNewLayer,
  withoutDepthMark,
  withoutLayer,
} from '@june-tide/core/edit';
import { contoursWithoutRoom } from '@june-tide/core/measure';
import { writerOf } from '@june-tide/core/judge';
import { Term } from '../../../parts/Term.tsx';
import { LengthField } from '../../../parts/LengthField.tsx';
import { useLengthStyle } from '../../../parts/Measure.tsx';
import { editBoard } from '../../../store/shed.ts';
import { TakePart } from './TakePart.tsx';
import { hold, useSession } from '../session.ts';
import { PLACES, PLACES_SHORT } from '../stationName.ts';
import { useBay } from '../useBay.ts';

const DEEPEST_mm = 40;

/** Contours in the order they were laid, each with its depth and width; the one in hand opens to its depth marks. */
export function BottomBench() {
  const { record } = useBay();
  const { layers } = record.board.bottom;
  const held = Number(useSession((session) => session.held) ?? 0);
  const take = (index: number) => hold(String(index));
  const inHand = layers[held] ? held : 0;
  const preset = bottomPresetOf(layers);
  return (
    <section aria-label="Bottom" className="table-beside">
      <div className="head tools">
        <h2>Bottom</h2>
        <Select
          aria-label="A usual bottom to begin from"
          size="small"
          className="fit-132"
          value={preset ?? 'own'}
          options={[
            ...Object.entries(BOTTOM_PRESETS).map(([value, p]) => ({ value, label: p.words })),
            ...(preset ? [] : [{ value: 'own', label: 'Your own' }]),
          ]}
          onChange={(name) => {
            const chosen = BOTTOM_PRESETS[name];
            if (chosen) editBoard(record.id, `${chosen.words.toLowerCase()} bottom`, (b) => withBottomPreset(b, name));
          }}
        />
        <Select
          aria-label="Add a contour"
          size="small"
          className="fit-124"
          value={null}
          placeholder="Add a contour"
          disabled={layers.length >= MOST_LAYERS}
          options={LAYER_KINDS.map((value) => ({ value, label: capital(LAYER_WORDS[value]) }))}
          onChange={(kind) => {
            if (!kind) return;
            editBoard(record.id, `${LAYER_WORDS[kind]} added`, (b) => withNewLayer(b, kind));
            take(layers.length);
          }}
        />
        <span className="right">
          <TakePart short />
        </span>
      </div>
      {layers.length === 0 ? (
        <p className="quiet">Flat all over. Begin from a usual bottom, or add a contour.</p>
      ) : (
        <table className="marks">
          <thead>
            <tr>
              <th scope="col">
                <Term of="contour" />
              </th>
              <th scope="col" className="num">
                Deepest
              </th>
              <th scope="col" className="num">
                Width
              </th>
              <th scope="col">On</th>
              <th scope="col">
                <span className="visually-hidden">Take off</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {layers.map((layer, i) => (
              <LayerRow key={i} index={i} layer={layer} held={i === inHand} onHold={() => take(i)} />
            ))}
          </tbody>
        </table>
      )}
      <NoRoom />
      {layers[inHand] && <DepthMarks index={inHand} layer={layers[inHand]} />}
      {layers[inHand] && <Fades index={inHand} layer={layers[inHand]} />}
    </section>
  );
}

/** What was asked of a contour and what the foam gives, where it has no room for all of it. */
function NoRoom() {
  const { record, shape } = useBay();
  const style = useLengthStyle();
  const { mm: said } = writerOf(style);
  return contoursWithoutRoom(shape).map(({ layer, x_mm, asked_mm, given_mm, thickness_mm }) => (
    <p key={layer} role="status" className="above-4 below-0">
      <b>{capital(LAYER_WORDS[record.board.bottom.layers[layer].kind])}</b>: asked {said(asked_mm)}, given{' '}
      {said(given_mm)}. There is no room for more in {said(thickness_mm)} of foam {said(x_mm)} from the tail.
    </p>
  ));
}

const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

interface LayerRowProps {
  index: number;
  layer: BottomLayer;
  held: boolean;
  onHold: () => void;
}

function LayerRow({ index, layer, held, onHold }: LayerRowProps) {
  const { record } = useBay();
  const name = LAYER_WORDS[layer.kind];
  const deepest = Math.max(...layer.depths.map((mark) => Math.abs(mark.value_mm)));
  const step = (what: string, change: Parameters<typeof editBoard>[2], merge?: string) =>
    editBoard(record.id, what, change, merge);
  return (
    <tr className={held ? 'held' : ''} onFocus={onHold} onClick={onHold}>
      <th scope="row">
        {capital(name)}
        {layer.kind === 'channels' && (
          <InputNumber
            aria-label="Channels a side"
            size="small"
            min={1}
            max={6}
            value={layer.count ?? 2}
            className="fit-56 apart"
            onChange={(count) => {
              if (typeof count === 'number') step('number of channels', (b) => withLayer(b, index, { count }));
            }}
          />
        )}
      </th>
      <td className="num">
        <LengthField
          small
          label={`Depth of ${name}`}
          value_mm={deepest}
          range_mm={[0, DEEPEST_mm]}
          onChange={(depth, nudge) =>
            step(`depth of ${name}`, (b) => withLayerDepth(b, index, depth), nudge ? `field:layer${index}` : undefined)
          }
        />
      </td>
      <td className="num">
        <InputNumber
          aria-label={`Width of ${name}`}
          size="small"
          min={5}
          max={100}
          step={5}
          suffix="%"
          className="fit-76"
          value={Math.round(layer.width * 100)}
          onChange={(width) => {
            if (typeof width === 'number') {
              step(`width of ${name}`, (b) => withLayer(b, index, { width: width / 100 }), `width:${index}`);
            }
          }}
        />
      </td>
      <td>
        <Switch
          size="small"
          aria-label={`${capital(name)} on`}
          checked={layer.off !== true}
          onChange={(on) => step(`${name} ${on ? 'on' : 'off'}`, (b) => withLayerSwitched(b, index, on))}
        />
      </td>
      <td>
        <Button
          type="text"
          size="small"
          aria-label={`Take off the ${name}`}
          icon={<CloseOutlined aria-hidden />}
          onClick={() => step(`${name} taken off`, (b) => withoutLayer(b, index))}
        />
      </td>
    </tr>
  );
}

/** Depths along one contour, nose to tail. The same marks can be pulled on the plank. */
function DepthMarks({ index, layer }: { index: number; layer: BottomLayer }) {
  const { record, shape, moveHook } = useBay();
  const name = LAYER_WORDS[layer.kind];
  const marks = layer.depths
    .map((mark, i) => ({ mark, i, x: stationOfMark(mark, shape.anchors) }))
    .sort((a, b) => b.x - a.x);
  return (
    <div className="depths" role="group" aria-label={`Depths of the ${name}`}>
      {marks.map(({ mark, i, x }) => (
        <span key={i} className="depth" onFocus={() => moveHook(Math.min(x, record.board.length_mm))}>
          <LengthField
            small
            label={`${capital(name)}, place of depth ${i + 1}`}
            value_mm={mark.at_mm}
            onChange={(at_mm, nudge) => {
              const x_mm = stationOfMark({ ...mark, at_mm }, shape.anchors);
              const done = editBoard(
                record.id,
                `depth of ${name} moved`,
                (b) => withDepthMark(b, index, i, { x_mm }),
                nudge ? `field:depthAt${index}.${i}` : undefined,
              );
              moveHook(x_mm);
              return done;
            }}
          />
          <span className="quiet" title={PLACES[mark.from]}>
            {PLACES_SHORT[mark.from]}
          </span>
          <LengthField
            small
            label={`${capital(name)}, depth ${i + 1}`}
            value_mm={mark.value_mm}
            onChange={(value_mm, nudge) =>
              editBoard(
                record.id,
                `depth of ${name}`,
                (b) => withDepthMark(b, index, i, { value_mm }),
                nudge ? `field:depth${index}.${i}` : undefined,
              )
            }
          />
          {marks.length > 1 && (
            <Button
              type="text"
              size="small"
              aria-label={`Take off depth ${i + 1} of the ${name}`}
              icon={<CloseOutlined aria-hidden />}
              onClick={() => editBoard(record.id, `depth mark of ${name} off`, (b) => withoutDepthMark(b, index, i))}
            />
          )}
        </span>
      ))}
    </div>
  );
}

/** A further depth of the contour in hand, and over what length it fades out toward either end. */
function Fades({ index, layer }: { index: number; layer: BottomLayer }) {
  const { record, hook_mm } = useBay();
  const name = LAYER_WORDS[layer.kind];
  return (
    <div className="row-of-tools">
      <Button
        size="small"
        disabled={layer.depths.length >= MOST_STATIONS || placeAt(record.board, layer.depths, hook_mm) !== undefined}
        onClick={() => editBoard(record.id, `depth mark of ${name}`, (b) => withNewDepthMark(b, index, hook_mm))}
      >
        Depth at the hook
      </Button>
      {(['tail', 'nose'] as const).map((end) => (
        <label key={end} className="mini">
          {end === 'tail' ? 'fades to tail' : 'to nose'}
          <LengthField
            small
            label={`${capital(name)} fades to the ${end} over`}
            value_mm={fadeOf(record.board, index, end)}
            onChange={(fade_mm, nudge) =>
              editBoard(
                record.id,
                `fade of ${name}`,
                (b) => withFade(b, index, end, fade_mm),
                nudge ? `field:fade${index}.${end}` : undefined,
              )
            }
          />
        </label>
      ))}
    </div>
  );
}
