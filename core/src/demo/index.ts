export { DEMO_RIDERS, demoRecords } from './demoShed.ts';
