import { Button, DatePicker, Input, Segmented } from 'antd';
import dayjs from 'dayjs';
import { Link } from 'react-router';
import {
  daySchema,
  finishRead,
  FIRST_DAY,
  LAST_DAY,
  stageCautions,
  type Standing,
  standing,
  USUAL_SCHEDULE,
} from '@june-tide/core/make';
import { USUAL_WAVES } from '@june-tide/core/rider';
import { dayWords, standingWords } from '../../../parts/days.ts';
import { Cautions } from '../../../parts/Cautions.tsx';
import { foamOf, paceOf, wavesOf } from '../../../store/derived.ts';
import { edit, handedOver, offTheLine, toStage, useShed } from '../../../store/shed.ts';
import { today } from '../../../store/today.ts';
import { useBay } from '../useBay.ts';

const WHERE = { all: 'all over', deck: 'on the deck', bottom: 'on the bottom' } as const;

/** What the room makes of the colours, so that a word it does not know is seen at once. */
function Coloured({ words }: { words: string }) {
  const { tint, on, cutLap, pinline } = finishRead(words);
  if (tint === undefined && pinline === undefined) return null;
  const swatch = (fill: string) => (
    <svg width={14} height={14} aria-hidden="true">
      <rect width={14} height={14} rx={2} fill={fill} />
    </svg>
  );
  return (
    <span className="quiet mini full-line" data-testid="coloured">
      In the room:
      {tint !== undefined && (
        <>
          {swatch(tint)} {WHERE[on]}
          {cutLap && ', cut lap'}
        </>
      )}
      {pinline !== undefined && <>{swatch(pinline)} pinline</>}
    </span>
  );
}

/** When the board is due, at which stage it is, and when each stage must be done for it. */
export function OrderBench() {
  const { record } = useBay();
  const riders = useShed((shed) => shed.riders);
  const shelf = useShed((shed) => shed.shelf);
  const workshop = useShed((shed) => shed.settings.workshop);
  const { stages } = workshop;
  const { order, brief } = record;
  const { foam } = foamOf(record, shelf);
  const { resin } = record.glass ?? USUAL_SCHEDULE;
  const read = daySchema.safeParse(brief?.dueOn);
  const due = read.success ? read.data : undefined;
  const onLine = order !== undefined && order.doneOn === undefined;
  const stands = standing(stages, onLine ? order.stage : stages[0].id, due, today(), paceOf(workshop));
  const keepDue = (day: string | undefined) =>
    edit(record.id, 'due day', ({ brief: was, ...rest }) => {
      const { dueOn: _was, ...left } = was ?? {
        waves: wavesOf(record, riders) ?? USUAL_WAVES,
        purpose: '',
        mustHaves: '',
      };
      return { ...rest, brief: day === undefined ? left : { ...left, dueOn: day } };
    });
  return (
    <div role="group" aria-label="Order" className="order">
      <div className="row-of-tools above-0">
        <label className="mini">
          Due
          <DatePicker
            aria-label="Due"
            size="small"
            value={due ? dayjs(due) : null}
            minDate={dayjs(FIRST_DAY)}
            maxDate={dayjs(LAST_DAY)}
            onChange={(day) => keepDue(day ? day.format('YYYY-MM-DD') : undefined)}
          />
        </label>
        <label className="mini grow least-220">
          Colours and artwork
          <Input
            key={record.colours ?? ''}
            aria-label="Colours and artwork"
            size="small"
            maxLength={300}
            defaultValue={record.colours ?? ''}
            placeholder="Clear, one grey pinline"
            onBlur={(event) => {
              const colours = event.target.value.trim();
              if (colours === (record.colours ?? '')) return;
              edit(record.id, 'colours', ({ colours: _was, ...rest }) => (colours ? { ...rest, colours } : rest));
            }}
          />
        </label>
        <Coloured words={record.colours ?? ''} />
      </div>
      {onLine ? (
        <div className="row-of-tools">
          <span>On the line at</span>
          <Segmented
            aria-label="Stage"
            size="small"
            value={order.stage}
            options={stages.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => {
              const stage = stages.find((entry) => entry.id === id);
              if (stage) toStage(record.id, stage);
            }}
          />
          <Button size="small" onClick={() => handedOver(record.id)}>
            Handed over
          </Button>
          <Button size="small" type="text" onClick={() => offTheLine(record.id)}>
            Take it off the line
          </Button>
        </div>
      ) : (
        <div className="row-of-tools">
          <Button size="small" type="primary" onClick={() => toStage(record.id, stages[0])}>
            Put it on the line
          </Button>
          <span className="quiet">
            {order?.doneOn ? `Handed over on ${dayWords(order.doneOn)}.` : 'It is not on the line yet.'}
          </span>
        </div>
      )}
      {record.makersNo !== undefined && (
        <p className="quiet below-2" data-testid="makers-no">
          The shop’s no. {record.makersNo}
        </p>
      )}
      <p className="sentence above-8 below-8" data-testid="standing">
        {standingWords(stands, due)}
      </p>
      <StagePlan plan={stands.plan} onLine={onLine} />
      <p className="quiet">
        {due === undefined
          ? 'Counted on from today; with a due day it is worked backwards from it.'
          : stands.inHand_days !== undefined && stands.inHand_days < 0
            ? 'Counted on from today, since the due day cannot be kept.'
            : 'Worked backwards from the due day over the shop’s working days: the latest each stage may be done.'}{' '}
        Durations, working days and days shut are the shop’s own: <Link to="/line">the Line</Link>.
      </p>
      {onLine && <Cautions of={stageCautions(order.stage, foam, resin)} />}
    </div>
  );
}

/** When each stage is begun and done. */
function StagePlan({ plan, onLine }: { plan: Standing['plan']; onLine: boolean }) {
  return (
    <table className="marks" aria-label="When each stage is done">
      <thead>
        <tr>
          <th scope="col">Stage</th>
          <th scope="col">From</th>
          <th scope="col">To</th>
          <th scope="col" className="num">
            Hands
          </th>
          <th scope="col" className="num">
            Then waits
          </th>
        </tr>
      </thead>
      <tbody>
        {plan.map(({ stage, from, to }, i) => (
          <tr key={stage.id} className={onLine && i === 0 ? 'held' : ''}>
            <th scope="row">{stage.name}</th>
            <td>{dayWords(from)}</td>
            <td>{to === from ? 'the same day' : dayWords(to)}</td>
            <td className="num">{Number(stage.hands_h.toFixed(2))} h</td>
            <td className="num">{stage.wait_days === 0 ? '' : `${stage.wait_days} d`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
