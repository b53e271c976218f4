import { Button, Modal, Segmented, Select } from 'antd';
import { useMemo, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { entryOf, useShed } from '../../store/shed.ts';
import { Differences } from './Differences.tsx';
import { ALIGNMENT_WORDS, type Alignment, ALIGNMENTS, AS_OPENED } from './over.ts';
import { useBay } from './useBay.ts';

const PUSHES = [1, 2, 3, 5];

/** Another board, or this one as it was, laid on our tape: how it lies, what differs, and the difference pushed. */
export function LayOver() {
  const { record, over, layOver } = useBay();
  const [picking, setPicking] = useState(false);
  const others = usePickable(picking, record.id, over?.choice.id);
  const steps = useShed(useShallow((shed) => shed.histories[record.id]?.past.map(({ name }) => name) ?? []));
  const [open, setOpen] = useState(false);
  return (
    <div className="lay-over" role="group" aria-label="Lay over">
      <div className="row-of-tools">
        <Select
          aria-label="Lay over another board"
          size="small"
          showSearch
          optionFilterProp="label"
          allowClear
          placeholder="Lay over another board"
          className="grow least-150"
          value={over?.choice.id ?? null}
          onOpenChange={setPicking}
          onChange={(id: string | undefined) => {
            if (!id) layOver(undefined);
            else {
              const { past = [] } = useShed.getState().histories[record.id] ?? {};
              const state = id.startsWith(BEFORE) ? past[Number(id.slice(BEFORE.length))] : undefined;
              layOver({
                id,
                align: over?.choice.align ?? 'tail',
                push: over?.choice.push ?? 1,
                ...(state ? { earlier: { board: state.state.board, name: `before ${state.name}` } } : {}),
              });
            }
          }}
          options={[
            {
              label: 'This board',
              options: [
                ...(over?.choice.earlier && !over.choice.id.startsWith(BEFORE)
                  ? [{ value: over.choice.id, label: `With ${over.name}` }]
                  : []),
                { value: AS_OPENED, label: 'As it was when opened' },
                ...earlierOptions(steps),
              ],
            },
            {
              label: 'Other boards',
              options: others,
            },
          ]}
        />
        {over && (
          <Button size="small" onClick={() => setOpen(true)}>
            Differences
          </Button>
        )}
      </div>
      {over && (
        <div className="row-of-tools no-wrap">
          <Segmented<Alignment>
            aria-label="Laid together at"
            size="small"
            value={over.choice.align}
            options={ALIGNMENTS.map((value) => ({ value, label: ALIGNMENT_WORDS[value] }))}
            onChange={(align) => layOver({ ...over.choice, align })}
          />
          <Segmented<number>
            aria-label="Push the difference"
            size="small"
            value={over.choice.push}
            options={PUSHES.map((value) => ({ value, label: `×${value}` }))}
            onChange={(push) => layOver({ ...over.choice, push })}
          />
        </div>
      )}
      {over?.pushed?.reason && (
        <p className="quiet" role="status">
          Pushed as far as a board can go, ×{over.pushed.share.toFixed(1)}: {over.pushed.reason}.
        </p>
      )}
      <Modal
        open={open && over !== undefined}
        onCancel={() => setOpen(false)}
        footer={null}
        width={760}
        title={over && `${over.name} and ${record.board.name} ${record.number}`}
      >
        {over && open && <Differences from={over} to={{ name: 'This board', board: record.board }} />}
      </Modal>
    </div>
  );
}

/** Marks an earlier state of this board, by its place in the history. */
const BEFORE = 'before:';
const MOST_EARLIER = 12;

function earlierOptions(steps: readonly string[]): { value: string; label: string }[] {
  return steps
    .map((name, i) => ({ value: `${BEFORE}${i}`, label: `Before ${name}` }))
    .reverse()
    .slice(0, MOST_EARLIER);
}

/** Made once: each compare without it makes its own. */
const BY_NAME = new Intl.Collator('en');

interface Pickable {
  value: string;
  label: string;
}

/** Boards that can be laid over: all of them while one is picked, else the one that lies there; a drag is not kept by names. */
function usePickable(picking: boolean, own: string, laid: string | undefined): readonly Pickable[] {
  const all = useShed((shed) => (picking ? shed.records : undefined));
  const riders = useShed((shed) => shed.riders);
  const one = useShed((shed) => entryOf(shed.records, laid));
  return useMemo(() => {
    const records = all ? Object.values(all) : one ? [one] : [];
    return records
      .filter(({ id }) => id !== own)
      .sort((a, b) => BY_NAME.compare(a.board.name, b.board.name) || a.number - b.number)
      .map(({ id, board, number, riderId }) => {
        const rider = entryOf(riders, riderId)?.name;
        return { value: id, label: `${board.name} ${number}${rider ? `, ${rider}` : ''}` };
      });
  }, [all, one, riders, own]);
}
