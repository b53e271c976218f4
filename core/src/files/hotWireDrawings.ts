import type { WireBlock, WireLayer, WirePlan, WirePoint } from '../make/hotWire.ts';
import { formatLength, type LengthStyle } from '../units/format.ts';
import { type Drawing, type DrawnLine, type DrawnText, framed } from './drawing.ts';
import { holeAt } from './rockerSticks.ts';

const flat = ({ x_mm, z_mm }: WirePoint) => ({ x_mm, y_mm: z_mm });
/** Backs of templates lie at whole tens of millimetres over the block's foot, at least so far under their edge where there is room. */
const BACK_mm = 10;
const DEEP_mm = 70;

/** The height of a line at x. */
function heightAt(line: readonly WirePoint[], x_mm: number): number {
  const k = Math.max(
    1,
    line.findIndex((p) => p.x_mm >= x_mm),
  );
  const [a, b] = [line[k - 1], line[k]];
  return a.z_mm + ((x_mm - a.x_mm) / (b.x_mm - a.x_mm)) * (b.z_mm - a.z_mm);
}

/** One template: what the wire rides on as its upper edge, a straight back to lay level, lines at the block's ends and the board's tips. */
function template(
  layer: WireLayer,
  which: 'deck' | 'bottom',
  number: number,
  block: WireBlock,
  style: LengthStyle,
): Drawing {
  const edge = which === 'deck' ? layer.deckEdge : layer.bottomEdge;
  const lowest = Math.min(...edge.map((p) => p.z_mm));
  const back = Math.max(0, BACK_mm * Math.floor((lowest - DEEP_mm) / BACK_mm));
  const [first, last] = [edge[0], edge[edge.length - 1]];
  const across = (layerName: string, x_mm: number, dashed: boolean): DrawnLine => ({
    layer: layerName,
    points: [
      { x_mm, y_mm: back },
      { x_mm, y_mm: heightAt(edge, x_mm) },
    ],
    weight_mm: dashed ? 0.12 : 0.3,
    dashed,
  });
  const { tail_mm, length_mm } = layer;
  const middle = block.length_mm / 2;
  const write = (x_mm: number, up_mm: number, size_mm: number, text: string, end = false): DrawnText => ({
    layer: 'text',
    x_mm,
    y_mm: back + up_mm,
    size_mm,
    text,
    ...(end ? { anchor: 'end' as const } : {}),
  });
  const holes = [0.2, 0.8].map((share) => {
    const x = share * block.length_mm;
    return holeAt(x, (back + heightAt(edge, x)) / 2);
  });
  const name = `${number}, ${layer.name}, ${which}`;
  return framed(
    name,
    [
      {
        layer: 'templates',
        points: [...edge.map(flat), { x_mm: last.x_mm, y_mm: back }, { x_mm: first.x_mm, y_mm: back }],
        closed: true,
        weight_mm: 0.35,
      },
      ...holes,
      ...[0, block.length_mm].map((x) => across('marks', x, false)),
      ...[tail_mm, tail_mm + length_mm, middle].map((x) => across('stations', x, true)),
    ],
    [
      write(middle + 3, 4, 5, `${name}; the wire on the upper edge; cut two, one for each side`),
      write(middle + 3, 12, 4, `back ${formatLength(back, style)} over the foot of the block`),
      write(3, 4, 4, 'end of the block, tail side'),
      write(block.length_mm - 3, 4, 4, 'end of the block, nose side', true),
      write(tail_mm + 3, 12, 4, 'tail'),
      write(tail_mm + length_mm - 3, 12, 4, 'nose', true),
    ],
  );
}

/**
 * Templates for a hot wire, from the top of the block down as they are cut: for each board its deck and its bottom, each to be cut
 * twice; and for each the stringer that is glued in between its halves, as high as the foam comes off the wire.
 */
export function wireTemplates(plan: WirePlan, block: WireBlock, style: LengthStyle): Drawing[] {
  const down = plan.layers.toReversed();
  const pairs = down.flatMap((layer, k) =>
    (['deck', 'bottom'] as const).map((which, i) => template(layer, which, 2 * k + i + 1, block, style)),
  );
  return [...pairs, ...down.map((layer) => stringer(layer))];
}

/** The stringer as the foam comes off the wire: glued in it is flush with it above and below. */
function stringer(layer: WireLayer): Drawing {
  const { tail_mm, length_mm, bottom, deck } = layer;
  const within = (line: readonly WirePoint[]) => [
    { x_mm: tail_mm, z_mm: heightAt(line, tail_mm) },
    ...line.filter((p) => p.x_mm > tail_mm && p.x_mm < tail_mm + length_mm),
    { x_mm: tail_mm + length_mm, z_mm: heightAt(line, tail_mm + length_mm) },
  ];
  const points = [...within(bottom), ...within(deck).toReversed()].map(flat);
  const middle = tail_mm + length_mm / 2;
  const y_mm = (heightAt(bottom, middle) + heightAt(deck, middle)) / 2 - 2;
  return framed(
    `${layer.name}, stringer`,
    [{ layer: 'stringer', points, closed: true, weight_mm: 0.35 }],
    [
      {
        layer: 'text',
        x_mm: middle,
        y_mm,
        size_mm: 5,
        text: `${layer.name}, stringer, nose this way`,
        anchor: 'middle',
      },
    ],
  );
}

/** The block from the side with every cut in it, tails at the left. */
export function wireBlockDrawing(plan: WirePlan, block: WireBlock): Drawing {
  const { length_mm: w, height_mm: h } = block;
  const corners = [
    { x_mm: 0, y_mm: 0 },
    { x_mm: w, y_mm: 0 },
    { x_mm: w, y_mm: h },
    { x_mm: 0, y_mm: h },
  ];
  const lines: DrawnLine[] = [{ layer: 'sheet', points: corners, closed: true, weight_mm: 0.3 }];
  const texts: DrawnText[] = [];
  for (const layer of plan.layers) {
    lines.push({ layer: 'bottom', points: layer.bottom.map(flat), weight_mm: 0.35 });
    lines.push({ layer: 'deck', points: layer.deck.map(flat), weight_mm: 0.35 });
    const middle = layer.tail_mm + layer.length_mm / 2;
    const y_mm = (heightAt(layer.bottom, middle) + heightAt(layer.deck, middle)) / 2 - 4;
    texts.push({ layer: 'text', x_mm: middle, y_mm, size_mm: 12, text: layer.name, anchor: 'middle' });
  }
  return framed('Block of EPS', lines, texts);
}
