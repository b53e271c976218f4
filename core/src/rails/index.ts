export { type RailAt, railAt, railRatio } from './rails.ts';
