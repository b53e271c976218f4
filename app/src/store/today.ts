import dayjs from 'dayjs';
import type { Day } from '@june-tide/core/make';

/** The day it is where the shop is. Core knows no clock: it is told. */
export const today = (): Day => dayjs().format('YYYY-MM-DD');

/** The shop's own day at an instant (ISO 8601): early in the morning it may still be yesterday in UTC. */
export const dayOf = (instant: string): Day => dayjs(instant).format('YYYY-MM-DD');
