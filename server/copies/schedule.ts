/** Copies by the clock: when the server starts, and every night. */
import { StudioTrouble } from '@/db/trouble';
import { nowMs } from '../clock';
import { retryErasing } from '../files/erasing';
import { copiesAtRest, listCopies, makeCopyNow } from './copies';
import { readKeeping } from './keeping';

const rule = {
  lookEveryMs: 10 * 60_000,
  /** The night's copy is made from this hour on. */
  hour: 3,
  dayMs: 86_400_000,
  warnAfterMs: 3 * 86_400_000,
} as const;

const holder = globalThis as { levitarCopies?: ReturnType<typeof setInterval> | undefined };

async function make(kind: 'start' | 'night'): Promise<void> {
  try {
    await makeCopyNow(kind);
  } catch (error) {
    if (error instanceof StudioTrouble) return;
    console.error('A copy was not made:', readKeeping().failed ?? 'unknown');
  }
}

/** Is the copy of this night still to be made? */
function isNightDue(lastGoodMs: number | null, atMs: number): boolean {
  const night = new Date(atMs);
  if (night.getHours() < rule.hour) night.setDate(night.getDate() - 1);
  night.setHours(rule.hour, 0, 0, 0);
  return lastGoodMs === null || lastGoodMs < night.getTime();
}

export function beginCopies(): void {
  if (holder.levitarCopies !== undefined) return;
  void make('start');
  holder.levitarCopies = setInterval(() => {
    if (!isNightDue(readKeeping().lastGoodMs, nowMs())) return;
    void make('night');
    retryErasing();
  }, rule.lookEveryMs);
  holder.levitarCopies.unref();
}

export async function endCopies(): Promise<void> {
  clearInterval(holder.levitarCopies);
  holder.levitarCopies = undefined;
  await copiesAtRest();
}

export interface CopiesView {
  readonly copies: readonly Omit<ReturnType<typeof listCopies>[number], 'file'>[];
  readonly lastGoodMs: number | null;
  /** Older than three days, or the last try failed. */
  readonly warning: string | null;
  readonly days: number;
  readonly months: number;
  readonly folder: string | null;
  readonly isSealed: boolean;
}

export function readCopies(): CopiesView {
  const { lastGoodMs, failed, days, months, folder, key } = readKeeping();
  const age = lastGoodMs === null ? Number.POSITIVE_INFINITY : nowMs() - lastGoodMs;
  const isOld = age > rule.warnAfterMs;
  return {
    copies: listCopies().map(({ file: _, ...copy }) => copy),
    lastGoodMs,
    warning:
      failed ??
      (isOld
        ? lastGoodMs === null
          ? 'There is no checked copy yet.'
          : 'The last good copy is older than three days.'
        : null),
    days,
    months,
    folder,
    isSealed: key !== null,
  };
}
