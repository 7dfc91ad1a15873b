/**
 * One plan being made, without a screen: its wishes and the way back, the worker that composes, and
 * what is kept on the server. Worker, questions and words come from outside, so that all of it can
 * be run by hand.
 */
import type { KeptLetter } from '@/core/compose/stations';
import type { WishesFile } from '@/core/files/classFile';
import { toWishes } from '@/core/files/toWishes';
import type { PlanFile } from '@/core/files/planFile';
import type { BeforeById } from '@/core/compose/pose';
import type { PreparedClass } from '@/core/compose/prepared';
import { beforeOf } from '@/core/compose/readBack';
import { keepSame } from '@/core/units/keepSame';
import { beginHistory, canGoBack, goBack, goOn, type History } from '@/design/history';
import { sayProblems, type Outcome } from '@/server/result';
import type { Standing } from './change';
import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';

export type PlanStatus =
  /** As it was kept, nothing running. */
  'kept' | 'starting' | 'proving' | 'asking' | 'done' | 'stopped' | 'failed';

/** Where the plan on the screen stands besides. */
export type PlanKeeping =
  /** Tonight, paper and Floor show it. */
  | 'kept'
  /** Not yet: it is being made, or on its way. */
  | 'coming'
  /** Another window has kept another one. */
  | 'refused'
  /** No answer came. */
  | 'lost'
  /** A class from a file: nothing of it is kept. */
  | 'nowhere';

/** What was wished, and everybody judged for it. */
interface Wished {
  readonly wishes: WishesFile;
  readonly prepared: PreparedClass;
}

export interface PlannerState extends Wished {
  readonly plan: PlanFile | null;
  /** The plan as it is drawn: the same object as long as only what is known of it changes. */
  readonly picture: PlanFile | null;
  /** The plan that stood before the newest change; `null`: nothing was changed here yet. */
  readonly stood: PlanFile | null;
  readonly status: PlanStatus;
  readonly keeping: PlanKeeping;
  /** While proving: how far the best known plan is from what no plan can exceed. */
  readonly gapPercent: number | null;
  /** While asking what binds: so many of so many. */
  readonly asked: readonly [done: number, of: number] | null;
  readonly canUndo: boolean;
}

export interface Change {
  /** People must be judged again: other families, minutes or school. */
  readonly judges?: boolean;
  /** Changes as little of the standing plan as can be. */
  readonly keeps?: boolean;
}

/** What the solver knows of a plan; none of it is drawn in the room, the rows or the order. */
const known = {
  objective: true,
  bound: true,
  gapPercent: true,
  stoppedBy: true,
  parts: true,
  leastShare: true,
  notes: true,
  relief: true,
  binding: true,
} as const satisfies Partial<Readonly<Record<keyof PlanFile, true>>>;

/** Parts that did not change are the same objects: see `keepSame`. */
const isDrawnAlike = (one: PlanFile, other: PlanFile) =>
  [...new Set([...Object.keys(one), ...Object.keys(other)])].every(
    (key) => key in known || one[key as keyof PlanFile] === other[key as keyof PlanFile],
  );

interface Kept {
  readonly wishes: WishesFile;
  readonly plan: PlanFile;
}

export interface PlannerParts {
  /** Asks a worker of its own. @returns ends it; no answer comes after that */
  readonly ask: (
    question: ComposeQuestion,
    onAnswer: (answer: ComposeAnswer) => void,
  ) => () => void;
  /** Everybody judged anew; absent for a class that came from a file. */
  readonly prepareAgain: ((wishes: WishesFile) => Promise<Outcome<PreparedClass>>) | null;
  /** Keeps a plan. @param seen the revision it stands on; @returns what now stands */
  readonly keep: ((plan: Kept, seen: number) => Promise<Outcome<Standing>>) | null;
  readonly tell: (words: string) => void;
}

export interface PlannerStart extends Wished {
  readonly kept: PlanFile | null;
  readonly revision: number;
  /** A plan that rests on what has changed since: composed anew, and as little as can be moves. */
  readonly stale?: PlanFile;
}

