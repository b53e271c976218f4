import { Button } from 'antd';
import dayjs from 'dayjs';
import { saveFile } from '../../parts/saveFile.ts';
import { forgetMishaps, mishapsText, useMishaps } from '../../store/shed.ts';

/** What went wrong in the app here, to be handed on by hand to whoever mends it. */
export function Mishaps() {
  const list = useMishaps((state) => state.list);
  if (list.length === 0) return <p className="quiet above-0">Nothing that was noticed.</p>;
  return (
    <>
      <p className="quiet above-0">
        Kept in this browser and sent nowhere. No names, notes or sizes are in it: hand the file on if you want it
        mended.
      </p>
      <ul className="spoilt" aria-label="What went wrong">
        {list.map(({ at, times, screen, what }) => (
          <li key={`${screen} ${what}`}>
            <b>{what}</b>
            <p className="quiet above-0 below-2">
              {dayjs(at).format('D MMM YYYY, HH:mm')}, on {screen}
              {times > 1 && `, ${times} times`}
            </p>
          </li>
        ))}
      </ul>
      <div className="row-of-tools">
        <Button size="small" onClick={() => saveFile(mishapsText(), 'june-tide-mishaps.json', 'application/json')}>
          Save as a file
        </Button>
        <Button size="small" onClick={forgetMishaps}>
          Forget them
        </Button>
      </div>
    </>
  );
}
