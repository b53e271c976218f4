import { Button, Spin } from 'antd';
import { Link } from 'react-router';
import {
  type Allowance,
  FOAM_WORDS,
  foamCautions,
  type RankedBlank,
  shortfallBrief,
  shortfallWords,
  workshopSchema,
} from '@june-tide/core/make';
import { LengthField, rangeOf } from '../../../parts/LengthField.tsx';
import { Measure, useLengthStyle } from '../../../parts/Measure.tsx';
import { ShelfFiles } from '../../../parts/ShelfFiles.tsx';
import { takenFor } from '../../../store/derived.ts';
import { changeWorkshop, edit, useShed } from '../../../store/shed.ts';
import { Cautions } from '../../../parts/Cautions.tsx';
import { useBay } from '../useBay.ts';
import { BlockOfEps } from './BlockOfEps.tsx';
import { ChosenBlank } from './ChosenBlank.tsx';
import { PlaningPlan } from './PlaningPlan.tsx';
import { useBlanks } from './useBlanks.ts';
import { usePages } from './usePages.tsx';

const SHOWN = 7;

const PAGES = { shelf: 'A blank of the shelf', plan: 'Planing plan', block: 'A block of EPS' } as const;

/** What the board is cut from: a blank of the shelf and how it is planed, or a block of EPS with others. */
export function BlankBench() {
  const { record } = useBay();
  const { page, tabs } = usePages('Cut from', PAGES);
  const { ranked, failed } = useBlanks(record.board);
  const chosen = ranked?.find(({ blank }) => blank.id === record.blankId);
  const cautions = <Cautions of={foamCautions(page === 'block' ? 'eps2' : (chosen?.blank.foam ?? 'eps2'))} />;
  return (
    <div className="blank-bench" role="group" aria-label="Blank">
      <div className="row-of-tools above-0">
        {tabs}
        {page === 'shelf' && (
          <>
            <ShelfFiles />
            <Link to="/shelf">The shelf</Link>
          </>
        )}
      </div>
      <Wanted />
      {page === 'shelf' && (
        <div className={chosen ? 'blank-columns' : 'blank-columns table-first'}>
          <div>
            <Ranked ranked={ranked} failed={failed} />
          </div>
          <div>
            {chosen && <ChosenBlank ranked={chosen} />}
            {cautions}
          </div>
        </div>
      )}
      {page === 'plan' &&
        (chosen ? (
          <PlaningPlan ranked={chosen} />
        ) : (
          <p className="quiet">Take a blank first: its passes stand here.</p>
        ))}
      {page === 'block' && <BlockOfEps />}
      {page !== 'shelf' && cautions}
    </div>
  );
}

/** The blanks that hold the board, the least foam to take off first; then those that nearly do, and what they lack. */
function Ranked({ ranked, failed }: { ranked: readonly RankedBlank[] | undefined; failed: boolean }) {
  const { record } = useBay();
  const shelf = useShed((shed) => shed.shelf);
  const records = useShed((shed) => shed.records);
  const style = useLengthStyle();
  const taken = (blankId: string) => takenFor(blankId, records, record.id);
  if (!ranked)
    return failed ? (
      <p role="alert" className="trouble">
        The blanks could not be worked out. The board is safe; change anything to try again.
      </p>
    ) : (
      <p className="quiet" role="status">
        <Spin size="small" /> Laying the board in {shelf.length} blanks.
      </p>
    );
  const fitting = ranked.filter(({ fit }) => fit.fits).length;
  return (
    <>
      <p className="quiet above-0 below-4" data-testid="blanks-fit">
        {fitting === 0 ? 'None' : fitting} of {ranked.length} blanks hold it, the least foam to take off first.
      </p>
      <table className="marks">
        <thead>
          <tr>
            <th scope="col">Blank</th>
            <th scope="col">Foam</th>
            <th scope="col" className="num">
              In stock
            </th>
            <th scope="col" className="num">
              Mean cut
            </th>
            <th scope="col">
              <span className="visually-hidden">Choose</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {ranked.slice(0, SHOWN).map(({ blank, fit }) => (
            <tr key={blank.id} className={blank.id === record.blankId ? 'held' : ''}>
              <th scope="row">{blank.name}</th>
              <td>{FOAM_WORDS[blank.foam]}</td>
              <td className="num">
                {blank.stock}
                {taken(blank.id) > 0 && <span className="quiet">, {taken(blank.id)} taken</span>}
              </td>
              <td className="num">
                {fit.fits ? (
                  <Measure mm={fit.meanCut_mm} />
                ) : (
                  <span className="quiet" title={fit.shortfall && shortfallWords(fit.shortfall, style)}>
                    {fit.shortfall && shortfallBrief(fit.shortfall, style)}
                  </span>
                )}
              </td>
              <td>
                <Button
                  size="small"
                  aria-pressed={blank.id === record.blankId}
                  aria-label={`Take ${blank.name}, ${FOAM_WORDS[blank.foam]}`}
                  onClick={() =>
                    edit(record.id, `blank ${blank.name}`, ({ blankCut: _other, ...r }) => ({
                      ...r,
                      blankId: blank.id,
                    }))
                  }
                >
                  {blank.id === record.blankId ? 'Taken' : 'Take'}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** The foam wanted outside the board, and the planer's depth: the shop's own. */
function Wanted() {
  const { allowance, planerPass_mm } = useShed((shed) => shed.settings.workshop);
  const { allowance: limits, planerPass_mm: pass } = workshopSchema.shape;
  const allowed = (key: keyof Allowance, label: string) => (
    <LengthField
      small
      label={label}
      value_mm={allowance[key]}
      range_mm={rangeOf(limits.shape[key])}
      onChange={(mm) => changeWorkshop({ allowance: { ...allowance, [key]: mm } })}
    />
  );
  return (
    <div className="row-of-tools above-0" role="group" aria-label="Foam wanted outside">
      <span>Outside the board: deck and bottom</span>
      {allowed('surface_mm', 'Over deck and bottom')}
      <span>rails</span>
      {allowed('width_mm', 'At the rails')}
      <span>ends</span>
      {allowed('ends_mm', 'At the ends')}
      <span>planer</span>
      <LengthField
        small
        label="Depth of the planer"
        value_mm={planerPass_mm}
        range_mm={rangeOf(pass)}
        onChange={(mm) => changeWorkshop({ planerPass_mm: mm })}
      />
    </div>
  );
}
