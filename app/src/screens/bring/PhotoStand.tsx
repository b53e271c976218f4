import { type PointerEvent, useEffect, useRef, useState } from 'react';
import type { Picture, Point } from '@june-tide/core/bring';
import { useSize } from '../../parts/useSize.ts';

export interface PhotoStandProps {
  picture: Picture | undefined;
  marks: readonly Point[];
  /** What each mark is, in order. */
  words: readonly string[];
  seen: readonly Point[] | undefined;
  move: (mark: number, to: Point) => void;
  /** A press on the picture itself sets a further mark; Delete takes one of those off. */
  more?: { from: number; add: (at: Point) => void; remove: (mark: number) => void };
}

/** Arrow keys move a mark by so many pixels of the picture. */
const KEY_px = 1;

/** The picture as large as there is room, its marks to be pulled into place, and the outline that was found. */
export function PhotoStand({ picture, marks, words, seen, move, more }: PhotoStandProps) {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { width, height } = useSize(box);
  const [held, setHeld] = useState<number>();
  useEffect(() => {
    if (!picture || !canvas.current) return;
    canvas.current.width = picture.width;
    canvas.current.height = picture.height;
    const pixels = new ImageData(new Uint8ClampedArray(picture.rgba), picture.width, picture.height);
    canvas.current.getContext('2d')?.putImageData(pixels, 0, 0);
  }, [picture]);
  const scale = picture ? Math.max(0, Math.min((width - 4) / picture.width, (height - 4) / picture.height)) : 0;
  const placeOf = (event: PointerEvent<SVGSVGElement>, { width: w, height: h }: Picture): Point => {
    const from = event.currentTarget.getBoundingClientRect();
    const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
    return { x: within((event.clientX - from.left) / scale, w), y: within((event.clientY - from.top) / scale, h) };
  };
  const pull = (event: PointerEvent<SVGSVGElement>) => {
    if (held !== undefined && picture) move(held, placeOf(event, picture));
  };
  return (
    <div ref={box} className="found photo-stand">
      {picture && (
        <div style={{ width: picture.width * scale, height: picture.height * scale }}>
          <canvas ref={canvas} role="img" aria-label="The picture" />
          <svg
            width={picture.width * scale}
            height={picture.height * scale}
            className={more ? 'adds' : undefined}
            onPointerDown={(event) => {
              if (more && event.target === event.currentTarget) more.add(placeOf(event, picture));
            }}
            onPointerMove={pull}
            onPointerUp={() => setHeld(undefined)}
          >
            {seen && seen.length > 2 && (
              <path
                d={`M${seen.map(({ x, y }) => `${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}`).join('L')}Z`}
              />
            )}
            {marks.map(({ x, y }, k) => (
              <g
                key={words[k]}
                transform={`translate(${x * scale} ${y * scale})`}
                tabIndex={0}
                role="button"
                className={more && k >= more.from ? 'small' : undefined}
                aria-label={`${words[k]}: pull it into place, or move it with the arrow keys`}
                onPointerDown={(event) => {
                  setHeld(k);
                  event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
                }}
                onKeyDown={(event) => {
                  if (more && k >= more.from && (event.key === 'Delete' || event.key === 'Backspace')) {
                    event.preventDefault();
                    more.remove(k);
                    return;
                  }
                  const by = (event.shiftKey ? 10 : 1) * KEY_px;
                  const step: Partial<Record<string, [number, number]>> = {
                    ArrowLeft: [-by, 0],
                    ArrowRight: [by, 0],
                    ArrowUp: [0, -by],
                    ArrowDown: [0, by],
                  };
                  const way = step[event.key];
                  if (!way) return;
                  event.preventDefault();
                  move(k, { x: x + way[0], y: y + way[1] });
                }}
              >
                <circle r={16} className="reach" />
                <circle r={more && k >= more.from ? 3.5 : 7} />
                {more && k >= more.from ? null : (
                  <>
                    <path d="M-12 0H12M0 -12V12" />
                    <text y={-14}>{k + 1}</text>
                  </>
                )}
              </g>
            ))}
          </svg>
        </div>
      )}
    </div>
  );
}
