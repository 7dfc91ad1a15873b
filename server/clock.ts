import { format } from 'date-fns';
import type { Day } from '@/core/units/day';

/** Today where the server stands. The only place that reads the clock for a day. */
export function today(): Day {
  return format(new Date(), 'yyyy-MM-dd');
}
