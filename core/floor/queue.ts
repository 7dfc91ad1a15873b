/**
 * How taps travel: kept on the device until the server has them, sent in order, taken in once. Both
 * ends are pure; whoever owns the store and the wire drives them.
 */
import type { Tap } from './tap';

export const queueRule = {
  /** Taps in one delivery. */
  most: 500,
  /** Between two tries when the last one failed, milliseconds: doubled up to the longest. */
  firstWaitMs: 1000,
  longestWaitMs: 15_000,
} as const;

/** What a delivery brings that is new, and where the device stands afterwards. */
export interface TakenIn {
  readonly fresh: readonly Tap[];
  /** The newest tap of the device that is kept without a gap before it. */
  readonly upTo: number;
}

/**
 * The server's side. What was had before is passed over; what comes after a gap waits for the
 * delivery that brings the missing one, so that a device's taps are always kept in order.
 *
 * @param upTo newest sequence number kept of this device, 0 for none
 */
export function takeIn(upTo: number, delivery: readonly Tap[]): TakenIn {
  const fresh: Tap[] = [];
  let next = upTo + 1;
  for (const one of [...delivery].sort((a, b) => a.seq - b.seq)) {
    if (one.seq !== next) continue;
    fresh.push(one);
    next += 1;
  }
  return { fresh, upTo: next - 1 };
}

/** The device's side: what to send next, oldest first. */
export const nextDelivery = (waiting: readonly Tap[]): Tap[] =>
  [...waiting].sort((a, b) => a.seq - b.seq).slice(0, queueRule.most);

/** The device's side: what still waits once the server has said how far it got. */
export const stillWaiting = (waiting: readonly Tap[], upTo: number): Tap[] =>
  waiting.filter(({ seq }) => seq > upTo);

/** Wait before the next try after so many failures in a row, milliseconds. */
export const waitAfter = (failures: number): number =>
  failures === 0
    ? 0
    : Math.min(queueRule.longestWaitMs, queueRule.firstWaitMs * 2 ** (failures - 1));
