import { useMemo } from 'react';
import { NavLink } from 'react-router';
import { type Board, DECK_FEATURES, type Word } from '@june-tide/core/document';
import { SETUP_WORDS } from '@june-tide/core/fins';
import { verdict } from '@june-tide/core/judge';
import { type Blank, scheduleWords } from '@june-tide/core/make';
import { bottomWords } from '@june-tide/core/measure';
import { railRatio } from '@june-tide/core/rails';
import { type BoardRecord, versionsOf } from '@june-tide/core/record';
import { formatLength, formatMass } from '@june-tide/core/units';
import { BuiltText, useLengthStyle } from '../../parts/Measure.tsx';
import { saysOf } from '../../parts/Term.tsx';
import { useShed } from '../../store/shed.ts';
import { useSession } from './session.ts';
import { type BayContext, STEP_WORDS, type StepKey, STEPS, useBay } from './useBay.ts';

/** The word of the trade a step is about. */
const TERMS: Readonly<Partial<Record<StepKey, Word>>> = {
  rider: 'brief',
  outline: 'outline',
  rocker: 'rocker',
  foil: 'foil',
  deck: 'deck',
  rails: 'rail',
  bottom: 'contour',
  fins: 'finSetup',
  check: 'bayNotes',
};

/** The order of the work, each line with its present value. */
export function JobCard() {
  const bay = useBay();
  const left = useSession((session) => session.left);
  const style = useLengthStyle();
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const shelf = useShed((shed) => shed.shelf);
  const write = (mm: number, feet = false) => formatLength(mm, style, { feet });
  const { judgedAs } = bay;
  const looks = useMemo(() => verdict(judgedAs).filter((rule) => rule.level !== 'note'), [judgedAs]);
  return (
    <nav className="job" aria-label="Order of the work">
      {STEPS.map((step, i) => (
        <NavLink
          key={step}
          to={`../${step}${left[step] ?? ''}`}
          relative="path"
          aria-current={bay.step === step ? 'step' : undefined}
          title={saysOf(TERMS[step])}
        >
          <span className="n">{i + 1}</span>
          <span className="what">{STEP_WORDS[step]}</span>
          <span className="now">
            <BuiltText text={nowOf(step, bay, write, massUnit)} />
          </span>
        </NavLink>
      ))}
    </nav>
  );

  function nowOf(
    step: StepKey,
    { record, measures: m, rider, shape }: BayContext,
    say: typeof write,
    unit: 'kg' | 'lb',
  ): string {
    const { board } = record;
    switch (step) {
      case 'rider':
        return rider ? `${rider.name}, ${formatMass(rider.mass_kg, unit)}` : 'nobody yet';
      case 'outline':
        return `${say(m.length_mm, true)} × ${say(m.width_mm)}`;
      case 'rocker':
        return `${say(m.noseRocker_mm)} and ${say(m.tailRocker_mm)}`;
      case 'foil':
        return `${say(m.thickness_mm)} thick`;
      case 'deck':
        return deckWords(board, say);
      case 'rails': {
        const apexes = board.rails.stations.map((s) => s.apex);
        const [soft, down] = [railRatio(Math.max(...apexes)), railRatio(Math.min(...apexes))];
        return soft === down ? soft : `${soft} to ${down}`;
      }
      case 'bottom':
        return bottomWords(shape, style);
      case 'fins':
        return SETUP_WORDS[board.fins.setup];
      case 'check': {
        const count = looks.filter((rule) => !record.answers?.[rule.id]).length;
        return count === 0 ? 'nothing to look at' : `${count} to look at`;
      }
      case 'make':
        return makeWords(record, shelf);
      case 'ride':
        return rideWords(record);
    }
  }
}

/** The crown in the middle, and what else the deck has. */
function deckWords(board: Board, say: (mm: number) => string): string {
  const most = Math.max(...board.deck.crown.map(({ value_mm }) => value_mm));
  return [`${say(most)} crown`, ...board.deck.features.map(({ kind }) => DECK_FEATURES[kind].words)].join(', ');
}

/** What is settled of making: the blank, and the glass. */
function makeWords(record: BoardRecord, shelf: readonly Blank[]): string {
  const blank = shelf.find(({ id }) => id === record.blankId);
  const parts = [blank?.name, record.glass && scheduleWords(record.glass)].filter((part) => part !== undefined);
  return parts.length > 0 ? parts.join(', ') : 'blank, paper, glass';
}

/** Which version is worked on, and how many rides are noted. */
function rideWords(record: BoardRecord): string {
  const { rides, from } = record;
  const at = versionsOf(record).find(({ id }) => id === from);
  const parts = [at && `version ${at.no}`, rides.length > 0 && `${rides.length} noted`].filter(Boolean);
  return parts.length > 0 ? parts.join(', ') : 'not yet';
}
