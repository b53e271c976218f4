import * as z from 'zod';

/**
 * Where practitioners disagree a shop takes a side, and June Tide says both. Each question has two or three answers, the
 * first of them the usual one here; none of them is a fact.
 */
export const SCHOOLS = {
  sizing: {
    question: 'How the litres are found',
    answers: {
      litresPerKilo: 'Litres per kilogram',
      stepFromLast: 'A step from the last board',
      lengthForWave: 'Length for the wave',
    },
    why: 'Litres carry the rider whatever the length; a step from a board that is known keeps every habit; in big waves length catches the wave and litres follow.',
  },
  shortNose: {
    question: 'Under the nose of shorter boards',
    answers: { concave: 'Concave to the nose', belly: 'Belly or vee' },
    why: 'Concave to the tip planes early; belly or vee there cuts through chop and glides in.',
  },
  noseRide: {
    question: 'Nose concave of a nose rider',
    answers: { slight: 'Slight and blended', deep: 'Deep, only in the nose' },
    why: 'Deep slows and steadies the ride; a deep one slides out in a steep section, a slight one does not.',
  },
  edge: {
    question: 'Edges and fins',
    answers: { hard: 'Hard tail edge, several fins', soft: 'Soft rail, one fin' },
    why: 'An edge releases the water and lets small fins work; a soft rail holds it and one fin does the rest.',
  },
  longRocker: {
    question: 'Rocker of a longboard',
    answers: { even: 'Even', kicked: 'Kicked tail' },
    why: 'Even rocker keeps the trim and pushes no water; a kicked tail serves turning off it and the nose, and drags in the middle.',
  },
  twin: {
    question: 'Twins',
    answers: { pure: 'Two fins', trailer: 'Two with a trailer' },
    why: 'A trailer steadies a twin; on a short wide hull some say it spoils the purpose.',
  },
  tail: {
    question: 'Tails',
    answers: { hold: 'Narrow for hold', power: 'Wide for power' },
    why: 'A wide tail carries power and speed in weak waves; a narrow one sinks, holds and sets the rail.',
  },
  foil: {
    question: 'Foil',
    answers: { balanced: 'Balanced', biased: 'Biased to the stance' },
    why: 'A balanced foil floats level under anyone; foam under the foot that works helps the rider it is made for.',
  },
  widePoint: {
    question: 'Wide point behind centre',
    answers: { pivots: 'Pivots', carves: 'Carves and hugs the wave' },
    why: 'Behind centre the arcs shorten and the tail carries a rider who stands in one place; on longboards it is said to carve and to hold the nose.',
  },
  roll: {
    question: 'Roll under the board',
    answers: { locks: 'Locks and sticks', loosens: 'Loosens' },
    why: 'Roll parts the chop and tips from rail to rail; it also sits in the water and draws the tail into it.',
  },
  wings: {
    question: 'Wings',
    answers: { help: 'They help', fewer: 'The fewer the better' },
    why: 'A wing keeps width ahead of the fins and narrows the tail behind; each is also a step that the water has to pass.',
  },
  forwardWidth: {
    question: 'Width forward',
    answers: { carries: 'Carries a front-footed rider', catches: 'Catches, and lengthens turns' },
    why: 'Area under the front foot gets in early and drives; it is also more to catch, and a longer rail to turn.',
  },
  rocker: {
    question: 'Rocker',
    answers: { added: 'Added, for fit and control', flat: 'Flat, for speed' },
    why: 'Curve fits the face and lets a board be turned up and down; flat runs fast and asks for a good face.',
  },
  weakTail: {
    question: 'Tails in weak waves',
    answers: { swallow: 'Swallow: more area', pin: 'A pin too: less drag' },
    why: 'Area at the tail is lift where the wave has none; a pin drags less and turns from a narrow end.',
  },
  weight: {
    question: 'Weight of the board',
    answers: { carries: 'Some weight carries', light: 'Lightness' },
    why: 'Some weight carries a single fin through flat sections and steadies it over chop; a light board turns sharply and gets going at once.',
  },
  work: {
    question: 'How boards are cut',
    answers: { hand: 'By hand from templates', machine: 'By machine from a file' },
    why: 'Hand work wants paper, sticks and a wall sheet first; a machine wants the solid. Both are always there.',
  },
} as const;

export type SchoolQuestion = keyof typeof SCHOOLS;
export type Schools = { -readonly [Q in SchoolQuestion]: keyof (typeof SCHOOLS)[Q]['answers'] };

export const USUAL_SCHOOLS: Schools = {
  sizing: 'litresPerKilo',
  shortNose: 'concave',
  noseRide: 'slight',
  edge: 'hard',
  longRocker: 'even',
  twin: 'pure',
  tail: 'hold',
  foil: 'balanced',
  widePoint: 'pivots',
  roll: 'locks',
  wings: 'help',
  forwardWidth: 'carries',
  rocker: 'added',
  weakTail: 'swallow',
  weight: 'carries',
  work: 'hand',
};

const answersOf = <Q extends SchoolQuestion>(question: Q) =>
  z.enum(Object.keys(SCHOOLS[question].answers) as [Schools[Q], ...Schools[Q][]]);

/** Schools as they are kept; an answer that is missing or not known falls back to the usual one. */
export const schoolsSchema = z.object({
  sizing: answersOf('sizing').catch(USUAL_SCHOOLS.sizing),
  shortNose: answersOf('shortNose').catch(USUAL_SCHOOLS.shortNose),
  noseRide: answersOf('noseRide').catch(USUAL_SCHOOLS.noseRide),
  edge: answersOf('edge').catch(USUAL_SCHOOLS.edge),
  longRocker: answersOf('longRocker').catch(USUAL_SCHOOLS.longRocker),
  twin: answersOf('twin').catch(USUAL_SCHOOLS.twin),
  tail: answersOf('tail').catch(USUAL_SCHOOLS.tail),
  foil: answersOf('foil').catch(USUAL_SCHOOLS.foil),
  widePoint: answersOf('widePoint').catch(USUAL_SCHOOLS.widePoint),
  roll: answersOf('roll').catch(USUAL_SCHOOLS.roll),
  wings: answersOf('wings').catch(USUAL_SCHOOLS.wings),
  forwardWidth: answersOf('forwardWidth').catch(USUAL_SCHOOLS.forwardWidth),
  rocker: answersOf('rocker').catch(USUAL_SCHOOLS.rocker),
  weakTail: answersOf('weakTail').catch(USUAL_SCHOOLS.weakTail),
  weight: answersOf('weight').catch(USUAL_SCHOOLS.weight),
  work: answersOf('work').catch(USUAL_SCHOOLS.work),
});
