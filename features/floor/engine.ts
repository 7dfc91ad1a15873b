/**
 * A class on one device, without a screen: its taps, what they say, the queue to the server, and
 * when to try again. Clock, store, transport and timers come from outside, so that all of it can be
 * run by hand.
 */
import { waitAfter } from '@/core/running/queue';
import { replay, type FloorState } from '@/core/running/replay';
import type { FloorAct, Tap } from '@/core/running/tap';
import { tapId, uniteTaps } from '@/core/running/taps';
import { NotHeard, waitingOf, type Exchange } from './sync';

export type Link = 'starting' | 'heard' | NotHeard['kind'];

/** What the engine is made of; every part can be stood in for. */
export interface EngineParts {
  readonly store: {
    readonly findDevice: () => Promise<string>;
    readonly readTaps: (uid: string) => Promise<Tap[]>;
    readonly readMeta: (uid: string) => Promise<{ readonly upTo: number }>;
    /** Resolves once it is on disk. @throws DOMException `QuotaExceededError` when there is no room */
    readonly keepTap: (uid: string, at: Tap['at'], act: FloorAct) => Promise<Tap>;
  };
  /** Delivers what waits and fetches what is new. @throws NotHeard */
  readonly exchange: (uid: string, device: string) => Promise<Exchange>;
  readonly clock: {
    /** Since the page began, milliseconds; never set. */
    readonly monoMs: () => number;
    readonly wallMs: () => number;
  };
  /** @returns takes it back */
  readonly after: (ms: number, run: () => void) => () => void;
  /** One page of this device at a time. */
  readonly alone: (work: () => Promise<void>) => Promise<void>;
  /** The other pages of this device. */
  readonly others: (onHeard: () => void) => {
    readonly tell: () => void;
    readonly close: () => void;
  };
  /** Names this page's clock. */
  readonly boot: string;
}

/** What a screen shows; a new one whenever something of it is new. */
export interface FloorSnapshot {
  readonly state: FloorState;
  readonly device: string | null;
  /** Taps that the server does not have yet. */
  readonly waiting: number;
  readonly link: Link;
  /** Why the last exchange failed, or a tap could not be kept. */
  readonly problem: string | null;
  /** Newest number heard of what the class goes by; `null` before anything was heard. */
  readonly revision: number | null;
}

export const pace = {
  everyMs: 2500,
  /** How often the clocks are compared, and how far they may drift apart before it is done at once. */
  anchorEveryMs: 120_000,
  driftMs: 400,
  afterAnchorMs: 200,
  /** Both sides know where to go on from: at once, but not for ever. */
  apartMs: 50,
  mostApart: 4,
} as const;

const isSaid = ({ act }: Tap) => act.kind !== 'anchor';

const isSame = (a: readonly Tap[], b: readonly Tap[]) =>
  a.length === b.length && new Set([...a, ...b].map(tapId)).size === a.length;

interface Anchor {
  readonly monoMs: number;
  readonly serverMs: number;
  readonly drift: number;
}

export class FloorEngine {
  private taps: readonly Tap[] = [];
  private upTo = 0;
  private device: string | null = null;
  private link: Link = 'starting';
  private problem: string | null = null;
  private revision: number | null = null;
  private anchor: Anchor | null = null;
  private failures = 0;
  private isBusy = false;
  private isWanted = false;
  private isOver = true;
  private cancel: () => void = () => undefined;
  private channel: ReturnType<EngineParts['others']> | null = null;
  private readonly listeners = new Set<() => void>();
  private snapshot: FloorSnapshot;

  constructor(
    private readonly uid: string,
    private readonly parts: EngineParts,
  ) {
    this.snapshot = this.take(replay([]));
  }

  get boot(): string {
    return this.parts.boot;
  }

  readonly getSnapshot = (): FloorSnapshot => this.snapshot;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Begins to deliver and to listen. */
  start(): void {
    this.isOver = false;
    this.channel = this.parts.others(() => void this.reload());
    this.plan(0);
  }

  stop(): void {
    this.isOver = true;
    this.cancel();
    this.channel?.close();
    this.channel = null;
  }

  /** There may be somebody to hear again, or something to say: now, or right after this turn. */
  readonly wake = (): void => {
    if (this.isBusy) this.isWanted = true;
    else void this.turn();
  };

  /**
   * Keeps a tap at the moment of the event; resolves once it is on disk, `null` when it is not.
   *
   * @param event whose time counts, not the time at which this line is reached
   */
  readonly say = async (
    act: FloorAct,
    event?: { readonly timeStamp: number },
  ): Promise<Tap | null> => {
    const now = this.parts.clock.monoMs();
    const made = await this.keep(act, event === undefined ? now : Math.min(event.timeStamp, now));
    this.wake();
    return made;
  };

