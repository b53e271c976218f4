import { useDraggable } from '@dnd-kit/core';
import { Button } from 'antd';
import { Link } from 'react-router';
import type { Stage } from '@june-tide/core/make';
import { BoardPlan } from '../../parts/BoardPlan.tsx';
import { dayWords, shortStanding } from '../../parts/days.ts';
import { Measure } from '../../parts/Measure.tsx';
import type { Done } from '../../parts/useDone.tsx';
import { entryOf, handedOver, toStage, undo, useShed } from '../../store/shed.ts';
import type { OnLine } from './onLine.ts';

const HEIGHT = 64;

interface LineCardProps {
  board: OnLine;
  next: Stage | undefined;
  say: (done: Done) => void;
}

/** One board on the line: whose it is, when it is due, how it stands; taken along by hand or by keys. */
export function LineCard({ board: { record, standing }, next, say }: LineCardProps) {
  const riders = useShed((shed) => shed.riders);
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: record.id });
  const rider = entryOf(riders, record.riderId);
  const { board } = record;
  const name = `${board.name} ${record.number}`;
  const late = (standing.inHand_days ?? 0) < 0;
  const scale = HEIGHT / board.length_mm;
  return (
    <article
      className={`line-card${late ? ' late' : ''}${isDragging ? ' held' : ''}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 5 } : undefined}
      aria-label={name}
    >
      <div ref={setNodeRef} className="grip" {...listeners} {...attributes} aria-label={`Move ${name}`}>
        <svg width={26} height={HEIGHT + 2} viewBox={`-13 ${-HEIGHT - 1} 26 ${HEIGHT + 2}`} aria-hidden>
          <BoardPlan board={board} scale={scale} />
        </svg>
        <span className="says">
          <b>{name}</b>
          <span>
            {rider?.name ?? 'unsold'}, <Measure mm={board.length_mm} feet />
          </span>
          <span className="when">
            {record.brief?.dueOn && <span>{dayWords(record.brief.dueOn)}</span>}
            <span className={late ? 'standing late' : 'standing'}>{shortStanding(standing)}</span>
          </span>
        </span>
      </div>
      <div className="line-acts">
        <Link to={`/bay/${record.id}/make?part=order`} aria-label={`Open ${name}`}>
          Open
        </Link>
        {next ? (
          <Button
            size="small"
            type="text"
            aria-label={`${name} on to ${next.name}`}
            onClick={() => {
              toStage(record.id, next);
              say({ words: `${name} is at ${next.name}.`, back: () => undo(record.id) });
            }}
          >
            On
          </Button>
        ) : (
          <Button
            size="small"
            type="text"
            aria-label={`${name} handed over`}
            onClick={() => {
              handedOver(record.id);
              say({ words: `${name} is handed over.`, back: () => undo(record.id) });
            }}
          >
            Handed over
          </Button>
        )}
      </div>
    </article>
  );
}
