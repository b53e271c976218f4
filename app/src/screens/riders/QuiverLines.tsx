import { useMemo } from 'react';
import { quiverOf, type Sea } from '@june-tide/core/judge';
import type { BoardRecord } from '@june-tide/core/record';
import type { Rider } from '@june-tide/core/rider';
import { WAVE_POWER_WORDS, WAVE_SIZE_WORDS } from '../../parts/words.ts';
import { factsFor } from '../../store/derived.ts';
import { useShed } from '../../store/shed.ts';

/** So many boards are gone through: more than anybody owns. */
const MOST = 12;

const seaWords = ({ size, power }: Sea) =>
  `${WAVE_SIZE_WORDS[size].toLowerCase()} and ${WAVE_POWER_WORDS[power].toLowerCase()}`;

/** What a rider's boards cover between them: the two to take, which do the same work, and where none of them goes. */
export function QuiverLines({ rider, records }: { rider: Rider; records: readonly BoardRecord[] }) {
  const schools = useShed((shed) => shed.settings.schools);
  const quiver = useMemo(() => {
    const boards = records
      .slice(0, MOST)
      .map(({ board, number }) => ({ name: `${board.name} ${number}`, facts: factsFor(board, rider.height_mm) }));
    return quiverOf(boards, rider, schools);
  }, [records, rider, schools]);
  const { best, same, gaps } = quiver;
  return (
    <div role="group" aria-label="Quiver">
      <h3>Quiver</h3>
      <p className="above-0" data-testid="quiver">
        {best.names.length === 0
          ? 'None of these goes in waves of any size without a word.'
          : `${best.names.join(' and ')} ${best.names.length > 1 ? 'go' : 'goes'} in ${best.goes} of the ${best.of} kinds of waves within ${rider.name}’s surfing.`}
        {same.map(([one, other]) => ` ${one} and ${other} do the same work.`).join('')}
        {gaps.length > 0 && ` None goes in waves ${gaps.map(seaWords).join('; ')}.`}
      </p>
      <p className="quiet">
        Size by power, steeper the more powerful; a board goes where nothing more than a note is said of it.
      </p>
    </div>
  );
}
