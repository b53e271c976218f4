import { Button, Input } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { FAMILY_WORDS } from '@june-tide/core/document';
import { cureSteps, lever, type Note } from '@june-tide/core/judge';
import { boardsToLearnOn } from '@june-tide/core/rider';
import { BuiltText } from '../../../parts/Measure.tsx';
import { addBoard, edit, editBoard } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';
import { ALotMore } from './ALotMore.tsx';
import { firstStepWords } from './stepWords.ts';

const capital = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

/** The boards this rider would learn on, each made on a press and put on the rack; this one stays. */
function ToLearnOn() {
  const { record, rider } = useBay();
  const navigate = useNavigate();
  if (!rider) return null;
  return (
    <>
      {(['midLength', 'longboard'] as const).map((family) => (
        <Button
          key={family}
          size="small"
          onClick={() => {
            const board = boardsToLearnOn(rider).find((made) => made.family === family);
            if (board) void navigate(`/bay/${addBoard(board, record.riderId)}`);
          }}
        >
          Make the {FAMILY_WORDS[family]}
        </Button>
      ))}
    </>
  );
}

/** One note: its numbers and cause, the lever with a first step, what a lot more of it does, and the shaper’s answer. */
export function NoteCard({ note }: { note: Note }) {
  const { record, judgedAs } = useBay();
  const [answering, setAnswering] = useState(false);
  const [reason, setReason] = useState('');
  const [refused, setRefused] = useState<string>();
  const { rule } = note;
  const answer = (give: boolean) => {
    edit(record.id, give ? 'note answered' : 'answer taken back', ({ answers = {}, ...rest }) => {
      const { [rule.id]: _was, ...others } = answers;
      return {
        ...rest,
        answers: give ? { ...others, [rule.id]: { reason: reason.trim(), numbers: note.numbers } } : others,
      };
    });
    setAnswering(false);
  };
  const cures = useMemo(() => cureSteps(judgedAs, rule), [judgedAs, rule]);
  const step = cures !== undefined && rule.lever ? lever(rule.lever.id) : undefined;
  const takeStep = () => {
    if (!rule.lever || !step) return;
    const { way } = rule.lever;
    const words = way === 1 ? step.more : step.less;
    const result = editBoard(record.id, words, (board) => step.move(board, way));
    setRefused(result.ok ? undefined : (result.issues[0]?.words ?? 'that cannot be built'));
  };
  return (
    <article className={`note-card ${note.level}`} data-rule={rule.id}>
      <h3>{note.title}</h3>
      <p>
        <BuiltText text={note.words} />
      </p>
      {note.otherSchool && <p className="quiet">{note.otherSchool}</p>}
      {note.answer ? (
        <p className="answer">
          Meant it{note.answer.reason && `: ${note.answer.reason}`}.{' '}
          <Button size="small" type="link" onClick={() => answer(false)}>
            Take the answer back
          </Button>
        </p>
      ) : (
        <>
          <div className="row-of-tools">
            {rule.lever && step && (
              <Button size="small" onClick={takeStep}>
                {capital(rule.lever.way === 1 ? step.more : step.less)}
                {firstStepWords(rule.lever.id)}
              </Button>
            )}
            {rule.lever && <ALotMore id={rule.lever.id} way={rule.lever.way === 1 ? -1 : 1} />}
            {rule.id === 'not-to-learn-on' && <ToLearnOn />}
            <Button size="small" type="text" onClick={() => setAnswering(!answering)} aria-expanded={answering}>
              Meant it
            </Button>
          </div>
          {refused && (
            <p role="alert" className="trouble">
              Not done: {refused}.
            </p>
          )}
          {answering && (
            <form
              className="row-of-tools"
              onSubmit={(event) => {
                event.preventDefault();
                answer(true);
              }}
            >
              <Input
                aria-label={`Why: ${note.title}`}
                placeholder="Why"
                size="small"
                maxLength={500}
                value={reason}
                onChange={(event) => setReason(event.target.value)}
                className="grow"
              />
              <Button size="small" htmlType="submit" type="primary">
                It is meant
              </Button>
            </form>
          )}
        </>
      )}
    </article>
  );
}
