export { railRatio } from './rails.ts';
