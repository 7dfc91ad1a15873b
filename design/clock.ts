/** The time of a day on screen: by itself, for pages that need no more of dates. */
import { lightFormat } from 'date-fns';

/** `18:05`. */
export const sayClock = (at: number | Date): string => lightFormat(at, 'HH:mm');
