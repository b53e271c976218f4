import { Button, InputNumber } from 'antd';
import { useMemo, useState } from 'react';
import { compareTraits, SENSIBLE_RUN } from '@june-tide/core/judge';
import { modelNamed } from '@june-tide/core/models';
import { equalLitreBoards, SCHOOLS } from '@june-tide/core/rider';
import { formatLitres, INCH_mm } from '@june-tide/core/units';
import { BoardPlan, FoamGradient } from '../../../parts/BoardPlan.tsx';
import { Measure } from '../../../parts/Measure.tsx';
import { factsFor, lastBoardOf, measuresFor } from '../../../store/derived.ts';
import { editBoard, useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

const DRAWN_HEIGHT = 70;
const nearestInch = (mm: number) => Math.round(mm / INCH_mm) * INCH_mm;

/** Litres by every school, with its sum. */
export function SizesSaid() {
  const { record, sizes } = useBay();
  const unmeasured = useShed(({ records, riders }) => {
    const last = lastBoardOf(record, { records, riders });
    return last && last.length_mm === undefined ? last.name : undefined;
  });
  if (sizes.length === 0)
    return (
      <p className="quiet">Choose whom it is for, and the litres to aim for are worked out here, by three schools.</p>
    );
  return (
    <ol className="schools-of-size">
      {sizes.map((sized, i) => (
        <li key={sized.school} className={i === 0 ? 'ours' : ''}>
          <b>{SCHOOLS.sizing.answers[sized.school]}:</b>
          <span className={i === 0 ? '' : 'quiet'}>
            {' '}
            {sized.sentence} About <Measure mm={nearestInch(sized.length_mm)} feet /> x <Measure mm={sized.width_mm} />{' '}
            x <Measure mm={sized.thickness_mm} />.
          </span>
        </li>
      ))}
      {unmeasured && (
        <li>
          <b>{SCHOOLS.sizing.answers.stepFromLast}:</b>
          <span className="quiet"> nobody has said how long {unmeasured} is; put it on the rider’s card.</span>
        </li>
      )}
    </ol>
  );
}

/** Boards of the litres aimed for, made by solving this one, drawn at one scale. */
export function SizeTable() {
  const { record, target } = useBay();
  const { board } = record;
  const [typed, setTyped] = useState<number>();
  const litres = typed ?? target?.target_L ?? measuresFor(board).volume_L;
  const row = useMemo(() => equalLitreBoards(board, litres), [board, litres]);
  const longest = Math.max(board.length_mm, ...row.map((entry) => entry.board.length_mm));
  const scale = DRAWN_HEIGHT / longest;
  return (
    <div className="sizes" role="group" aria-label="Sizes">
      <div className="row-of-tools">
        <span>Boards of</span>
        <InputNumber
          aria-label="Litres of the boards shown"
          size="small"
          min={10}
          max={200}
          step={0.5}
          suffix="L"
          value={Math.round(litres * 10) / 10}
          onChange={(value) => setTyped(typeof value === 'number' ? value : undefined)}
          className="fit-96"
        />
        <span className="quiet">solved from this one, at one scale</span>
      </div>
      {row.length === 0 ? (
        <p role="status" className="trouble">
          No board of these proportions can be built with {formatLitres(litres)}.
        </p>
      ) : (
        <ul className="equal-boards">
          {row.map((entry) => {
            const m = measuresFor(entry.board);
            const traits = compareTraits(factsFor(entry.board), factsFor(board));
            const quick = traits.find(({ key }) => key === 'quickness');
            const fast = traits.find(({ key }) => key === 'speed');
            const model = modelNamed(board.name);
            const share = model ? m.length_mm / model.length_mm : 1;
            return (
              <li key={entry.name}>
                <svg
                  width={40}
                  height={DRAWN_HEIGHT + 6}
                  viewBox={`-20 ${-DRAWN_HEIGHT - 3} 40 ${DRAWN_HEIGHT + 6}`}
                  aria-hidden="true"
                >
                  <FoamGradient />
                  <BoardPlan board={entry.board} scale={scale} />
                </svg>
                <div>
                  <b>{entry.name}</b>
                  <span className="size">
                    <Measure mm={m.length_mm} feet /> × <Measure mm={m.width_mm} /> × <Measure mm={m.thickness_mm} />
                  </span>
                  <span className="quiet">
                    {entry.trades} Quick: {quick?.words.split(':')[0]}. Fast: {fast?.words.split(':')[0]}.
                    {(share < SENSIBLE_RUN.shorter || share > SENSIBLE_RUN.longer) &&
                      ' Outside this model’s sensible run.'}
                  </span>
                  <Button
                    size="small"
                    onClick={() => editBoard(record.id, `size: ${entry.name.toLowerCase()}`, () => entry.board)}
                  >
                    Make it the board
                  </Button>
                </div>
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
