import {
  type Announcements,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  type ScreenReaderInstructions,
  type UniqueIdentifier,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Stage } from '@june-tide/core/make';

import { FoamGradient } from '../../parts/BoardPlan.tsx';
import { TopBar } from '../../parts/TopBar.tsx';

import { type Done, useDone } from '../../parts/useDone.tsx';
import { toStage, undo, useShed } from '../../store/shed.ts';
import { today } from '../../store/today.ts';
import { besideColumn } from './besideColumn.ts';
import { LineCard } from './LineCard.tsx';
import { type OnLine, onLineOf } from './onLine.ts';
import { StagesForm } from './StagesForm.tsx';
import { useColumn } from './useColumn.ts';
import { Weeks } from './Weeks.tsx';

const HOW: ScreenReaderInstructions = {
  draggable:
    'Press space to pick the board up, left and right to carry it along the line, space to put it down, escape to leave it.',
};

/** Open orders by the stage they are at: what is late, what comes next, and whether there are hands enough. */
export function Line() {
  const records = useShed((shed) => shed.records);
  const workshop = useShed((shed) => shed.settings.workshop);
  const [editing, setEditing] = useState(false);
  const day = today();
  const boards = useMemo(() => onLineOf(records, workshop, day), [records, workshop, day]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: besideColumn }),
  );
  const { say, holder } = useDone();
  const late = boards.filter(({ standing }) => (standing.inHand_days ?? 0) < 0).length;
  const { stages } = workshop;
  /** Boards at a stage the shop no longer has stand at its first. */
  const at = (stage: Stage, i: number) =>
    boards.filter(({ record }) => {
      const known = stages.some(({ id }) => id === record.order?.stage);
      return record.order?.stage === stage.id || (i === 0 && !known);
    });
  const nameOf = (id: UniqueIdentifier) => {
    const record = records[String(id)];
    return record ? `${record.board.name} ${record.number}` : 'The board';
  };
  const stageOf = (id: UniqueIdentifier | undefined) => stages.find((stage) => stage.id === id)?.name;
  /** What a screen reader says while a board is carried. */
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active.id)} picked up.`,
    onDragOver: ({ active, over }) => `${nameOf(active.id)} is over ${stageOf(over?.id) ?? 'no stage'}.`,
    onDragEnd: ({ active, over }) => `${nameOf(active.id)} put down at ${stageOf(over?.id) ?? 'its old place'}.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} is back at its old place.`,
  };
  const drop = ({ active, over }: DragEndEvent) => {
    const stage = stages.find(({ id }) => id === over?.id);
    const id = String(active.id);
    if (!stage || records[id]?.order?.stage === stage.id) return;
    toStage(id, stage);
    say({ words: `${nameOf(active.id)} is at ${stage.name}.`, back: () => undo(id) });
  };
  return (
    <div className="page">
      <TopBar />
      <main className="line">
        {holder}
        <svg width={0} height={0} aria-hidden className="lifted">
          <FoamGradient />
        </svg>
        <header className="line-head">
          <h1>Line</h1>
          <p data-testid="line-said">
            {boards.length === 0
              ? 'No board is on the line.'
              : `${boards.length} ${boards.length === 1 ? 'board' : 'boards'} on the line, ${late === 0 ? 'none late' : `${late} late`}.`}
          </p>
          <Button onClick={() => setEditing(true)}>Stages and hours</Button>
        </header>
        {boards.length === 0 && (
          <p className="quiet">
            Open a board on <Link to="/">the rack</Link>, go to Make, Order, and put it on the line.
          </p>
        )}
        <DndContext sensors={sensors} onDragEnd={drop} accessibility={{ screenReaderInstructions: HOW, announcements }}>
          <div className="columns">
            {stages.map((stage, i) => (
              <Column key={stage.id} stage={stage} next={stages[i + 1]} boards={at(stage, i)} say={say} />
            ))}
          </div>
        </DndContext>
        <Weeks boards={boards} workshop={workshop} day={day} />
        <StagesForm open={editing} onClose={() => setEditing(false)} boards={boards} />
      </main>
    </div>
  );
}

interface ColumnProps {
  stage: Stage;
  next: Stage | undefined;
  boards: readonly OnLine[];
  say: (done: Done) => void;
}

function Column({ stage, next, boards, say }: ColumnProps) {
  const { ref, over } = useColumn(stage.id);
  return (
    <section ref={ref} className={over ? 'column over' : 'column'} aria-label={stage.name}>
      <h2>
        {stage.name} <span className="quiet">{boards.length > 0 ? boards.length : ''}</span>
      </h2>
      {boards.map((board) => (
        <LineCard key={board.record.id} board={board} next={next} say={say} />
      ))}
    </section>
  );
}
