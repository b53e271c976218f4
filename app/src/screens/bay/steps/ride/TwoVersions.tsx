import { Button, Modal, Select } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { changesSentence } from '@june-tide/core/edit';
import { type Version, versionsOf } from '@june-tide/core/record';
import { BuiltText, useLengthStyle } from '../../../../parts/Measure.tsx';
import { useSize } from '../../../../parts/useSize.ts';
import { measuresFor, shapeFor } from '../../../../store/derived.ts';
import { Differences } from '../../Differences.tsx';
import { Lines, type LinesScale } from '../../OverOnPlank.tsx';
import { useBay } from '../../useBay.ts';

const called = ({ no }: Version) => `Version ${no}`;

/** Any two versions against each other, whatever the board is now: laid over, what was changed in words, and every number that differs. */
export function TwoVersions() {
  const { record } = useBay();
  const style = useLengthStyle();
  const versions = versionsOf(record);
  const [last, before] = [versions.at(-1)!, versions.at(-2)!];
  const [picked, pick] = useState<{ from?: string; to?: string }>({});
  const [open, setOpen] = useState(false);
  const from = versions.find(({ id }) => id === picked.from) ?? before;
  const to = versions.find(({ id }) => id === picked.to) ?? last;
  const changed = useMemo(() => changesSentence(from.board, to.board, style), [from, to, style]);
  const options = [...versions].reverse().map((version) => ({ value: version.id, label: called(version) }));
  return (
    <section aria-label="Two versions" className="above-8">
      <div className="row-of-tools">
        <Select
          aria-label="Version held against"
          size="small"
          value={from.id}
          options={options}
          onChange={(id) => pick({ ...picked, from: id })}
        />
        <span className="quiet">dashed, against</span>
        <Select
          aria-label="Version it became"
          size="small"
          value={to.id}
          options={options}
          onChange={(id) => pick({ ...picked, to: id })}
        />
      </div>
      <Pair from={from} to={to} />
      <p className="above-0 below-4" data-testid="pair-changed">
        {changed ? <BuiltText text={changed} /> : 'They are one and the same board.'}
      </p>
      <Button size="small" disabled={from === to} onClick={() => setOpen(true)}>
        Every number that differs
      </Button>
      <Modal
        open={open}
        onCancel={() => setOpen(false)}
        footer={null}
        width={760}
        title={`${called(from)} and ${called(to).toLowerCase()} of ${record.board.name} ${record.number}`}
      >
        {open && (
          <Differences from={{ name: called(from), board: from.board }} to={{ name: called(to), board: to.board }} />
        )}
      </Modal>
    </section>
  );
}

/** Over the plan, between it and the profile, and under that, px. */
const GAP_px = 10;

/** Both boards on one tail: plan over profile, at one true scale. */
function Pair({ from, to }: { from: Version; to: Version }) {
  const frame = useRef<HTMLDivElement>(null);
  const { width } = useSize(frame);
  const boards = [from.board, to.board];
  const length = Math.max(...boards.map(({ length_mm }) => length_mm));
  const breadth = Math.max(...boards.map(({ outline }) => outline.width_mm));
  const tall = Math.max(
    ...boards.map((board) => {
      const { noseRocker_mm, tailRocker_mm, thickness_mm } = measuresFor(board);
      return Math.max(noseRocker_mm, tailRocker_mm, thickness_mm);
    }),
  );
  const k = Math.max(0, width - 2 * GAP_px) / length;
  const scale: LinesScale = {
    k,
    x: (station_mm) => GAP_px + station_mm * k,
    centre: GAP_px + (breadth * k) / 2,
    half: false,
    ground: 2 * GAP_px + (breadth + tall) * k,
    stretch: 1,
  };
  return (
    <div ref={frame} className="below-4">
      {width > 0 && (
        <svg
          width={width}
          height={scale.ground + GAP_px}
          role="img"
          aria-label={`${called(from)}, dashed, and ${called(to)} on one tail: plan and profile`}
          fill="none"
        >
          <Lines profiled shape={shapeFor(to.board)} shift_mm={0} scale={scale} stroke="var(--ink)" />
          <Lines profiled shape={shapeFor(from.board)} shift_mm={0} scale={scale} stroke="var(--sea)" dash="7 4" />
        </svg>
      )}
    </div>
  );
}
