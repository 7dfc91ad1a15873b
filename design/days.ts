/**
 * How days and moments are written on screen and paper: one home, so that the same day looks alike
 * everywhere. A day that lies behind carries its year; an evening that is near carries its weekday.
 */
import { format, parseISO } from 'date-fns';
import type { Day } from '@/core/units/day';

type Moment = number | Date;

/** An evening that is near: `Thursday 26 November`. */
export const sayEvening = (day: Day): string => format(parseISO(day), 'EEEE d MMMM');

/** The same on paper, which is found again years later: `Thursday 26 November 2026`. */
export const sayEveningOnPaper = (day: Day): string => format(parseISO(day), 'EEEE d MMMM yyyy');

/** In a table of evenings: `Thu 26 Nov`. */
export const sayMeetingDay = (day: Day): string => format(parseISO(day), 'EEE d MMM');

/** In lists of what lies behind: `26 Nov 2026`. */
export const sayShortDay = (day: Day): string => format(parseISO(day), 'd MMM yyyy');

/** On the axis of a chart, which has room for no more: `26 Nov`. */
export const sayOnAxis = (day: Day | Date): string =>
  format(typeof day === 'string' ? parseISO(day) : day, 'd MMM');

/** `Thu 26 Nov 2026, 18:05`. */
export const sayMoment = (at: Moment): string => format(at, 'EEE d MMM yyyy, HH:mm');
