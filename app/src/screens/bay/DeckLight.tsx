import { useEffect, useRef } from 'react';
import type { DeckShade } from '@june-tide/core';
import { solidClient } from '../../workers/solidClient.ts';
import { planPath } from './planPath.ts';
import type { PlankScale } from './scale.ts';
import { useBay } from './useBay.ts';

const images = new WeakMap<DeckShade, { tone: string; image: HTMLCanvasElement }>();

/** A shade as a picture in the colours of the light in the bay; made once for each. */
function shadeImage(light: DeckShade, styles: CSSStyleDeclaration): HTMLCanvasElement | undefined {
  const dark = styles.getPropertyValue('--shade-dark');
  const strength = Number(styles.getPropertyValue('--shade-strength'));
  const tone = `${dark}/${strength}`;
  const made = images.get(light);
  if (made?.tone === tone) return made.image;
  const image = document.createElement('canvas');
  image.width = light.columns;
  image.height = light.rows;
  const brush = image.getContext('2d');
  if (!brush) return undefined;
  const [r, g, b] = dark.split(',').map(Number);
  const data = brush.createImageData(light.columns, light.rows);
  for (let i = 0; i < light.tone.length; i++) {
    data.data[4 * i] = r;
    data.data[4 * i + 1] = g;
    data.data[4 * i + 2] = b;
    data.data[4 * i + 3] = (255 - light.tone[i]) * strength;
  }
  brush.putImageData(data, 0, 0);
  images.set(light, { tone, image });
  return image;
}

/** The deck under two low lamps, shaded by the worker from the exact sections; the outline in front is always current. */
export function DeckLight({ scale }: { scale: PlankScale }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { shape, record } = useBay();
  const shade = useRef<DeckShade>(undefined);
  const asked = useRef({ busy: false, board: record.board, wanted: record.board });
  const path = planPath(shape, scale);

  const paint = () => {
    const element = canvas.current;
    const pen = element?.getContext('2d');
    if (!element || !pen) return;
    const ratio = window.devicePixelRatio || 1;
    element.width = Math.round(scale.width * ratio);
    element.height = Math.round(scale.height * ratio);
    pen.setTransform(ratio, 0, 0, ratio, 0, 0);
    const styles = getComputedStyle(document.documentElement);
    const outline = new Path2D(path);
    // A soft shadow from three thin ones: a blurred one costs a frame on machines without a graphics card.
    pen.fillStyle = 'rgba(40, 34, 20, 0.07)';
    for (const off of [2, 4, 6]) {
      pen.translate(0, off);
      pen.fill(outline);
      pen.translate(0, -off);
    }
    pen.fillStyle = styles.getPropertyValue('--board');
    pen.fill(outline);
    const light = shade.current;
    if (!light) return;
    const image = shadeImage(light, styles);
    if (!image) return;
    pen.save();
    pen.clip(outline);
    const x = scale.x(0);
    const w = record.board.length_mm * scale.k;
    const h = (record.board.outline.width_mm / 2) * scale.k;
    pen.translate(x, scale.centre);
    if (!scale.half) pen.drawImage(image, 0, 0, w, h);
    pen.scale(1, -1);
    pen.globalAlpha = scale.half ? 0.8 : 0.35;
    pen.drawImage(image, 0, 0, w, h);
    pen.restore();
  };

  useEffect(() => {
    paint();
    const state = asked.current;
    state.wanted = record.board;
    const columns = Math.round(Math.min(1400, record.board.length_mm * scale.k));
    const rows = Math.round((record.board.outline.width_mm / 2) * scale.k);
    const ask = () => {
      if (state.busy) return;
      state.busy = true;
      const { wanted } = state;
      state.board = wanted;
      solidClient
        .ask({ kind: 'shade', board: wanted, columns, rows })
        .then((answer) => {
          if (answer.kind === 'shade') shade.current = answer.shade;
          paint();
        })
        // The plan stays unshaded: every number is still right, and the next change asks again.
        .catch(() => undefined)
        .finally(() => {
          state.busy = false;
          if (state.wanted !== state.board) ask();
        });
    };
    ask();
  });
  return <canvas ref={canvas} style={{ width: scale.width, height: scale.height }} aria-hidden="true" />;
}