export class PlannerEngine {
  private history: History<Wished>;
  private plan: PlanFile | null;
  private picture: PlanFile | null;
  private stood: PlanFile | null = null;
  private status: PlanStatus;
  private keeping: PlanKeeping;
  /** Said once of each wish, not of each proof of it. */
  private toldOf: WishesFile | null = null;
  private gapPercent: number | null = null;
  private asked: readonly [number, number] | null = null;
  private revision: number;
  private endWorker: (() => void) | null = null;
  /** Of the newest change: an answer to an older one says nothing any more. */
  private turn = 0;
  private waiting: Kept | null = null;
  private isKeeping = false;
  private listener: ((state: PlannerState, isDrawn: boolean) => void) | null = null;

  constructor(
    start: PlannerStart,
    private readonly parts: PlannerParts,
  ) {
    this.history = beginHistory({ wishes: start.wishes, prepared: start.prepared });
    this.plan = start.kept ?? start.stale ?? null;
    this.picture = this.plan;
    this.revision = start.revision;
    this.status = start.kept === null ? 'starting' : 'kept';
    this.keeping = parts.keep === null ? 'nowhere' : start.kept === null ? 'coming' : 'kept';
  }

  get state(): PlannerState {
    const { plan, picture, stood, status, keeping, gapPercent, asked } = this;
    return {
      ...this.history.now,
      plan,
      picture,
      stood,
      status,
      keeping,
      gapPercent,
      asked,
      canUndo: canGoBack(this.history),
    };
  }

  /** @param isDrawn a plan is some thousand shapes: it may be drawn in slices */
  private show(isDrawn = false): void {
    this.listener?.(this.state, isDrawn);
  }

  /** Composes what the page came with, where nothing was kept. */
  start(listener: (state: PlannerState, isDrawn: boolean) => void): void {
    this.listener = listener;
    if (this.status === 'starting') this.compose(this.plan === null ? {} : beforeOf(this.plan));
  }

  end(): void {
    this.listener = null;
    this.turn += 1;
    this.endWorker?.();
    this.endWorker = null;
  }

  change = (patch: Partial<WishesFile>, how: Change = {}): void => void this.apply(patch, how);

  private async apply(
    patch: Partial<WishesFile>,
    { judges = false, keeps = false }: Change,
  ): Promise<void> {
    const { wishes, prepared } = this.history.now;
    const before = this.history;
    const next = { ...wishes, ...patch };
    this.turn += 1;
    const mine = this.turn;
    this.remember();
    this.history = goOn(before, { wishes: next, prepared });
    this.show();
    if (judges && this.parts.prepareAgain !== null) {
      const outcome = await this.parts.prepareAgain(next);
      if (mine !== this.turn) return;
      if (!outcome.ok) {
        // What cannot be judged was never wished.
        this.history = before;
        this.show();
        this.parts.tell(sayProblems(outcome.problems));
        return;
      }
      const judged = keepSame(prepared, outcome.value);
      this.history = { ...this.history, now: { wishes: next, prepared: judged } };
    }
    this.compose(keeps && this.plan !== null ? beforeOf(this.plan) : {});
  }

  undo = (): void => {
    if (!canGoBack(this.history)) return;
    this.turn += 1;
    this.remember();
    this.history = goBack(this.history);
    this.compose(this.plan === null ? {} : beforeOf(this.plan));
  };

  /** What stands before something changes. A plan on its way to being proved stands for nothing yet. */
  private remember(): void {
    switch (this.status) {
      case 'kept':
      case 'asking':
      case 'done':
      case 'stopped':
        this.stood = this.plan;
        return;
      case 'starting':
      case 'proving':
      case 'failed':
        return;
      default:
        this.status satisfies never;
    }
  }

  /** The best plan so far stands. */
  stop = (): void => {
    this.endWorker?.();
    this.endWorker = null;
    this.status = 'stopped';
    this.show();
    if (this.plan !== null) this.keep({ wishes: this.history.now.wishes, plan: this.plan });
  };

