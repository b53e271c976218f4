import { layerReach } from '@june-tide/core/bottom';
import { APEX, type Board, EDGE_RADIUS_mm, LAYER_WORDS, TUCK_mm } from '@june-tide/core/document';
import { depthAsked, placeAt, withCrownAt, withDepthAt, withRailAt } from '@june-tide/core/edit';
import { type Section, shoulderOf, undersideHeightAt } from '@june-tide/core/section';
import { editBoard } from '../../../store/shed.ts';
import { Handle, type HandleAxis } from '../Handle.tsx';
import { useLiveBay } from '../useBay.ts';
import type { SectionScale } from './sectionScale.ts';

/** Ratios are pulled in steps of five in a hundred, as the trade says them. */
const SHARE_STEP = 0.05;
const hundredth = (share: number) => Math.round(share * 100) / 100;
const percent = (share: number) => Math.round(share * 100);

interface HandlesProps {
  section: Section;
  scale: SectionScale;
}

interface RailHandlesProps extends HandlesProps {
  large?: boolean;
  /** The foam is drawn from here on, px: nothing is pulled left of it. */
  from?: number;
}

/** Apex, fullness and tuck of the right rail, pulled where they are. A rail read from the blend becomes a station of its own. */
export function RailHandles({ section, scale, large = false, from = 0 }: RailHandlesProps) {
  const { record, hook_mm } = useLiveBay();
  const { rail } = section.input;
  const square_mm = section.input.thickness_mm - section.crown_mm - section.edgeZ_mm;
  const shoulder = shoulderOf(section);
  const set = placeAt(record.board, record.board.rails.stations, hook_mm) !== undefined;
  const pull = (name: string, change: Parameters<typeof withRailAt>[2], key: string) =>
    editBoard(record.id, `${name} on the section`, (b: Board) => withRailAt(b, hook_mm, change), key);
  const where = large ? 'on the large rail' : 'at the hook';
  const share = (value: number, rise_mm: number, low: number, high: number, to: (share: number, key: string) => void) =>
    ({
      value_mm: value * rise_mm,
      pixels: -scale.k,
      grid_mm: SHARE_STEP * rise_mm,
      keyStep_mm: SHARE_STEP * rise_mm,
      low_mm: low * rise_mm,
      high_mm: high * rise_mm,
      set: (value_mm, key) => to(hundredth(value_mm / rise_mm), key),
    }) satisfies HandleAxis;
  return (
    <g>
      {scale.X(shoulder.y_mm) > from && (
        <Grab
          name="fullness"
          label={`Fullness ${where}`}
          at={[shoulder.y_mm, shoulder.z_mm]}
          scale={scale}
          now={percent(rail.fullness)}
          across={share(rail.fullness, Math.max(0.5, shoulder.rise_mm), 0, 1, (fullness, key) =>
            pull('fullness', { fullness }, key),
          )}
          tabbed={!large}
          set={set}
        />
      )}
      <Grab
        name="tuck"
        label={`Tuck ${where}`}
        at={[section.edgeY_mm, section.edgeZ_mm]}
        scale={scale}
        now={Math.round(rail.tuck_mm)}
        along={{
          value_mm: rail.tuck_mm,
          pixels: -scale.k,
          low_mm: TUCK_mm.low,
          high_mm: TUCK_mm.high,
          set: (tuck_mm, key) => pull('tuck', { tuck_mm }, key),
        }}
        tabbed={!large}
        set={set}
      />
      <Grab
        name="apex"
        label={`Apex ${where}`}
        at={[section.half_mm, section.apex_mm]}
        scale={scale}
        now={percent(rail.apex)}
        across={share(rail.apex, square_mm, APEX.low, APEX.high, (apex, key) => pull('apex', { apex }, key))}
        tabbed={!large}
        set={set}
      />
    </g>
  );
}

/** So far inside the corner stands what the edge is pulled by, px: clear of the ring of the tuck. */
const EDGE_IN = { across: 26, up: 15 };
/** From soft to hard is a pull of so many pixels. */
const HARD_px = 100;

