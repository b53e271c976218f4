export { changesFor, COMPLAINTS, complaintsFor, nearestComplaints, pushedFar } from './complaints.ts';
export { cureSteps, judged, type Note, verdict, writerOf } from './judge.ts';
export { judgementDocument } from './judgementDocument.ts';
export { boardReading } from './reading.ts';
export { lever, type LeverId, LEVERS } from './levers.ts';
export type { Case } from './case.ts';
export type { Writer } from './rule.ts';
export { SENSIBLE_RUN } from './rules/size.ts';
export { compareTraits, type TraitComparison } from './traits.ts';
