/** What a try is, and what is asked about it: by how it leaves the floor and where it goes. Source: handbook 02, 03. */
import type { StageSpec } from './stage';
import { getWayUp, type WayUpId } from './waysUp';

interface TryKindSpec {
  /** One leg goes first: which is worth noting, as is what the hands kept. */
  readonly isLed?: true;
}

const tryKindTable = {
  /** The weight springs and comes back. */
  hop: { isLed: true },
  /** One leg swings up, the other follows. */
  kick: { isLed: true },
  /** Nothing springs: knees or legs are drawn up. */
  lift: {},
} as const satisfies Record<string, TryKindSpec>;

export type TryKind = keyof typeof tryKindTable;
export const tryKinds = Object.keys(tryKindTable) as [TryKind, ...TryKind[]];

/** A leg may lead in tries of this kind. */
export function isLedBy(kind: TryKind): boolean {
  const { isLed }: TryKindSpec = tryKindTable[kind];
  return isLed === true;
}

/** What shows that a try got there: a touch of the wall, or standing where none is. */
export const tryAims = ['wall', 'up'] as const;
export type TryAim = (typeof tryAims)[number];

/** A way up as it is chosen from. */
export interface TryWay {
  readonly id: WayUpId;
  readonly label: string;
  /** Both legs leave at once: none leads. */
  readonly isTogether?: true;
}

/** What is asked about the tries of a stage. */
export interface TrySpec {
  readonly kind: TryKind;
  /** A leg may be said to lead. */
  readonly isLed: boolean;
  readonly aim: TryAim;
  /** Ways up that a try may have taken; none: there is one. */
  readonly ways: readonly TryWay[];
}

export function trySpecOf({
  isHop,
  isLift,
  needsWall,
  waysUp = [],
}: Pick<StageSpec, 'isHop' | 'isLift' | 'needsWall' | 'waysUp'>): TrySpec {
  const kind: TryKind = isHop ? 'hop' : isLift ? 'lift' : 'kick';
  const isLed = isLedBy(kind);
  return {
    kind,
    isLed,
    // Whoever lifts finds the line; a wall that is there is not what it goes to.
    aim: needsWall && isLed ? 'wall' : 'up',
    ways: waysUp.map((id) => {
      const { label, isTogether } = getWayUp(id);
      return { id, label, ...(isTogether ? { isTogether } : {}) };
    }),
  };
}
