import { Button, Select } from 'antd';
import { useMemo, useState } from 'react';
import { besidesIn, changesFor, COMPLAINTS, complaintsFor, lever, nearestComplaints } from '@june-tide/core/judge';
import { takeChange, useShed } from '../../../../store/shed.ts';
import { firstStepWords } from '../../notes/stepWords.ts';
import { useBay } from '../../useBay.ts';

/** So many changes are looked at at once. */
const AT_ONCE = 3;

/** From what was said to suspects, ranked by this board’s own numbers; each can be laid over, taking one makes one change. */
export function OneChange({ said, note }: { said: string; note: () => boolean }) {
  const { record, judgedAs, over, layOver } = useBay();
  const schools = useShed((shed) => shed.settings.schools);
  const [picked, setPicked] = useState<string>();
  const [asked, setFrom] = useState(0);
  const matched = useMemo(() => complaintsFor(said), [said]);
  const complaint = COMPLAINTS.find(({ id }) => id === (picked ?? matched[0]?.id));
  const changes = useMemo(
    () => (complaint ? changesFor(complaint, judgedAs.facts, schools, judgedAs.rider?.mass_kg) : []),
    [complaint, judgedAs, schools],
  );
  // Another complaint begins with its first again.
  const from = asked < changes.length ? asked : 0;
  const further = from + AT_ONCE < changes.length;
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
        {changes.slice(from, from + AT_ONCE).map((change) => {
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
                    if (!note()) return;
                    const { board } = record;
                    const why = `${change.words}, for “${complaint?.words.toLowerCase() ?? ''}”`;
                    if (!takeChange(record.id, change.board, why).ok) return;
                    // What was ridden lies under the next one, so that the change is seen.
                    layOver({ id: 'ridden', align: 'tail', push: 1, earlier: { board, name: 'as it was ridden' } });
                  }}
                >
                  Next version
                </Button>
              </span>
            </li>
          );
        })}
      </ol>
      {changes.length > AT_ONCE && (
        <Button size="small" onClick={() => setFrom(further ? from + AT_ONCE : 0)}>
          {further ? `${changes.length - from - AT_ONCE} more` : `Back to the first ${AT_ONCE}`}
        </Button>
      )}
    </div>
  );
}
