import type { PartMisfit } from '@june-tide/core/bring';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { lengthWords, type LengthStyle } from '@june-tide/core/units';

const PART_WORDS: Readonly<Record<PartMisfit['of'], string>> = {
  outline: 'Outline',
  rocker: 'Rocker',
  foil: 'Foil',
};

/** How near the parts came to what was found, in a sentence each, for the notes of the board. */
export const misfitsSay = (misfits: readonly PartMisfit[], style: LengthStyle): string =>
  misfits
    .map(
      ({ of, rms_mm, worst_mm, at_mm }) =>
        `${PART_WORDS[of]} ${rms_mm.toFixed(2)} mm off in the mean, ${Math.abs(worst_mm).toFixed(2)} mm at most, ${lengthWords(at_mm, style)} from the tail.`,
    )
    .join(' ');

/** How far each part came out off what was found: in the mean, and where most. */
export function Misfits({ misfits }: { misfits: readonly PartMisfit[] }) {
  const style = useLengthStyle();
  if (misfits.length === 0) return null;
  return (
    <table className="misfits" aria-label="How near it came">
      <thead>
        <tr>
          <th scope="col">Off by</th>
          <th scope="col">mean</th>
          <th scope="col">most</th>
          <th scope="col">from the tail</th>
        </tr>
      </thead>
      <tbody>
        {misfits.map(({ of, rms_mm, worst_mm, at_mm }) => (
          <tr key={of}>
            <th scope="row">{PART_WORDS[of]}</th>
            <td>{rms_mm.toFixed(2)} mm</td>
            <td>{Math.abs(worst_mm).toFixed(2)} mm</td>
            <td>{lengthWords(at_mm, style)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
