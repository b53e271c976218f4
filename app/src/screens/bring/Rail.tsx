import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { type RailRead, withRailFound } from '@june-tide/core/bring';
import { railAt } from '@june-tide/core/rails';
import type { BoardRecord } from '@june-tide/core/record';
import { sectionAt } from '@june-tide/core/shape';
import { lengthWords } from '@june-tide/core/units';
import { LengthField } from '../../parts/LengthField.tsx';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { shapeFor } from '../../store/derived.ts';
import { editBoard, useShed } from '../../store/shed.ts';
import { Doors } from './Doors.tsx';
import { PhotoStand } from './PhotoStand.tsx';
import { RailFoundTable } from './RailFoundTable.tsx';
import { RailView } from './RailView.tsx';
import { useBring } from './useBring.ts';
import { WhenMade } from './WhenMade.tsx';
import { useRailSource } from './useRailSource.tsx';

/** A gauge is set so far from the tail where nobody said. */
const USUAL_PLACE_mm = 305;

/** The rail of a board on the rack, from a contour gauge, a rail template or a drawn section. */
export function Rail() {
  const [search, setSearch] = useSearchParams();
  const records = useShed((shed) => shed.records);
  const boards = Object.values(records);
  const record = boards.find(({ id }) => id === search.get('board')) ?? boards[0];
  const place = Number(search.get('at_mm') ?? USUAL_PLACE_mm);
  const choose = (next: Record<string, string>) =>
    setSearch((was) => ({ ...Object.fromEntries(was), ...next }), { replace: true });
  return (
    <div className="page">
      <TopBar />
      {record === undefined ? (
        <main className="measured">
          <section aria-label="The gauge">
            <Doors />
            <h1>Bring in a rail</h1>
            <p className="quiet above-0">
              A rail goes onto a board of the rack, and there is none: begin one, or bring one in by another door.
            </p>
          </section>
        </main>
      ) : (
        <RailOf
          record={record}
          place={Number.isFinite(place) ? Math.min(record.board.length_mm - 1, Math.max(1, place)) : USUAL_PLACE_mm}
          boards={boards}
          choose={choose}
        />
      )}
    </div>
  );
}

interface RailOfProps {
  record: BoardRecord;
  place: number;
  boards: readonly BoardRecord[];
  choose: (next: Record<string, string>) => void;
}

function RailOf({ record, place, boards, choose }: RailOfProps) {
  const { board, id } = record;
  const shape = shapeFor(board);
  const source = useRailSource(shape, place);
  const { stroke, deckFirst } = source;
  const asked = useMemo(
    () => stroke && { board, x_mm: place, stroke, choices: deckFirst === undefined ? {} : { deckFirst } },
    [board, place, stroke, deckFirst],
  );
  const { made, current, going, failed } = useBring('rail', asked);
  return (
    <main className="measured wide-middle">
      <section aria-label="The gauge">
        <Doors />
        <h1>Bring in a rail</h1>
        <p className="quiet above-0 below-2">
          A contour gauge laid on paper and drawn round, a rail template, a section of a drawing. It is fitted by the
          rail’s own numbers and put on a board.
        </p>
        <div className="stack-12">
          <Select
            aria-label="The board"
            className="fit-all"
            showSearch={{ optionFilterProp: 'label' }}
            value={id}
            options={boards.map((each) => ({
              value: each.id,
              label: `${each.board.name} ${each.number ?? ''}`.trim(),
            }))}
            onChange={(next) => choose({ board: next })}
          />
          <label className="photo-size">
            <span>From the tail</span>
            <LengthField
              label="Where the gauge was set, from the tail"
              value_mm={place}
              feet
              range_mm={[1, board.length_mm - 1]}
              onChange={(value) => {
                choose({ at_mm: String(value) });
                return { ok: true };
              }}
            />
          </label>
          {source.fields}
        </div>
      </section>
      <div className={source.stand ? 'photo-and-board' : 'rail-alone'}>
        {source.stand && <PhotoStand {...source.stand} seen={undefined} />}
        <RailView own={sectionAt(shape, place)} found={made?.ok ? made : undefined} />
      </div>
      <RailMade
        record={record}
        place={place}
        read={made}
        current={current}
        going={going !== undefined}
        failed={failed}
        note={source.note}
      />
    </main>
  );
}

interface RailMadeProps {
  record: BoardRecord;
  place: number;
  read: RailRead | undefined;
  current: boolean;
  going: boolean;
  failed: string | undefined;
  note: string | undefined;
}

/** What the gauge says, and the way onto the board. */
function RailMade({ record, place, read, current, going, failed, note }: RailMadeProps) {
  const navigate = useNavigate();
  const style = useLengthStyle();
  const [refused, setRefused] = useState<string>();
  const { board, id } = record;
  const shape = shapeFor(board);
  const own = sectionAt(shape, place);
  const why = failed ?? (read && !read.ok ? read.reason : undefined) ?? note;
  const thicker = read?.ok && own ? read.thickness_mm - own.input.thickness_mm : 0;
  return (
    <section aria-label="What it makes">
      <h1>What it makes</h1>
      {going && (
        <p role="status" className="quiet above-0">
          Fitting the rail
        </p>
      )}
      {!going && why !== undefined && (
        <p role="status" className="trouble">
          {why}
        </p>
      )}
      {!read && why === undefined && !going && (
        <p className="quiet above-0">Nothing yet: open what the gauge showed, or try it with a made-up one.</p>
      )}
      {read?.ok && (
        <>
          <p className="sample-size" data-testid="rail-misfit">
            {read.rms_mm.toFixed(2)} mm off in the mean
          </p>
          <p className="quiet above-0">{Math.abs(read.worst_mm).toFixed(2)} mm where it is most.</p>
          <RailFoundTable found={read} own={railAt(shape.rails, place)} />
          {Math.abs(thicker) > 1.5 && (
            <p className="quiet">
              What was gauged is {Math.abs(thicker).toFixed(0)} mm {thicker > 0 ? 'thicker' : 'thinner'} than the board
              is there: the rail is drawn on the board’s own thickness.
            </p>
          )}
          {read.flipped && (
            <p className="quiet">
              It fits with the bottom’s end first: say which end is the deck’s, if that is not so.
            </p>
          )}
          {refused !== undefined && (
            <p role="alert" className="trouble">
              {refused}
            </p>
          )}
          <WhenMade
            current={current}
            onPut={() => {
              const put = editBoard(id, `rail from a gauge, ${lengthWords(place, style)} from the tail`, (b) =>
                withRailFound(b, place, read.rail),
              );
              if (put.ok) void navigate(`/bay/${id}/rails`);
              else setRefused(put.issues[0].words);
            }}
          >
            Put it on {board.name}
          </WhenMade>
        </>
      )}
    </section>
  );
}
