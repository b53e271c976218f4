import { Segmented, Switch } from 'antd';
import { type ReactNode, useMemo, useState } from 'react';
import type { Known, Picture, Point } from '@june-tide/core/bring';
import { LengthField } from '../../parts/LengthField.tsx';

type Way = Known['kind'];

const MARK_WORDS: Readonly<Record<Way, readonly string[]>> = {
  corners: ['Corner one', 'Corner two', 'Corner three', 'Corner four', 'The bent edge'],
  points: ['First point', 'Second point'],
};

/** Marks to begin with, as shares of the picture. */
const FIRST: Readonly<Record<Way, readonly Point[]>> = {
  corners: [
    { x: 0.08, y: 0.12 },
    { x: 0.92, y: 0.12 },
    { x: 0.92, y: 0.88 },
    { x: 0.08, y: 0.88 },
  ],
  points: [
    { x: 0.1, y: 0.5 },
    { x: 0.9, y: 0.5 },
  ],
};

export interface Sizes {
  width_mm: number;
  height_mm: number;
  apart_mm: number;
}

export interface MarkedPicture {
  picture: Picture | undefined;
  called: string;
  known: Known | undefined;
  marks: readonly Point[];
  words: readonly string[];
  move: (mark: number, to: Point) => void;
  /** Opens a picture; with `at`, its four corners are known and what the rectangle measures. */
  begin: (next: Picture, name: string, at?: readonly Point[], sizes?: Partial<Sizes>) => void;
  /** What is known of the picture, to be set. */
  fields: ReactNode;
}

/** A picture and what is known of it: four corners of a rectangle, or two points and how far apart they are. */
export function useMarkedPicture(first: Sizes, twoPointWords: string): MarkedPicture {
  const [picture, setPicture] = useState<Picture>();
  const [called, setCalled] = useState('');
  const [way, setWay] = useState<Way>('corners');
  const [marks, setMarks] = useState<readonly Point[]>([]);
  const [sizes, setSizes] = useState<Sizes>(first);
  const firstOf = (next: Way, of: Picture) => FIRST[next].map(({ x, y }) => ({ x: x * of.width, y: y * of.height }));
  const begin: MarkedPicture['begin'] = (next, name, at, known) => {
    setPicture(next);
    setCalled(name);
    if (at) setWay('corners');
    if (known) setSizes({ ...sizes, ...known });
    setMarks(at ?? firstOf(way, next));
  };
  const known = useMemo((): Known | undefined => {
    if (marks.length < 2) return undefined;
    if (way === 'points') return { kind: 'points', at: [marks[0], marks[1]], apart_mm: sizes.apart_mm };
    return {
      kind: 'corners',
      at: [marks[0], marks[1], marks[2], marks[3]],
      width_mm: sizes.width_mm,
      height_mm: sizes.height_mm,
      ...(marks[4] ? { bent: marks[4] } : {}),
    };
  }, [way, marks, sizes]);
  const size = (key: keyof Sizes, label: string) => (
    <label className="photo-size">
      <span>{label}</span>
      <LengthField
        label={label}
        value_mm={sizes[key]}
        feet={first[key] > 1200}
        range_mm={[20, 6000]}
        onChange={(value) => {
          setSizes({ ...sizes, [key]: value });
          return { ok: true };
        }}
      />
    </label>
  );
  const fields = picture && (
    <>
      <Segmented<Way>
        aria-label="What is known of the picture"
        value={way}
        options={[
          { value: 'corners', label: 'Four corners' },
          { value: 'points', label: 'Two points' },
        ]}
        onChange={(next) => {
          setWay(next);
          setMarks(firstOf(next, picture));
        }}
      />
      {way === 'corners' ? (
        <>
          <p className="quiet above-0 below-2">
            Pull the marks onto the corners of the rectangle, in order round. From one to two it is this long, from two
            to three that.
          </p>
          {size('width_mm', 'From one to two')}
          {size('height_mm', 'From two to three')}
          <label className="row-of-tools">
            <Switch
              size="small"
              checked={marks.length > 4}
              aria-label="The edge from one to two looks bent"
              onChange={(bent) =>
                setMarks(
                  bent
                    ? [...marks, { x: (marks[0].x + marks[1].x) / 2, y: (marks[0].y + marks[1].y) / 2 }]
                    : marks.slice(0, 4),
                )
              }
            />
            <span>The edge from one to two looks bent</span>
          </label>
          {marks.length > 4 && (
            <p className="quiet above-0 below-2">Pull the fifth mark onto that edge, near its middle.</p>
          )}
        </>
      ) : (
        <>
          <p className="quiet above-0 below-2">{twoPointWords}</p>
          {size('apart_mm', 'From one to two')}
        </>
      )}
    </>
  );
  return {
    picture,
    called,
    known,
    marks,
    words: MARK_WORDS[way],
    move: (mark, to) => setMarks(marks.map((each, k) => (k === mark ? to : each))),
    begin,
    fields,
  };
}
