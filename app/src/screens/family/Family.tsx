import { Button, Segmented, Select } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { FAMILIES, type Family as BoardFamily, FAMILY_WORDS } from '@june-tide/core/document';
import { familyTree, withRelatives } from '@june-tide/core/record';
import { TopBar } from '../../parts/TopBar.tsx';
import { useShed } from '../../store/shed.ts';
import { laidOut } from './layout.ts';
import { TreeDrawing } from './TreeDrawing.tsx';
import { TreeTable } from './TreeTable.tsx';

const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());
const ZOOMS = [0.35, 0.5, 0.7, 1, 1.4] as const;

/** How the boards of the shed come from one another: drawn, and as a table that says the same. */
export function Family() {
  const [asked, ask] = useSearchParams();
  const records = useShed((shed) => shed.records);
  const riders = useShed((shed) => shed.riders);
  const [zoom, setZoom] = useState(3);
  const [view, setView] = useState<'drawn' | 'table'>('drawn');
  const [rider, kind, board] = ['rider', 'kind', 'board'].map((key) => asked.get(key) ?? undefined);
  const set = (key: string, value: string | undefined) =>
    ask(
      (was) => {
        if (value === undefined) was.delete(key);
        else was.set(key, value);
        return was;
      },
      { replace: true },
    );
  const whole = useMemo(() => familyTree(Object.values(records)), [records]);
  const tree = useMemo(() => {
    if (rider === undefined && kind === undefined && board === undefined) return { ...whole, laid: laidOut(whole) };
    const wanted = Object.values(records).filter(
      (record) =>
        (rider === undefined || record.riderId === rider) &&
        (kind === undefined || record.board.family === kind) &&
        (board === undefined || record.id === board),
    );
    const keep = withRelatives(new Set(wanted.map(({ id }) => id)), whole.lines);
    return {
      ...whole,
      alone: whole.alone.filter(({ id }) => keep.has(id)),
      laid: laidOut(whole, keep),
    };
  }, [whole, records, rider, kind, board]);
  const { laid, alone } = tree;
  const named = board === undefined ? undefined : records[board];
  return (
    <div className="page">
      <TopBar />
      <main className="family">
        <header className="line-head">
          <h1>Family tree</h1>
          <Select
            aria-label="Boards of a rider"
            allowClear
            className="fit-150"
            placeholder="All riders"
            value={rider ?? null}
            options={Object.values(riders)
              .map(({ id, name }) => ({ value: id, label: name }))
              .sort((a, b) => a.label.localeCompare(b.label))}
            onChange={(value: string | undefined) => set('rider', value)}
          />
          <Select<BoardFamily | null>
            aria-label="Kind of board"
            allowClear
            className="fit-150"
            placeholder="All kinds"
            value={FAMILIES.find((each) => each === kind) ?? null}
            options={FAMILIES.map((value) => ({ value, label: capital(FAMILY_WORDS[value]) }))}
            onChange={(value) => set('kind', value ?? undefined)}
          />
          {named && (
            <Button onClick={() => set('board', undefined)}>
              Only the kin of {named.board.name} {named.number} ×
            </Button>
          )}
          <span className="right row-of-tools above-0">
            <Segmented
              aria-label="Seen as"
              value={view}
              options={[
                { value: 'drawn', label: 'Drawn' },
                { value: 'table', label: 'Table' },
              ]}
              onChange={setView}
            />
            <Button aria-label="Smaller" disabled={zoom === 0 || view === 'table'} onClick={() => setZoom(zoom - 1)}>
              −
            </Button>
            <Button
              aria-label="Larger"
              disabled={zoom === ZOOMS.length - 1 || view === 'table'}
              onClick={() => setZoom(zoom + 1)}
            >
              +
            </Button>
          </span>
        </header>
        {laid.placed.length === 0 ? (
          <p className="serif quiet">
            No board here comes from another yet. Copy one, draw a size of one, take a half of another, or make the
            next.
          </p>
        ) : view === 'drawn' ? (
          <TreeDrawing laid={laid} zoom={ZOOMS[zoom]} picked={board} />
        ) : (
          <TreeTable laid={laid} />
        )}
        {alone.length > 0 && (
          <p className="quiet alone">
            Without kin:{' '}
            {alone.slice(0, 40).map(({ id, board: { name }, number }, i) => (
              <span key={id}>
                {i > 0 && ', '}
                <Link to={`/bay/${id}/ride`}>
                  {name} {number}
                </Link>
              </span>
            ))}
            {alone.length > 40 && ` and ${alone.length - 40} more`}.
          </p>
        )}
      </main>
    </div>
  );
}
