import { Button, Input, Select } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { besidesIn, changesFor, COMPLAINTS, complaintsFor, lever, nearestComplaints } from '@june-tide/core/judge';
import { MOST_RIDES } from '@june-tide/core/record';
import { addBoard, edit, useShed } from '../../../store/shed.ts';
import { dateWords } from '../../../parts/days.ts';
import { today } from '../../../store/today.ts';
import { firstStepWords } from '../notes/stepWords.ts';
import { useBay } from '../useBay.ts';

/** What the rider says after riding it, kept in their words; and from a complaint to one small change. */
export function RideBench() {
  const { record } = useBay();
  const [waves, setWaves] = useState('');
  const [words, setWords] = useState('');
  const full = record.rides.length >= MOST_RIDES;
  /** Notes what was typed, if anything; false where it could not be kept. */
  const note = (): boolean => {
    if (words.trim() === '') return true;
    const ride = { on: today(), waves: waves.trim(), words: words.trim() };
    const noted = edit(record.id, 'ride noted', (r) => ({ ...r, rides: [ride, ...r.rides] }));
    if (!noted.ok) return false;
    setWaves('');
    setWords('');
    return true;
  };
  return (
    <section aria-label="Ride" className="people">
      <div className="people-left">
        <div className="head">
          <h2>Ride</h2>
          <span className="quiet">the rider’s own words, kept with the board</span>
        </div>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            note();
          }}
          className="stack-6"
        >
          <Input
            aria-label="Waves"
            placeholder="Waves: chest high, a little chop"
            value={waves}
            maxLength={200}
            onChange={(e) => setWaves(e.target.value)}
          />
          <Input.TextArea
            aria-label="How it went"
            placeholder="How it went, in their words"
            rows={2}
            maxLength={4000}
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
          <div>
            <Button htmlType="submit" type="primary" disabled={words.trim() === '' || full}>
              Note the ride
            </Button>
            {full && <span className="quiet"> {MOST_RIDES} rides are noted, as many as one board can have.</span>}
          </div>
        </form>
        {record.rides.length === 0 ? (
          <p className="quiet">
            Nothing noted yet. After the first ride, write down what they say before you change anything.
          </p>
        ) : (
          <ul className="plain-list">
            {record.rides.map((ride, i) => (
              <li key={i}>
                <span className="quiet">
                  {dateWords(ride.on)}
                  {ride.waves && `, ${ride.waves}`}
                </span>
                <br />
                <span className="serif">{ride.words}</span>
              </li>
            ))}
          </ul>
        )}
      </div>
      <OneChange said={words || (record.rides[0]?.words ?? '')} note={note} />
    </section>
  );
}

/** From what was said to suspects, ranked by this board’s own numbers; each can be laid over, taking one makes one change. */
function OneChange({ said, note }: { said: string; note: () => boolean }) {
  const { record, judgedAs, over, layOver } = useBay();
  const navigate = useNavigate();
  const schools = useShed((shed) => shed.settings.schools);
  const [picked, setPicked] = useState<string>();
  const matched = useMemo(() => complaintsFor(said), [said]);
  const complaint = COMPLAINTS.find(({ id }) => id === (picked ?? matched[0]?.id));
  const changes = useMemo(
    () => (complaint ? changesFor(complaint, judgedAs.facts, schools, judgedAs.rider?.mass_kg) : []),
    [complaint, judgedAs, schools],
  );
  const besides = complaint && besidesIn(complaint, schools);
  return (
    <div className="one-change" role="group" aria-label="One small change">
      <div className="row-of-tools above-0">
        <Select
          aria-label="What they say of it"
          showSearch
          allowClear
          optionFilterProp="label"
          placeholder="What they say of it"
          className="least-220"
          value={complaint?.id ?? null}
          onChange={(id: string | undefined) => setPicked(id)}
          options={[
            ...(matched.length > 0
              ? [{ label: 'As they said', options: matched.map(({ id, words }) => ({ value: id, label: words })) }]
              : []),
            {
              label: 'All',
              options: COMPLAINTS.filter(({ id }) => !matched.some((m) => m.id === id)).map(({ id, words }) => ({
                value: id,
                label: words,
              })),
            },
          ]}
        />
        <span className="quiet">one change at a time, the smallest first</span>
      </div>
      {said.trim() !== '' && matched.length === 0 && !picked && (
        <p className="quiet" data-testid="not-understood">
          No complaint is heard in that. Nearest:{' '}
          {nearestComplaints(said).map(({ id, words }) => (
            <Button key={id} size="small" type="link" onClick={() => setPicked(id)}>
              {words}
            </Button>
          ))}
        </p>
      )}
      {complaint?.caution && <p className="trouble">{complaint.caution}</p>}
      {besides && <p data-testid="besides">{besides}</p>}
      {complaint && changes.length === 0 && !complaint.caution && !besides && (
        <p className="quiet">Nothing on this board answers to that.</p>
      )}
      <ol className="changes">
        {changes.map((change) => {
          const id = `try:${change.words}`;
          const shown = over?.choice.id === id;
          return (
            <li key={change.words}>
              <b>
                {change.words.replace(/^./, (c) => c.toUpperCase())}
                {change.lever && firstStepWords(change.lever)}
              </b>
              <span className="quiet">
                {change.free
                  ? 'on the beach, at no cost'
                  : change.suspicion > 0.6
                    ? 'this board’s own number points here'
                    : change.suspicion < -0.6
                      ? 'this board’s number points the other way'
                      : ''}
              </span>
              <span className="row-of-tools">
                <Button
                  size="small"
                  aria-pressed={shown}
                  onClick={() =>
                    layOver(
                      shown
                        ? undefined
                        : { id, align: 'tail', push: 1, earlier: { board: change.board, name: change.words } },
                    )
                  }
                >
                  {shown ? 'Take it off' : 'Lay it over'}
                </Button>
                <Button
                  size="small"
                  title={change.lever && lever(change.lever).lotMore}
                  onClick={() => {
                    layOver(undefined);
                    // The board that was ridden stays as it was: the change is its next number.
                    if (!note()) return;
                    const from = `From ${record.board.name} ${record.number}: ${change.words}, for “${complaint?.words.toLowerCase() ?? ''}”.`;
                    const notes = `${from}${record.board.notes ? `\n${record.board.notes}` : ''}`.slice(0, 4000);
                    void navigate(`/bay/${addBoard({ ...change.board, notes }, record.riderId)}/outline`);
                  }}
                >
                  Make it the next one
                </Button>
              </span>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
