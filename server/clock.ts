import { format } from 'date-fns';
import { findDayNumber, type Day } from '@/core/units/day';

/**
 * Today where the server stands. The only place that reads the clock for a day; `LEVITAR_DAY` says another
 * one, so that tests and pictures are the same on every day of the week.
 */
export function today(): Day {
  const told = process.env.LEVITAR_DAY;
  return told !== undefined && findDayNumber(told) !== null
    ? told
    : format(new Date(), 'yyyy-MM-dd');
}

/** The server's clock, milliseconds since 1970: what devices are reconciled with. */
export const nowMs = (): number => Date.now();
