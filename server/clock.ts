import { format } from 'date-fns';
import type { Day } from '@/core/units/day';

/** Today where the server stands. The only place that reads the clock for a day. */
export function today(): Day {
  return format(new Date(), 'yyyy-MM-dd');
}

/** The server's clock, milliseconds since 1970: what devices are reconciled with. */
export const nowMs = (): number => Date.now();
