export { seeded } from '../bring/seeded.ts';
