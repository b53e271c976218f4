export { bottomHeight, layerReach } from './bottom.ts';
