export type { Brief } from './brief.ts';
export { type Kind, KIND_WORDS, kindOf, KINDS, usualKind } from './kinds.ts';
export { litresFor, type LitresTarget, ridersFor } from './litres.ts';
export {
  ABILITIES,
  type Ability,
  type Rider,
  riderSchema,
  stanceFrom,
  USUAL_WAVES,
  type Waves,
  withWeight,
} from './rider.ts';
export { type SchoolQuestion, SCHOOLS, USUAL_SCHOOLS } from './schools.ts';
export {
  boardsToLearnOn,
  equalLitreBoards,
  familiesFor,
  gentleQuestions,
  type LastBoard,
  type Sized,
  sizedBySchools,
} from './sizing.ts';