  /** Takes back the newest tap of this device that can be. */
  readonly undo = (): void => {
    const { device, state } = this.snapshot;
    const last = device === null ? undefined : state.undoable.get(device);
    if (last !== undefined) void this.say({ kind: 'undo', tap: tapId(last) });
  };

  /** A moment of the page's clock on the line that the taps of the class stand on, milliseconds. */
  readonly nowLine = (monoMs: number): number => {
    const { anchor } = this;
    if (anchor !== null) return anchor.serverMs + (monoMs - anchor.monoMs);
    const { clock } = this.parts;
    return clock.wallMs() - (clock.monoMs() - monoMs);
  };

  private take(state: FloorState): FloorSnapshot {
    const { device, link, problem, revision, taps, upTo } = this;
    const waiting = device === null ? 0 : waitingOf(taps, device, upTo).filter(isSaid).length;
    return { state, device, waiting, link, problem, revision };
  }

  private show(hasNewTaps: boolean): void {
    this.snapshot = this.take(hasNewTaps ? replay(this.taps) : this.snapshot.state);
    for (const listener of this.listeners) listener();
  }

  private async keep(act: FloorAct, monoMs: number): Promise<Tap | null> {
    const { clock, store, boot } = this.parts;
    const at = { boot, monoMs, wallMs: clock.wallMs() - (clock.monoMs() - monoMs) };
    try {
      const made = await store.keepTap(this.uid, at, act);
      this.taps = uniteTaps(this.taps, [made]);
      this.show(true);
      this.channel?.tell();
      return made;
    } catch (error) {
      const isFull = error instanceof DOMException && error.name === 'QuotaExceededError';
      this.problem = isFull
        ? 'This device is full: the last tap was not kept. Free some space; everything before it is safe.'
        : 'The last tap could not be kept on this device. Tap it again.';
      this.show(false);
      return null;
    }
  }

  private async reload(): Promise<void> {
    const { store } = this.parts;
    const [all, meta, name] = await Promise.all([
      store.readTaps(this.uid),
      store.readMeta(this.uid),
      store.findDevice(),
    ]);
    const isNew = !isSame(this.taps, all);
    if (!isNew && this.upTo === meta.upTo && this.device === name) return;
    this.device = name;
    this.upTo = meta.upTo;
    if (isNew) this.taps = all;
    this.show(isNew);
  }

  private plan(ms: number): void {
    this.cancel();
    this.cancel = this.parts.after(ms, () => void this.turn());
  }

  private async turn(): Promise<void> {
    this.cancel();
    if (this.isOver || this.isBusy) return;
    this.isBusy = true;
    this.isWanted = false;
    // What is on the device is shown before anybody is asked.
    await this.reload().catch(() => undefined);
    const next = await this.deliver();
    this.isBusy = false;
    await this.reload().catch(() => undefined);
    this.show(false);
    // A tap made meanwhile goes at once, unless nobody answers anyway.
    if (!this.isOver) this.plan(this.isWanted && this.failures === 0 ? 0 : next);
  }

  /** @returns after how many milliseconds to try again */
  private async deliver(): Promise<number> {
    let next: number = pace.everyMs;
    try {
      const name = await this.parts.store.findDevice();
      await this.parts.alone(async () => {
        const answer = await this.parts.exchange(this.uid, name);
        this.revision = answer.revision;
        if (await this.compareClocks(answer)) next = pace.afterAnchorMs;
        if (answer.heard) this.channel?.tell();
      });
      this.failures = 0;
      this.link = 'heard';
      this.problem = null;
      return next;
    } catch (error) {
      this.failures += 1;
      next = Math.max(pace.everyMs, waitAfter(this.failures));
      if (!(error instanceof NotHeard)) {
        this.link = 'offline';
        return next;
      }
      this.link = error.kind;
      this.problem = error.message;
      return error.kind === 'apart' && this.failures < pace.mostApart ? pace.apartMs : next;
    }
  }

  /** Notes where the page's clock stands on the server's, from time to time and when it jumped. */
  private async compareClocks(answer: Exchange): Promise<boolean> {
    const { clock } = this.parts;
    const drift = clock.wallMs() - clock.monoMs();
    const last = this.anchor;
    const isDue =
      last === null ||
      answer.monoMs - last.monoMs > pace.anchorEveryMs ||
      Math.abs(drift - last.drift) > pace.driftMs;
    if (!isDue) return false;
    const { monoMs, serverMs, roundTripMs } = answer;
    this.anchor = { monoMs, serverMs, drift };
    await this.keep({ kind: 'anchor', serverMs, roundTripMs }, monoMs);
    return true;
  }
}
