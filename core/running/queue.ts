/**
 * How taps travel: kept on the device until the server has them, sent in order, taken in once. Both
 * ends are pure; whoever owns the store and the wire drives them.
 */
import type { Tap } from './tap';
import { tapId } from './taps';

export const queueRule = {
  /** Taps in one delivery. */
  most: 500,
  /** Between two tries when the last one failed, milliseconds: doubled up to the longest. */
  firstWaitMs: 1000,
  longestWaitMs: 15_000,
} as const;

/** What a delivery brings that is new, and where the device stands afterwards. */
export type TakenIn =
  | {
      readonly kind: 'kept';
      readonly fresh: readonly Tap[];
      /** The newest tap of the device that is kept; there is none missing before it. */
      readonly upTo: number;
    }
  /** The delivery does not continue the row that is kept: nothing of it was taken. */
  | {
      readonly kind: 'apart';
      readonly upTo: number;
      /** Numbers under which something else is kept already. */
      readonly differs: readonly number[];
    };

/** Was this the same tap? What was kept as nothing stands for whatever was sent. */
const isSame = (kept: Tap | undefined, sent: Tap): boolean =>
  kept === undefined ||
  kept.at.boot === nothingBoot ||
  sent.at.boot === nothingBoot ||
  (kept.at.boot === sent.at.boot &&
    kept.at.monoMs === sent.at.monoMs &&
    kept.act.kind === sent.act.kind);

const nothingBoot = 'none';

/** Takes a place in the row of taps and says nothing: a queue never sticks at what cannot be read. */
export const nothingTap = (device: string, seq: number): Tap => ({
  device,
  seq,
  at: { boot: nothingBoot, monoMs: 0, wallMs: 0 },
  act: { kind: 'undo', tap: nothingBoot },
});

/**
 * The server's side. What was had before is passed over; what does not continue the row, or stands
 * in it under a number that something else has, is refused as a whole and never acknowledged: the
 * device is told where the row ends and goes on from there.
 *
 * @param upTo newest sequence number kept of this device, 0 for none
 * @param keptAt the tap that is kept under a number up to there
 */
export function takeIn(
  upTo: number,
  delivery: readonly Tap[],
  keptAt: (seq: number) => Tap | undefined = () => undefined,
): TakenIn {
  const fresh: Tap[] = [];
  const differs: number[] = [];
  let next = upTo + 1;
  let hasGap = false;
  for (const one of [...delivery].sort((a, b) => a.seq - b.seq)) {
    if (one.seq < next) {
      const earlier = one.seq > upTo ? fresh[one.seq - upTo - 1] : keptAt(one.seq);
      if (!isSame(earlier, one)) differs.push(one.seq);
    } else if (one.seq === next) {
      fresh.push(one);
      next += 1;
    } else hasGap = true;
  }
  if (hasGap || differs.length > 0) return { kind: 'apart', upTo, differs };
  return { kind: 'kept', fresh, upTo: next - 1 };
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

/**
 * The device's side, told that its row and the server's have come apart (a copy was taken back, or
 * this browser had lost its numbers): which of its taps go again, and under which number. Taps that
 * take one of them back follow it.
 *
 * @param own every tap of this device that it still has
 */
export function agreeAnew(
  own: readonly Tap[],
  { upTo, differs }: { readonly upTo: number; readonly differs: readonly number[] },
): { readonly moved: ReadonlyMap<number, Tap>; readonly nextSeq: number } {
  const strange = new Set(differs);
  const sorted = [...own].sort((a, b) => a.seq - b.seq);
  const again = [
    ...sorted.filter(({ seq }) => seq <= upTo && strange.has(seq)),
    ...sorted.filter(({ seq }) => seq > upTo),
  ];
  return { moved: rename(again, upTo + 1), nextSeq: upTo + again.length + 1 };
}

/**
 * The device's side, told that its name is another's: what the server does not have of it goes under
 * a new one, from the first number on.
 *
 * @param waiting own taps that the server does not have
 */
export const underNewName = (waiting: readonly Tap[], device: string): ReadonlyMap<number, Tap> =>
  rename(
    [...waiting].sort((a, b) => a.seq - b.seq),
    1,
    device,
  );

/** Taps under other numbers, by the number they had; what takes one of them back follows it. */
function rename(taps: readonly Tap[], first: number, device?: string): Map<number, Tap> {
  const named = taps.map((one, index) => ({
    ...one,
    device: device ?? one.device,
    seq: first + index,
  }));
  const names = new Map(taps.map((one, index) => [tapId(one), tapId(named[index]!)]));
  return new Map(
    named.map((one, index): [number, Tap] => {
      const { act } = one;
      const isUndo = act.kind === 'undo';
      return [
        taps[index]!.seq,
        isUndo ? { ...one, act: { ...act, tap: names.get(act.tap) ?? act.tap } } : one,
      ];
    }),
  );
}
