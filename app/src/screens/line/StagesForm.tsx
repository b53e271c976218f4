import { Button, Checkbox, DatePicker, Drawer, Input, InputNumber, Tag } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import {
  type Day,
  FIRST_DAY,
  LAST_DAY,
  type Stage,
  USUAL_WORKSHOP,
  WEEKDAYS,
  type Workshop,
} from '@june-tide/core/make';
import { dayWords } from '../../parts/days.ts';
import { useDone } from '../../parts/useDone.tsx';
import { Term } from '../../parts/Term.tsx';
import { changeWorkshop, useShed } from '../../store/shed.ts';
import type { OnLine } from './onLine.ts';

const WEEKDAY_WORDS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

interface StagesFormProps {
  open: boolean;
  onClose: () => void;
  boards: readonly OnLine[];
}

/** The shop's own stages with their hours and waits, its working days and its hands. Kept as they are typed. */
export function StagesForm({ open, onClose, boards }: StagesFormProps) {
  const workshop = useShed((shed) => shed.settings.workshop);
  const { stages, weekdays, closed, people, hoursADay } = workshop;
  const put = (i: number, change: Partial<Stage>) =>
    changeWorkshop({ stages: stages.map((stage, k) => (k === i ? { ...stage, ...change } : stage)) });
  const move = (i: number, by: 1 | -1) => {
    const next = [...stages];
    [next[i], next[i + by]] = [next[i + by], next[i]];
    changeWorkshop({ stages: next });
  };
  const { say, holder } = useDone();
  return (
    <Drawer title="Stages and hours" open={open} onClose={onClose} size={640}>
      {holder}
      <table className="marks" aria-label="Stages">
        <thead>
          <tr>
            <th scope="col">
              <Term of="stage" />
            </th>
            <th scope="col">
              <Term of="hands">Hands, h</Term>
            </th>
            <th scope="col">Then waits, days</th>
            <th scope="col">
              <span className="visually-hidden">Order</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {stages.map((stage, i) => (
            <StageRow
              key={stage.id}
              stage={stage}
              place={i + 1}
              first={i === 0}
              last={i === stages.length - 1}
              inUse={boards.some(({ record }) => record.order?.stage === stage.id)}
              put={(change) => put(i, change)}
              move={(by) => move(i, by)}
              takeOut={() => {
                changeWorkshop({ stages: stages.filter((_, k) => k !== i) });
                say({ words: `${stage.name} is taken out.`, back: () => changeWorkshop({ stages }) });
              }}
            />
          ))}
        </tbody>
      </table>
      <div className="row-of-tools">
        <Button
          size="small"
          disabled={stages.length >= 16}
          onClick={() =>
            changeWorkshop({
              stages: [...stages, { id: crypto.randomUUID(), name: 'New stage', hands_h: 1, wait_days: 0 }],
            })
          }
        >
          One more stage
        </Button>
        <Button
          size="small"
          type="text"
          onClick={() => {
            changeWorkshop({ stages: USUAL_WORKSHOP.stages });
            say({ words: 'The usual eight stages stand again.', back: () => changeWorkshop({ stages }) });
          }}
        >
          The usual eight
        </Button>
      </div>
      <Days weekdays={weekdays} closed={closed} />
      <Hands people={people} hoursADay={hoursADay} />
      <p className="quiet">
        One board has one pair of hands at a time. The usual hours and waits are from memory: put in your own clock.
        Cure by the data sheet of your resin, not by the calendar.
      </p>
    </Drawer>
  );
}

/** A field that is emptied changes nothing. */
const number = (value: number | null, keep: (value: number) => void) => {
  if (typeof value === 'number') keep(value);
};

interface StageRowProps {
  stage: Stage;
  place: number;
  first: boolean;
  last: boolean;
  /** Boards stand at it: it cannot be taken out. */
  inUse: boolean;
  put: (change: Partial<Stage>) => void;
  move: (by: 1 | -1) => void;
  takeOut: () => void;
}

function StageRow({ stage, place, first, last, inUse, put, move, takeOut }: StageRowProps) {
  return (
    <tr>
      <td>
        <Input
          key={stage.name}
          aria-label={`Name of stage ${place}`}
          size="small"
          maxLength={40}
          defaultValue={stage.name}
          onBlur={(event) => {
            const name = event.target.value.trim();
            if (name !== '' && name !== stage.name) put({ name });
          }}
        />
      </td>
      <td>
        <InputNumber
          aria-label={`Hours of ${stage.name}`}
          size="small"
          min={0}
          max={200}
          step={0.25}
          value={stage.hands_h}
          onChange={(value) => number(value, (hands_h) => put({ hands_h }))}
        />
      </td>
      <td>
        <InputNumber
          aria-label={`Days of waiting after ${stage.name}`}
          size="small"
          min={0}
          max={60}
          precision={0}
          value={stage.wait_days}
          onChange={(value) => number(value, (wait_days) => put({ wait_days }))}
        />
      </td>
      <td className="one-line">
        <Button size="small" disabled={first} aria-label={`${stage.name} earlier`} onClick={() => move(-1)}>
          ↑
        </Button>
        <Button size="small" disabled={last} aria-label={`${stage.name} later`} onClick={() => move(1)}>
          ↓
        </Button>
        <Button
          size="small"
          disabled={(first && last) || inUse}
          title={inUse ? 'Boards stand at it' : undefined}
          aria-label={`Take ${stage.name} out`}
          onClick={takeOut}
        >
          ×
        </Button>
      </td>
    </tr>
  );
}

function Hands({ people, hoursADay }: Pick<Workshop, 'people' | 'hoursADay'>) {
  return (
    <>
      <h3>Hands</h3>
      <div className="row-of-tools">
        <InputNumber
          aria-label="People"
          size="small"
          min={1}
          max={50}
          precision={0}
          value={people}
          onChange={(value) => number(value, (next) => changeWorkshop({ people: next }))}
        />
        <span>people,</span>
        <InputNumber
          aria-label="Hours a day"
          size="small"
          min={0.5}
          max={24}
          step={0.5}
          value={hoursADay}
          onChange={(value) => number(value, (next) => changeWorkshop({ hoursADay: next }))}
        />
        <span>hours of boards a day each</span>
      </div>
    </>
  );
}

function Days({ weekdays, closed }: Pick<Workshop, 'weekdays' | 'closed'>) {
  const shut = (day: Day) => changeWorkshop({ closed: [...new Set([...closed, day])].sort() });
  return (
    <>
      <h3>Working days</h3>
      <Checkbox.Group
        aria-label="Working days"
        value={[...weekdays]}
        options={WEEKDAYS.map((value) => ({ value, label: WEEKDAY_WORDS[value - 1] }))}
        onChange={(days) => {
          if (days.length > 0) changeWorkshop({ weekdays: [...days].sort() });
        }}
      />
      <div className="row-of-tools">
        <span>Shut on</span>
        {closed.map((day) => (
          <Tag
            key={day}
            closable
            onClose={() => changeWorkshop({ closed: closed.filter((other) => other !== day) })}
            title={day}
          >
            {dayWords(day)}
          </Tag>
        ))}
        <DatePicker
          aria-label="One more day shut"
          minDate={dayjs(FIRST_DAY)}
          maxDate={dayjs(LAST_DAY)}
          size="small"
          value={null as Dayjs | null}
          placeholder="add a day"
          onChange={(day) => day && shut(day.format('YYYY-MM-DD'))}
        />
      </div>
    </>
  );
}
