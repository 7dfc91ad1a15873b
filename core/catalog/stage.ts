/** What a stage is. The stages themselves stand in ladders/, one file to a family. */
import type { HelpId } from '../atlas/help';
import type { MoveId } from '../atlas/moves';
import type { SetupId } from '../setups/registry';
import type { ShapeRef } from '../shapes/posed';
import type { CautionColumn } from './cautionColumns';
import type { CautionId } from './cautions';
import type { CheckKey, FaultId } from './checks';
import type { DoseStep } from './dose';
import type { Demand } from './demand';
import type { OwnKey } from './ownKey';
import type { ShippedPieceId } from './pieces';
import type { ProfileId } from './profiles';
import type { BodyRegion, RegionLoads } from './regions';
import type { StageId } from './stages';
import type { WayUpId } from './waysUp';

/** What follows a family's holds, and what it asks of a body. */
export interface Counterpose {
  readonly label: string;
  readonly move: MoveId;
  /** As long as its holds ask for. */
  readonly minutes: number;
  readonly columns: readonly CautionColumn[];
  readonly loads: RegionLoads;
  readonly strains: readonly BodyRegion[];
  /** It answers holds with one of these columns; absent: whatever is done of the family. */
  readonly answers?: readonly CautionColumn[];
}

interface LadderSpec {
  readonly label: string;
  readonly sanskrit: string;
  readonly counter: Counterpose;
}

export const ladderTable = {
  'forearm-stand': {
    label: 'Forearm stand',
    sanskrit: 'Pincha Mayurasana',
    counter: {
      label: 'Child’s pose, then hands clasped behind the back',
      move: 'child',
      minutes: 2,
      columns: ['mild', 'reach'],
      loads: { shoulder: 0.1 },
      strains: [],
    },
  },
  headstand: {
    label: 'Headstand',
    sanskrit: 'Sirsasana',
    counter: {
      label: 'Child’s pose at least as long as the hold, up to a minute, before lifting the head',
      move: 'to-child',
      minutes: 2,
      columns: ['mild'],
      loads: {},
      strains: [],
    },
  },
  handstand: {
    label: 'Handstand',
    sanskrit: 'Adho Mukha Vrksasana',
    counter: {
      label: 'Wrist releases, then a standing fold holding the elbows',
      move: 'standing-fold',
      minutes: 2,
      columns: ['mild'],
      loads: { hamstring: 0.2, wrist: 0.1 },
      strains: ['back'],
    },
  },
  'shoulder-stand': {
    label: 'Shoulder stand',
    sanskrit: 'Salamba Sarvangasana',
    counter: {
      label: 'Supported back-arch on the elbows, 5-6 breaths, crown only grazing the floor',
      move: 'back-arch',
      minutes: 1.5,
      columns: ['neck'],
      loads: { neck: 0.1, shoulder: 0.2 },
      strains: ['back', 'elbow'],
      // Shoulders or head carried weight: curls, and legs up over a stack, bend no neck under load.
      answers: ['shoulders', 'neck'],
    },
  },
  'arm-balance': {
    label: 'Crow and arm balances',
    sanskrit: 'Kakasana, Bakasana and kin',
    counter: {
      label: 'Wrist releases, hands behind the back',
      move: 'hands-behind',
      minutes: 1.5,
      columns: ['reach'],
      loads: { wrist: 0.1, shoulder: 0.1 },
      strains: [],
    },
  },
} as const satisfies Record<string, LadderSpec>;

export type LadderId = keyof typeof ladderTable;
export const ladderIds = Object.keys(ladderTable) as [LadderId, ...LadderId[]];

/** Ways up that a profile opens or closes as a whole. */
export const branchTable = {
  'headstand-wall': { label: 'Headstand near a wall' },
  'no-head-weight': { label: 'No weight on the head' },
  'free-plough': { label: 'Plough away from the wall' },
  'after-crow': { label: 'After crow' },
} as const;

