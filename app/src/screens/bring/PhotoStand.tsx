import { type PointerEvent, useEffect, useRef, useState } from 'react';
import type { Picture, Point } from '@june-tide/core/bring';
import { useSize } from '../../parts/useSize.ts';

interface PhotoStandProps {
  picture: Picture | undefined;
  marks: readonly Point[];
  /** What each mark is, in order. */
  words: readonly string[];
  seen: readonly Point[] | undefined;
  move: (mark: number, to: Point) => void;
}

/** Arrow keys move a mark by so many pixels of the picture. */
const KEY_px = 1;

/** The picture as large as there is room, its marks to be pulled into place, and the outline that was found. */
export function PhotoStand({ picture, marks, words, seen, move }: PhotoStandProps) {
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
  const scale = picture ? Math.min((width - 4) / picture.width, (height - 4) / picture.height) : 0;
  const pull = (event: PointerEvent<SVGSVGElement>) => {
    if (held === undefined || !picture) return;
    const from = event.currentTarget.getBoundingClientRect();
    const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
    move(held, {
      x: within((event.clientX - from.left) / scale, picture.width),
      y: within((event.clientY - from.top) / scale, picture.height),
    });
  };
  return (
    <div ref={box} className="found photo-stand">
      {picture && (
        <div style={{ width: picture.width * scale, height: picture.height * scale }}>
          <canvas ref={canvas} role="img" aria-label="The picture" />
          <svg
            width={picture.width * scale}
            height={picture.height * scale}
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
                aria-label={`${words[k]}: pull it into place, or move it with the arrow keys`}
                onPointerDown={(event) => {
                  setHeld(k);
                  event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
                }}
                onKeyDown={(event) => {
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
                <circle r={7} />
                <path d="M-12 0H12M0 -12V12" />
                <text y={-14}>{k + 1}</text>
              </g>
            ))}
          </svg>
        </div>
      )}
    </div>
  );
}
