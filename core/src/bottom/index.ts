export { bottomHeight } from './bottom.ts';
