/**
 * One line of time out of many clocks. Within a load of the page the monotonic clock is right; a
 * reload, a sleep or somebody setting the clock is bridged by the server's answers, and where what
 * is left disagrees the time says so. Source: handbook 08; issue of the live class.
 */
import type { Stamp, Tap } from './tap';
import { tapId } from './taps';

const clockRule = {
  /** Clocks that differ by no more than this tell the same time, milliseconds. */
  agreeMs: 1000,
} as const;

interface Anchor {
  readonly monoMs: number;
  readonly serverMs: number;
  readonly roundTripMs: number;
}

export interface Elapsed {
  readonly seconds: number;
  /** The clocks disagree, or only one that may have been set was running throughout. */
  readonly isApproximate: boolean;
  /** Every clock's answer lies in here, seconds. */
  readonly lowSeconds: number;
  readonly highSeconds: number;
}

export interface ClassClock {
  /** Milliseconds on the server's line; the device's own wall clock where nothing better is known. */
  readonly lineOf: (tap: Tap) => number;
  readonly elapsed: (from: Tap, to: Tap) => Elapsed;
  /** Taps in the one order that every device agrees on. */
  readonly ordered: readonly Tap[];
}

/** The server's time at a moment, by the nearest answer of the same load; `null` without one. */
function serverTime(anchors: ReadonlyMap<string, readonly Anchor[]>, at: Stamp): number | null {
  const own = anchors.get(at.boot);
  if (own === undefined) return null;
  let best: Anchor | null = null;
  for (const anchor of own) {
    const away = Math.abs(anchor.monoMs - at.monoMs) + anchor.roundTripMs / 2;
    if (best === null || away < Math.abs(best.monoMs - at.monoMs) + best.roundTripMs / 2) {
      best = anchor;
    }
  }
  return best!.serverMs + (at.monoMs - best!.monoMs);
}

function collectAnchors(taps: readonly Tap[]): Map<string, Anchor[]> {
  const anchors = new Map<string, Anchor[]>();
  for (const { at, act } of taps) {
    if (act.kind !== 'anchor') continue;
    const list = anchors.get(at.boot) ?? [];
    list.push({ monoMs: at.monoMs, serverMs: act.serverMs, roundTripMs: act.roundTripMs });
    anchors.set(at.boot, list);
  }
  // Which of two equally near answers counts must not depend on the order of arrival.
  for (const list of anchors.values()) list.sort((a, b) => a.monoMs - b.monoMs);
  return anchors;
}

/** @param taps each once, in any order */
export function readClock(taps: readonly Tap[]): ClassClock {
  const anchors = collectAnchors(taps);
  const lines = new Map<string, number>();
  const byDevice = new Map<string, Tap[]>();
  for (const one of taps) {
    const list = byDevice.get(one.device) ?? [];
    list.push(one);
    byDevice.set(one.device, list);
  }
  // A device's own order is certain; a clock that jumps back must not turn it round.
  for (const list of byDevice.values()) {
    let newest = -Infinity;
    for (const one of list.sort((a, b) => a.seq - b.seq)) {
      newest = Math.max(newest, serverTime(anchors, one.at) ?? one.at.wallMs);
      lines.set(tapId(one), newest);
    }
  }
  const lineOf = (one: Tap) => lines.get(tapId(one)) ?? one.at.wallMs;
  const ordered = [...taps].sort(
    (a, b) =>
      lineOf(a) - lineOf(b) || (a.device < b.device ? -1 : a.device > b.device ? 1 : a.seq - b.seq),
  );
  return { lineOf, ordered, elapsed: (from, to) => elapsed(anchors, from, to) };
}

function elapsed(anchors: ReadonlyMap<string, readonly Anchor[]>, from: Tap, to: Tap): Elapsed {
  const isOneLoad = from.at.boot === to.at.boot;
  const mono = isOneLoad ? to.at.monoMs - from.at.monoMs : null;
  const wall = from.device === to.device ? to.at.wallMs - from.at.wallMs : null;
  const [a, b] = [serverTime(anchors, from.at), serverTime(anchors, to.at)];
  // With one answer for both ends the server says only what the monotonic clock says.
  const isWitness = !isOneLoad || (anchors.get(from.at.boot)?.length ?? 0) > 1;
  const server = a !== null && b !== null && isWitness ? b - a : null;
  const agree = (x: number | null, y: number | null) =>
    x !== null && y !== null && Math.abs(x - y) <= clockRule.agreeMs;
  const known = [mono, server, wall].filter((ms): ms is number => ms !== null);
  const range = {
    lowSeconds: Math.max(0, Math.min(...known)) / 1000,
    highSeconds: Math.max(0, ...known) / 1000,
  };
  const give = (ms: number, isApproximate: boolean): Elapsed => ({
    seconds: Math.max(0, ms) / 1000,
    isApproximate,
    ...range,
  });
  // Two that agree outvote the third: a clock that was set, or one that slept.
  if (mono !== null && (agree(mono, wall) || agree(mono, server))) return give(mono, false);
  if (server !== null && (wall === null || agree(server, wall))) return give(server, false);
  if (mono !== null) return give(mono, wall !== null || server !== null);
  if (server !== null) return give(server, true);
  if (wall !== null) return give(wall, true);
  // Two devices, and no answer of the server for one of them: only their wall clocks are left.
  const apart = to.at.wallMs - from.at.wallMs;
  const seconds = Math.max(0, apart) / 1000;
  return { seconds, isApproximate: true, lowSeconds: seconds, highSeconds: seconds };
}
