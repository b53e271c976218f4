import { Button, Segmented, Slider, Switch } from 'antd';
import { useMemo, useState } from 'react';
import { type Known, madeUpPhoto, type Picture, type Point, USUAL_CAMERA } from '@june-tide/core/bring';
import { modelNamed } from '@june-tide/core/models';
import { LengthField } from '../../parts/LengthField.tsx';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { PickFile } from '../../parts/PickFile.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { shapeFor } from '../../store/derived.ts';
import { Doors } from './Doors.tsx';
import { Found } from './Found.tsx';
import { Made } from './Made.tsx';
import { Misfits, misfitsSay } from './misfits.tsx';
import { PhotoStand } from './PhotoStand.tsx';
import { readPicture } from './readPicture.ts';
import { useBring } from './useBring.ts';
import { UsualArea } from './UsualArea.tsx';

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

interface Sizes {
  width_mm: number;
  height_mm: number;
  apart_mm: number;
}

/** A board in a picture from above: its outline found against its background, perspective taken out. */
export function Photo() {
  const style = useLengthStyle();
  const [picture, setPicture] = useState<Picture>();
  const [called, setCalled] = useState('');
  const [refused, setRefused] = useState<string>();
  const [way, setWay] = useState<Way>('corners');
  const [marks, setMarks] = useState<readonly Point[]>([]);
  const [sizes, setSizes] = useState<Sizes>({ width_mm: 2440, height_mm: 1220, apart_mm: 1829 });
  const [unlike, setUnlike] = useState(1);
  const [turned, setTurned] = useState(false);
  const [wanted, setWanted] = useState(false);
  const begin = (next: Picture, name: string, at?: readonly Point[]) => {
    setRefused(undefined);
    setPicture(next);
    setCalled(name);
    setTurned(false);
    setUnlike(1);
    setWanted(at !== undefined);
    if (at) setWay('corners');
    setMarks(at ?? FIRST[way].map(({ x, y }) => ({ x: x * next.width, y: y * next.height })));
  };
  const asked = useMemo(() => {
    if (!picture || !wanted) return undefined;
    const known: Known =
      way === 'corners'
        ? {
            kind: 'corners',
            at: [marks[0], marks[1], marks[2], marks[3]],
            width_mm: sizes.width_mm,
            height_mm: sizes.height_mm,
            ...(marks[4] ? { bent: marks[4] } : {}),
          }
        : { kind: 'points', at: [marks[0], marks[1]], apart_mm: sizes.apart_mm };
    return {
      picture,
      name: called.replace(/\.[^.]*$/, '').slice(0, 80) || 'Board of a picture',
      known,
      unlike,
      turned,
    };
  }, [picture, wanted, way, marks, sizes, unlike, turned, called]);
  const state = useBring('photo', asked);
  const { made } = state;
  const size = (key: keyof Sizes, label: string) => (
    <label className="photo-size">
      <span>{label}</span>
      <LengthField
        label={label}
        value_mm={sizes[key]}
        feet
        range_mm={[50, 6000]}
        onChange={(value) => {
          setSizes({ ...sizes, [key]: value });
          return { ok: true };
        }}
      />
    </label>
  );
  return (
    <div className="page">
      <TopBar />
      <main className="measured wide-middle">
        <section aria-label="The picture">
          <Doors />
          <h1>Bring in a picture</h1>
          <p className="quiet above-0 below-2">
            A board from above, whole, on an even background. Lay it on something rectangular whose size you know, a
            sheet or a bench top: then it may be taken from any side.
          </p>
          <div className="row-of-tools">
            <PickFile
              type="primary"
              label="A picture of a board"
              accept="image/png,image/jpeg,image/webp,.heic"
              pick={(file) =>
                void readPicture(file).then((read) =>
                  read.ok ? begin(read.picture, file.name) : setRefused(read.reason),
                )
              }
            >
              Open a picture
            </PickFile>
            <Button
              onClick={() => {
                const board = modelNamed('Copper Pan');
                if (!board) return;
                const photo = madeUpPhoto(shapeFor(board), USUAL_CAMERA);
                setSizes({ ...sizes, width_mm: photo.width_mm, height_mm: photo.height_mm });
                begin(photo.picture, 'Copper Pan, a made-up picture', photo.corners);
              }}
            >
              Try it with a made-up picture
            </Button>
          </div>
          {refused !== undefined && (
            <p role="alert" className="trouble">
              {refused}
            </p>
          )}
          {picture && (
            <>
              <h3>{called}</h3>
              <div className="stack-12">
                <Segmented<Way>
                  aria-label="What is known of the picture"
                  value={way}
                  options={[
                    { value: 'corners', label: 'Four corners' },
                    { value: 'points', label: 'Two points' },
                  ]}
                  onChange={(next) => {
                    setWay(next);
                    setMarks(FIRST[next].map(({ x, y }) => ({ x: x * picture.width, y: y * picture.height })));
                  }}
                />
                {way === 'corners' ? (
                  <>
                    <p className="quiet above-0 below-2">
                      Pull the marks onto the corners of the rectangle, in order round. From one to two it is this long,
                      from two to three that.
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
                    <p className="quiet above-0 below-2">
                      For a picture taken square on, from far off. Nose and tail do, if you know the length.
                    </p>
                    {size('apart_mm', 'From one to two')}
                  </>
                )}
                <label>
                  <span>How unlike its background the board is</span>
                  <Slider
                    min={0.3}
                    max={2}
                    step={0.05}
                    value={unlike}
                    onChange={setUnlike}
                    tooltip={{ formatter: null }}
                    ariaLabelForHandle="How unlike its background the board is"
                  />
                </label>
                <label className="row-of-tools">
                  <Switch
                    size="small"
                    checked={turned}
                    onChange={setTurned}
                    aria-label="The tail is at the other end"
                  />
                  <span>The tail is at the other end</span>
                </label>
                {!wanted && (
                  <Button type="primary" onClick={() => setWanted(true)}>
                    Find the outline
                  </Button>
                )}
              </div>
            </>
          )}
        </section>
        <div className="photo-and-board">
          <PhotoStand
            picture={picture}
            marks={marks}
            words={MARK_WORDS[way]}
            seen={made?.seen}
            move={(mark, to) => setMarks(marks.map((each, k) => (k === mark ? to : each)))}
          />
          <Found
            board={made?.ok ? made.board : undefined}
            plan={made?.ok ? made.plan : undefined}
            bottom={undefined}
            foil={undefined}
          />
        </div>
        <Made
          state={state}
          board={made?.ok ? made.board : undefined}
          reason={made && !made.ok ? made.reason : undefined}
          notes={made?.ok ? `From a picture: ${called}. ${misfitsSay(made.misfits, style)}` : ''}
        >
          {made?.ok && (
            <>
              <Misfits misfits={made.misfits} />
              {made.misfits.some(({ of }) => of === 'outline') && <UsualArea board={made.board} />}
              <p className="quiet">
                Rocker, foil, rails, contours and fins are as on the model that comes nearest. The outline of a picture
                is where the rail is widest seen from above: step back and zoom in, so that the far rail is not hidden.
              </p>
            </>
          )}
        </Made>
      </main>
    </div>
  );
}