export type BranchId = keyof typeof branchTable;

/** A shipped stage or branch, or a teacher's own. Whether an own one exists is the catalog's to say. */
export type StageKey = StageId | OwnKey;
export type BranchKey = BranchId | OwnKey;

/** The nearest shape that can be drawn at a person's own size. */
export type StageShape = ShapeRef;

/** How one profile asks otherwise than the table. */
export interface ProfileGate<Stage extends string = StageKey> {
  readonly gate: readonly Demand<Stage>[];
  /** Checks whose earlier bars on the way do not count here: an earlier try with support. */
  readonly replaces?: readonly CheckKey[];
}

/**
 * A stage of the table: all of it is drawn. Its stages are any text while the table is made; that each of
 * them is a stage, `getStage` has the compiler say.
 */
export interface ShippedStage extends StageSpec<string> {
  readonly move: MoveId;
  readonly leave: MoveId;
}

export interface StageSpec<Stage extends string = StageKey> {
  readonly family: LadderId;
  readonly label: string;
  readonly sanskrit?: string;
  readonly branch?: BranchKey;
  /** A side line: complete in itself, not on the way to what follows. */
  readonly isAside?: true;
  /** Where one comes from; any one of them will do. Empty at the foot of the ladder. */
  readonly after: readonly Stage[];
  readonly how: string;
  readonly dose: string;
  /** What of it one round holds; of tries, `tries` says it. Absent: a teacher’s own, in words. */
  readonly round?: readonly DoseStep[];
  readonly gate: readonly Demand<Stage>[];
  readonly gateByProfile?: Readonly<Partial<Record<ProfileId, ProfileGate<Stage>>>>;
  /** Faults after which the try does not count. */
  readonly faults: readonly FaultId[];
  readonly stepDown: string;
  /** The stage that the step down is, where it is one. */
  readonly downTo?: Stage;
  readonly assist: string | null;
  /** Where the helper stands and holds. */
  readonly help?: HelpId;
  readonly exit: string;
  /** How it is left, drawn. */
  readonly leave?: MoveId;
  /** How it is come into and held, drawn; of a teacher’s own, the nearest, or none but the shape. */
  readonly move?: MoveId;
  /** The family's counterpose unless the stage has its own. */
  readonly counter?: string;
  /** What to look at before weight goes on. */
  readonly checkFirst?: readonly string[];
  readonly columns: readonly CautionColumn[];
  readonly loads: RegionLoads;
  /** Strained besides what is loaded: pain there closes it too. */
  readonly strains: readonly BodyRegion[];
  /** Said besides to whoever has reported this: what is left out, or done otherwise. */
  readonly saysTo?: Readonly<Partial<Record<CautionId, string>>>;
  /** A foot leaves the floor, though neither head, hands nor shoulders carry the weight. */
  readonly feetUp?: true;
  /** Somebody whose wrists are sore does it without them, so. */
  readonly sparesWrists?: string;
  readonly needsWall?: true;
  /** May use a helper's hands. */
  readonly mayAssist?: true;
  /** A way out must be held first (marked x in handbook 02). */
  readonly needsExit?: true;
  /** Away from every support: what "no free attempts" closes. */
  readonly isFree?: true;
  /** A hop or kick, counted as attempts. */
  readonly isAttempt?: true;
  /** Tries in a round, as its dose asks at the least; absent: two. */
  readonly tries?: number;
  /** The ways to come up, where there is more than one; each has its own distance and lane. */
  readonly waysUp?: readonly WayUpId[];
  /** Of its tries, hops: the weight springs and comes back. */
  readonly isHop?: true;
  /** Of its tries, lifts: knees or legs are drawn up, and no leg leads. */
  readonly isLift?: true;
  /** Taken from the cupboard beside what the set-up itself is made of. */
  readonly pieces?: readonly { readonly piece: ShippedPieceId; readonly count: number }[];
  readonly recipe?: SetupId;
  readonly shape?: StageShape;
}
