import { useMemo, useState } from 'react';
import { quiverOf, type Sea } from '@june-tide/core/judge';
import type { BoardRecord } from '@june-tide/core/record';
import type { Rider } from '@june-tide/core/rider';
import { WAVE_POWER_WORDS, WAVE_SIZE_WORDS } from '../../parts/words.ts';
import { Term } from '../../parts/Term.tsx';
import { factsFor } from '../../store/derived.ts';
import { useShed } from '../../store/shed.ts';

/** So many boards are gone through: more than anybody owns. */
const MOST = 12;

const keyOf = ({ size, power }: Sea) => `${size} ${power}`;

/** A rider's boards against the waves they surf: which goes where, the two to take, which do the same work, where nothing fits. */
export function QuiverLines({ rider, records }: { rider: Rider; records: readonly BoardRecord[] }) {
  const schools = useShed((shed) => shed.settings.schools);
  const [trip, setTrip] = useState<readonly Sea[]>([]);
  const boards = useMemo(
    () =>
      records
        .slice(0, MOST)
        .map(({ board, number }) => ({ name: `${board.name} ${number}`, facts: factsFor(board, rider.height_mm) })),
    [records, rider.height_mm],
  );
  const { best, same, map } = useMemo(() => quiverOf(boards, rider, schools, trip), [boards, rider, schools, trip]);
  const letters = new Map(boards.map(({ name }, i) => [name, String.fromCharCode(65 + i)]));
  const sizes = [...new Set(map.map(({ sea }) => sea.size))];
  const powers = [...new Set(map.map(({ sea }) => sea.power))];
  const inTrip = (sea: Sea) => trip.some((other) => keyOf(other) === keyOf(sea));
  const turn = (sea: Sea) =>
    setTrip(inTrip(sea) ? trip.filter((other) => keyOf(other) !== keyOf(sea)) : [...trip, sea]);
  return (
    <div role="group" aria-label="Quiver">
      <h3>
        <Term of="quiver" />
      </h3>
      <table className="quiver" aria-label="Which board goes in which waves">
        <thead>
          <tr>
            <td />
            {powers.map((power) => (
              <th key={power} scope="col">
                {WAVE_POWER_WORDS[power]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...sizes].reverse().map((size) => (
            <tr key={size}>
              <th scope="row">{WAVE_SIZE_WORDS[size]}</th>
              {powers.map((power) => {
                const cell = map.find(({ sea }) => sea.size === size && sea.power === power);
                if (!cell || cell.beyond)
                  return (
                    <td key={power} className="beyond">
                      not yet
                    </td>
                  );
                const { sea, goes } = cell;
                const said = goes.length > 0 ? goes.map((name) => letters.get(name)).join(' ') : 'none';
                return (
                  <td key={power} className={goes.length > 0 ? 'goes' : 'gap'}>
                    <button
                      type="button"
                      aria-pressed={inTrip(sea)}
                      aria-label={`${WAVE_SIZE_WORDS[size]}, ${WAVE_POWER_WORDS[power].toLowerCase()}: ${goes.join(', ') || 'none goes'}`}
                      onClick={() => turn(sea)}
                    >
                      {said}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="above-4 below-2">
        {boards.map(({ name }, i) => (
          <span key={name}>
            {i > 0 && ', '}
            <b>{letters.get(name)}</b> {name}
          </span>
        ))}
        .
      </p>
      <p className="above-0" data-testid="quiver">
        {best.names.length === 0
          ? 'Each of these has a note against it in waves of any size.'
          : `${best.names.join(' and ')} ${best.names.length > 1 ? 'go' : 'goes'} in ${best.goes} of the ${best.of} kinds of waves ${trip.length > 0 ? 'of the trip' : `within ${rider.name}’s surfing`}.`}
        {same.map(([one, other]) => ` ${one} and ${other} do the same work.`).join('')}
      </p>
      <p className="quiet">
        {trip.length > 0
          ? 'Press again to leave waves out of the trip. '
          : 'Press the waves of a trip for the two to take. '}
        Steeper the more powerful; a board goes where nothing more than a note is said of it.
      </p>
    </div>
  );
}
