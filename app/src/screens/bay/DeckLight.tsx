import { useEffect, useRef, useState } from 'react';
import { useShed } from '../../store/shed.ts';
import { Latest } from '../../workers/latest.ts';
import type { DeckPicture, Work } from '../../workers/workMessages.ts';
import { solidClient } from '../../workers/workClient.ts';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

interface Colours {
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
      dark: [r, g, b],
      strength: Number(styles.getPropertyValue('--shade-strength')),
    };
    coloursOf.set(light, colours);
  }
  return colours;
}

/** While something is dragged the shade is asked for no more often than this. */
const SHADE_EVERY_ms = 80;

/** The plan's shadow: three thin ones, a blurred one costs a frame on machines without a graphics card. */
const SHADOWS = [2, 4, 6];
/** The far half is shaded less, as what the lamps see at a slant; half a plan is seen from over it. */
const FAR = 0.35;
const HALF = 0.8;

/**
 * The deck under two low lamps, shaded by the worker from the exact sections; the outline in front is always current. The picture is
 * painted when it comes and only cut and stretched at each move: painting it each time was a sixth of a frame.
 */
export function DeckLight({ scale, path }: { scale: PlankScale; path: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { board } = useLiveBay().record;
  const light = useShed((shed) => shed.settings.light);
  const picture = useRef<HTMLCanvasElement>(undefined);
  const { half } = scale;
  const paint = useRef(() => {});
  // The plan stays unshaded when the worker fails: every number is still right, and the next change asks again.
  const [shade] = useState(
    () =>
      new Latest(
        (of: Work['shade']['of']) => solidClient.ask('shade', of),
        (drawn) => {
          picture.current = pictureOf(drawn, picture.current);
          paint.current();
        },
        SHADE_EVERY_ms,
      ),
  );
  useEffect(() => {
    paint.current = () => {
      if (canvas.current && picture.current) painted(canvas.current, picture.current, half);
    };
    paint.current();
  }, [half]);

  const { width_mm } = board.outline;
  const [w, h] = [board.length_mm * scale.k, (width_mm / 2) * scale.k];
  useEffect(() => {
    const { dark, strength } = coloursIn(light);
    const [columns, rows] = [Math.round(Math.min(1400, w)), Math.max(1, Math.round(h))];
    shade.want({ board, columns, rows, dark, strength });
  }, [shade, board, w, h, light]);
  return (
    <>
      <svg width={scale.width} height={scale.height} aria-hidden="true">
        {SHADOWS.map((off) => (
          <path key={off} d={path} transform={`translate(0 ${off})`} fill="rgba(40, 34, 20, 0.07)" />
        ))}
        <path d={path} fill="var(--board)" />
      </svg>
      <div className="deck-light" style={{ clipPath: `path("${path}")` }} aria-hidden="true">
        <canvas ref={canvas} style={{ left: scale.x(0), top: scale.centre - h, width: w, height: half ? h : 2 * h }} />
      </div>
    </>
  );
}

/** Both halves of the plan from the picture of one; or the one that is seen. */
function painted(onto: HTMLCanvasElement, image: HTMLCanvasElement, half: boolean): void {
  const pen = onto.getContext('2d');
  if (!pen) return;
  const { width, height } = image;
  onto.width = width;
  onto.height = half ? height : 2 * height;
  pen.translate(0, height);
  if (!half) pen.drawImage(image, 0, 0);
  pen.scale(1, -1);
  pen.globalAlpha = half ? HALF : FAR;
  pen.drawImage(image, 0, 0);
}

function pictureOf(picture: DeckPicture, into = document.createElement('canvas')): HTMLCanvasElement {
  if (into.width !== picture.columns) into.width = picture.columns;
  if (into.height !== picture.rows) into.height = picture.rows;
  into.getContext('2d')?.putImageData(new ImageData(picture.rgba, picture.columns, picture.rows), 0, 0);
  return into;
}
