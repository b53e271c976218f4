import { useEffect, useRef, useState } from 'react';
import { useShed } from '../../store/shed.ts';
import { Latest } from '../../workers/latest.ts';
import type { DeckPicture, Work } from '../../workers/workMessages.ts';
import { solidClient } from '../../workers/workClient.ts';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

interface Colours {
  board: string;
  dark: [number, number, number];
  strength: number;
}

const coloursOf = new Map<string, Colours>();

/** The colours of the light in the bay, read from the style sheet once each. */
function coloursIn(light: string): Colours {
  let colours = coloursOf.get(light);
  if (!colours) {
    const styles = getComputedStyle(document.documentElement);
    const [r, g, b] = styles.getPropertyValue('--shade-dark').split(',').map(Number);
    colours = {
      board: styles.getPropertyValue('--board'),
      dark: [r, g, b],
      strength: Number(styles.getPropertyValue('--shade-strength')),
    };
    coloursOf.set(light, colours);
  }
  return colours;
}

/** While something is dragged the shade is asked for no more often than this. */
const SHADE_EVERY_ms = 80;

/** The deck under two low lamps, shaded by the worker from the exact sections; the outline in front is always current. */
export function DeckLight({ scale, path }: { scale: PlankScale; path: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { board } = useLiveBay().record;
  const light = useShed((shed) => shed.settings.light);
  const picture = useRef<{ drawn: DeckPicture; image: HTMLCanvasElement }>(undefined);
  const state = useRef({ frame: 0, paint: () => {} });
  // The plan stays unshaded when the worker fails: every number is still right, and the next change asks again.
  const [shade] = useState(
    () =>
      new Latest(
        (of: Work['shade']['of']) => solidClient.ask('shade', of),
        (drawn) => {
          picture.current = { drawn, image: pictureOf(drawn, picture.current?.image) };
          paintSoon(state.current);
        },
        SHADE_EVERY_ms,
      ),
  );

  useEffect(() => {
    const { current } = state;
    const colours = coloursIn(light);
    const { width_mm } = board.outline;
    current.paint = () => {
      const element = canvas.current;
      const pen = element?.getContext('2d');
      if (!element || !pen) return;
      const ratio = window.devicePixelRatio || 1;
      const [width, height] = [Math.round(scale.width * ratio), Math.round(scale.height * ratio)];
      if (element.width !== width) element.width = width;
      if (element.height !== height) element.height = height;
      pen.setTransform(ratio, 0, 0, ratio, 0, 0);
      pen.clearRect(0, 0, scale.width, scale.height);
      const outline = new Path2D(path);
      // A soft shadow from three thin ones: a blurred one costs a frame on machines without a graphics card.
      pen.fillStyle = 'rgba(40, 34, 20, 0.07)';
      for (const off of [2, 4, 6]) {
        pen.translate(0, off);
        pen.fill(outline);
        pen.translate(0, -off);
      }
      pen.fillStyle = colours.board;
      pen.fill(outline);
      if (!picture.current) return;
      const { image } = picture.current;
      pen.save();
      pen.clip(outline);
      const w = board.length_mm * scale.k;
      const h = (width_mm / 2) * scale.k;
      pen.translate(scale.x(0), scale.centre);
      if (!scale.half) pen.drawImage(image, 0, 0, w, h);
      pen.scale(1, -1);
      pen.globalAlpha = scale.half ? 0.8 : 0.35;
      pen.drawImage(image, 0, 0, w, h);
      pen.restore();
    };
    paintSoon(current);
    shade.want({
      board,
      columns: Math.round(Math.min(1400, board.length_mm * scale.k)),
      rows: Math.max(1, Math.round((width_mm / 2) * scale.k)),
      dark: colours.dark,
      strength: colours.strength,
    });
  }, [shade, board, path, scale, light]);
  return <canvas ref={canvas} style={{ width: scale.width, height: scale.height }} aria-hidden="true" />;
}

/** Paints once in the next frame, however often it is asked. */
function paintSoon(state: { frame: number; paint: () => void }): void {
  cancelAnimationFrame(state.frame);
  state.frame = requestAnimationFrame(() => state.paint());
}

function pictureOf(picture: DeckPicture, into = document.createElement('canvas')): HTMLCanvasElement {
  if (into.width !== picture.columns) into.width = picture.columns;
  if (into.height !== picture.rows) into.height = picture.rows;
  into.getContext('2d')?.putImageData(new ImageData(picture.rgba, picture.columns, picture.rows), 0, 0);
  return into;
}
