import { Button, Select, Slider } from 'antd';
import { useMemo, useState } from 'react';
import { LINE_USES, type LineUse, madeUpPhoto, type Picture, type Point, USUAL_CAMERA } from '@june-tide/core/bring';
import { modelNamed } from '@june-tide/core/models';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { PickFile } from '../../parts/PickFile.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { shapeFor } from '../../store/derived.ts';
import { Doors } from './Doors.tsx';
import { Found } from './Found.tsx';
import { Made } from './Made.tsx';
import { Misfits, misfitsSay } from './misfits.tsx';
import { OtherEnd } from './OtherEnd.tsx';
import { PhotoStand } from './PhotoStand.tsx';
import { readPicture } from './readPicture.ts';
import { Uneven } from './Uneven.tsx';
import { useBring } from './useBring.ts';
import { useMarkedPicture } from './useMarkedPicture.tsx';
import { UsualArea } from './UsualArea.tsx';
import { withMore } from './withMore.ts';

type Seen = Exclude<LineUse, 'none'>;
const SEEN_WORDS: Readonly<Record<Seen, string>> = {
  outline: 'A board from above',
  half: 'A half template of an outline',
  profile: 'A board from the side, deck up',
  bottom: 'A rocker template: its lower edge',
};

const SEEN = LINE_USES.filter((use): use is Seen => use !== 'none');

/** A sheet of ply, and a board of six feet. */
const FIRST_SIZES = { width_mm: 2440, height_mm: 1220, apart_mm: 1829 };

/** A board, or a template of one, in a picture: found against its background, perspective taken out. */
export function Photo() {
  const style = useLengthStyle();
  const marked = useMarkedPicture(
    FIRST_SIZES,
    'For a picture taken square on, from far off: two marks of a tape laid beside, or nose and tail if you know the length.',
  );
  const { picture, called, known } = marked;
  const [refused, setRefused] = useState<string>();
  const [what, setWhat] = useState<Seen>('outline');
  const [unlike, setUnlike] = useState(1);
  const [turned, setTurned] = useState(false);
  const [wanted, setWanted] = useState(false);
  const [edges, setEdges] = useState<readonly Point[]>([]);
  const begin = (...[next, name, at, sizes]: Parameters<typeof marked.begin>) => {
    setRefused(undefined);
    setTurned(false);
    setUnlike(1);
    setEdges([]);
    setWanted(at !== undefined);
    marked.begin(next, name, at, sizes);
  };
  const asked = useMemo(() => {
    if (!picture || !known || !wanted) return undefined;
    const name = called.replace(/\.[^.]*$/, '').slice(0, 80) || 'Board of a picture';
    return { picture, name, known, unlike, turned, what, edges };
  }, [picture, wanted, known, unlike, turned, called, what, edges]);
  const state = useBring('photo', asked);
  const { made } = state;
  return (
    <div className="page">
      <TopBar />
      <main className="measured wide-middle">
        <section aria-label="The picture">
          <Doors />
          <h1>Bring in a picture</h1>
          <p className="quiet above-0 below-2">
            A board, or a template off the wall, whole, on an even background. Lay it on something rectangular whose
            size you know, a sheet or a bench top: then it may be taken from any side.
          </p>
          <OpenPicture
            onPicture={begin}
            onMadeUp={(photo) => {
              setWhat('outline');
              begin(photo.picture, 'Copper Pan, a made-up picture', photo.corners, {
                width_mm: photo.width_mm,
                height_mm: photo.height_mm,
              });
            }}
            onRefused={setRefused}
          />
          {refused !== undefined && (
            <p role="alert" className="trouble">
              {refused}
            </p>
          )}
          {picture && (
            <>
              <h3>{called}</h3>
              <div className="stack-12">
                <Select<Seen>
                  aria-label="What is in the picture"
                  className="fit-all"
                  value={what}
                  options={SEEN.map((value) => ({ value, label: SEEN_WORDS[value] }))}
                  onChange={setWhat}
                />
                {marked.fields}
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
                <OtherEnd of="tail" turned={turned} onTurned={setTurned} />
                {wanted && <EdgeMarks seen={made?.seen} edges={edges} setEdges={setEdges} />}
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
          <PhotoStand {...withMore(marked, edges, setEdges, 'Edge mark')} seen={made?.seen} />
          <Found found={made?.ok ? made : undefined} />
        </div>
        <Made state={state} notes={made?.ok ? `From a picture: ${called}. ${misfitsSay(made.misfits, style)}` : ''}>
          {made?.ok && (
            <>
              <Misfits misfits={made.misfits} />
              {made.misfits.some(({ of }) => of === 'outline') && <UsualArea board={made.board} />}
              <Uneven plan={made.plan} />
              <p className="quiet">
                What the picture does not show is as on the model that comes nearest. The outline of a picture is where
                the rail is widest seen from above, its profile the far edge of deck and bottom: step back and zoom in.
              </p>
            </>
          )}
        </Made>
      </main>
    </div>
  );
}

interface EdgeMarksProps {
  seen: readonly Point[] | undefined;
  edges: readonly Point[];
  setEdges: (edges: readonly Point[]) => void;
}

/** Where the line that was found is wrong, it is told by few marks. */
function EdgeMarks({ seen, edges, setEdges }: EdgeMarksProps) {
  // A mark for who has no mouse begins on the line, each at another place of it, and changes nothing until it is moved.
  const next = seen?.[Math.floor(seen.length * ((0.25 + 0.38 * edges.length) % 1))];
  return (
    <div>
      <p className="quiet above-0 below-2">
        Where the line is wrong, press on the edge as you see it: the line is drawn to your mark. Delete takes the one
        in hand off.
      </p>
      <div className="row-of-tools">
        <Button size="small" disabled={!next} onClick={() => next && setEdges([...edges, next])}>
          Set a mark on the line
        </Button>
        {edges.length > 0 && (
          <Button size="small" onClick={() => setEdges([])}>
            Take {edges.length === 1 ? 'the mark' : `all ${edges.length}`} off
          </Button>
        )}
      </div>
    </div>
  );
}

interface OpenPictureProps {
  onPicture: (picture: Picture, called: string) => void;
  onMadeUp: (photo: ReturnType<typeof madeUpPhoto>) => void;
  onRefused: (reason: string) => void;
}

/** A picture from a file, or one made up. */
function OpenPicture({ onPicture, onMadeUp, onRefused }: OpenPictureProps) {
  return (
    <div className="row-of-tools">
      <PickFile
        type="primary"
        label="A picture of a board"
        accept="image/png,image/jpeg,image/webp,.heic"
        pick={(file) =>
          void readPicture(file).then((read) => (read.ok ? onPicture(read.picture, file.name) : onRefused(read.reason)))
        }
      >
        Open a picture
      </PickFile>
      <Button
        onClick={() => {
          const board = modelNamed('Copper Pan');
          if (board) onMadeUp(madeUpPhoto(shapeFor(board), USUAL_CAMERA));
        }}
      >
        Try it with a made-up picture
      </Button>
    </div>
  );
}
