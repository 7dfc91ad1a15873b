/** What a practice to take home consists of. Source: handbook 08 "Home practice". */
import type { MoveId } from '../atlas/moves';
import type { DoseStep } from '../catalog/dose';
import type { StageKey } from '../catalog/stage';
import type { Pass } from '../ladder/gatekeeper';
import type { StandIn } from './household';

export interface HomeItem {
  /** The gatekeeper's: nothing is sent home without it. */
  readonly pass: Pass;
  readonly id: string;
  readonly label: string;
  readonly how: string;
  readonly dose: string;
  /** The same as data, at the same level: what a timer counts. Empty: as long as it is good. */
  readonly paced: readonly DoseStep[];
  /** Drawn; `null`: a teacher’s own without a drawing. */
  readonly move: MoveId | null;
  /** Days a week. */
  readonly days: number;
  /** Which side comes first, where one lags. */
  readonly firstSide?: 'left' | 'right';
  readonly towards: string;
  readonly standIns: readonly StandIn[];
  /** What to do differently, where a caution asks for care. */
  readonly watch: readonly string[];
  /** Wrist, elbow or other mark to the wall, metres, at one's own wall. */
  readonly wall?: {
    readonly label: string;
    readonly metres: number;
    readonly isFound?: true;
  };
}

export interface NotAlone {
  readonly stage: StageKey;
  readonly label: string;
  readonly why: string;
}

export interface HomePractice {
  readonly items: readonly HomeItem[];
  readonly notAlone: readonly NotAlone[];
  /** Nothing can be sent home, and what to do instead. */
  readonly instead: string | null;
}

export const homeRule = {
  least: 2,
  most: 4,
  /** Share of what the student can do, for sets (handbook 08: 60-70 %). */
  share: 0.65,
  sets: 3,
  breathsBetween: 5,
  daysStrength: 3,
  daysEase: 5,
} as const;