/** Radius of the bottom edge, pulled to the side, and how hard it is, pulled up; by the large rail alone, where there is room for it. */
export function EdgeHandle({ section, scale }: HandlesProps) {
  const { record, hook_mm } = useLiveBay();
  const index = placeAt(record.board, record.board.rails.stations, hook_mm);
  // A station's own edge: what is drawn may be harder, by the edge along the tail.
  const rail = index === undefined ? section.input.rail : record.board.rails.stations[index];
  const pull = (name: string, change: Parameters<typeof withRailAt>[2], key: string) =>
    editBoard(record.id, `${name} on the section`, (b: Board) => withRailAt(b, hook_mm, change), key);
  const inside_mm = EDGE_IN.across / scale.k + rail.edgeRadius_mm / 2;
  const at = [section.edgeY_mm - inside_mm, section.edgeZ_mm + EDGE_IN.up / scale.k + rail.edgeRadius_mm / 2] as const;
  const rise_mm = HARD_px / scale.k;
  return (
    <>
      <line
        className="edge-leader"
        x1={scale.X(at[0])}
        y1={scale.Y(at[1])}
        x2={scale.X(section.edgeY_mm)}
        y2={scale.Y(section.edgeZ_mm)}
      />
      <Grab
        name="edge"
        label="Edge on the large rail: radius to the side, how hard up"
        at={at}
        scale={scale}
        now={Math.round(rail.edgeRadius_mm)}
        along={{
          value_mm: rail.edgeRadius_mm,
          pixels: -scale.k / 2,
          low_mm: EDGE_RADIUS_mm.low,
          high_mm: EDGE_RADIUS_mm.high,
          set: (edgeRadius_mm, key) => pull('edge radius', { edgeRadius_mm }, key),
        }}
        across={{
          value_mm: rail.edge * rise_mm,
          pixels: -scale.k,
          grid_mm: SHARE_STEP * rise_mm,
          keyStep_mm: SHARE_STEP * rise_mm,
          low_mm: 0,
          high_mm: rise_mm,
          set: (value_mm, key) => pull('hardness of the edge', { edge: hundredth(value_mm / rise_mm) }, key),
        }}
        set={index !== undefined}
      />
    </>
  );
}

/** How far the deck falls, pulled at the left rail. */
export function CrownHandle({ section, scale }: HandlesProps) {
  const { record, hook_mm } = useLiveBay();
  const { crown_mm, thickness_mm } = section.input;
  return (
    <Grab
      name="crown"
      label="Crown at the hook"
      at={[-section.half_mm, thickness_mm - section.crown_mm]}
      scale={scale}
      now={Math.round(crown_mm)}
      across={{
        value_mm: crown_mm,
        pixels: scale.k,
        nudges: 0.5,
        low_mm: 0,
        set: (value_mm, key) =>
          editBoard(record.id, 'crown on the section', (b) => withCrownAt(b, hook_mm, value_mm), key),
      }}
      set={placeAt(record.board, record.board.deck.crown, hook_mm) !== undefined}
    />
  );
}

/** The depth of one contour, pulled where it is highest on the left half; `up` draws heights so many times as tall. */
export function DepthHandle({ section, scale, layer, up = 1 }: HandlesProps & { layer: number; up?: number }) {
  const { record, hook_mm } = useLiveBay();
  const contour = record.board.bottom.layers[layer];
  const reach = layerReach(contour);
  const y_mm = Math.max(section.input.notch_mm, reach.share * section.edgeY_mm);
  const value_mm = depthAsked(record.board, layer)(hook_mm);
  const name = LAYER_WORDS[contour.kind];
  return (
    <Grab
      name="depth"
      label={up === 1 ? `${name}, pulled at the hook` : `${name}, pulled where it is taller`}
      at={[-y_mm, undersideHeightAt(section, y_mm)]}
      scale={scale}
      now={Math.round(value_mm * 10) / 10}
      across={{
        value_mm,
        pixels: -scale.k * up * Math.max(0.2, reach.rise),
        nudges: 0.5,
        grid_mm: 0.1,
        set: (to_mm, key) => editBoard(record.id, `${name} pulled`, (b) => withDepthAt(b, layer, hook_mm, to_mm), key),
      }}
      tabbed={up === 1}
      set={placeAt(record.board, contour.depths, hook_mm) !== undefined}
    />
  );
}

interface GrabProps {
  name: string;
  label: string;
  at: readonly [y_mm: number, z_mm: number];
  scale: SectionScale;
  now: number;
  along?: HandleAxis;
  across?: HandleAxis;
  tabbed?: boolean;
  /** Set by hand at this station, or read from the blend. */
  set: boolean;
}

/** A ring on the section to take hold of: full where a station is set, open where the blend is read. */
function Grab({ name, label, at, scale, now, along, across, tabbed = true, set }: GrabProps) {
  const [x, y] = [scale.X(at[0]), scale.Y(at[1])];
  return (
    <Handle
      label={label}
      now={now}
      low={0}
      high={120}
      along={along}
      across={across}
      tabbed={tabbed}
      group={{ className: set ? 'mark' : 'mark blended', 'data-pull': name }}
    >
      <circle className="grab" cx={x} cy={y} r={14} />
      <circle className="ring" cx={x} cy={y} r={5} />
    </Handle>
  );
}
