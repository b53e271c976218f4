import dayjs from 'dayjs';
import type { Day } from '@june-tide/core';

/** The day it is where the shop is. Core knows no clock: it is told. */
export const today = (): Day => dayjs().format('YYYY-MM-DD');
