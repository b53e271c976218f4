import { CheckOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { formatLength } from '@june-tide/core/units';
import { BuiltText, useLengthStyle } from '../../../parts/Measure.tsx';
import { useLiveBay } from '../useBay.ts';
import { endGuide, goToLesson, LESSONS, useGuide } from './guide.ts';

/** One thing to do at a time, over the bay of the board that is guided. */
export function GuideBar() {
  const { id, at } = useGuide();
  const { record, hook_mm, step } = useLiveBay();
  const navigate = useNavigate();
  const style = useLengthStyle();
  if (id !== record.id) return null;
  const lesson = LESSONS[at];
  const done = lesson.done({ record, hook_mm, step });
  const go = (to: number) => {
    goToLesson(to);
    void navigate(`/bay/${id}/${LESSONS[to].step}`);
  };
  const last = at === LESSONS.length - 1;
  return (
    <section className="guide-bar" aria-label="A first board, guided">
      <span className="quiet">
        {at + 1} of {LESSONS.length}
      </span>
      <p role="status">
        <b>
          {done && <CheckOutlined aria-label="Done" />} {lesson.title}.
        </b>{' '}
        <BuiltText text={lesson.words((mm) => formatLength(mm, style))} />
      </p>
      {lesson.step !== step && (
        <Button size="small" onClick={() => go(at)}>
          Go there
        </Button>
      )}
      <Button size="small" disabled={at === 0} onClick={() => go(at - 1)}>
        Back
      </Button>
      {last ? (
        <Button size="small" type="primary" onClick={endGuide}>
          Finish
        </Button>
      ) : (
        <Button size="small" type={done ? 'primary' : 'default'} onClick={() => go(at + 1)}>
          {done ? 'Next' : 'Skip'}
        </Button>
      )}
      {!last && (
        <Button size="small" type="text" onClick={endGuide}>
          End
        </Button>
      )}
    </section>
  );
}
