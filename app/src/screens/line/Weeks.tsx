import { weeklyLoad, type Workshop } from '@june-tide/core/make';
import { dayWords } from '../../parts/days.ts';
import type { OnLine } from './onLine.ts';

const WEEKS = 6;

/** The hours the line needs in each of the next weeks against those there are. */
export function Weeks({ boards, workshop, day }: { boards: readonly OnLine[]; workshop: Workshop; day: string }) {
  const plans = boards.map(({ standing }) => standing.plan);
  const weeks = weeklyLoad(plans, day, workshop, workshop.people * workshop.hoursADay, WEEKS);
  const most = Math.max(1, ...weeks.map(({ needed_h, there_h }) => Math.max(needed_h, there_h)));
  const write = (hours: number) => String(Math.round(hours * 2) / 2);
  return (
    <section className="weeks" aria-label="Hours a week">
      <h2>Hours a week</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Week of</th>
            <th scope="col" className="num">
              Needed
            </th>
            <th scope="col" className="num">
              There are
            </th>
            <th scope="col">
              <span className="visually-hidden">Drawn</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {weeks.map(({ week, needed_h, there_h }) => {
            const over = needed_h > there_h + 0.01;
            return (
              <tr key={week} className={over ? 'over' : ''}>
                <th scope="row">{dayWords(week)}</th>
                <td className="num">{write(needed_h)} h</td>
                <td className="num">{write(there_h)} h</td>
                <td className="bars">
                  <span className="there" style={{ width: `${(100 * there_h) / most}%` }} />
                  <span className="needed" style={{ width: `${(100 * needed_h) / most}%` }} />
                  {over && <span className="too-much">{write(needed_h - there_h)} h too many</span>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
