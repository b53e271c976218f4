import type { Board, BottomLayer } from '../document/schema.ts';
import { contour } from '../models/recipe.ts';

/** Bottoms to start from, with usual depths. Common practice, from memory. */
export const BOTTOM_PRESETS: Readonly<Record<string, { words: string; layers: () => BottomLayer[] }>> = {
  flat: { words: 'Flat', layers: () => [] },
  single: {
    words: 'Single concave',
    layers: () => [
      contour('single', 1, [
        ['tail', 1, 0.03],
        ['tail', 16, 0.19],
        ['centre', 4, 0.16],
        ['nose', 14, 0.03],
        ['nose', 4, 0],
      ]),
    ],
  },
  singleToDouble: {
    words: 'Single to double',
    layers: () => [
      contour('single', 1, [
        ['tail', 14, 0.06],
        ['centre', 2, 0.19],
        ['nose', 14, 0.03],
        ['nose', 4, 0],
      ]),
      contour('double', 1, [
        ['tail', 0, 0.04],
        ['tail', 12, 0.1],
        ['tail', 28, 0],
      ]),
    ],
  },
  singleToVee: {
    words: 'Single to vee',
    layers: () => [
      contour('single', 1, [
        ['tail', 16, 0],
        ['centre', 2, 0.16],
        ['nose', 14, 0.03],
        ['nose', 4, 0],
      ]),
      contour('vee', 1, [
        ['tail', 0, 0.14],
        ['tail', 10, 0.12],
        ['tail', 22, 0],
      ]),
    ],
  },
  belly: {
    words: 'Belly to vee',
    layers: () => [
      contour('roll', 1, [
        ['nose', 0, 0.1],
        ['nose', 24, 0.12],
        ['centre', 0, 0],
      ]),
      contour('vee', 1, [
        ['tail', 0, 0.1],
        ['tail', 16, 0.14],
        ['centre', -4, 0],
      ]),
    ],
  },
  noseRider: {
    words: 'Nose concave and belly',
    layers: () => [
      contour('teardrop', 0.8, [
        ['nose', 0, 0],
        ['nose', 5, 0.19],
        ['nose', 16, 0.14],
        ['nose', 34, 0],
      ]),
      contour('roll', 1, [
        ['tail', 0, 0.12],
        ['tail', 24, 0.22],
        ['centre', 0, 0.18],
        ['nose', 40, 0.06],
        ['nose', 20, 0],
      ]),
    ],
  },
};

/** Takes a bottom from the presets. Holds everything else. @throws RangeError for a name there is not. */
export function withBottomPreset(board: Board, name: string): Board {
  const preset = BOTTOM_PRESETS[name];
  if (!preset) throw new RangeError(`withBottomPreset: there is no bottom “${name}”`);
  return { ...board, bottom: { layers: preset.layers() } };
}

/** The preset a bottom still is; undefined once anything of it was changed by hand. */
export function bottomPresetOf(layers: readonly BottomLayer[]): string | undefined {
  const written = JSON.stringify(layers);
  return Object.keys(BOTTOM_PRESETS).find((name) => JSON.stringify(BOTTOM_PRESETS[name]?.layers()) === written);
}

/** Makes one layer so deep at its deepest, in the same proportions along the board. */
export function withLayerDepth(board: Board, index: number, depth_mm: number): Board {
  const layer = board.bottom.layers[index];
  const deepest = Math.max(...layer.depths.map((mark) => Math.abs(mark.value_mm)));
  const scale = deepest > 0 ? depth_mm / deepest : 0;
  const depths = layer.depths.map((mark) => ({ ...mark, value_mm: scale > 0 ? mark.value_mm * scale : depth_mm }));
  return {
    ...board,
    bottom: { layers: board.bottom.layers.map((entry, i) => (i === index ? { ...entry, depths } : entry)) },
  };
}
