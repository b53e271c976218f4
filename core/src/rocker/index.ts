export type { Rocker } from './rocker.ts';