  again = (): void => this.compose({});

  /** Once more, where no answer came. */
  keepAgain = (): void => {
    if (this.plan !== null) this.keep({ wishes: this.history.now.wishes, plan: this.plan });
    this.show();
  };

  private compose(before: BeforeById): void {
    this.endWorker?.();
    this.status = 'starting';
    if (this.keeping !== 'nowhere') this.keeping = 'coming';
    this.gapPercent = null;
    this.asked = null;
    const { wishes, prepared } = this.history.now;
    let isCurrent = true;
    const end = this.parts.ask(
      {
        kind: 'compose',
        prepared,
        wishes: toWishes(wishes),
        before,
        // What is kept keeps its letters: they may be on paper already.
        ...(Object.keys(before).length === 0 || this.plan === null
          ? {}
          : { letters: this.plan.stations as readonly KeptLetter[] }),
        withBinding: true,
      },
      (answer) => {
        if (isCurrent) this.hear(answer, wishes);
      },
    );
    this.endWorker = () => {
      isCurrent = false;
      end();
    };
    this.show();
  }

  private take(came: PlanFile): PlanFile {
    const plan = keepSame(this.plan, came);
    this.plan = plan;
    if (this.picture === null || !isDrawnAlike(this.picture, plan)) this.picture = plan;
    return plan;
  }

  private hear(answer: ComposeAnswer, wishes: WishesFile): void {
    switch (answer.kind) {
      case 'quick':
        this.take(answer.plan);
        this.status = 'proving';
        break;
      case 'proving':
        this.gapPercent = answer.gapPercent;
        break;
      case 'proved':
        this.status = 'asking';
        // What is proved is the plan of the evening; what binds is added to it.
        this.keep({ wishes, plan: this.take(answer.plan) });
        break;
      case 'binding':
        this.asked = [answer.done, answer.of];
        break;
      case 'done':
        this.status = 'done';
        this.keep({ wishes, plan: this.take(answer.plan) });
        break;
      case 'failed':
        this.status = 'failed';
        this.parts.tell(answer.words);
        break;
      case 'bought':
        return;
    }
    this.show(true);
  }

  /** One after the other, and only the newest: each stands on the revision before it. */
  private keep(plan: Kept): void {
    if (this.parts.keep === null) return;
    this.waiting = plan;
    this.keeping = 'coming';
    if (!this.isKeeping) void this.keepWaiting(this.parts.keep);
  }

  private async keepWaiting(keep: NonNullable<PlannerParts['keep']>): Promise<void> {
    this.isKeeping = true;
    while (this.waiting !== null) {
      const plan = this.waiting;
      this.waiting = null;
      try {
        const outcome = await keep(plan, this.revision);
        if (outcome.ok) this.stand(outcome.value, plan);
        else this.miss(plan, 'refused', sayProblems(outcome.problems));
      } catch {
        this.miss(
          plan,
          'lost',
          'The plan could not be kept: the server did not answer. It is still here; keep it once more.',
        );
      }
    }
    this.isKeeping = false;
    this.show();
  }

  /** A newer plan is being made or waits: what became of an older one says nothing of it. */
  private isOvertaken({ wishes }: Kept): boolean {
    return this.waiting !== null || wishes !== this.history.now.wishes;
  }

  private stand({ revision, plan: other }: Standing, given: Kept): void {
    this.revision = revision;
    if (this.isOvertaken(given)) return;
    this.keeping = 'kept';
    if (other === undefined) return;
    this.endWorker?.();
    this.endWorker = null;
    this.take(other);
    this.status = 'kept';
  }

  private miss(given: Kept, keeping: 'refused' | 'lost', words: string): void {
    if (!this.isOvertaken(given)) this.keeping = keeping;
    if (this.toldOf === given.wishes && keeping === 'refused') return;
    this.toldOf = given.wishes;
    this.parts.tell(words);
  }
}
