/** The clock of one try: up, there, coming down, down. Each step is one tap, stamped when it happened. */
import { mostTryS } from '@/core/running/exit';

/** Where a try is, with the page's own milliseconds of each tap so far. */
export type TryClock =
  | { readonly step: 'waits' }
  | { readonly step: 'goes-up'; readonly leftMs: number }
  | { readonly step: 'is-up'; readonly liftS: number }
  | { readonly step: 'comes-down'; readonly liftS: number; readonly beganMs: number }
  | { readonly step: 'is-down'; readonly liftS: number; readonly exitS: number };

export const waits: TryClock = { step: 'waits' };

/** Between two taps, tenths of a second. */
const seconds = (fromMs: number, toMs: number) =>
  Math.min(mostTryS, Math.max(0, Math.round((toMs - fromMs) / 100) / 10));

/** What the next tap says. */
export const nextWords: Readonly<Record<TryClock['step'], string>> = {
  waits: 'Time it: feet leave',
  'goes-up': 'Is up',
  'is-up': 'Leaves the top',
  'comes-down': 'Is down',
  'is-down': 'Time it anew',
};

export function tapped(clock: TryClock, atMs: number): TryClock {
  switch (clock.step) {
    case 'waits':
    case 'is-down':
      return { step: 'goes-up', leftMs: atMs };
    case 'goes-up':
      return { step: 'is-up', liftS: seconds(clock.leftMs, atMs) };
    case 'is-up':
      return { step: 'comes-down', liftS: clock.liftS, beganMs: atMs };
    case 'comes-down':
      return { step: 'is-down', liftS: clock.liftS, exitS: seconds(clock.beganMs, atMs) };
    default:
      return clock satisfies never;
  }
}

/** What was timed so far. */
export const timedOf = (clock: TryClock) => ({
  liftS: 'liftS' in clock ? clock.liftS : null,
  exitS: 'exitS' in clock ? clock.exitS : null,
});
